import { at, section, type Rule } from '../rule';

export const w21: Rule = {
  id: 'W21',
  title: 'A splice outside a box',
  section: section('300.15, 334.40(B)'),
  severity: 'stop',
  looksAt: 'what is said of each run',
  check: ({ job }) =>
    job.runs
      .filter(({ rough }) => rough.spliceOutside)
      .map(({ id }) => ({
        at: at('run', id),
        message: `The run ${id} has a splice that lies in no box. Set a box that stays reachable, or one unbroken cable.`,
      })),
};
