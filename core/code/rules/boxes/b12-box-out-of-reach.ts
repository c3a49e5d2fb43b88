import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const b12: Rule = {
  id: 'B12',
  title: say('b12.title'),
  section: section('314.29', '314.29(A)'),
  severity: 'code',
  looksAt: say('b12.boxesWiringThem'),
  check: (site) =>
    site.job.boxes
      .filter((box) => box.concealed && site.contents(box.id).cables.length > 0)
      .map((box) => ({
        at: at('box', box.id),
        ...tell('b12.finding', { box: box.name }),
      })),
};
