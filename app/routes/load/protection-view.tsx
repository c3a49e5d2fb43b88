import { useMemo, useState } from 'react';
import { wishKind } from '@core/devices';
import { placeName } from '@core/layout/names';
import { ROOM_KINDS, type Box, type Job, type RoomKind } from '@core/model/job';
import { protectionNeeds } from '@core/protection/needs';
import { protectionStrategies } from '@core/protection/strategies';
import { freshId } from '@core/commands/command';
import { Select } from '~/ui/select';
import { RunMap } from '../lay-out/run-map';
import { useJob } from '../job/context';

/** What must be protected and why, what each test button covers, and the ways to cover the rest. */
export function ProtectionView() {
  const { job, derived, send } = useJob();
  const [pressed, setPressed] = useState<string | null>(null);
  const site = derived.site();
  const needs = useMemo(() => (site ? protectionNeeds(site) : []), [site]);
  const strategies = useMemo(() => (site ? protectionStrategies(site.job) : []), [site]);
  const open = needs.filter(({ gfci, hasGfci }) => gfci !== null && !hasGfci);
  const buttons = [
    ...job.devices
      .filter(({ kind }) => wishKind(kind).protection)
      .map(({ id, box, kind }) => ({
        id,
        says: `${placeName(job, box)}, ${wishKind(kind).name}`,
        parts: derived.proof()?.coverage.get(id) ?? [],
      })),
    ...job.circuits
      .filter(({ protection }) => protection !== 'none')
      .map(({ id, number, protection }) => ({
        id,
        says: `breaker ${number}, ${protection}`,
        parts: needs.filter(({ user }) => user.want.circuit === id).map(({ user }) => user.key),
      })),
  ];
  const covered = new Set(
    (buttons.find(({ id }) => id === pressed)?.parts ?? []).flatMap(
      (part) => job.devices.find(({ id }) => id === part.split('/')[0])?.box ?? [],
    ),
  );
  return (
    <div className="grid gap-5">
      <h2 className="text-lg leading-tight font-bold sm:text-xl" data-answer>
        {open.length > 0
          ? `▲ ${open.length} ${open.length === 1 ? 'outlet needs' : 'outlets need'} GFCI protection.`
          : needs.some(({ gfci }) => gfci !== null)
            ? 'Everything that must have GFCI protection has it.'
            : 'No outlet here must have GFCI protection, as far as the places are said.'}
      </h2>
      <div className="grid gap-5 lg:grid-cols-2">
        <section className="grid content-start gap-3" aria-label="What is needed">
          <h3 className="text-lg font-bold">What is needed, and why</h3>
          {needs.map(({ user, name, gfci, afci, marks, hasGfci, hasAfci }) => (
            <div key={user.key} className="grid gap-1 rounded-xl border-2 border-line bg-paper p-3">
              <p className="font-semibold">{name}</p>
              <ul className="text-sm">
                <li>
                  {gfci === null
                    ? 'GFCI: not asked for here'
                    : `GFCI: ${gfci}. ${hasGfci ? '● covered' : '▲ not covered'}`}
                </li>
                <li>
                  {afci === null
                    ? 'AFCI: not asked for here'
                    : `AFCI: ${afci}. ${hasAfci ? '● covered' : '○ not covered'}`}
                </li>
                {marks.length > 0 ? <li>Marked {marks.join('; ')}</li> : null}
              </ul>
            </div>
          ))}
          <Places />
        </section>
        <section className="grid content-start gap-3" aria-label="What is covered">
          <h3 className="text-lg font-bold">Press a test button</h3>
          {buttons.length === 0 ? <p>Nothing protects anything yet.</p> : null}
          <div className="flex flex-wrap gap-2">
            {buttons.map(({ id, says }) => (
              <button
                key={id}
                type="button"
                className="chip"
                aria-pressed={id === pressed}
                onClick={() => setPressed(id === pressed ? null : id)}
              >
                {says}
              </button>
            ))}
          </div>
          {pressed ? (
            <p>
              Goes dead:{' '}
              {covered.size === 0 ? 'nothing' : [...covered].map((id) => placeName(job, id)).join(', ')}.
            </p>
          ) : null}
          <RunMap chosen={{ kind: 'box', id: '' }} onChoose={() => undefined} lit={covered} />
          <h3 className="text-lg font-bold">Ways to cover it</h3>
          {strategies.length === 0 ? <p>No other way was found that compiles and proves.</p> : null}
          {strategies.map((one) => (
            <div
              key={one.says}
              className="grid gap-2 rounded-xl border-2 border-line bg-paper p-3"
              data-strategy={one.way}
            >
              <p className="font-semibold">{one.says}</p>
              <p className="text-sm text-ink-soft">
                covers {one.covered.length} of {needs.length}, leaves {one.left}{' '}
                {one.left === 1 ? 'finding' : 'findings'}; about ${one.usd}; reset {one.reset}
                {one.reachable ? '' : ', not readily reached'}
              </p>
              <button
                type="button"
                className="button justify-self-start"
                onClick={() => send({ intent: 'commands', commands: [...one.commands] })}
              >
                Do it so
              </button>
            </div>
          ))}
        </section>
      </div>
    </div>
  );
}

