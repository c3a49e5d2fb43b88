/** One wire through a channel between two rows of pins: across at one height, up or down to its pins. */
export interface ChannelWire {
  readonly id: string;
  readonly pins: readonly [Pin, Pin];
}

export interface Pin {
  readonly column: number;
  readonly side: 'top' | 'bottom';
}

export interface RoutedChannel {
  /** Track by wire, 0 at the top; wires whose pins stand above each other need none and are left out. */
  readonly tracks: ReadonlyMap<string, number>;
  readonly trackCount: number;
  /** Pairs that lie over each other in some lane, which no order of tracks could avoid. */
  readonly overdrawn: number;
}

/**
 * Gives every wire a track so that wires cross as little as their pins allow: for each pair whose spans overlap
 * the better one on top is found, and the wires are stacked in an order that keeps to it.
 */
export function routeChannel(wires: readonly ChannelWire[]): RoutedChannel {
  const bent = wires.filter(({ pins: [a, b] }) => a.column !== b.column || a.side === b.side);
  const above = new Map<string, Set<string>>(bent.map(({ id }) => [id, new Set()]));
  bent.forEach((first, index) => {
    for (const second of bent.slice(index + 1)) {
      const [firstOnTop, secondOnTop] = [crossings(first, second), crossings(second, first)];
      if (firstOnTop < secondOnTop) above.get(second.id)?.add(first.id);
      if (secondOnTop < firstOnTop) above.get(first.id)?.add(second.id);
    }
  });
  const tracks = new Map<string, number>();
  const rows: ChannelWire[][] = [];
  const waiting = [...bent].sort((a, b) => span(a)[0] - span(b)[0]);
  while (waiting.length > 0) {
    // A cycle of preferences cannot all be kept: the wire with the fewest unmet ones goes first.
    const unmet = ({ id }: ChannelWire) =>
      [...(above.get(id) ?? [])].filter((other) => !tracks.has(other)).length;
    const next = waiting.reduce((best, wire) => (unmet(wire) < unmet(best) ? wire : best));
    waiting.splice(waiting.indexOf(next), 1);
    let row = Math.max(0, ...[...(above.get(next.id) ?? [])].map((id) => (tracks.get(id) ?? -1) + 1));
    while (rows[row]?.some((other) => overlap(other, next))) row++;
    rows[row] = [...(rows[row] ?? []), next];
    tracks.set(next.id, row);
  }
  let overdrawn = 0;
  bent.forEach((first, index) => {
    for (const second of bent.slice(index + 1)) {
      const firstIsUpper = (tracks.get(first.id) ?? 0) <= (tracks.get(second.id) ?? 0);
      const [upper, lower] = firstIsUpper ? [first, second] : [second, first];
      if (crossings(upper, lower) >= OVERDRAWN) overdrawn++;
    }
  });
  return { tracks, trackCount: rows.length, overdrawn };
}

const span = ({ pins: [a, b] }: ChannelWire): readonly [number, number] => [
  Math.min(a.column, b.column),
  Math.max(a.column, b.column),
];

const overlap = (a: ChannelWire, b: ChannelWire): boolean =>
  span(a)[0] <= span(b)[1] && span(b)[0] <= span(a)[1];

/** Two wires drawn over each other in one column weigh as much as many crossings. */
const OVERDRAWN = 20;

/** How often two wires cross when `upper` runs above `lower`. */
function crossings(upper: ChannelWire, lower: ChannelWire): number {
  const [upperY, lowerY] = [1, 2];
  let count = 0;
  for (const [wire, y, other, otherY] of [
    [upper, upperY, lower, lowerY],
    [lower, lowerY, upper, upperY],
  ] as const) {
    const [left, right] = span(wire);
    for (const pin of other.pins) {
      const [from, to] = reach(pin, otherY);
      if (pin.column > left && pin.column < right && y > from && y < to) count++;
    }
  }
  for (const a of upper.pins) {
    for (const b of lower.pins) {
      if (a.column !== b.column) continue;
      const [aFrom, aTo] = reach(a, upperY);
      const [bFrom, bTo] = reach(b, lowerY);
      if (aFrom < bTo && bFrom < aTo) count += OVERDRAWN;
    }
  }
  return count;
}

const reach = (pin: Pin, y: number): readonly [number, number] => (pin.side === 'top' ? [0, y] : [y, 3]);

/** Crossings of a set of wires in a channel if every pair took its better side: a lower bound for the drawing. */
export function leastCrossings(wires: readonly ChannelWire[]): number {
  let total = 0;
  wires.forEach((first, index) => {
    for (const second of wires.slice(index + 1)) {
      total += Math.min(crossings(first, second), crossings(second, first));
    }
  });
  return total;
}
