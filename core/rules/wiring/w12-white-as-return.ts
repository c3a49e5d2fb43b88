import { placeName } from '../../layout/names';
import { isWhite } from '../../standards/cables';
import { at, section, type Rule } from '../rule';

export const w12: Rule = {
  id: 'W12',
  title: 'Re-identified white used as the return from the last switch to the load',
  section: section('200.7(C)(1)'),
  severity: 'code',
  looksAt: 'whites that carry a switched hot',
  check: (site) =>
    site.wiring.cables.flatMap(({ run, type, from, to, conductors }) =>
      conductors
        .filter(({ insulation, role }) => isWhite(insulation) && role === 'switched')
        .map(() => ({
          at: at('run', run),
          message: `The white of the ${type} from ${placeName(site.job, from)} to ${placeName(site.job, to)} brings switched power to the load; it may only be the supply or a traveler.`,
        })),
    ),
};
