import { at, section, type Rule } from '../rule';

export const b03: Rule = {
  id: 'B03',
  title: 'Too little sheath in the box',
  section: section('314.17'),
  severity: 'code',
  looksAt: 'measured sheath',
  check: ({ job }) =>
    job.boxes
      .filter((box) => (box.rough.sheathIn ?? 0.25) < 0.25)
      .map((box) => ({
        at: at('box', box.id),
        message: `${box.name}: the sheath must reach at least ¼ in into the box.`,
      })),
};
