import { at, section, type Rule } from '../rule';
import { OUTSIDE_NAME } from '../../../job/model/place-names';
import { say, tell } from '../../../base/words/rules';

export const x01: Rule = {
  id: 'X01',
  title: say('x01.title'),
  section: section(''),
  severity: 'stop',
  looksAt: say('x01.whatFoundOpenedBoxes'),
  reads: 'record',
  check: ({ job, record }) =>
    record.surveys.flatMap(({ name, outside }) =>
      outside.map((what) => ({
        at: at('job', job.id),
        ...tell('x01.finding', { name, what: OUTSIDE_NAME[what] }),
      })),
    ),
};
