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
export type Cost = readonly [misfits: number, feet: number, conductors: number, oddness: number];
type Lying = Map<string, { readonly load: Load; times: number; hard: number }>;

/** What lies in the runs so far, and what it costs. */
export class Board {
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
