import { capitalize } from '@core/base/capitalize';
import { andList } from '@core/base/words/lists';
import { partName, placeName } from '@core/job/model/called';
import type { Device, PowerWant } from '@core/job/model/design';
import { wishKind } from '@core/trade/devices';
import { Choice } from '~/ui/choice';
import { NumberField } from '~/ui/number-field';
import { Renamable } from '~/ui/renamable';
import { Select } from '~/ui/select';
import { say } from '~/words/lay-out';
import { useJob } from '../job/context';

export function HandleWish({ device, part, group }: { device: Device; part: string; group: string }) {
  const { job, run } = useJob();
  const controlled = job.devices.flatMap((other) =>
    Object.entries(other.wants)
      .filter(([, want]) => want.does === 'power' && want.control === group)
      .map(([own]) => partName(job, other, own)),
  );
  const places = job.devices.filter(({ wants }) =>
    Object.values(wants).some((want) => want.does === 'control' && want.group === group),
  );
  const name = job.groups.find(({ id }) => id === group)?.name ?? group;
  return (
    <div className="grid gap-2">
      <Renamable
        value={name}
        label={say('deviceWishes.renameSwitch', { name })}
        className="justify-self-start font-semibold"
        onCommit={(next) => run({ do: 'rename group', group, name: next })}
      />
      <p>
        <span className="text-ink-soft">{say('deviceWishes.switches')} </span>
        {andList(controlled) || say('deviceWishes.controlsNothing')}
        {places.length > 1 ? say('deviceWishes.togetherMore', { placesCount: places.length - 1 }) : ''}
      </p>
      <div role="group" aria-label={say('deviceWishes.whatWorks')} className="flex flex-wrap gap-2">
        {job.devices.flatMap((other) =>
          Object.entries(other.wants).map(([own, want]) =>
            want.does === 'power' ? (
              <button
                key={`${other.id} ${own}`}
                type="button"
                className="chip"
                aria-pressed={want.control === group}
                onClick={() =>
                  run({
                    do: 'set control',
                    device: other.id,
                    part: own,
                    control: want.control === group ? null : group,
                  })
                }
              >
                {partName(job, other, own)}
              </button>
            ) : null,
          ),
        )}
      </div>
      {job.groups.length > 1 ? (
        <Select
          label={say('deviceWishes.worksTogether')}
          value={group}
          options={job.groups.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(next) => run({ do: 'set group', device: device.id, part, group: next })}
        />
      ) : null}
    </div>
  );
}

/** Switches up to this many are buttons, a list beyond. */
const BUTTONS = 2;

export function PowerWish({
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
  const label = capitalize(name);
  const options = [
    { value: '', label: say('deviceWishes.always') },
    ...job.groups.map(({ id, name: group }) => ({ value: id, label: say('deviceWishes.from', { group }) })),
  ];
  const setControl = (control: string) =>
    run({ do: 'set control', device: device.id, part, control: control === '' ? null : control });
  const protecting = job.devices.filter(
    (other) => other.id !== device.id && wishKind(other.kind).protection !== undefined,
  );
  const load = (watts: number, continuous: boolean) =>
    run({ do: 'set load', device: device.id, part, watts, continuous });
  return (
    <div className="grid gap-2">
      <div className="grid gap-2 sm:grid-cols-[minmax(0,1fr)_auto]">
        {options.length <= BUTTONS + 1 ? (
          <Choice label={label} value={want.control ?? ''} options={options} onChange={setControl} />
        ) : (
          <Select label={label} value={want.control ?? ''} options={options} onChange={setControl} />
        )}
        <div className="flex items-end gap-2">
          <div className="w-24">
            <NumberField
              label={say('deviceWishes.load')}
              unit="W"
              value={want.watts ?? 0}
              min={0}
              max={7200}
              onCommit={(watts) => load(watts, want.continuous ?? false)}
            />
          </div>
          <label className="flex min-h-11 items-center gap-2 text-sm leading-tight">
            <input
              type="checkbox"
              className="size-6 accent-(--plum)"
              checked={want.continuous ?? false}
              onChange={(event) => load(want.watts ?? 0, event.currentTarget.checked)}
            />
            {say('deviceWishes.n3Hours')}
            <br />
            {say('deviceWishes.more')}
          </label>
        </div>
      </div>
      {job.circuits.length > 1 || protecting.length > 0 ? (
        <div className="grid gap-2 sm:grid-cols-2">
          {job.circuits.length > 1 ? (
            <Select
              label={say('deviceWishes.circuit', { label })}
              value={want.circuit}
              options={job.circuits.map(({ id, number }) => ({ value: id, label: number }))}
              onChange={(circuit) => run({ do: 'set want', device: device.id, part, change: { circuit } })}
            />
          ) : null}
          {protecting.length > 0 ? (
            <Select
              label={say('deviceWishes.fedFrom', { label })}
              value={want.via ?? ''}
              options={[
                { value: '', label: say('deviceWishes.panelSide') },
                ...protecting.map((other) => ({
                  value: other.id,
                  label: say('deviceWishes.loadOf', {
                    wishKind: wishKind(other.kind).name,
                    placeName: placeName(job, other.box),
                  }),
                })),
              ]}
              onChange={(via) =>
                run({ do: 'set want', device: device.id, part, change: { via: via === '' ? null : via } })
              }
            />
          ) : null}
        </div>
      ) : null}
    </div>
  );
}
