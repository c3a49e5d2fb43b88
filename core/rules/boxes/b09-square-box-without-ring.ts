import { at, section, type Rule } from '../rule';

export const b09: Rule = {
  id: 'B09',
  title: 'Square box without its ring or cover',
  section: section('314.25'),
  severity: 'code',
  looksAt: 'square boxes',
  check: ({ job }) =>
    job.boxes
      .filter((box) => box.family === 'metal square' && !box.rough.ring)
      .map((box) => ({ at: at('box', box.id), message: `${box.name} needs its ring or cover.` })),
};
