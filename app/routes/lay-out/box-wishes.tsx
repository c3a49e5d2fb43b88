import { Lightbulb, Plug, ToggleLeft, Trash2 } from 'lucide-react';
import { deviceKind } from '@core/devices';
import type { Device, PowerWant } from '@core/model/job';
import { BOXES } from '@core/standards/boxes';
import { cablesOfGauge } from '@core/standards/cables';
import { GAUGES } from '@core/standards/conductors';
import { nameOf } from '~/drawing/run-spine';
import { Choice } from '~/ui/choice';
import { NumberField } from '~/ui/number-field';
import { Select } from '~/ui/select';
import { TextField } from '~/ui/text-field';
import { useJob } from '../job/context';

/** What the chosen box must do, what it is, how it is reached, and what may be added to it. */
export function BoxWishes({ box: id, onChoose }: { box: string; onChoose: (box: string) => void }) {
  const { job, run } = useJob();
  const box = job.boxes.find((one) => one.id === id);
  if (!box) return null;
  const devices = job.devices.filter((device) => device.box === id);
  return (
    <section aria-label={box.name} className="grid gap-4">
      <h3 className="text-lg font-bold">{box.name} must</h3>
      {devices.length === 0 ? (
        <p className="text-ink-soft">Nothing here yet but splices. Add something below.</p>
      ) : null}
      {devices.map((device) => (
        <DeviceWishes key={device.id} device={device} />
      ))}
      <AddHere box={id} onChoose={onChoose} />
      <details>
        <summary className="min-h-11 cursor-pointer py-2 font-bold">Box and cables</summary>
        <div className="grid gap-3 pt-1 sm:grid-cols-2">
          <TextField
            label="Place"
            value={box.name}
            onCommit={(name) => run({ do: 'set box', box: id, change: { name } })}
          />
          <Select
            label="Box"
            value=""
            options={[
              { value: '', label: `${box.family}, ${box.gangs}-gang, ${box.volumeIn3} in³` },
              ...BOXES.map((row) => ({ value: row.id, label: row.name })),
            ]}
            onChange={(value) => {
              const row = BOXES.find((one) => one.id === value);
              if (!row) return;
              const { family, gangs, volumeIn3, internalClamps } = row;
              run({ do: 'set box', box: id, change: { family, gangs, volumeIn3, internalClamps } });
            }}
          />
          <NumberField
            label="Stamped volume"
            unit="in³"
            value={box.volumeIn3}
            min={1}
            max={200}
            onCommit={(volumeIn3) => run({ do: 'set box', box: id, change: { volumeIn3 } })}
          />
          <Choice
            label="Clamps inside"
            value={box.internalClamps ? 'yes' : 'no'}
            options={[
              { value: 'no', label: 'No' },
              { value: 'yes', label: 'Yes' },
            ]}
            onChange={(value) => run({ do: 'set box', box: id, change: { internalClamps: value === 'yes' } })}
          />
          {job.runs
            .filter(({ from, to }) => from === id || to === id)
            .map((own) => (
              <RunFields key={own.id} runId={own.id} far={own.from === id ? own.to : own.from} />
            ))}
        </div>
      </details>
    </section>
  );
}

function RunFields({ runId, far }: { runId: string; far: string }) {
  const { job, run } = useJob();
  const own = job.runs.find(({ id }) => id === runId);
  if (!own) return null;
  return (
    <>
      <NumberField
        label={`Run to ${nameOf(job, far)}`}
        unit="ft"
        value={own.lengthFt}
        min={0.5}
        max={1000}
        onCommit={(lengthFt) => run({ do: 'set run', run: runId, change: { lengthFt } })}
      />
      <Select
        label="Cable there"
        value={own.existing ?? ''}
        options={[
          { value: '', label: 'new: Split Tap chooses' },
          ...GAUGES.flatMap((gauge) => cablesOfGauge(gauge)).map(({ type }) => ({
            value: type as string,
            label: `existing ${type}`,
          })),
        ]}
        onChange={(value) => {
          const existing = GAUGES.flatMap((gauge) => cablesOfGauge(gauge)).find(
            ({ type }) => type === value,
          )?.type;
          run({ do: 'set run', run: runId, change: { existing: existing ?? null } });
        }}
      />
    </>
  );
}

