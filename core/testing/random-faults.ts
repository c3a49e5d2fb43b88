import fc from 'fast-check';
import { deviceKind } from '../trade/devices';
import type { Wiring } from '../job/model/wiring';
import { endId, terminalId } from '../job/model/wiring';
import {
  looseContact,
  openContact,
  touching,
  withSwappedTerminals,
  withTab,
  type Disturbance,
} from '../power/network/disturbance';

export type FaultDraw = readonly (readonly [kind: number, first: number, second: number])[];
export const faultDraws: fc.Arbitrary<FaultDraw> = fc.array(fc.tuple(fc.nat(4), fc.nat(), fc.nat()), {
  minLength: 1,
  maxLength: 4,
});

/** Applies drawn faults to a wiring: open and loose contacts, points that touch, swapped screws, tabs. */
export function withFaults(
  wiring: Wiring,
  draws: FaultDraw,
): { wiring: Wiring; disturbances: Disturbance[] } {
  const disturbances: Disturbance[] = [];
  const ends = [
    ...wiring.cables.flatMap(({ conductors, from, to }) =>
      conductors.flatMap(({ id }) => [endId(id, from), endId(id, to)]),
    ),
    ...wiring.tails.flatMap(({ id }) => [`${id}@start`, `${id}@end`]),
  ];
  const terminals = wiring.devices.flatMap(({ id, kind }) =>
    deviceKind(kind).terminals.map((terminal) => ({ device: id, terminal: terminal.id })),
  );
  const pick = <T>(list: readonly T[], draw: number): T | undefined => list[draw % Math.max(list.length, 1)];
  let faulty = wiring;
  for (const [kind, first, second] of draws) {
    const [one, other] = [pick(terminals, first), pick(terminals, second)];
    const end = pick(ends, first);
    if (kind === 0 && end) disturbances.push(openContact(end));
    if (kind === 1 && end) disturbances.push(looseContact(end, 0.5 + (second % 10) / 2));
    if (!one || !other) continue;
    if (kind === 2) {
      disturbances.push(
        touching(terminalId(one.device, one.terminal), terminalId(other.device, other.terminal)),
      );
    }
    if (kind === 3 && one.terminal !== other.terminal) {
      const kindOf = deviceKind(wiring.devices.find(({ id }) => id === one.device)?.kind ?? 'duplex');
      const partner = pick(kindOf.terminals, second);
      if (partner) faulty = withSwappedTerminals(faulty, one.device, one.terminal, partner.id);
    }
    if (kind === 4) {
      const tab = pick(['hot-tab', 'neutral-tab'], second) ?? 'hot-tab';
      faulty = withTab(faulty, one.device, tab, first % 2 === 0 ? 'broken' : 'whole');
    }
  }
  return { wiring: faulty, disturbances };
}
