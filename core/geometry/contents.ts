import {
  boxGroundId,
  endId,
  type Splice,
  type Tail,
  type Termination,
  type WiredCable,
  type WiredDevice,
} from '../model/wiring';
import { inBox } from '../model/in-box';
import type { Drawable } from '../plan';
import { connectorOf, spliceCount } from '../makeup/splice-steps';
import { layBottomRow, type BottomRow, type View } from './bottom-row';
import type { CableEnds, MiddleElement } from './order';
import { SPLICE_COLUMNS } from './scale';

/** What one box holds, sorted into the three rows of the drawing. */
export interface Contents {
  readonly cables: readonly WiredCable[];
  readonly devices: readonly WiredDevice[];
  readonly splices: readonly Splice[];
  readonly tails: readonly Tail[];
  /** Conductors that go straight to a terminal. */
  readonly passing: readonly Termination[];
  readonly caps: readonly string[];
  readonly used: ReadonlySet<string>;
  readonly boxScrew: string | null;
  readonly bottom: BottomRow;
  /** What each conductor end leads to in the middle row. */
  readonly targetOf: ReadonlyMap<string, string>;
  readonly tailsOf: (splice: string) => readonly Tail[];
  /** Jumpers from one splice to the next of the same net. */
  readonly jumpers: readonly Tail[];
  /** Ports of a splice's connector, spare ones counted. */
  readonly portsOf: (splice: string) => number;
  /** Ports of it that are used. */
  readonly countOf: (splice: string) => number;
  readonly topRow: readonly CableEnds[];
  readonly middleRow: readonly MiddleElement[];
}

export const passId = (end: string): string => `pass ${end}`;
export const capId = (end: string): string => `cap ${end}`;

export function contentsOf({ wiring, job }: Drawable, box: string, view: View): Contents {
  const { cables, devices, splices, tails, terminations: passing, caps: capped } = inBox(wiring, box);
  const caps = capped.map(({ end }) => end);
  const used = new Set([
    ...tails.flatMap(({ to, from }) => (from.at === 'terminal' ? [to, from.terminal] : [to])),
    ...passing.map(({ terminal }) => terminal),
  ]);
  const boxScrew = used.has(boxGroundId(box)) ? boxGroundId(box) : null;
  const bottom = layBottomRow(view, view.side === 'front' ? devices : [...devices].reverse(), used, boxScrew);
  const rank = new Map([...bottom.columns.keys()].map((terminal, index) => [terminal, index]));
  const rankOf = (terminal: string) => rank.get(terminal) ?? 0;

  const targetOf = new Map<string, string>();
  for (const splice of splices) for (const end of splice.ends) targetOf.set(end, splice.id);
  for (const { end } of passing) targetOf.set(end, passId(end));
  for (const end of caps) targetOf.set(end, capId(end));

  const tailsOf = (splice: string) =>
    tails
      .filter(
        ({ from, to }) =>
          from.at === 'splice' && from.splice === splice && !splices.some(({ id }) => id === to),
      )
      .sort((a, b) => rankOf(a.to) - rankOf(b.to));
  const ports = new Map<string, number>(
    splices.map((splice): [string, number] => {
      const count = spliceCount(splice, tails);
      const connector = connectorOf({ wiring, job }, splice, 12);
      return [splice.id, Math.max(connector?.ports ?? count, count)];
    }),
  );
  const portsOf = (splice: string) => ports.get(splice) ?? 0;
  const countOf = (id: string) => {
    const splice = splices.find((one) => one.id === id);
    return splice ? spliceCount(splice, tails) : 0;
  };
  return {
    cables,
    devices,
    splices,
    tails,
    passing,
    caps,
    used,
    boxScrew,
    bottom,
    targetOf,
    tailsOf,
    jumpers: tails.filter(({ to }) => splices.some(({ id }) => id === to)),
    portsOf,
    countOf,
    topRow: cables.map((cable) => ({
      id: cable.id,
      ends: cable.conductors.map(({ id }) => {
        const end = endId(id, box);
        return { end, target: targetOf.get(end) ?? '' };
      }),
    })),
    middleRow: [
      ...splices.map(({ id }) => ({
        id,
        kind: 'splice' as const,
        width: Math.max(SPLICE_COLUMNS, portsOf(id) + 1, tailsOf(id).length + 2),
        below: tailsOf(id).map(({ to }) => rankOf(to)),
      })),
      ...passing.map(({ end, terminal }) => ({
        id: passId(end),
        kind: 'pass' as const,
        width: 1,
        below: [rankOf(terminal)],
      })),
      ...caps.map((end) => ({ id: capId(end), kind: 'cap' as const, width: 2, below: [] })),
    ],
  };
}
