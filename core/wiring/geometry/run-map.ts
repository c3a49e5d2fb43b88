import type { Design } from '../../job/model/design';
import { Places, Ways, type Exit } from './map-places';
import {
  CLEAR,
  MAP_SIZES,
  Ruler,
  type Block,
  type Line,
  type MapArea,
  type MapDirection,
  type MapPoint,
  type MapSizes,
  type Spot,
} from './map-sizes';

/*
 * The map of runs as pure data: boxes in ranks from the panel outward, each run a line of its own, each label beside
 * its run and over none. Units are those of the screen. Everything is worked out along the runs and across them, and
 * turned to the right or downward at the end.
 */

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

/** Places the boxes of a job from the panel outward, and lays its runs; where loops close they go round at the end. */
export function runMap(
  job: Pick<Design, 'boxes' | 'runs'>,
  direction: MapDirection,
  sizes: MapSizes = MAP_SIZES,
): RunMap {
  const ways = new Ways(job);
  const ruler = new Ruler(sizes, direction === 'RIGHT');
  const places = new Places(ways, ruler);
  const gaps = new Gaps(ways, places, ruler);
  const runs = new Map(
    ways.runs.map(({ id }) => [id, ruler.drawn(lineOf(id, ways, places, gaps, ruler))] as const),
  );
  const nodes = new Map(ways.places.map((id) => [id, ruler.area(gaps.areaOf(id))] as const));
  const all = [
    ...nodes.values(),
    ...[...runs.values()].flatMap(({ label, points }) => [
      ...(label ? [label] : []),
      ...points.map(({ x, y }) => ({ x, y, width: sizes.halfRibbon, height: sizes.halfRibbon })),
    ]),
  ];
  return {
    width: Math.max(...all.map(({ x, width }) => x + width)),
    height: Math.max(...all.map(({ y, height }) => y + height)),
    nodes,
    runs,
  };
}

/** The room after each rank: lanes of loops, then bends, then labels; and what it comes to for every place. */
class Gaps {
  private readonly bendOf = new Map<string, number>();
  readonly bendsFrom: number;
  readonly labelsFrom: number;
  /** From one rank to the next. */
  readonly step: number;
  /** What every place is moved across so that nothing lies before the beginning. */
  readonly shift: number;
  /** Where the outermost box or label ends, across. */
  readonly outermost: number;

  constructor(
    ways: Ways,
    private readonly places: Places,
    private readonly ruler: Ruler,
  ) {
    const { label, right, band, side, sizes, exitPitch } = ruler;
    const bends = this.bend(ways);
    const lanes = ways.loops.length * 2;
    this.bendsFrom = lanes + bends > 0 ? ruler.lane(lanes) : 0;
    this.labelsFrom = this.bendsFrom + bends * exitPitch + CLEAR;
    this.step = band + this.labelsFrom + (label ? label.along + 2 * CLEAR : 2 * sizes.halfRibbon);
    // Labels that stand before the first line need room there.
    const head = label && right ? Math.max(label.across + sizes.halfRibbon + CLEAR - side / 2, 0) : 0;
    this.shift = head - places.least();
    this.outermost = Math.max(
      ...ways.places.map((id) => this.areaOf(id).at[1] + this.areaOf(id).breadth),
      ...ways.branches.map(({ id }) => ruler.besideOf(this.entryOf(id)) + (label?.across ?? 0)),
    );
  }

  /** Gives each run that must turn its bend; how many there are beside each other at most. */
  private bend(ways: Ways): number {
    let most = 0;
    for (const [place, all] of this.places.exits) {
      const turned = all
        .map(({ run }, index) => ({
          run,
          from: this.places.exitOf(place, index),
          to: this.places.entryOf(run),
        }))
        .filter(({ run, from, to }) => !ways.isLoop(run) && from !== to);
      const before = turned.filter(({ from, to }) => to < from);
      const after = turned.filter(({ from, to }) => to > from).toReversed();
      for (const list of [before, after]) {
        list.forEach(({ run }, index) => this.bendOf.set(run, index));
        most = Math.max(most, list.length);
      }
    }
    return most;
  }

  startOf = (place: string): number => this.places.rankOf(place) * this.step;
  endOf = (place: string): number => this.startOf(place) + this.ruler.band;
  bendAt = (run: string, place: string): number =>
    this.endOf(place) + this.bendsFrom + (this.bendOf.get(run) ?? 0) * this.ruler.exitPitch;
  entryOf = (run: string): number => this.places.entryOf(run) + this.shift;
  exitOf(place: string, run: string, end: Exit['end']): number {
    const all = this.places.exits.get(place) ?? [];
    const index = all.findIndex((one) => one.run === run && one.end === end);
    return this.places.exitOf(place, index) + this.shift;
  }
  areaOf(place: string): Block {
    const breadth = this.places.sideOf(place);
    const across = this.places.orderOf(place) - breadth / 2 + this.shift;
    return { at: [this.startOf(place), across], length: this.ruler.band, breadth };
  }
}

/** The bends of a run, and where its label stands. */
function lineOf(run: string, ways: Ways, places: Places, gaps: Gaps, ruler: Ruler): Line {
  const [near, far] = [ways.near(run), ways.far(run)];
  const { label, right, band, sizes, pitch } = ruler;
  const index = ways.loops.findIndex(({ id }) => id === run);
  if (index < 0) {
    const [start, end] = [gaps.endOf(near), gaps.startOf(far)];
    const [from, to] = [gaps.exitOf(near, run, 'near'), gaps.entryOf(run)];
    const at = gaps.bendAt(run, near);
    const bends: readonly Spot[] =
      from === to
        ? []
        : [
            [at, from],
            [at, to],
          ];
    const room = end - CLEAR - (start + gaps.labelsFrom);
    return {
      points: [[start, from], ...bends, [end, to]],
      label: label && [start + gaps.labelsFrom + (room - label.along) / 2, ruler.besideOf(to)],
    };
  }
  const [out, back] = [gaps.exitOf(near, run, 'near'), gaps.exitOf(far, run, 'far')];
  const [a, b] = [gaps.endOf(near) + ruler.lane(2 * index), gaps.endOf(far) + ruler.lane(2 * index + 1)];
  const beside = right && label ? label.across + CLEAR : 0;
  const channel = gaps.outermost + CLEAR + sizes.halfRibbon + beside + index * pitch;
  const last = Math.max(places.rankOf(near), places.rankOf(far)) * gaps.step;
  return {
    points: [
      [gaps.endOf(near), out],
      [a, out],
      [a, channel],
      [b, channel],
      [b, back],
      [gaps.endOf(far), back],
    ],
    label: label && [last + (band - label.along) / 2, ruler.besideOf(channel)],
  };
}
