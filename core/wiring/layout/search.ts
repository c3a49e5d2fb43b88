import { groupBy } from '../../base/group-by';
import { UnionFind } from '../../base/graph/union-find';
import type { Carried } from './fit';

/** A conductor that a choice puts into a run. Choices that put the same key there share it. */
export interface Load {
  readonly run: number;
  readonly key: string;
  readonly net: Carried;
  readonly soft: boolean;
}

/** One way to serve a purpose: what it puts into the runs. `own` says what it answers for, to who asked. */
export interface Choice<Own> {
  readonly own: Own;
  readonly loads: readonly Load[];
  /** For terminals that serve two purposes: the way by which this choice reaches each, by name. */
  readonly meets: ReadonlyMap<string, number>;
}

/** What a choice brings, whoever asked. */
type Laid = Pick<Choice<unknown>, 'loads' | 'meets'>;

/** What one run costs with some conductors in it. */
export interface RunCost {
  readonly fits: boolean;
  readonly feet: number;
  readonly oddness: number;
}

export interface Terms {
  readonly runs: number;
  readonly cost: (run: number, nets: readonly Load[]) => RunCost;
  /** Feet of each run where it takes new cable, else 0. */
  readonly newFt: (run: number) => number;
}

/** How many trial placements the search makes in all before it takes the best it has. */
const TRIALS = 40_000;

export interface Found<Own> {
  readonly picks: readonly Own[];
  /** False where it stopped before all was looked at and what it has does not fit. */
  readonly sure: boolean;
}

/**
 * One choice for each purpose, together the best: what does not fit first, then new conductor-feet, then conductors,
 * then colors. Purposes whose choices differ in no common run do not see each other and are chosen apart; the rest by
 * branch and bound, cheapest first.
 */
export function chooseTogether<Own>(purposes: readonly (readonly Choice<Own>[])[], terms: Terms): Found<Own> {
  const kept = purposes.map((choices) => undominated(choices));
  const picks = kept.map(([first]) => first);
  const open = kept.flatMap((choices, index) => (choices.length > 1 ? [index] : []));
  if (open.length === 0) return { picks: picks.flatMap((pick) => (pick ? [pick.own] : [])), sure: true };

  const board = new Board(terms);
  board.put(...kept.flatMap(([only, ...others]) => (only && others.length === 0 ? [only] : [])));
  let sure = true;
  let trials = TRIALS;
  for (const part of independent(open, kept)) {
    const solved = new Branching(
      part.map((index) => kept[index] ?? []),
      board,
      terms,
      trials,
    ).solve();
    trials = solved.left;
    sure &&= solved.sure;
    solved.best.forEach((choice, at) => {
      picks[part[at] ?? 0] = choice;
      board.put(choice);
    });
  }
  return { picks: picks.flatMap((pick) => (pick ? [pick.own] : [])), sure };
}

/** Open purposes in parts: two are in one where their choices differ in a run that both may use. */
function independent<Own>(open: readonly number[], choices: readonly (readonly Choice<Own>[])[]): number[][] {
  const joined = new UnionFind(open.length);
  const firstIn = new Map<number | string, number>();
  open.forEach((purpose, at) => {
    const own = choices[purpose] ?? [];
    const counts = new Map<string, { run: number; seen: number }>();
    const touched = new Set<number | string>();
    for (const { loads, meets } of own) {
      for (const { key, run } of loads) {
        const one = counts.get(`${run} ${key}`) ?? { run, seen: 0 };
        one.seen++;
        counts.set(`${run} ${key}`, one);
      }
      for (const name of meets.keys()) touched.add(name);
    }
    for (const { run, seen } of counts.values()) if (seen < own.length) touched.add(run);
    for (const thing of touched) {
      const other = firstIn.get(thing);
      if (other === undefined) firstIn.set(thing, at);
      else joined.join(at, other);
    }
  });
  const parts = groupBy(
    open.map((purpose, at) => ({ purpose, root: joined.find(at) })),
    ({ root }) => [String(root)],
  );
  return [...parts.values()].map((part) => part.map(({ purpose }) => purpose));
}

