import { groupBy } from '../../base/group-by';
import { UnionFind } from '../../base/graph/union-find';
import { type Choice, type Terms, Board, type Cost } from './board';

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
