import { partName } from '@core/job/model/called';
import type { Circuit } from '@core/job/model/design';
import { APPLIANCES, applianceOf } from '@core/trade/standards/appliances';
import { NumberField } from '~/ui/number-field';
import { useJob, useJudged } from '../job/context';
import { say } from '~/words/load';

/** What is added, outlet by outlet: a typical appliance or its own figure, long-running, fastened, a motor. */
export function LoadItems({ circuit }: { circuit: Circuit }) {
  const { job, run } = useJob();
  const { judged } = useJudged();
  const drops = judged?.drops ?? [];
  const items = job.devices.flatMap((device) =>
    Object.entries(device.wants).flatMap(([part, want]) =>
      want.does === 'power' && want.circuit === circuit.id ? [{ device, part, want }] : [],
    ),
  );
  if (items.length === 0) return <p>{say('loadItems.nothingJobCircuit', { number: circuit.number })}</p>;
  return (
    <section className="grid gap-3" aria-label={say('loadItems.whatAdded')}>
      <h3 className="text-lg font-bold">{say('loadItems.whatAdded')}</h3>
      {items.map(({ device, part, want }) => {
        const name = partName(job, device, part);
        const watts = want.watts ?? 0;
        const drop = drops.find((one) => one.part === `${device.id}/${part}`);
        const known = applianceOf(want.appliance);
        const toggle = (words: string, on: boolean, act: () => void) => (
          <button type="button" className="chip" aria-pressed={on} onClick={act}>
            {words}
          </button>
        );
        return (
          <div
            key={`${device.id}/${part}`}
            className="grid gap-2 rounded-xl border-2 border-line bg-paper p-3"
          >
            <p className="flex justify-between gap-2 font-semibold">
              {name}
              {drop ? (
                <span className="num font-normal">
                  {say('loadItems.v', { dropV: drop.dropV.toFixed(1) })}
                </span>
              ) : null}
            </p>
            <div className="grid grid-cols-[minmax(0,1fr)_7rem] gap-2">
              <label className="grid gap-1">
                <span className="eyebrow">{say('loadItems.typical')}</span>
                <select
                  className="field"
                  aria-label={say('loadItems.typicalLoad', { name })}
                  value={known?.id ?? ''}
                  onChange={(event) => {
                    const appliance = APPLIANCES.find(({ id }) => id === event.currentTarget.value);
                    if (!appliance) {
                      run({ do: 'set use', device: device.id, part, change: { appliance: null } });
                      return;
                    }
                    const { watts: typical, continuous, fixed, motor } = appliance;
                    run(
                      { do: 'set load', device: device.id, part, watts: typical, continuous },
                      {
                        do: 'set use',
                        device: device.id,
                        part,
                        change: { appliance: appliance.id, fixed, motor },
                      },
                    );
                  }}
                >
                  <option value="">{say('loadItems.ownFigure')}</option>
                  {APPLIANCES.map(({ id, name: typical, watts: draw }) => (
                    <option key={id} value={id}>
                      {say('loadItems.w', { typical, draw })}
                    </option>
                  ))}
                </select>
              </label>
              <NumberField
                label={say('loadItems.draw')}
                unit="W"
                value={watts}
                min={0}
                max={7200}
                onCommit={(next) =>
                  run({
                    do: 'set load',
                    device: device.id,
                    part,
                    watts: next,
                    continuous: want.continuous ?? false,
                  })
                }
              />
            </div>
            <div className="flex flex-wrap gap-2">
              {toggle(say('loadItems.continuous3HMore'), want.continuous ?? false, () =>
                run({
                  do: 'set load',
                  device: device.id,
                  part,
                  watts,
                  continuous: !(want.continuous ?? false),
                }),
              )}
              {toggle(say('loadItems.fastenedPlace'), want.fixed ?? false, () =>
                run({ do: 'set use', device: device.id, part, change: { fixed: !(want.fixed ?? false) } }),
              )}
              {toggle(say('loadItems.motor'), want.motor ?? false, () =>
                run({ do: 'set use', device: device.id, part, change: { motor: !(want.motor ?? false) } }),
              )}
            </div>
          </div>
        );
      })}
      <p className="text-sm text-ink-soft">{say('loadItems.source')}</p>
    </section>
  );
}