const EXPOSURES = ['dry', 'damp', 'wet'] as const;
const REACHES = ['open', 'ceiling', 'behind appliance', 'above reach', 'in cabinet'] as const;

/** The facts of each place that the rules ask for. */
function Places() {
  const { job, run, send } = useJob();
  return (
    <details className="grid gap-3">
      <summary className="min-h-6 cursor-pointer text-lg font-bold">Where each box is</summary>
      <div className="mt-2 grid gap-4">
        {job.boxes.map((box) => {
          const set = (change: Partial<Box>) => run({ do: 'set box', box: box.id, change });
          const room = job.rooms.find(({ id }) => id === (box.spot?.room ?? box.room));
          return (
            <fieldset key={box.id} className="grid gap-2 border-t border-line pt-2">
              <legend className="font-semibold">{box.name}</legend>
              <div className="grid grid-cols-2 gap-2">
                <Select
                  label="Kind of room"
                  value={room?.kind ?? 'other'}
                  options={ROOM_KINDS.map((one) => ({
                    value: one,
                    label: one === 'other' ? 'not said' : one,
                  }))}
                  onChange={(value) => {
                    const kind = ROOM_KINDS.find((one) => one === value);
                    if (kind) send({ intent: 'commands', commands: roomCommands(job, box, kind) });
                  }}
                />
                <Select
                  label="Air"
                  value={box.exposure}
                  options={EXPOSURES.map((one) => ({ value: one, label: one }))}
                  onChange={(value) => set({ exposure: EXPOSURES.find((one) => one === value) ?? 'dry' })}
                />
                <Select
                  label="Within reach"
                  value={box.reach}
                  options={REACHES.map((one) => ({ value: one, label: one }))}
                  onChange={(value) => set({ reach: REACHES.find((one) => one === value) ?? 'open' })}
                />
                <Select
                  label="Sink, tub or shower"
                  value={box.waterFt === null ? '' : box.waterFt <= 6 ? 'near' : 'far'}
                  options={[
                    { value: '', label: 'not said' },
                    { value: 'near', label: 'within 6 ft' },
                    { value: 'far', label: 'farther' },
                  ]}
                  onChange={(value) => set({ waterFt: value === '' ? null : value === 'near' ? 5 : 20 })}
                />
              </div>
              <button
                type="button"
                className="chip justify-self-start"
                aria-pressed={box.counter}
                onClick={() => set({ counter: !box.counter })}
              >
                Serves a countertop
              </button>
            </fieldset>
          );
        })}
      </div>
    </details>
  );
}

/** The box's room is of this kind; where it has none, it gets one. */
function roomCommands(job: Job, box: Box, kind: RoomKind) {
  const room = job.rooms.find(({ id }) => id === (box.spot?.room ?? box.room));
  if (room) return [{ do: 'set room' as const, room: { ...room, kind } }];
  const id = freshId(job.rooms, kind);
  return [
    {
      do: 'set room' as const,
      room: {
        id,
        name: kind.charAt(0).toUpperCase() + kind.slice(1),
        kind,
        ceilingFt: 8,
        wallsFt: [12, 10, 12, 10],
      },
    },
    { do: 'set box' as const, box: box.id, change: { room: id } },
  ];
}
