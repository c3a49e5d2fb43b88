import { checkPlanLines } from '../../brief/check-lines';
import { planJob } from '../../plan';
import { at, section, type Rule } from '../rule';

export const r06: Rule = {
  id: 'R06',
  title: 'The work differs from the plan',
  section: section(''),
  severity: 'code',
  looksAt: 'every line of the plan',
  check: (site) =>
    (site.job.brief.lines.length === 0 ? [] : checkPlanLines(site.job, planJob(site.job)))
      .filter(({ state }) => state === 'not met')
      .map(({ line, why }) => ({ at: at('job', site.job.id), message: `Plan: ${line.says}: ${why}.` })),
};
