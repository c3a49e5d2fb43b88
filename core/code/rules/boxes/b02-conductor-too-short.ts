import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const b02: Rule = {
  id: 'B02',
  title: say('b02.freeConductorTooShort'),
  section: section('300.14'),
  severity: 'code',
  looksAt: say('b02.measuredFreeConductor'),
  check: ({ job }) =>
    job.boxes
      .filter((box) => (box.rough.freeIn ?? 6) < 6 || (box.rough.pastFrontIn ?? 3) < 3)
      .map((box) => ({
        at: at('box', box.id),
        ...tell('b02.least6FreeFromSheath', { box: box.name }),
      })),
};
