import { stratify, tree } from 'd3-hierarchy';
import { PANEL, type Design } from '@core/model/design';

interface Point {
  readonly x: number;
  readonly y: number;
}

export interface MapLayout {
  readonly width: number;
  readonly height: number;
  readonly nodes: ReadonlyMap<string, Point>;
  /** Bends of each run, by run id. */
  readonly edges: ReadonlyMap<string, readonly Point[]>;
}

export const NODE = { width: 132, height: 62 } as const;
/** Room between boxes: along the runs for a cable's label, and beside them. */
const ALONG = { RIGHT: 84, DOWN: 52 } as const;
const BESIDE = 26;
/** Runs side by side, and how far a run that closes a loop goes out of its way. */
const STEP = 12;
const AROUND = 14;

/** Room above the first row, where the labels of level runs stand. */
const HEAD = 16;

/** Above all that is reached from the panel, and what is not. */
const ROOT = ' ';

interface Stop {
  readonly id: string;
  readonly parent: string | null;
}

/** Places the boxes from the panel outward as a tree; runs that close a loop go round it. */
export function mapLayout(
  { boxes, runs }: Pick<Design, 'boxes' | 'runs'>,
  direction: 'RIGHT' | 'DOWN',
): MapLayout {
  const [along, beside] =
    direction === 'RIGHT'
      ? [NODE.width + ALONG.RIGHT, NODE.height + BESIDE]
      : [NODE.height + ALONG.DOWN, NODE.width + BESIDE];
  const stops = stopsOf(boxes, runs);
  const root = tree<Stop>().nodeSize([beside, along])(
    stratify<Stop>()
      .id(({ id }) => id)
      .parentId(({ parent }) => parent)(stops),
  );
  const placed = root.descendants().filter(({ id }) => id !== ROOT);
  const least = Math.min(...placed.map(({ x }) => x));
  const nodes = new Map(
    placed.map(({ id = '', x, y }): [string, Point] => {
      const [across, down] = [y - along, x - least];
      return [id, direction === 'RIGHT' ? { x: across, y: down + HEAD } : { x: down, y: across }];
    }),
  );
  const parents = new Map(stops.map(({ id, parent }) => [id, parent]));
  const seen = new Map<string, number>();
  const edges = new Map(
    runs.map(({ id, from, to }): [string, readonly Point[]] => {
      const [near, far] = parents.get(from) === to ? [to, from] : [from, to];
      const pair = [near, far].sort().join(' ');
      const index = seen.get(pair) ?? 0;
      seen.set(pair, index + 1);
      const [a, b] = [nodes.get(near), nodes.get(far)];
      if (!a || !b) return [id, []];
      return [id, parents.get(far) === near ? step(a, b, direction, index) : around(a, b, direction, index)];
    }),
  );
  const corners = [
    ...[...nodes.values()].map(({ x, y }) => ({ x: x + NODE.width, y: y + NODE.height })),
    ...[...edges.values()].flat(),
  ];
  return {
    width: Math.max(...corners.map(({ x }) => x)),
    height: Math.max(...corners.map(({ y }) => y)),
    nodes,
    edges,
  };
}

/** Each place with the one before it on the way from the panel; what is not reached stands by itself. */
function stopsOf(boxes: Design['boxes'], runs: Design['runs']): Stop[] {
  const stops: Stop[] = [{ id: ROOT, parent: null }];
  const reached = new Set<string>();
  const start = (place: string) => {
    if (reached.has(place)) return;
    reached.add(place);
    stops.push({ id: place, parent: ROOT });
    const front = [place];
    for (let at = front.shift(); at !== undefined; at = front.shift()) {
      for (const { from, to } of runs) {
        const next = from === at ? to : to === at ? from : null;
        if (next === null || reached.has(next)) continue;
        reached.add(next);
        stops.push({ id: next, parent: at });
        front.push(next);
      }
    }
  };
  start(PANEL);
  for (const { id } of boxes) start(id);
  return stops;
}

/** From one box to the next: out of its side, over, into the other's side. */
function step(a: Point, b: Point, direction: 'RIGHT' | 'DOWN', index: number): Point[] {
  const by = index * STEP;
  if (direction === 'RIGHT') {
    const [start, end] = [
      { x: a.x + NODE.width, y: a.y + NODE.height / 2 + by },
      { x: b.x, y: b.y + NODE.height / 2 + by },
    ];
    const bend = end.x - ALONG.RIGHT / 2 - by / 2;
    return start.y === end.y ? [start, end] : [start, { x: bend, y: start.y }, { x: bend, y: end.y }, end];
  }
  const [start, end] = [
    { x: a.x + NODE.width / 2 + by, y: a.y + NODE.height },
    { x: b.x + NODE.width / 2 + by, y: b.y },
  ];
  const bend = end.y - ALONG.DOWN / 2 - by / 2;
  return start.x === end.x ? [start, end] : [start, { x: start.x, y: bend }, { x: end.x, y: bend }, end];
}

/** A run that closes a loop: below both boxes, or right of both. */
function around(a: Point, b: Point, direction: 'RIGHT' | 'DOWN', index: number): Point[] {
  const by = index * STEP;
  if (direction === 'RIGHT') {
    const [ax, bx] = [a.x + NODE.width / 2 + by, b.x + NODE.width / 2 + by];
    const low = Math.max(a.y, b.y) + NODE.height + AROUND + by;
    return [
      { x: ax, y: a.y + NODE.height },
      { x: ax, y: low },
      { x: bx, y: low },
      { x: bx, y: b.y + NODE.height },
    ];
  }
  const [ay, by_] = [a.y + NODE.height / 2 + by, b.y + NODE.height / 2 + by];
  const right = Math.max(a.x, b.x) + NODE.width + AROUND + by;
  return [
    { x: a.x + NODE.width, y: ay },
    { x: right, y: ay },
    { x: right, y: by_ },
    { x: b.x + NODE.width, y: by_ },
  ];
}
