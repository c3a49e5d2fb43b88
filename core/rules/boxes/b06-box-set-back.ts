import { at, section, type Rule } from '../rule';

export const b06: Rule = {
  id: 'B06',
  title: 'Box set back too far',
  section: section('314.20'),
  severity: 'code',
  looksAt: 'measured set-back',
  check: ({ job }) =>
    job.boxes
      .filter((box) => (box.rough.setBackIn ?? 0) > (box.rough.combustible ? 0 : 0.25))
      .map((box) => ({
        at: at('box', box.id),
        message: `${box.name} is ${box.rough.setBackIn} in back; ${box.rough.combustible ? 'flush in a wall that can burn' : 'at most ¼ in'}.`,
      })),
};
