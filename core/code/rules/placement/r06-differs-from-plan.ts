import { checkPlanLines } from '../../brief/check-lines';
import { planJob } from '../../../wiring/plan';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const r06: Rule = {
  id: 'R06',
  title: say('r06.workDiffersFromPlan'),
  section: section(''),
  severity: 'code',
  looksAt: say('r06.everyLinePlan'),
  reads: 'record',
  check: ({ job, record: { brief } }) =>
    (brief.lines.length === 0 ? [] : checkPlanLines(brief, job, planJob(job)))
      .filter(({ state }) => state === 'not met')
      .map(({ line, why }) => ({
        at: at('job', job.id),
        ...tell('r06.plan', { line: line.says, why }),
      })),
};
