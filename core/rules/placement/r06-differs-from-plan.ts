import { checkPlanLines } from '../../brief/check-lines';
import { planJob } from '../../plan';
import { at, section, type Rule } from '../rule';

export const r06: Rule = {
  id: 'R06',
  title: 'The work differs from the plan',
  section: section(''),
  severity: 'code',
  looksAt: 'every line of the plan',
  reads: 'record',
  check: ({ job, record: { brief } }) =>
    (brief.lines.length === 0 ? [] : checkPlanLines(brief, job, planJob(job)))
      .filter(({ state }) => state === 'not met')
      .map(({ line, why }) => ({ at: at('job', job.id), message: `Plan: ${line.says}: ${why}.` })),
};
