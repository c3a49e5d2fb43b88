import { memo } from 'react';
import type { TimedTask, Visit } from '@core/choices/day/plan-day';
import { clockWords, memberName, spanWords } from '@core/handover/day/words';
import type { Day } from '@core/job/model/day';
import type { DayTold } from '~/workers/day-room';
import { nearest } from './nearest';
import { say } from '~/words/day';

/** Who does what when, a lane each, with what is off beneath; numbers as in the list. */
export function Lanes({
  visit,
  day,
  begins,
  now,
  said,
  numbers,
  chosen,
  onChoose,
}: {
  visit: Visit;
  day: Day;
  begins: number;
  /** The minute of the day; null where it is another day. */
  now: number | null;
  said: DayTold['said'];
  numbers: ReadonlyMap<string, number>;
  chosen: string | null;
  onChoose: (key: string) => void;
}) {
  const { tasks, windows, cost } = visit;
  const long = Math.max(1, cost.time);
  const place = (from: number, to: number) => ({
    left: `${(from / long) * 100}%`,
    width: `max(2px, ${((to - from) / long) * 100}%)`,
  });
  const hours = hourMarks(begins, long);
  const at = now === null ? null : now - begins;
  return (
    <div
      className="relative grid gap-1 overflow-hidden rounded-xl border-2 border-line bg-paper p-3"
      data-lanes
    >
      <div className="relative ml-28 h-5" aria-hidden>
        {hours.map((minute) => (
          <span
            key={minute}
            className={`num absolute text-sm whitespace-nowrap text-ink-soft ${(minute - begins) / long > 0.93 ? '-translate-x-full' : '-translate-x-1/2'}`}
            style={{ left: `${((minute - begins) / long) * 100}%` }}
          >
            {clockWords(minute)}
          </span>
        ))}
      </div>
      {day.crew.map((_, person) => {
        const name = memberName(day, person);
        const own = tasks.filter(({ crew }) => crew.includes(person));
        return (
          <div key={person} className="flex items-center">
            <span className="w-28 shrink-0 truncate pr-2 font-bold">{name}</span>
            <div className="relative h-12 min-w-0 flex-1">
              {/* A block of a minute is too small for a thumb: the lane is tapped. By keyboard it goes on block by block. */}
              <button
                type="button"
                className="absolute inset-0 z-20 w-full rounded"
                aria-label={say('lanes.next', { name })}
                onClick={({ clientX, detail, currentTarget }) => {
                  const { left, width } = currentTarget.getBoundingClientRect();
                  const at = own.findIndex(({ task }) => task.key === chosen);
                  const meant =
                    detail === 0
                      ? own[(at + 1) % own.length]
                      : nearest(own, ((clientX - left) / width) * long);
                  if (meant) onChoose(meant.task.key);
                }}
              />
              <ol className="h-full rounded bg-well" aria-label={name}>
                {own.map((one) => (
                  <Block
                    key={one.task.key}
                    task={one.task}
                    number={numbers.get(one.task.key) ?? 0}
                    {...place(one.from, one.to)}
                    says={say('lanes.block', {
                      what: said[one.task.key]?.what ?? '',
                      from: clockWords(begins + one.from),
                      minutes: spanWords(one.to - one.from),
                    })}
                    chosen={chosen === one.task.key}
                  />
                ))}
              </ol>
            </div>
          </div>
        );
      })}
      {windows.map((window) => (
        <div key={window.circuits.join()} className="flex items-center">
          <span className="w-28 shrink-0 pr-2 text-sm leading-tight">
            {say('lanes.off', { numbers: window.circuits.join(', '), count: window.circuits.length })}
          </span>
          <span className="relative h-5 min-w-0 flex-1">
            <span
              className="absolute inset-y-0 rounded bg-ink"
              style={place(window.from, window.to)}
              role="img"
              aria-label={say('lanes.window', {
                from: clockWords(begins + window.from),
                to: clockWords(begins + window.to),
              })}
            />
          </span>
        </div>
      ))}
      {at !== null && at >= 0 && at <= long ? (
        <span
          className="pointer-events-none absolute inset-y-2 border-l-2 border-dashed border-plum"
          style={{ left: `calc(0.75rem + 7rem + (100% - 1.5rem - 7rem) * ${at / long})` }}
          role="img"
          aria-label={say('lanes.now')}
        />
      ) : null}
    </div>
  );
}

/** A block has its number where there is room for it; all of it is said in its name. */
const Block = memo(function Block({
  task,
  number,
  left,
  width,
  says,
  chosen,
}: {
  task: TimedTask['task'];
  number: number;
  left: string;
  width: string;
  says: string;
  chosen: boolean;
}) {
  const power = task.does === 'off' || task.does === 'on';
  const live = task.does === 'live test';
  return (
    <li
      className={`num @container absolute inset-y-0.5 flex items-center justify-center overflow-hidden rounded whitespace-nowrap border-2 text-sm font-bold ${
        power
          ? 'border-ink bg-ink text-sand'
          : live
            ? 'border-plum bg-plum-tint text-ink'
            : 'border-ink bg-paper text-ink'
      } ${chosen ? 'z-10 outline-4 outline-plum' : ''}`}
      style={{ left, width }}
      data-chosen={chosen ? '' : undefined}
      title={says}
    >
      <span className="sr-only">{says}</span>
      <span aria-hidden className="hidden @min-[1.15rem]:inline">
        {number}
      </span>
    </li>
  );
});

/** Full hours, or halves and quarters of a short visit. */
function hourMarks(begins: number, long: number): number[] {
  const step = long > 360 ? 120 : long > 150 ? 60 : long > 60 ? 30 : 15;
  const first = Math.ceil(begins / step) * step;
  return Array.from(
    { length: Math.floor((begins + long - first) / step) + 1 },
    (_, index) => first + index * step,
  );
}