/** Without the choices that put more into every run than another does. */
function undominated<Own>(choices: readonly Choice<Own>[]): readonly Choice<Own>[] {
  if (choices.length < 2) return choices;
  // Travelers are counted, not named: which pair of places they lead between does not matter to a run.
  const tallied = choices.map(({ loads, meets }) => {
    const tally = new Map<string, number>();
    for (const { run, key, net, soft } of loads) {
      const name = net.role === 'traveler' ? `${run} travelers` : `${run} ${key}${soft ? ' soft' : ''}`;
      tally.set(name, (tally.get(name) ?? 0) + 1);
    }
    return { tally, meets, size: loads.length };
  });
  const covers = (a: (typeof tallied)[number], b: (typeof tallied)[number]) =>
    a.size <= b.size &&
    [...a.tally].every(([name, count]) => (b.tally.get(name) ?? 0) >= count) &&
    [...a.meets].every(([name, way]) => b.meets.get(name) === way);
  return choices.filter((_, index) => {
    const own = tallied[index];
    return !tallied.some((other, at) => {
      if (at === index || !own || !covers(other, own)) return false;
      return !covers(own, other) || at < index;
    });
  });
}

type Cost = readonly [misfits: number, feet: number, conductors: number, oddness: number];

type Lying = Map<string, { readonly load: Load; times: number; hard: number }>;

/** What lies in the runs so far, and what it costs. */
class Board {
  private readonly runs: Lying[];
  private readonly costs: RunCost[];
  private readonly met = new Map<string, Map<number, number>>();
  private readonly memo = new Map<string, RunCost>();
  misfits = 0;
  feet = 0;
  conductors = 0;
  oddness = 0;
  /** Conductor-feet in new runs that fit: what their cable cannot be less than. */
  carriedFt = 0;

  constructor(private readonly terms: Terms) {
    this.runs = Array.from({ length: terms.runs }, (): Lying => new Map());
    this.costs = Array.from({ length: terms.runs }, () => NOTHING);
  }

  cost = (): Cost => [this.misfits, this.feet, this.conductors, this.oddness];

  put(...choices: readonly Laid[]): void {
    const touched = new Set<number>();
    for (const { loads } of choices) {
      for (const load of loads) {
        const run = this.runs[load.run];
        const there = run?.get(load.key);
        const hard = load.soft ? 0 : 1;
        if (there) {
          there.times++;
          // What is needed is not given up because something else could wait there.
          if (there.hard === 0 && hard > 0) touched.add(load.run);
          there.hard += hard;
        } else {
          run?.set(load.key, { load, times: 1, hard });
          this.conductors++;
          touched.add(load.run);
        }
      }
    }
    this.recount(touched);
    for (const { meets } of choices) {
      for (const [name, way] of meets) {
        const ways = this.met.get(name) ?? new Map<number, number>();
        this.met.set(name, ways);
        if (ways.size > 0 && !ways.has(way)) this.misfits++;
        ways.set(way, (ways.get(way) ?? 0) + 1);
      }
    }
  }

  take({ loads, meets }: Laid): void {
    const touched = new Set<number>();
    for (const load of loads) {
      const run = this.runs[load.run];
      const there = run?.get(load.key);
      if (!there) continue;
      there.times--;
      if (!load.soft && --there.hard === 0) touched.add(load.run);
      if (there.times === 0) {
        run?.delete(load.key);
        this.conductors--;
        touched.add(load.run);
      }
    }
    this.recount(touched);
    for (const [name, way] of meets) {
      const ways = this.met.get(name);
      const left = (ways?.get(way) ?? 1) - 1;
      if (left > 0) ways?.set(way, left);
      else ways?.delete(way);
      if (left === 0 && ways && ways.size > 0) this.misfits--;
    }
  }

  fits = (run: number): boolean => this.costs[run]?.fits ?? true;

  private recount(runs: ReadonlySet<number>): void {
    for (const run of runs) {
      this.count(run, -1);
      const laid = [...(this.runs[run]?.values() ?? [])];
      const names = laid.map(({ load: { net }, hard }) => `${net.role} ${net.domain} ${hard === 0}`);
      const key = `${run} ${names.sort().join()}`;
      let cost = this.memo.get(key);
      if (!cost) {
        cost = this.terms.cost(
          run,
          laid.map(({ load, hard }) => ({ ...load, soft: hard === 0 })),
        );
        this.memo.set(key, cost);
      }
      this.costs[run] = cost;
      this.count(run, 1);
    }
  }

  private readonly carried: number[] = [];

  private count(run: number, sign: 1 | -1): void {
    const cost = this.costs[run] ?? NOTHING;
    if (!cost.fits) this.misfits += sign;
    this.feet += sign * cost.feet;
    this.oddness += sign * cost.oddness;
    if (sign === 1) {
      this.carried[run] = cost.fits ? this.terms.newFt(run) * (this.runs[run]?.size ?? 0) : 0;
      this.carriedFt += this.carried[run];
    } else {
      this.carriedFt -= this.carried[run] ?? 0;
    }
  }
}

