import { stratify, tree } from 'd3-hierarchy';
import { PANEL, type Design } from '../../job/model/design';

/*
 * The map of runs as pure data: boxes in ranks from the panel outward, each run a line of its own, each label beside
 * its run and over none. Units are those of the screen. Everything is worked out along the runs and across them, and
 * turned to the right or downward at the end.
 */

export interface MapPoint {
  readonly x: number;
  readonly y: number;
}
export interface MapArea extends MapPoint {
  readonly width: number;
  readonly height: number;
}

export interface RunMap {
  readonly width: number;
  readonly height: number;
  /** By place: the boxes and the panel. */
  readonly nodes: ReadonlyMap<string, MapArea>;
  /** By run: its bends, and where its label stands; null where labels have no size. */
  readonly runs: ReadonlyMap<
    string,
    { readonly points: readonly MapPoint[]; readonly label: MapArea | null }
  >;
}

export interface MapSizes {
  readonly node: { readonly width: number; readonly height: number };
  /** Room for a label; null for a map without any. */
  readonly label: { readonly width: number; readonly height: number } | null;
  /** Half of the widest ribbon of a run. */
  readonly halfRibbon: number;
  /** Free room between boxes beside each other. */
  readonly gap: number;
}

export const MAP_SIZES = {
  node: { width: 132, height: 62 },
  label: { width: 92, height: 34 },
  halfRibbon: 12,
  gap: 26,
} as const satisfies MapSizes;

/** A miniature of it, without words. */
export const SKETCH_SIZES = {
  node: { width: 46, height: 26 },
  label: null,
  halfRibbon: 5,
  gap: 8,
} as const satisfies MapSizes;

export type MapDirection = 'RIGHT' | 'DOWN';

/** Above all that is reached from the panel, and what is not. */
const ROOT = ' ';
/** Between a ribbon and what lies beside it. */
const CLEAR = 3;

interface Stop {
  readonly id: string;
  readonly parent: string | null;
}

/** One end of a run at the far side of a place. */
interface Exit {
  readonly run: string;
  readonly end: 'near' | 'far';
}

