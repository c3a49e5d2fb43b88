import { deviceKind } from '../devices';
import { inBox } from '../model/in-box';
import type { Design } from '../model/design';
import type { WiredDevice } from '../model/wiring';
import type { Drawable } from '../plan';
import { say } from '../words/makeup';

/**
 * What every device of a box is called there, no two alike: its kind, and where there are several of one kind its gang
 * and what it switches: "single-pole switch, gang 2 (Porch lights)".
 */
export function deviceNames({ job, wiring }: Drawable, box: string): ReadonlyMap<string, string> {
  const { devices } = inBox(wiring, box);
  return new Map(
    devices.map((device) => {
      const kind = deviceKind(device.kind);
      const alike = devices.filter((one) => one.kind === device.kind);
      if (alike.length === 1) return [device.id, kind.name];
      if (!kind.yoke)
        return [
          device.id,
          say('deviceNames.of', {
            kind: kind.name,
            indexOf: alike.indexOf(device) + 1,
            alikeCount: alike.length,
          }),
        ];
      const use = useOf(job, device);
      return [
        device.id,
        say('deviceNames.gang', {
          kind: kind.name,
          gang: device.gang + 1,
          use: use === '' ? '' : ` (${use})`,
        }),
      ];
    }),
  );
}

function useOf(job: Design, { id }: WiredDevice): string {
  const wants = Object.values(job.devices.find((one) => one.id === id)?.wants ?? {});
  const groups = wants.flatMap((want) =>
    want.does === 'control' ? (job.groups.find((one) => one.id === want.group)?.name ?? []) : [],
  );
  return groups.join(', ');
}
