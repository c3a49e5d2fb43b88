import { gangAdvice } from '../../../wiring/layout/gang-advice';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const r15: Rule = {
  id: 'R15',
  title: say('r15.switchNearestDoor'),
  section: section(''),
  severity: 'craft',
  newWork: true,
  looksAt: say('r15.boxesBesideDoor'),
  reads: 'record',
  check: ({ job, record }) =>
    job.boxes.flatMap((box) => {
      const advice = gangAdvice(job, record.brief.lines, box);
      return advice === null
        ? []
        : [{ at: at('box', box.id), ...tell('r15.atDoor', { box: box.name, advice }) }];
    }),
};
