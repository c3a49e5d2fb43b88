import { Printer } from 'lucide-react';
import { Link } from 'react-router';
import { directoryOf } from '@core/handover/directory/directory';
import { placesToMakeUp } from '@core/wiring/makeup/panel';
import { spineOrder } from '@core/wiring/layout/spine-order';
import { Refusals } from '~/ui/answer';
import { usePlan } from '../job/context';
import { BoxSheet } from './box-sheet';
import { DirectorySheet } from './directory-sheet';
import { ScriptSheet } from './script-sheet';
import { InOtherLanguage } from '~/ui/in-other-language';
import { say } from '~/words/print';

export { StageError as ErrorBoundary } from '../job/stage-error';

/** One box a page: the drawing, the steps with room for a tick, the fill. Black and white. */
export default function Print() {
  const { job, outcome, fills } = usePlan();
  if (!outcome.ok) {
    return (
      <main className="p-4">
        <Refusals refusals={outcome.refusals} />
      </main>
    );
  }
  const places = placesToMakeUp(job, outcome.plan.wiring);
  const boxes = spineOrder(job).flatMap(({ place }) => (places.has(place) ? [place] : []));
  return (
    <main className="p-4 print:p-0">
      <div className="mb-4 flex flex-wrap gap-2 print:hidden">
        <button type="button" className="button button-strong" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> {say('route.printOneOther', { boxesCount: boxes.length + 2 })}
        </button>
        <Link to={`/job/${job.id}/make-up`} className="button">
          {say('route.backMakeUp')}
        </Link>
        <InOtherLanguage />
      </div>
      {boxes.map((box) => (
        <BoxSheet key={box} job={job} plan={outcome.plan} fill={fills.get(box)} box={box} />
      ))}
      <ScriptSheet plan={outcome.plan} />
      <DirectorySheet title={job.name} site={job.site} lines={directoryOf([job])} />
    </main>
  );
}
