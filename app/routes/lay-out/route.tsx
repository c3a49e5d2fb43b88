import { useMemo } from 'react';
import { drawBox } from '@core/geometry/box-drawing';
import { PANEL } from '@core/model/job';
import { BoxFigure } from '~/drawing/box-figure';
import { nameOf, RunSpine } from '~/drawing/run-spine';
import { useChosenBox } from '../job/chosen-box';
import { useJob } from '../job/context';
import { answerOf, Refusals } from '~/ui/answer';
import { FillBar } from '~/ui/fill-bar';
import { LoadBar } from '~/ui/load-bar';
import { BoxWishes } from './box-wishes';
import { FeedChoice } from './feed-choice';
import { JobSettings } from './job-settings';

export default function LayOut() {
  const { job, derived } = useJob();
  const [chosen, choose] = useChosenBox(job);
  const { outcome } = derived;
  const drawing = useMemo(() => (outcome.ok ? drawBox(outcome.plan, chosen) : null), [outcome, chosen]);
  const fill = derived.fill(chosen);
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start lg:grid-cols-[15.5rem_minmax(0,1fr)_minmax(0,26rem)]">
      <div className="lg:border-r lg:border-line lg:p-4">
        <RunSpine job={job} outcome={outcome} chosen={chosen} onChoose={choose} />
      </div>
      <div className="grid content-start gap-5 p-4 sm:p-5">
        {outcome.ok ? (
          <h2 className="text-lg leading-tight font-bold sm:text-xl" data-answer>
            {answerOf(outcome.plan)}
          </h2>
        ) : (
          <Refusals refusals={outcome.refusals} />
        )}
        {job.circuits.map((circuit) => (
          <FeedChoice key={circuit.id} circuit={circuit} />
        ))}
        <BoxWishes box={chosen} onChoose={choose} />
        <JobSettings />
      </div>
      <aside
        aria-label="The box"
        className="grid content-start gap-4 bg-paper p-4 lg:border-l lg:border-line"
      >
        {drawing ? (
          <BoxFigure
            drawing={drawing}
            title={`The open box at ${nameOf(job, chosen)}`}
            className="mx-auto max-h-[27.5rem] w-full"
          />
        ) : null}
        {fill ? <FillBar fill={fill} /> : null}
        {derived.loads.map((load) => (
          <LoadBar key={load.circuit.id} load={load} />
        ))}
        {job.runs.some(({ from, to }) => from === PANEL || to === PANEL) ? null : (
          <p>No run leaves the panel yet.</p>
        )}
      </aside>
    </main>
  );
}
