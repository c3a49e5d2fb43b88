import { Check, Maximize } from 'lucide-react';
import { useState } from 'react';
import { capitalize } from '@core/base/capitalize';
import { placeName } from '@core/job/model/called';
import type { BoxDrawing } from '@core/wiring/geometry/drawing';
import { tickOf, type TickedBox, type TickedStep } from '@core/wiring/makeup/ticks';
import { Explained } from '~/glossary/explained';
import { useJob } from '../job/context';
import { OneStep } from './one-step';
import { locale } from '@core/base/words/language';
import { say } from '~/words/make-up';

interface Props {
  readonly box: string;
  readonly ticked: TickedBox;
  readonly drawing: BoxDrawing;
  readonly chosen: string | null;
  readonly onChoose: (step: string | null) => void;
}

const clock = (at: string): string =>
  new Date(at).toLocaleTimeString(locale, { hour: '2-digit', minute: '2-digit' });

/** The steps in order, each with a large tick; on a phone the next one also stands under the thumb. */
export function StepList({ box, ticked, drawing, chosen, onChoose }: Props) {
  const { job, run } = useJob();
  const place = capitalize(placeName(job, box));
  const [alone, setAlone] = useState(false);
  const toggle = ({ step, state }: TickedStep) => {
    if (state === 'done') {
      run({ do: 'untick', box, step: step.id });
      return;
    }
    run({ do: 'tick', tick: tickOf(box, step, new Date()) });
    const at = ticked.steps.findIndex((one) => one.step.id === step.id);
    const next = ticked.steps.find((one, index) => index > at && one.state !== 'done');
    onChoose(next?.step.id ?? null);
  };
  const next = ticked.steps.find(({ state }) => state !== 'done');
  const stale = ticked.steps.filter(({ state }) => state === 'stale').length + ticked.orphans.length;
  return (
    <>
      {stale > 0 ? (
        <div role="status" className="rounded-xl border-2 border-ink bg-paper p-3" data-stale={stale}>
          <p className="font-bold">{say('stepList.stale', { stale })}</p>
          {ticked.orphans.map(({ step, says }) => (
            <p key={step} className="mt-1 flex items-center gap-2 text-sm">
              <span className="flex-1">
                {say('stepList.noLongerPlanned')} <span className="font-semibold">{says}</span>
              </span>
              <button
                type="button"
                className="button px-3 text-sm"
                onClick={() => run({ do: 'untick', box, step })}
              >
                {say('stepList.notDone')}
              </button>
            </p>
          ))}
        </div>
      ) : null}
      {next ? (
        <button type="button" className="button justify-self-start" onClick={() => setAlone(true)}>
          <Maximize aria-hidden size={20} /> {say('stepList.oneAtATime')}
        </button>
      ) : null}
      {alone ? (
        <OneStep
          place={place}
          next={next}
          drawing={drawing}
          done={ticked.steps.filter(({ state }) => state === 'done').length}
          of={ticked.steps.length}
          onDone={() => next && toggle(next)}
          onClose={() => setAlone(false)}
        />
      ) : null}
      <ol className="grid gap-1">
        {ticked.steps.map((one, index) => (
          <StepRow
            key={one.step.id}
            one={one}
            number={index + 1}
            chosen={one.step.id === chosen}
            onChoose={() => onChoose(one.step.id === chosen ? null : one.step.id)}
            onTick={() => toggle(one)}
          />
        ))}
      </ol>
      {next ? (
        <div className="hand-row fixed inset-x-0 bottom-0 z-30 flex items-center gap-2 border-t-2 border-ink bg-sand p-2 lg:hidden">
          <button
            type="button"
            className="min-h-11 min-w-0 flex-1 px-1 text-left leading-tight"
            onClick={() => onChoose(next.step.id)}
          >
            <span className="block truncate font-bold">{next.step.title}</span>
            <span className="block truncate text-sm text-ink-soft">{next.step.detail}</span>
          </button>
          <button type="button" className="button button-strong shrink-0 px-5" onClick={() => toggle(next)}>
            <Check aria-hidden size={20} /> {say('stepList.done')}
          </button>
        </div>
      ) : null}
    </>
  );
}

function StepRow({
  one: { step, tick, state },
  number,
  chosen,
  onChoose,
  onTick,
}: {
  one: TickedStep;
  number: number;
  chosen: boolean;
  onChoose: () => void;
  onTick: () => void;
}) {
  return (
    <li
      className={`hand-row flex flex-wrap items-stretch ${chosen ? 'rounded-xl border-2 border-plum bg-plum-tint' : 'border-b-2 border-line'}`}
      data-step={state}
    >
      <button
        type="button"
        aria-pressed={state === 'done'}
        aria-label={say('stepList.doneOther', { state, step: step.title })}
        onClick={onTick}
        className="grid w-12 shrink-0 place-items-center"
      >
        <span
          className={`num grid size-8 place-items-center rounded-md border-2 border-ink text-sm ${state === 'done' ? 'bg-ink text-sand' : ''}`}
        >
          {state === 'done' ? <Check aria-hidden size={20} /> : state === 'stale' ? '▲' : number}
        </span>
      </button>
      <button
        type="button"
        aria-expanded={chosen}
        onClick={onChoose}
        className="min-h-12 min-w-0 flex-1 py-1.5 pr-2 text-left leading-snug"
      >
        <span className={`font-semibold ${state === 'done' ? 'text-ink-soft' : ''}`}>{step.title}</span>{' '}
        {step.detail ? <span className="text-sm text-ink-soft">{step.detail}</span> : null}
        {state === 'stale' && tick ? (
          <span className="mt-1 block text-sm font-semibold">
            {say('stepList.ticked', { tick: tick.says })}
          </span>
        ) : null}
      </button>
      {chosen ? (
        <p className="w-full pr-2 pb-2 pl-12 text-sm">
          <Explained>{step.why}</Explained>
          {tick ? say('stepList.tickedAt', { clock: clock(tick.at) }) : ''}
        </p>
      ) : null}
    </li>
  );
}
