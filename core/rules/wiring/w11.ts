import { isWhite } from '../../standards/cables';
import { at, section, type Rule } from '../rule';

export const w11: Rule = {
  id: 'W11',
  title: 'White of a cable used as a hot and not re-identified',
  section: section('200.7(C)(1)'),
  severity: 'code',
  looksAt: 'whites of every cable',
  check: (site) =>
    site.wiring.cables.flatMap(({ run, type, conductors }) =>
      conductors
        .filter(
          ({ insulation, role, reidentified }) =>
            isWhite(insulation) && role !== null && role !== 'neutral' && !reidentified,
        )
        .map(() => ({
          at: at('run', run),
          message: `The white of the ${type} ${run} is a hot and has no tape.`,
        })),
    ),
};
