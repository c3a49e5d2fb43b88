import { at, section, type Rule } from '../rule';

export const b12: Rule = {
  id: 'B12',
  title: 'Box that cannot be reached without breaking the finish',
  section: section('314.29', '314.29(A)'),
  severity: 'code',
  looksAt: 'boxes with wiring in them',
  check: (site) =>
    site.job.boxes
      .filter((box) => box.concealed && site.contents(box.id).cables.length > 0)
      .map((box) => ({
        at: at('box', box.id),
        message: `${box.name} is behind the finish: a box must be accessible. Bring it to the surface with a cover, or take the cables through without a splice.`,
      })),
};
