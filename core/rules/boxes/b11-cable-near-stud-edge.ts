import { at, section, type Rule } from '../rule';

/** From the nearest edge of the framing, in. */
const EDGE_IN = 1.25;

export const b11: Rule = {
  id: 'B11',
  title: 'Cable along a stud too near its edge, and no plate',
  section: section('300.4(D)'),
  severity: 'code',
  looksAt: 'measured cables along framing',
  check: ({ job }) =>
    job.runs
      .filter(
        ({ rough, existing }) =>
          existing === null && !rough.fished && !rough.plate && (rough.besideIn ?? EDGE_IN) < EDGE_IN,
      )
      .map(({ id, rough }) => ({
        at: at('run', id),
        message: `The run ${id} lies ${rough.besideIn} in from the edge of the stud; 1¼ in, or a steel plate or sleeve.`,
      })),
};
