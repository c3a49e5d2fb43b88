import type { Draft } from 'immer';
import { wishKind } from '../../trade/devices';
import { circuitTrees } from '../model/trees';
import type { Design } from '../model/design';
import { find } from './upkeep';

/**
 * What lies beyond a protecting device, along the runs from the panel, is fed from its LOAD side or from its LINE
 * side. A control group goes with it only as a whole: what it controls must be fed from one side.
 */
export function feedFromLoad(design: Draft<Design>, id: string, from: 'LOAD' | 'LINE'): void {
  const device = find(design.devices, id);
  if (!wishKind(device.kind).protection) return;
  const own = Object.values(device.wants).find((want) => want.does === 'power');
  if (own?.does !== 'power') return;
  if (from === 'LINE') {
    for (const { wants } of design.devices) {
      for (const want of Object.values(wants))
        if (want.does === 'power' && want.via === id) want.via = own.via;
    }
    return;
  }
  const beyond = boxesBeyond(design, own.circuit, device.box);
  const isBeyond = ({ box }: { box: string }) => beyond.has(box);
  const parts = design.devices.flatMap((one) =>
    Object.values(one.wants).flatMap((want) =>
      want.does === 'power' && want.circuit === own.circuit ? [{ device: one, want }] : [],
    ),
  );
  const split = new Set(
    parts.flatMap(({ device: one, want }) => (want.control !== null && !isBeyond(one) ? want.control : [])),
  );
  for (const { device: one, want } of parts) {
    if (!isBeyond(one) || want.via !== own.via) continue;
    if (want.control === null || !split.has(want.control)) want.via = id;
  }
}

/** Boxes whose way to the panel passes a box. */
function boxesBeyond(design: Draft<Design>, circuit: string, box: string): ReadonlySet<string> {
  const parents = circuitTrees(design).get(circuit)?.parents;
  if (!parents) return new Set();
  const beyond = new Set<string>();
  for (const start of parents.keys()) {
    for (let at = parents.get(start)?.from; at !== undefined; at = parents.get(at)?.from) {
      if (at === box) {
        beyond.add(start);
        break;
      }
    }
  }
  return beyond;
}
