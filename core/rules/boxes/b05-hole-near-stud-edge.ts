import { at, section, type Rule } from '../rule';

export const b05: Rule = {
  id: 'B05',
  title: 'Hole too near the edge of a stud, and no plate',
  section: section('300.4(A)(1)'),
  severity: 'code',
  looksAt: 'measured holes',
  check: ({ job }) =>
    job.runs
      .filter(({ rough }) => rough.holeEdgeIn !== null && rough.holeEdgeIn < 1.25 && !rough.plate)
      .map(({ id, rough }) => ({
        at: at('run', id),
        message: `The run ${id}: a hole ${rough.holeEdgeIn} in from the edge; 1¼ in, or a steel plate.`,
      })),
};
