import { useMemo } from 'react';
import { placeName } from '@core/job/model/called';
import { drawBox } from '@core/wiring/geometry/box-drawing';
import { BoxFigure } from '~/drawing/box-figure';
import { stopsOf } from '@core/site/stops/stops';
import { stopWords } from '@core/site/stops/words';
import type { Tick } from '@core/job/model/record';
import type { ShownPlan } from '@core/wiring/plan';
import { PlainDialog } from '~/ui/plain-dialog';
import { say } from '~/words/make-up';

/** Whether everyone may leave now: which breakers may be on as the work stands, and what is to be capped and covered first. */
export default function MustGo({
  plan,
  ticks,
  onClose,
}: {
  plan: ShownPlan;
  ticks: readonly Tick[];
  onClose: () => void;
}) {
  const { answer, circuits } = useMemo(() => stopWords(plan, stopsOf(plan, ticks)), [plan, ticks]);
  return (
    <PlainDialog title={say('mustGo.title')} close={say('mustGo.close')} onClose={onClose}>
      <p className="text-xl font-bold" data-stop>
        {answer}
      </p>
      <ul className="grid gap-3">
        {circuits.map(({ circuit, says, lines, on, boxes }) => (
          <li key={circuit} className="rounded-xl border-2 border-ink p-3">
            <p className="font-bold">
              <span aria-hidden>{on ? '● ' : '○ '}</span>
              {says}
            </p>
            {boxes.map(({ box, caps }) => (
              <BoxFigure
                key={box}
                drawing={drawBox(plan, box, { side: 'front' })}
                title={say('mustGo.capHere', { box: placeName(plan.job, box) })}
                lit={new Set(caps)}
                className="mx-auto max-h-56 w-full"
              />
            ))}
            {lines.length > 0 ? (
              <ul className="list-disc pl-5">
                {lines.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            ) : null}
          </li>
        ))}
      </ul>
      <p className="text-sm text-ink-soft">{say('mustGo.caution')}</p>
    </PlainDialog>
  );
}
