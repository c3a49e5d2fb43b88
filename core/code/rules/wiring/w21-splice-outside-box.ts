import { runName } from '../../../job/model/called';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w21: Rule = {
  id: 'W21',
  title: say('w21.spliceOutsideBox'),
  section: section('300.15, 334.40(B)'),
  severity: 'stop',
  looksAt: say('w21.whatSaidEachRun'),
  check: ({ job }) =>
    job.runs
      .filter(({ rough }) => rough.spliceOutside)
      .map((run) => ({
        at: at('run', run.id),
        ...tell('w21.finding', { run: runName(job, run) }),
      })),
};
