import { useEffect, useState } from 'react';
import type { Conflict, ConflictSide, HouseTogether, Together } from '@core/handover/crew/bring';
import type { Incoming } from '@core/handover/files/preview';
import { thingKey } from '@core/job/merge/relation';
import type { Brought, Meeting } from '~/storage/crew';
import { whoWorks } from '~/storage/who-works';
import { BoxFigure } from '~/drawing/box-figure';
import { fileWorker } from '~/workers/core';
import type { Chosen } from '~/workers/file-room';
import { useAnswer } from '~/workers/use-answer';
import { say } from '~/words/files';

interface Asked {
  readonly meeting: Meeting;
  readonly chosen: Chosen;
  readonly from: string;
  /** When it came, however often it is asked again. */
  readonly at: string;
}

const ask = ({ meeting, chosen, from, at }: Asked): Promise<Together | HouseTogether> =>
  fileWorker.ask<Together | HouseTogether>((worker) =>
    meeting.kind === 'job'
      ? worker.bringJob(meeting, chosen, from, { at, by: whoWorks() })
      : worker.bringHouse(meeting, chosen),
  );

/** What came together of two copies, and what is left to choose: both values side by side with what each leads to. */
export function ComingTogether({
  row,
  meeting,
  onBrought,
}: {
  row: Incoming;
  /** Both copies; undefined where they are not to come together. */
  meeting: Meeting | undefined;
  /** The result as it is to be kept; null as long as something is open. */
  onBrought: (key: string, brought: Brought | null) => void;
}) {
  const [chosen, setChosen] = useState<Chosen>([]);
  const [at] = useState(() => new Date().toISOString());
  const { answer, busy, failed } = useAnswer<Asked, Together | HouseTogether>(
    meeting ? { meeting, chosen, from: row.given.by, at } : null,
    ask,
  );
  const key = thingKey(row);
  useEffect(() => {
    onBrought(key, !busy && answer?.whole && meeting ? broughtOf(meeting, answer) : null);
  }, [key, busy, answer, meeting, onBrought]);
  if (!meeting) return null;
  if (!answer)
    return (
      <p aria-busy className="text-sm">
        {failed ?? say('together.working')}
      </p>
    );
  const choose = (conflict: Conflict, side: ConflictSide['side']) => {
    const next = new Map(chosen);
    for (const [place, taken] of conflict.with[side]) next.set(place, taken);
    setChosen([...next]);
  };
  return (
    <div className="grid gap-2" data-together aria-busy={busy}>
      {answer.came.length > 0 ? (
        <div>
          <p className="font-bold">
            {row.given.by === '' ? say('together.came') : say('together.cameFrom', { name: row.given.by })}
          </p>
          <ul className="list-disc pl-5" data-came>
            {answer.came.map((line, index) => (
              <li key={index}>{line}</li>
            ))}
          </ul>
        </div>
      ) : (
        <p>{say('together.nothing')}</p>
      )}
      {answer.conflicts.map((conflict) => (
        <fieldset
          key={conflict.place}
          className="grid gap-1 rounded-lg border-2 border-ink p-2"
          data-conflict={conflict.chosen ?? 'open'}
        >
          <legend className="px-1 font-bold">
            <span aria-hidden>▲ </span>
            {conflict.what}
          </legend>
          <div className="grid gap-2 sm:grid-cols-2">
            {conflict.sides.map((side) => (
              <button
                key={side.side}
                type="button"
                className="chip grid h-auto content-start gap-1 p-2 text-left whitespace-normal"
                aria-pressed={conflict.chosen === side.side}
                onClick={() => choose(conflict, side.side)}
              >
                <span className="text-sm text-ink-soft">
                  {side.side === 'ours' ? say('together.ours') : say('together.theirs')}
                </span>
                <span className="font-bold">{side.says}</span>
                {side.drawing ? (
                  <BoxFigure
                    drawing={side.drawing}
                    title={conflict.what}
                    className="mx-auto max-h-40 w-full"
                  />
                ) : null}
                {side.effect.says === '' ? null : (
                  <span className="text-sm">
                    {side.effect.stands ? '● ' : '▲ '}
                    {side.effect.says}
                  </span>
                )}
              </button>
            ))}
          </div>
        </fieldset>
      ))}
      {answer.effect.says === '' ? null : (
        <p data-effect={answer.effect.stands}>
          {answer.whole && answer.effect.stands ? '● ' : '▲ '}
          {answer.whole ? answer.effect.says : say('together.open')}
        </p>
      )}
    </div>
  );
}

const broughtOf = (meeting: Meeting, answer: Together | HouseTogether): Brought | null =>
  meeting.kind === 'job' && 'job' in answer
    ? { kind: 'job', ours: meeting.ours, job: answer.job }
    : meeting.kind === 'house' && 'house' in answer
      ? { kind: 'house', ours: meeting.ours, house: answer.house }
      : null;
