import { placeName } from '../../../job/model/called';
import { isWhite } from '../../../trade/standards/cables';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w12: Rule = {
  id: 'W12',
  title: say('w12.title'),
  section: section('200.7(C)(1)'),
  severity: 'code',
  looksAt: say('w12.whitesCarrySwitchedHot'),
  check: (site) =>
    site.wiring.cables.flatMap(({ run, type, from, to, conductors }) =>
      conductors
        .filter(({ insulation, role }) => isWhite(insulation) && role === 'switched')
        .map(() => ({
          at: at('run', run),
          ...tell('w12.whiteSwitched', {
            type,
            from: placeName(site.job, from),
            to: placeName(site.job, to),
          }),
        })),
    ),
};
