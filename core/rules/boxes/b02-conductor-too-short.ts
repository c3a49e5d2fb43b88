import { at, section, type Rule } from '../rule';

export const b02: Rule = {
  id: 'B02',
  title: 'Free conductor too short',
  section: section('300.14'),
  severity: 'code',
  looksAt: 'measured free conductor',
  check: ({ job }) =>
    job.boxes
      .filter((box) => (box.rough.freeIn ?? 6) < 6 || (box.rough.pastFrontIn ?? 3) < 3)
      .map((box) => ({
        at: at('box', box.id),
        message: `${box.name}: at least 6 in free from the sheath, and 3 in past the front.`,
      })),
};
