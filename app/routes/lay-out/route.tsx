import { lazy, useState } from 'react';
import { AnswerLine } from '~/ui/answer-line';
import { answerOf, Refusals } from '~/ui/answer';
import { useChosenBox } from '../job/chosen-box';
import { Later, Soon } from '~/standing/rising';
import { useStable } from '~/ui/use-stable';
import { useJob, usePlan } from '../job/context';
import { InSight } from './answer-bar';
import type { Chosen } from './run-map-parts';

export { StageError as ErrorBoundary } from '../job/stage-error';

// The answer is there before what it is drawn and changed with.
const Entered = lazy(() => import('./entered'));
const TheBox = lazy(() => import('./the-box'));

/** What is asked for on the left, what comes of it beside it: each is drawn anew for its own changes. */
export default function LayOut() {
  const { job } = useJob();
  const [box, chooseBox] = useChosenBox(job);
  const [chosenRun, setChosenRun] = useState<string | null>(null);
  const choose = (next: Chosen) => {
    setChosenRun(next.kind === 'run' ? next.id : null);
    if (next.kind === 'box') chooseBox(next.id);
  };
  const chosen = useStable(choose);
  const run = job.runs.find(({ id }) => id === chosenRun);
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)]">
      <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-4 p-4 sm:p-5">
        <InSight>
          <Answer />
        </InSight>
        <Soon fallback={<div className="min-h-[60rem]" />}>
          <Entered box={box} run={run?.id ?? null} onChoose={chosen} />
        </Soon>
      </div>
      <Soon fallback={<div className="min-h-[40rem] bg-paper lg:border-l lg:border-line" />}>
        <Later>
          <TheBox box={box} />
        </Later>
      </Soon>
    </main>
  );
}

function Answer() {
  const { outcome } = usePlan();
  if (!outcome.ok) return <Refusals refusals={outcome.refusals} />;
  return (
    <div className="grid gap-1">
      <AnswerLine>{answerOf(outcome.plan)}</AnswerLine>
      {outcome.plan.layout.notes.map(({ message }) => (
        <p key={message}>{message}</p>
      ))}
    </div>
  );
}
