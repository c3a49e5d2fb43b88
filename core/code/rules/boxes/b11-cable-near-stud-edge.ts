import { runName } from '../../../job/model/called';
import { at, section, type Rule } from '../rule';
import { FRAMING_EDGE_IN } from '../../../trade/standards/cable-run';
import { say, tell } from '../../../base/words/rules';

export const b11: Rule = {
  id: 'B11',
  title: say('b11.title'),
  section: section('300.4(D)'),
  severity: 'code',
  looksAt: say('b11.measuredCablesAlongFraming'),
  check: ({ job }) =>
    job.runs.flatMap((run) => {
      const { besideIn, fished, plate } = run.rough;
      return run.existing === null && !fished && !plate && besideIn !== null && besideIn < FRAMING_EDGE_IN
        ? [
            {
              at: at('run', run.id),
              ...tell('b11.finding', { run: runName(job, run), besideIn }),
            },
          ]
        : [];
    }),
};