function DeviceWishes({ device }: { device: Device }) {
  const { job, run } = useJob();
  const kind = device.kind === 'switch' ? deviceKind('single-pole') : deviceKind(device.kind);
  const remove = (
    <button
      type="button"
      className="button button-quiet px-3"
      aria-label={`Remove the ${device.kind}`}
      onClick={() => run({ do: 'remove device', device: device.id })}
    >
      <Trash2 aria-hidden size={18} />
    </button>
  );
  if (device.kind === 'switch') {
    const handle = device.wants['handle'];
    const group = handle?.does === 'control' ? handle.group : '';
    const controlled = job.devices.flatMap((other) =>
      Object.entries(other.wants)
        .filter(([, want]) => want.does === 'power' && want.control === group)
        .map(
          ([part]) =>
            `${nameOf(job, other.box)}, ${deviceKind(other.kind === 'switch' ? 'single-pole' : other.kind).parts.find(({ id }) => id === part)?.name ?? part}`,
        ),
    );
    return (
      <div className="flex items-center gap-2 rounded-xl border-2 border-line p-3">
        <ToggleLeft aria-hidden />
        <p className="flex-1">
          <span className="font-bold">Switch </span>
          {controlled.length > 0
            ? controlled.join(' and ')
            : 'nothing yet: tap an outlet half or a light and give it this switch'}
        </p>
        {remove}
      </div>
    );
  }
  return (
    <div className="grid gap-3 rounded-xl border-2 border-line p-3">
      <div className="flex items-center gap-2">
        {device.kind === 'luminaire' ? <Lightbulb aria-hidden /> : <Plug aria-hidden />}
        <p className="flex-1 font-bold">{kind.name}</p>
        {remove}
      </div>
      {kind.parts.map((part) => {
        const want = device.wants[part.id];
        return want?.does === 'power' ? (
          <PartWish key={part.id} device={device} part={part.id} name={part.name} want={want} />
        ) : null;
      })}
      {kind.receptacle ? (
        <Choice
          label="Receptacle rating"
          value={String(device.ratingA)}
          options={[
            { value: '15', label: '15 A' },
            { value: '20', label: '20 A' },
          ]}
          onChange={(value) =>
            run({ do: 'set rating', device: device.id, ratingA: value === '20' ? 20 : 15 })
          }
        />
      ) : null}
    </div>
  );
}

function PartWish({
  device,
  part,
  name,
  want,
}: {
  device: Device;
  part: string;
  name: string;
  want: PowerWant;
}) {
  const { job, run } = useJob();
  return (
    <div className="grid gap-2 sm:grid-cols-[minmax(0,1fr)_auto]">
      <Choice
        label={name.charAt(0).toUpperCase() + name.slice(1)}
        value={want.control ?? ''}
        options={[
          { value: '', label: 'Always on' },
          ...job.groups.map(({ id, name: group }) => ({ value: id, label: `From ${group}` })),
        ]}
        onChange={(control) =>
          run({ do: 'set control', device: device.id, part, control: control === '' ? null : control })
        }
      />
      <div className="flex items-end gap-2">
        <div className="w-28">
          <NumberField
            label="Load"
            unit="W"
            value={want.watts ?? 0}
            min={0}
            max={7200}
            onCommit={(watts) =>
              run({ do: 'set load', device: device.id, part, watts, continuous: want.continuous ?? false })
            }
          />
        </div>
        <label className="flex min-h-11 items-center gap-2 text-sm leading-tight">
          <input
            type="checkbox"
            className="size-6 accent-(--plum)"
            checked={want.continuous ?? false}
            onChange={(event) =>
              run({
                do: 'set load',
                device: device.id,
                part,
                watts: want.watts ?? 0,
                continuous: event.currentTarget.checked,
              })
            }
          />
          3 hours
          <br />
          or more
        </label>
      </div>
    </div>
  );
}

const THINGS = [
  { holds: 'outlet', word: 'Outlet', icon: Plug },
  { holds: 'switch', word: 'Switch', icon: ToggleLeft },
  { holds: 'light', word: 'Light', icon: Lightbulb },
] as const;
/** Length a new run starts with, ft, until it is said. */
const FIRST_LENGTH_FT = 12;

function AddHere({ box, onChoose }: { box: string; onChoose: (box: string) => void }) {
  const { job, run } = useJob();
  const circuit = job.circuits[0]?.id ?? '';
  const group = job.groups[0]?.id ?? null;
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 font-bold">Add or remove</summary>
      <div className="grid gap-3 pt-1">
        {(['beside', 'further'] as const).map((where) => (
          <div key={where} className="grid gap-1">
            <span className="eyebrow">
              {where === 'beside' ? 'In this box' : 'In a new box fed from here'}
            </span>
            <div className="flex flex-wrap gap-2">
              {THINGS.map(({ holds, word, icon: Icon }) => (
                <button
                  key={holds}
                  type="button"
                  className="button"
                  onClick={() => {
                    const own = {
                      holds,
                      circuit,
                      group: holds === 'switch' ? null : holds === 'light' ? group : null,
                    };
                    if (where === 'beside') run({ do: 'add device', box, ...own });
                    else {
                      const name = `${word} ${job.boxes.length + 1}`;
                      run({ do: 'add box', from: box, name, lengthFt: FIRST_LENGTH_FT, ...own });
                    }
                  }}
                >
                  <Icon aria-hidden size={18} /> {word}
                </button>
              ))}
            </div>
          </div>
        ))}
        {job.boxes.length > 1 ? (
          <button
            type="button"
            className="button justify-self-start"
            onClick={() => {
              run({ do: 'remove box', box });
              onChoose(job.boxes.find(({ id }) => id !== box)?.id ?? '');
            }}
          >
            <Trash2 aria-hidden size={18} /> Remove this box
          </button>
        ) : null}
      </div>
    </details>
  );
}
