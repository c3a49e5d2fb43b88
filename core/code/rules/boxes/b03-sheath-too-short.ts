import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const b03: Rule = {
  id: 'B03',
  title: say('b03.tooLittleSheathBox'),
  section: section('314.17'),
  severity: 'code',
  looksAt: say('b03.measuredSheath'),
  check: ({ job }) =>
    job.boxes
      .filter((box) => (box.rough.sheathIn ?? 0.25) < 0.25)
      .map((box) => ({
        at: at('box', box.id),
        ...tell('b03.finding', { box: box.name }),
      })),
};
