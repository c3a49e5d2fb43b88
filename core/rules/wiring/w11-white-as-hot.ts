import { placeName } from '../../layout/names';
import { isWhite } from '../../standards/cables';
import { at, section, siteAt, type Rule } from '../rule';

export const w11: Rule = {
  id: 'W11',
  title: 'White of a cable used as a hot and not re-identified, or another color as a neutral',
  section: section('200.7(C)(1), 200.6'),
  severity: 'code',
  looksAt: 'whites of every cable',
  check: (site) => [
    ...site.wiring.cables.flatMap(({ run, type, from, to, conductors }) =>
      conductors
        .filter(
          ({ insulation, role, reidentified }) =>
            isWhite(insulation) && role !== null && role !== 'neutral' && !reidentified,
        )
        .map(() => ({
          at: at('run', run),
          message: `The white of the ${type} from ${placeName(site.job, from)} to ${placeName(site.job, to)} is a hot and has no tape.`,
        })),
    ),
    ...site
      .findings('white is hot', 'colored neutral')
      .map((finding) => ({ at: siteAt(finding), message: finding.message })),
  ],
};
