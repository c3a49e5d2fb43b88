import { wishKind } from '../../trade/devices';
import { circuitName, partName, placeName } from '../../job/model/called';
import { consumers } from '../../wiring/layout/nets';
import { partKey, type PartKey } from '../../job/model/keys';
import type { Design } from '../../job/model/design';
import { say } from '../../base/words/packet';

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
