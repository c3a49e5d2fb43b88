import { runName } from '../../../job/model/called';
import { at, section, type Rule } from '../rule';
import { FRAMING_EDGE_IN } from '../../../trade/standards/cable-run';
import { say, tell } from '../../../base/words/rules';

export const b05: Rule = {
  id: 'B05',
  title: say('b05.title'),
  section: section('300.4(A)(1)'),
  severity: 'code',
  looksAt: say('b05.measuredHoles'),
  check: ({ job }) =>
    job.runs.flatMap((run) => {
      const { holeEdgeIn, plate } = run.rough;
      return holeEdgeIn !== null && holeEdgeIn < FRAMING_EDGE_IN && !plate
        ? [{ at: at('run', run.id), ...tell('b05.hole', { run: runName(job, run), holeEdgeIn }) }]
        : [];
    }),
};
