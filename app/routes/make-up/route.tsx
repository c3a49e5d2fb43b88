import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { drawBox } from '@core/geometry/box-drawing';
import { makeUpSteps } from '@core/makeup/steps';
import type { Plan } from '@core/plan';
import { BoxFigure } from '~/drawing/box-figure';
import { nameOf, RunSpine } from '~/drawing/run-spine';
import { answerOf, Refusals } from '~/ui/answer';
import { FillBar } from '~/ui/fill-bar';
import { useChosenBox } from '../job/chosen-box';
import { useJob } from '../job/context';

export default function MakeUp() {
  const { job, derived } = useJob();
  const [chosen, choose] = useChosenBox(job);
  const { outcome } = derived;
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start lg:grid-cols-[15.5rem_minmax(0,1fr)_minmax(0,23rem)]">
      <div className="lg:border-r lg:border-line lg:p-4">
        <RunSpine job={job} outcome={outcome} chosen={chosen} onChoose={choose} />
      </div>
      {outcome.ok ? (
        <OpenBox key={chosen} plan={outcome.plan} box={chosen} />
      ) : (
        <div className="grid content-start gap-4 p-4 lg:col-span-2">
          <Refusals refusals={outcome.refusals} />
          <Link to={`/job/${job.id}/lay-out`} className="button justify-self-start">
            Change it in Lay out
          </Link>
        </div>
      )}
    </main>
  );
}

function OpenBox({ plan, box }: { plan: Plan; box: string }) {
  const { job, derived } = useJob();
  const drawing = useMemo(() => drawBox(plan, box), [plan, box]);
  const steps = useMemo(() => makeUpSteps(plan, box), [plan, box]);
  const [chosen, setChosen] = useState<string | null>(null);
  const step = steps.find(({ id }) => id === chosen);
  const lit = useMemo(() => (step && step.touches.length > 0 ? new Set(step.touches) : undefined), [step]);
  const fill = derived.fill(box);
  return (
    <>
      <div className="bg-paper p-3 lg:p-4">
        <h2 className="mb-2 text-lg leading-tight font-bold" data-answer>
          {answerOf(plan)}
        </h2>
        <BoxFigure
          drawing={drawing}
          title={`The open box at ${nameOf(job, box)}`}
          lit={lit}
          className="mx-auto max-h-[36.5rem] w-full"
        />
      </div>
      <div className="grid content-start gap-3 p-4 lg:border-l lg:border-line">
        {fill ? <FillBar fill={fill} /> : null}
        <h3 className="eyebrow">
          {nameOf(job, box)}, {steps.length} steps
        </h3>
        <ol className="grid gap-1">
          {steps.map(({ id, title, detail, why }, index) => (
            <li key={id} className="border-b border-line last:border-b-0">
              <button
                type="button"
                aria-pressed={id === chosen}
                onClick={() => setChosen(id === chosen ? null : id)}
                className="grid min-h-11 w-full grid-cols-[2rem_1fr] items-start gap-x-2 rounded-xl border-2 border-transparent px-1.5 py-1.5 text-left aria-pressed:border-plum aria-pressed:bg-plum-tint"
              >
                <span className="num grid size-7 place-items-center rounded-md border-2 border-ink text-sm">
                  {index + 1}
                </span>
                <span className="leading-snug">
                  <span className="font-semibold">{title}</span>{' '}
                  {detail ? <span className="text-sm text-ink-soft">{detail}</span> : null}
                  {id === chosen ? <span className="mt-1 block text-sm">{why}</span> : null}
                </span>
              </button>
            </li>
          ))}
        </ol>
        {steps.length === 0 ? <p>No cable reaches this box yet.</p> : null}
      </div>
    </>
  );
}
