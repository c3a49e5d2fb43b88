import { PANEL } from './design';
import type { Cap, Splice, Tail, Termination, WiredCable, WiredDevice, Wiring } from './wiring';

/** What of a wiring is in one box. */
export interface InBox {
  readonly cables: readonly WiredCable[];
  readonly devices: readonly WiredDevice[];
  readonly splices: readonly Splice[];
  readonly tails: readonly Tail[];
  readonly terminations: readonly Termination[];
  readonly caps: readonly Cap[];
}

const EMPTY: InBox = { cables: [], devices: [], splices: [], tails: [], terminations: [], caps: [] };
const sorted = new WeakMap<Wiring, ReadonlyMap<string, InBox>>();

/** The contents of a box, devices from left to right. Sorted once a wiring. */
export function inBox(wiring: Wiring, box: string): InBox {
  const known = sorted.get(wiring) ?? sortByBox(wiring);
  sorted.set(wiring, known);
  return known.get(box) ?? EMPTY;
}

function sortByBox(wiring: Wiring): Map<string, InBox> {
  type Draft = { -readonly [Key in keyof InBox]: InBox[Key][number][] };
  const boxes = new Map<string, Draft>();
  const of = (box: string): Draft => {
    const known = boxes.get(box);
    if (known) return known;
    const fresh: Draft = { cables: [], devices: [], splices: [], tails: [], terminations: [], caps: [] };
    boxes.set(box, fresh);
    return fresh;
  };
  for (const cable of wiring.cables) {
    of(cable.from).cables.push(cable);
    of(cable.to).cables.push(cable);
  }
  for (const device of wiring.devices) of(device.box).devices.push(device);
  for (const splice of wiring.splices) of(splice.box).splices.push(splice);
  for (const tail of wiring.tails) of(tail.box).tails.push(tail);
  for (const termination of wiring.terminations) of(termination.box).terminations.push(termination);
  for (const cap of wiring.caps) of(cap.box).caps.push(cap);
  for (const { devices } of boxes.values()) devices.sort((a, b) => a.gang - b.gang);
  return boxes;
}

/** Ids of the circuits that some cables carry. */
export const circuitsOf = (cables: readonly Pick<WiredCable, 'conductors'>[]): ReadonlySet<string> =>
  new Set(cables.flatMap(({ conductors }) => conductors.flatMap(({ circuit }) => circuit ?? [])));

/** The boxes that a wiring has anything in, the panel left out. */
export function boxesOf(wiring: Wiring): string[] {
  const ends = wiring.cables.flatMap(({ from, to }) => [from, to]);
  return [...new Set([...ends, ...wiring.devices.map(({ box }) => box)])].filter((box) => box !== PANEL);
}