/** Places the boxes of a job from the panel outward, and lays its runs; where loops close they go round at the end. */
export function runMap(
  { boxes, runs }: Pick<Design, 'boxes' | 'runs'>,
  direction: MapDirection,
  sizes: MapSizes = MAP_SIZES,
): RunMap {
  const right = direction === 'RIGHT';
  const label = sizes.label && {
    along: right ? sizes.label.width : sizes.label.height,
    across: right ? sizes.label.height : sizes.label.width,
  };
  const band = right ? Math.max(sizes.node.width, sizes.label?.width ?? 0) : sizes.node.height;
  const side = right ? sizes.node.height : sizes.node.width;
  const ribbon = 2 * sizes.halfRibbon;
  /** From the line of one run to that of the next beside it. */
  const pitch = ribbon + CLEAR + (label ? label.across + CLEAR : 0);

  const stops = stopsOf(boxes, runs);
  const parents = new Map(stops.map(({ id, parent }) => [id, parent]));
  const known = runs.filter(({ from, to }) => parents.has(from) && parents.has(to));
  const ends = new Map(
    known.map((run) => {
      const back = parents.get(run.from) === run.to;
      const near = back ? run.to : run.from;
      const far = back ? run.from : run.to;
      return [run.id, { near, far, loops: parents.get(far) !== near }];
    }),
  );
  const loops = known.filter(({ id }) => ends.get(id)?.loops);
  const branches = known.filter(({ id }) => !ends.get(id)?.loops);

  const countOf = (place: string, which: 'in' | 'out'): number =>
    which === 'in'
      ? branches.filter(({ id }) => ends.get(id)?.far === place).length
      : branches.filter(({ id }) => ends.get(id)?.near === place).length +
        loops.reduce((sum, { from, to }) => sum + Number(from === place) + Number(to === place), 0);
  const exitPitch = ribbon + CLEAR;
  const sideOf = (place: string): number =>
    Math.max(
      side,
      side + (countOf(place, 'in') - 1) * pitch,
      (countOf(place, 'out') - 1) * exitPitch + ribbon + 2 * CLEAR,
    );

  const root = tree<Stop>()
    .nodeSize([1, 1])
    .separation((a, b) => (sideOf(a.data.id) + sideOf(b.data.id)) / 2 + Math.max(sizes.gap, pitch - side))(
    stratify<Stop>()
      .id(({ id }) => id)
      .parentId(({ parent }) => parent)(stops),
  );
  const placed = root.descendants().filter(({ id }) => id !== ROOT);
  const centerOf = new Map(placed.map(({ data, x }) => [data.id, x]));
  const rankOf = new Map(placed.map(({ data, depth }) => [data.id, depth - 1]));
  const orderOf = (place: string): number => centerOf.get(place) ?? 0;

  // Where each run leaves: the branches in the order of what they lead to, then the ends of loops.
  const exits = new Map<string, Exit[]>(stops.map(({ id }) => [id, []]));
  for (const { id } of branches.toSorted(
    (a, b) => orderOf(ends.get(a.id)?.far ?? '') - orderOf(ends.get(b.id)?.far ?? ''),
  ))
    exits.get(ends.get(id)?.near ?? '')?.push({ run: id, end: 'near' });
  for (const { id } of loops) {
    exits.get(ends.get(id)?.near ?? '')?.push({ run: id, end: 'near' });
    exits.get(ends.get(id)?.far ?? '')?.push({ run: id, end: 'far' });
  }
  const entries = new Map<string, string[]>();
  for (const { id } of branches) {
    const far = ends.get(id)?.far ?? '';
    entries.set(far, [...(entries.get(far) ?? []), id]);
  }
  const spread = (center: number, count: number, index: number, step: number): number =>
    center + (index - (count - 1) / 2) * step;
  const entryOf = (run: string): number => {
    const far = ends.get(run)?.far ?? '';
    const all = entries.get(far) ?? [];
    return spread(orderOf(far), all.length, all.indexOf(run), pitch);
  };
  const exitOf = (place: string, index: number): number => {
    const all = exits.get(place) ?? [];
    const even = spread(orderOf(place), all.length, index, exitPitch);
    // A single branch leaves where it arrives, without a jog.
    return all.length === 1 && all[0]?.end === 'near' && !ends.get(all[0].run)?.loops
      ? clamp(
          entryOf(all[0].run),
          orderOf(place) - sideOf(place) / 2 + 4,
          orderOf(place) + sideOf(place) / 2 - 4,
        )
      : even;
  };

  // The room after each rank: lanes of loops, then bends, then labels.
  const lanes = loops.length * 2;
  const bendOf = new Map<string, number>();
  let bends = 0;
  for (const [place, all] of exits) {
    const turned = all
      .map(({ run }, index) => ({ run, from: exitOf(place, index), to: entryOf(run) }))
      .filter(({ run, from, to }) => !ends.get(run)?.loops && from !== to);
    const before = turned.filter(({ from, to }) => to < from);
    const after = turned.filter(({ from, to }) => to > from).toReversed();
    for (const list of [before, after]) {
      list.forEach(({ run }, index) => bendOf.set(run, index));
      bends = Math.max(bends, list.length);
    }
  }
  const lane = (index: number): number => CLEAR + sizes.halfRibbon + index * exitPitch;
  const bendsFrom = lanes + bends > 0 ? lane(lanes) : 0;
  const labelsFrom = bendsFrom + bends * exitPitch + CLEAR;
  const corridor = labelsFrom + (label ? label.along + 2 * CLEAR : 2 * sizes.halfRibbon);
  const step = band + corridor;

  const least = Math.min(...placed.map(({ data, x }) => x - sideOf(data.id) / 2));
  /** Labels that stand before the first line need room there. */
  const head = label && right ? Math.max(label.across + sizes.halfRibbon + CLEAR - side / 2, 0) : 0;
  const shift = head - least;
  const areas = new Map(
    placed.map(({ data: { id } }) => {
      const across = orderOf(id) - sideOf(id) / 2 + shift;
      return [id, { along: (rankOf.get(id) ?? 0) * step, across, length: band, side: sideOf(id) }];
    }),
  );
  /** Where the label of a line starts across: above it, or right of it. */
  const besideOf = (line: number): number =>
    right ? line - sizes.halfRibbon - CLEAR - (label?.across ?? 0) : line + sizes.halfRibbon + CLEAR;
  const outermost = Math.max(
    ...[...areas.values()].map((one) => one.across + one.side),
    ...branches.map(({ id }) => besideOf(entryOf(id) + shift) + (label?.across ?? 0)),
  );

  const lineOf = (run: string): { points: [number, number][]; label: [number, number] | null } => {
    const { near = '', far = '' } = ends.get(run) ?? {};
    const out = (place: string, end: Exit['end']): number => {
      const index = (exits.get(place) ?? []).findIndex((one) => one.run === run && one.end === end);
      return exitOf(place, index) + shift;
    };
    const after = (place: string): number => (rankOf.get(place) ?? 0) * step + band;
    const index = loops.findIndex(({ id }) => id === run);
    if (index < 0) {
      const [start, end] = [after(near), (rankOf.get(far) ?? 0) * step];
      const [from, to] = [out(near, 'near'), entryOf(run) + shift];
      const at = start + bendsFrom + (bendOf.get(run) ?? 0) * exitPitch;
      const room = end - CLEAR - (start + labelsFrom);
      return {
        points:
          from === to
            ? [
                [start, from],
                [end, to],
              ]
            : [
                [start, from],
                [at, from],
                [at, to],
                [end, to],
              ],
        label: label && [start + labelsFrom + (room - label.along) / 2, besideOf(to)],
      };
    }
    const [a, b] = [after(near) + lane(2 * index), after(far) + lane(2 * index + 1)];
    const channel =
      outermost + CLEAR + sizes.halfRibbon + (right && label ? label.across + CLEAR : 0) + index * pitch;
    const last = Math.max(rankOf.get(near) ?? 0, rankOf.get(far) ?? 0) * step;
    return {
      points: [
        [after(near), out(near, 'near')],
        [a, out(near, 'near')],
        [a, channel],
        [b, channel],
        [b, out(far, 'far')],
        [after(far), out(far, 'far')],
      ],
      label: label && [last + (band - label.along) / 2, besideOf(channel)],
    };
  };
  const point = (along: number, across: number): MapPoint =>
    right ? { x: along, y: across } : { x: across, y: along };
  const area = (along: number, across: number, length: number, breadth: number): MapArea => ({
    ...point(along, across),
    width: right ? length : breadth,
    height: right ? breadth : length,
  });
  const nodes = new Map(
    [...areas].map(([id, one]) => [id, area(one.along, one.across, one.length, one.side)] as const),
  );
  const lines = new Map(
    known.map(({ id }) => {
      const line = lineOf(id);
      return [
        id,
        {
          points: line.points.map(([along, across]) => point(along, across)),
          label: label && line.label ? area(...line.label, label.along, label.across) : null,
        },
      ] as const;
    }),
  );
  const all = [
    ...nodes.values(),
    ...[...lines.values()].flatMap((line) => [
      ...(line.label ? [line.label] : []),
      ...line.points.map(({ x, y }) => ({
        x,
        y,
        width: sizes.halfRibbon,
        height: sizes.halfRibbon,
      })),
    ]),
  ];
  return {
    width: Math.max(...all.map(({ x, width }) => x + width)),
    height: Math.max(...all.map(({ y, height }) => y + height)),
    nodes,
    runs: lines,
  };
}

const clamp = (value: number, least: number, most: number): number => Math.min(Math.max(value, least), most);

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

/** One symbol at its full size. */
const SYMBOL = { width: 28, height: 24 };

/** Where the symbols of a box stand in it: in a row, each as large as there is room for; the middle of each. */
export function symbolRow(
  count: number,
  room: MapArea,
  centered = false,
): { readonly scale: number; readonly at: readonly MapPoint[] } {
  const scale = Math.min(1, room.width / (Math.max(count, 1) * SYMBOL.width), room.height / SYMBOL.height);
  const start = centered ? (room.width - count * SYMBOL.width * scale) / 2 : 0;
  return {
    scale,
    at: Array.from({ length: count }, (_, index) => ({
      x: room.x + start + (index + 0.5) * SYMBOL.width * scale,
      y: room.y + room.height / 2,
    })),
  };
}