const NOTHING: RunCost = { fits: true, feet: 0, oddness: 0 };

/** Branch and bound over a few purposes that see each other. */
class Branching<Own> {
  private best: { readonly choices: readonly Choice<Own>[]; readonly cost: Cost } | null = null;
  private readonly chosen: Choice<Own>[] = [];
  private stopped = false;
  /** Least conductors, and conductor-feet of new cable, that the purposes from here on bring whatever is chosen. */
  private readonly ahead: { readonly conductors: number; readonly feet: number }[];
  private readonly order: readonly number[];

  constructor(
    private readonly purposes: readonly (readonly Choice<Own>[])[],
    private readonly board: Board,
    terms: Terms,
    private left: number,
  ) {
    this.order = purposes
      .map((_, index) => index)
      .sort((a, b) => (purposes[a]?.length ?? 0) - (purposes[b]?.length ?? 0) || a - b);
    this.ahead = Array.from({ length: purposes.length + 1 }, () => ({ conductors: 0, feet: 0 }));
    for (let depth = purposes.length - 1; depth >= 0; depth--) {
      const after = this.ahead[depth + 1] ?? { conductors: 0, feet: 0 };
      const own = (purposes[this.order[depth] ?? 0] ?? []).map(({ loads }) => {
        // Hots and neutrals may be shared with others; travelers and switched hots never are.
        const alone = loads.filter(({ net }) => net.role === 'traveler' || net.role === 'switched');
        return {
          conductors: alone.length,
          feet: alone.reduce((sum, { run }) => sum + terms.newFt(run), 0),
        };
      });
      this.ahead[depth] = {
        conductors: after.conductors + Math.min(...own.map(({ conductors }) => conductors)),
        feet: after.feet + Math.min(...own.map(({ feet }) => feet)),
      };
    }
  }

  solve(): { readonly best: readonly Choice<Own>[]; readonly left: number; readonly sure: boolean } {
    this.descend(0);
    const choices = this.best?.choices ?? this.purposes.flatMap(([first]) => (first ? [first] : []));
    const fits = this.best !== null && this.best.cost[0] === 0;
    return { best: choices, left: Math.max(this.left, 2_000), sure: fits || !this.stopped };
  }

  private descend(depth: number): void {
    const at = this.order[depth];
    if (at === undefined) {
      const cost = this.board.cost();
      if (!this.best || isLess(cost, this.best.cost)) {
        const choices: Choice<Own>[] = [];
        this.order.forEach((purpose, index) => {
          const choice = this.chosen[index];
          if (choice) choices[purpose] = choice;
        });
        this.best = { choices, cost };
      }
      return;
    }
    const tried = (this.purposes[at] ?? []).map((choice) => {
      this.board.put(choice);
      const cost = this.board.cost();
      const hopeless = this.cannotBeat(depth + 1);
      this.board.take(choice);
      this.left--;
      return { choice, cost, hopeless };
    });
    tried.sort((a, b) => (isLess(a.cost, b.cost) ? -1 : isLess(b.cost, a.cost) ? 1 : 0));
    for (const { choice, hopeless } of tried) {
      if (this.best && (hopeless || this.left <= 0)) {
        if (!hopeless) this.stopped = true;
        continue;
      }
      this.board.put(choice);
      if (!this.best || !this.cannotBeat(depth + 1)) {
        this.chosen[depth] = choice;
        this.descend(depth + 1);
      }
      this.board.take(choice);
    }
  }

  /** True where whatever is chosen from this depth on cannot be better than the best so far. */
  private cannotBeat(depth: number): boolean {
    if (!this.best) return false;
    const [misfits, feet, conductors, oddness] = this.best.cost;
    if (this.board.misfits !== misfits) return this.board.misfits > misfits;
    // Where something does not fit, only fitting better counts.
    if (misfits > 0) return true;
    const ahead = this.ahead[depth] ?? { conductors: 0, feet: 0 };
    const leastFt = Math.max(this.board.feet, this.board.carriedFt + ahead.feet);
    if (Math.abs(leastFt - feet) > 1e-9) return leastFt > feet;
    const least = this.board.conductors + ahead.conductors;
    if (least !== conductors) return least > conductors;
    return oddness === 0;
  }
}

const isLess = (a: Cost, b: Cost): boolean => {
  const at = a.findIndex((value, index) => Math.abs(value - (b[index] ?? 0)) > 1e-9);
  return at >= 0 && (a[at] ?? 0) < (b[at] ?? 0);
};
