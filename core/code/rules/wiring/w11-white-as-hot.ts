import { placeName } from '../../../job/model/called';
import { isWhite } from '../../../trade/standards/cables';
import { at, section, siteAt, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w11: Rule = {
  id: 'W11',
  title: say('w11.title'),
  section: section('200.7(C)(1), 200.6'),
  severity: 'code',
  looksAt: say('w11.whitesEveryCable'),
  check: (site) => [
    ...site.wiring.cables.flatMap(({ run, type, from, to, conductors }) =>
      conductors
        .filter(
          ({ insulation, role, reidentified }) =>
            isWhite(insulation) && role !== null && role !== 'neutral' && !reidentified,
        )
        .map(() => ({
          at: at('run', run),
          ...tell('w11.untaped', {
            type,
            from: placeName(site.job, from),
            to: placeName(site.job, to),
          }),
        })),
    ),
    ...site
      .findings('white is hot', 'colored neutral')
      .map((finding) => ({ at: siteAt(finding), message: finding.message, says: finding.says })),
  ],
};
