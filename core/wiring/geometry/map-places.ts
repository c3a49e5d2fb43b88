import { stratify, tree } from 'd3-hierarchy';
import { PANEL, type Design } from '../../job/model/design';
import { CLEAR, type Ruler } from './map-sizes';

/** Above all that is reached from the panel, and what is not. */
const ROOT = ' ';
interface Stop {
  readonly id: string;
  readonly parent: string | null;
}

/** One end of a run at the far side of a place. */
export interface Exit {
  readonly run: string;
  readonly end: 'near' | 'far';
}

/** The runs as branches from the panel outward, and those that close a loop. */
export class Ways {
  readonly stops: readonly Stop[];
  readonly places: readonly string[];
  readonly runs: Design['runs'];
  readonly loops: Design['runs'];
  readonly branches: Design['runs'];
  private readonly ends: ReadonlyMap<string, { readonly near: string; readonly far: string }>;

  constructor({ boxes, runs }: Pick<Design, 'boxes' | 'runs'>) {
    this.stops = stopsOf(boxes, runs);
    const parents = new Map(this.stops.map(({ id, parent }) => [id, parent]));
    this.places = this.stops.flatMap(({ id }) => (id === ROOT ? [] : [id]));
    this.runs = runs.filter(({ from, to }) => parents.has(from) && parents.has(to));
    this.ends = new Map(
      this.runs.map(({ id, from, to }) => [
        id,
        parents.get(from) === to ? { near: to, far: from } : { near: from, far: to },
      ]),
    );
    const isLoop = ({ id }: { readonly id: string }) => parents.get(this.far(id)) !== this.near(id);
    this.loops = this.runs.filter(isLoop);
    this.branches = this.runs.filter((run) => !isLoop(run));
  }

  near = (run: string): string => this.ends.get(run)?.near ?? '';
  far = (run: string): string => this.ends.get(run)?.far ?? '';
  isLoop = (run: string): boolean => this.loops.some(({ id }) => id === run);
  /** Runs that arrive at a place, in their order. */
  into = (place: string): readonly string[] =>
    this.branches.flatMap(({ id }) => (this.far(id) === place ? [id] : []));
  countOut = (place: string): number =>
    this.branches.filter(({ id }) => this.near(id) === place).length +
    this.loops.reduce((sum, { from, to }) => sum + Number(from === place) + Number(to === place), 0);
}

/** Each place in its rank from the panel and across it, with the lines by which its runs arrive and leave. */
export class Places {
  private readonly across: ReadonlyMap<string, number>;
  private readonly ranks: ReadonlyMap<string, number>;
  readonly exits: ReadonlyMap<string, readonly Exit[]>;

  constructor(
    private readonly ways: Ways,
    private readonly ruler: Ruler,
  ) {
    const { side, pitch, sizes } = ruler;
    const root = tree<Stop>()
      .nodeSize([1, 1])
      .separation(
        (a, b) => (this.sideOf(a.data.id) + this.sideOf(b.data.id)) / 2 + Math.max(sizes.gap, pitch - side),
      )(
      stratify<Stop>()
        .id(({ id }) => id)
        .parentId(({ parent }) => parent)([...ways.stops]),
    );
    const placed = root.descendants();
    this.across = new Map(placed.map(({ data, x }) => [data.id, x]));
    this.ranks = new Map(placed.map(({ data, depth }) => [data.id, depth - 1]));
    this.exits = this.exitsOf();
  }

  orderOf = (place: string): number => this.across.get(place) ?? 0;
  rankOf = (place: string): number => this.ranks.get(place) ?? 0;
  least = (): number => Math.min(...this.ways.places.map((id) => this.orderOf(id) - this.sideOf(id) / 2));

  /** How wide a place is across: as wide as the runs on its wider side. */
  sideOf(place: string): number {
    const { side, pitch, exitPitch, ribbon } = this.ruler;
    return Math.max(
      side,
      side + (this.ways.into(place).length - 1) * pitch,
      (this.ways.countOut(place) - 1) * exitPitch + ribbon + 2 * CLEAR,
    );
  }

  entryOf(run: string): number {
    const far = this.ways.far(run);
    const all = this.ways.into(far);
    return spread(this.orderOf(far), all.length, all.indexOf(run), this.ruler.pitch);
  }

  exitOf(place: string, index: number): number {
    const all = this.exits.get(place) ?? [];
    const [only] = all;
    // A single branch leaves where it arrives, without a jog.
    if (all.length === 1 && only?.end === 'near' && !this.ways.isLoop(only.run)) {
      const [center, half] = [this.orderOf(place), this.sideOf(place) / 2 - 4];
      return clamp(this.entryOf(only.run), center - half, center + half);
    }
    return spread(this.orderOf(place), all.length, index, this.ruler.exitPitch);
  }

  /** Where each run leaves: the branches in the order of what they lead to, then the ends of loops. */
  private exitsOf(): ReadonlyMap<string, readonly Exit[]> {
    const { ways } = this;
    const exits = new Map<string, Exit[]>(ways.stops.map(({ id }) => [id, []]));
    const leave = (place: string, run: string, end: Exit['end']) => exits.get(place)?.push({ run, end });
    for (const { id } of ways.branches.toSorted(
      (a, b) => this.orderOf(ways.far(a.id)) - this.orderOf(ways.far(b.id)),
    ))
      leave(ways.near(id), id, 'near');
    for (const { id } of ways.loops) {
      leave(ways.near(id), id, 'near');
      leave(ways.far(id), id, 'far');
    }
    return exits;
  }
}

const spread = (center: number, count: number, index: number, step: number): number =>
  center + (index - (count - 1) / 2) * step;

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
