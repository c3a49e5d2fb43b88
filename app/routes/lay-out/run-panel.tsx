import { Scissors, Trash2 } from 'lucide-react';
import { isHome, PANEL, type Design, type Run } from '@core/job/model/design';
import { measureRun } from '@core/job/rooms/route';
import { cableRow, cablesOfGauge } from '@core/trade/standards/cables';
import { GAUGES } from '@core/trade/standards/conductors';
import { cableTypeName, isPlug, placeName } from '@core/job/model/called';
import { Choice } from '~/ui/choice';
import { NumberField } from '~/ui/number-field';
import { Select } from '~/ui/select';
import { useJob } from '../job/context';
import { INSULATION_NAME } from '@core/trade/standards/names';
import { say } from '~/words/lay-out';

const ALL_CABLES = GAUGES.flatMap((gauge) => cablesOfGauge(gauge)).map(({ type }) => type);

/** A run: its cable, its length or route, and what can be done to it. */
export default function RunPanel({ run: own, onGone }: { run: Run; onGone: () => void }) {
  const { job, run } = useJob();
  const measured = { over: measureRun(job, own, 'over'), along: measureRun(job, own, 'along') };
  const route = own.route === 'given' ? null : measured[own.route];
  const routes = [
    { value: 'given', label: say('runPanel.entered') },
    ...(measured.over ? [{ value: 'over', label: say('runPanel.upOver') }] : []),
    ...(measured.along ? [{ value: 'along', label: say('runPanel.alongWall') }] : []),
  ];
  return (
    <section aria-label={say('runPanel.run')} className="grid gap-3">
      <h3 className="text-lg font-bold">
        {say('runPanel.fromTo', { from: placeName(job, own.from), to: placeName(job, own.to) })}
      </h3>
      {routes.length > 1 && !own.cord ? (
        <Choice
          label={say('runPanel.length')}
          value={own.route}
          options={routes}
          onChange={(value) => {
            const next = value === 'over' || value === 'along' ? value : 'given';
            run({ do: 'set run', run: own.id, change: { route: next } });
          }}
        />
      ) : null}
      {route ? (
        <p>
          <span className="num">{say('runPanel.ft', { lengthFt: route.lengthFt })}</span>
          {say('runPanel.holesStaples', { route: route.says, holes: route.holes, staples: route.staples })}
        </p>
      ) : own.cord ? null : (
        <p className="text-sm text-ink-soft">
          {measured.over ? say('runPanel.givenHand') : say('runPanel.notMeasured')}
        </p>
      )}
      {own.cord || isHome(own) || onCord(job, own) ? <CordChoice run={own} /> : null}
      <div className="grid gap-3 sm:grid-cols-2">
        <NumberField
          label={say('runPanel.length')}
          unit="ft"
          value={own.lengthFt}
          min={0.5}
          max={1000}
          onCommit={(lengthFt) => run({ do: 'set run', run: own.id, change: { lengthFt, route: 'given' } })}
        />
        <CableSelect run={own} />
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        {(['from', 'to'] as const).map((end) => (
          <Select
            key={end}
            label={end === 'from' ? say('runPanel.leaves') : say('runPanel.arrives')}
            value={own[end]}
            options={[
              { value: PANEL, label: isPlug(job) ? say('runPanel.plug') : say('runPanel.panel') },
              ...job.boxes.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={(box) =>
              run({
                do: 'lead run',
                run: own.id,
                end,
                box,
                ...(box === PANEL ? { circuits: own.circuits ?? job.circuits.map(({ id }) => id) } : {}),
              })
            }
          />
        ))}
      </div>
      {job.circuits.length > 1 ? <Carries run={own} /> : null}
      {own.existing ? <AsFound run={own} type={own.existing} /> : null}
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="button"
          onClick={() =>
            run({
              do: 'split run',
              run: own.id,
              name: say('runPanel.box', { boxesCount: job.boxes.length + 1 }),
            })
          }
        >
          <Scissors aria-hidden size={18} /> {say('runPanel.putBoxMiddle')}
        </button>
        <button
          type="button"
          className="button"
          onClick={() => {
            run({ do: 'remove run', run: own.id });
            onGone();
          }}
        >
          <Trash2 aria-hidden size={18} /> {say('runPanel.removeRun')}
        </button>
      </div>
    </section>
  );
}

/** A box on a cord can be led on to the next by a cord alone. */
const onCord = ({ runs }: Design, { id, from, to }: Run): boolean =>
  runs.some(
    (one) => one.cord && one.id !== id && [one.from, one.to].some((end) => end === from || end === to),
  );

/** A cable in the wall, or a cord; from the panel it ends in a plug instead. */
function CordChoice({ run: own }: { run: Run }) {
  const { run } = useJob();
  const plugged = isHome(own);
  return (
    <Choice
      label={say('runPanel.cord')}
      value={own.cord ? 'cord' : 'cable'}
      options={[
        { value: 'cable', label: say('runPanel.cableInWall') },
        { value: 'cord', label: plugged ? say('runPanel.cordPlug') : say('runPanel.cordOnward') },
      ]}
      onChange={(value) =>
        run({ do: 'set run', run: own.id, change: { cord: value === 'cord', route: 'given' } })
      }
    />
  );
}

/** The cable of a run: new, or one that is in the wall. */
function CableSelect({ run: own }: { run: Run }) {
  const { run } = useJob();
  return (
    <Select
      label={say('runPanel.cable')}
      value={own.existing ?? ''}
      options={[
        { value: '', label: say('runPanel.newSplitTapChooses') },
        ...ALL_CABLES.map((type) => ({
          value: type,
          label: say('runPanel.existing', { type: cableTypeName({ type, cord: own.cord }) }),
        })),
      ]}
      onChange={(value) =>
        run({
          do: 'set run',
          run: own.id,
          change: { existing: ALL_CABLES.find((type) => type === value) ?? null },
        })
      }
    />
  );
}

/** Which circuits it carries: whatever is needed, or only some. From the panel it names them. */
function Carries({ run: own }: { run: Run }) {
  const { job, run } = useJob();
  const home = isHome(own);
  const set = (circuits: readonly string[] | null) =>
    run({ do: 'set run circuits', run: own.id, circuits: circuits === null ? null : [...circuits] });
  return (
    <div className="flex flex-wrap gap-2" role="group" aria-label={say('runPanel.circuitsCarries')}>
      {home ? null : (
        <button
          type="button"
          className="chip"
          aria-pressed={own.circuits === undefined}
          onClick={() => set(own.circuits ? null : job.circuits.map(({ id }) => id))}
        >
          {say('runPanel.whateverNeeded')}
        </button>
      )}
      {job.circuits.map(({ id, number }) => {
        const on = own.circuits?.includes(id) ?? false;
        const rest = (own.circuits ?? []).filter((one) => one !== id);
        return (
          <button
            key={id}
            type="button"
            className="chip"
            aria-pressed={on}
            disabled={on && rest.length === 0}
            onClick={() => set(on ? rest : [...rest, id])}
          >
            {say('runPanel.circuit', { number })}
          </button>
        );
      })}
    </div>
  );
}

const GROUNDS = [
  { value: 'sound', label: say('runPanel.sound') },
  { value: 'none', label: say('runPanel.noneCable') },
  { value: 'open', label: say('runPanel.open') },
  { value: 'not proven', label: say('runPanel.notProven') },
] as const;

/** What was found of a cable that is in the wall: it is planned around, or refused by its name. */
function AsFound({ run: own, type }: { run: Run; type: NonNullable<Run['existing']> }) {
  const { run } = useJob();
  const set = (change: Partial<Run['found']>) =>
    run({ do: 'set run', run: own.id, change: { found: { ...own.found, ...change } } });
  const { lost } = own.found;
  return (
    <div className="grid gap-3 sm:grid-cols-2 sm:items-end">
      <Select
        label={say('runPanel.groundFound')}
        value={own.found.ground}
        options={GROUNDS}
        onChange={(value) => set({ ground: GROUNDS.find((one) => one.value === value)?.value ?? 'sound' })}
      />
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="chip"
          aria-pressed={own.found.reversed}
          onClick={() => set({ reversed: !own.found.reversed })}
        >
          {say('runPanel.reversedPolarity')}
        </button>
        {cableRow(type).insulated.map((color) => (
          <button
            key={color}
            type="button"
            className="chip"
            aria-pressed={lost.includes(color)}
            onClick={() =>
              set({ lost: lost.includes(color) ? lost.filter((one) => one !== color) : [...lost, color] })
            }
          >
            {say('runPanel.broken', { color: INSULATION_NAME[color] })}
          </button>
        ))}
      </div>
    </div>
  );
}
