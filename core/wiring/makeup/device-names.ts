import { deviceKind, wishKind, type DeviceKind } from '../../trade/devices';
import { placeName } from '../../job/model/called';
import { inBox } from '../../job/model/in-box';
import type { Design } from '../../job/model/design';
import type { WiredDevice } from '../../job/model/wiring';
import type { Drawable } from '../plan';
import { say } from '../../base/words/makeup';

/**
 * What every device of a box is called there, no two alike: its kind, among several in their gangs its gang, and where
 * there are several of one kind what it switches: "single-pole switch, gang 2 (Porch lights)".
 */
export function deviceNames({ job, wiring }: Drawable, box: string): ReadonlyMap<string, string> {
  const { devices } = inBox(wiring, box);
  const yokes = devices.filter((one) => deviceKind(one.kind).yoke).length;
  return new Map(
    devices.map((device) => {
      const kind = deviceKind(device.kind);
      const alike = devices.filter((one) => one.kind === device.kind);
      if (kind.yoke && yokes > 1) {
        // Alone of its kind it is looked for by its gang; among its like by what it switches too.
        const use = alike.length > 1 ? useOf(job, device) : '';
        return [
          device.id,
          say('deviceNames.gang', {
            kind: kind.name,
            gang: device.gang + 1,
            use: use === '' ? '' : ` (${use})`,
          }),
        ];
      }
      if (alike.length === 1) return [device.id, kind.name];
      return [
        device.id,
        say('deviceNames.nth', {
          kind: kind.name,
          nth: alike.indexOf(device) + 1,
          count: alike.length,
        }),
      ];
    }),
  );
}

/** What the handle of a device works, as short as it can be said: "light", "fan", "Plant shelf"; null without one. */
export function worksOf(job: Design, { id, box }: Pick<WiredDevice, 'id' | 'box'>): string | null {
  const wants = Object.values(job.devices.find((one) => one.id === id)?.wants ?? {});
  const groups = new Set(wants.flatMap((want) => (want.does === 'control' ? [want.group] : [])));
  if (groups.size === 0) return null;
  const works = job.devices.flatMap((device) =>
    Object.entries(device.wants).flatMap(([part, want]) => {
      if (want.does !== 'power' || want.control === null || !groups.has(want.control)) return [];
      const kind = wishKind(device.kind);
      if (!kind.yoke) return [kind.parts.length > 1 ? partNameOf(kind, part) : SERVED[kind.serves]];
      return [device.box === box ? say('deviceNames.outlet') : placeName(job, device.box)];
    }),
  );
  return works.length === 0 ? say('deviceNames.nothing') : [...new Set(works)].join(', ');
}

const SERVED: Readonly<Record<DeviceKind['serves'], string>> = {
  outlet: say('deviceNames.outlet'),
  'switch and outlet': say('deviceNames.outlet'),
  switch: say('deviceNames.nothing'),
  light: say('cableNames.light'),
  fan: say('cableNames.fan'),
  receiver: say('cableNames.receiver'),
};

export const partNameOf = ({ parts }: DeviceKind, id: string): string =>
  parts.find((part) => part.id === id)?.name ?? id;

function useOf(job: Design, { id }: WiredDevice): string {
  const wants = Object.values(job.devices.find((one) => one.id === id)?.wants ?? {});
  const groups = wants.flatMap((want) =>
    want.does === 'control' ? (job.groups.find((one) => one.id === want.group)?.name ?? []) : [],
  );
  return groups.join(', ');
}
