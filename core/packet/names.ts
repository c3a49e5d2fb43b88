import { wishKind } from '../devices';
import { circuitName, partName, placeName } from '../layout/names';
import { consumers } from '../layout/nets';
import { partKey, type PartKey } from '../model/keys';
import type { Design } from '../model/design';
import { say } from '../words/packet';

/** Each half, outlet and light by its place, by the key of the proof. */
export const partNames = (design: Design): ReadonlyMap<PartKey, string> =>
  new Map(
    consumers(design).map(({ device, part }) => [partKey(device.id, part), partName(design, device, part)]),
  );

/** Where a button is that resets: "the GFCI receptacle at Hall bench", "breaker 9". */
export function resetName(design: Design, id: string): string {
  const device = design.devices.find((one) => one.id === id);
  if (!device) return say('owner.breaker', { circuit: circuitName(design, id) });
  return say('owner.device', { device: wishKind(device.kind).name, place: placeName(design, device.box) });
}
