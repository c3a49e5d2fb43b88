import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const b09: Rule = {
  id: 'B09',
  title: say('b09.title'),
  section: section('314.25'),
  severity: 'code',
  looksAt: say('b09.squareBoxes'),
  check: ({ job }) =>
    job.boxes
      .filter((box) => box.family === 'metal square' && !box.rough.ring)
      .map((box) => ({ at: at('box', box.id), ...tell('b09.needsRingCover', { box: box.name }) })),
};
