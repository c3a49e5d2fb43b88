import type { Outcome } from '../../site/script/field-test';

/** What may be wrong, as far as tests tell it apart. */
export interface Told {
  /** What each test shows. */
  readonly shows: readonly Outcome[];
  readonly weight: number;
}

export interface BestTester {
  /** Tests until only the mistake that is there is left. */
  readonly tests: number;
  /** The same over all mistakes, by how common they are. */
  readonly expected: number;
  /** True where no order of tests does with fewer on the average; else none was found. */
  readonly optimal: boolean;
}

/** Sets of mistakes that are looked at before the search goes on greedily. */
const MOST_SETS = 4000;

/**
 * The tester who always asks what tells most: a decision tree over the mistakes, of the fewest tests on the average. The
 * search is exhaustive while sets are few, and greedy by entropy beyond; nothing is asked that tells nothing.
 */
export function bestTester(houses: readonly Told[], hidden: readonly Outcome[]): BestTester {
  const classes = new Map<string, { shows: readonly Outcome[]; weight: number }>();
  for (const { shows, weight } of houses) {
    const key = shows.join('|');
    classes.set(key, { shows, weight: (classes.get(key)?.weight ?? 0) + weight });
  }
  const own = [...classes.values()];
  const tree = new Tree(own);
  const all = own.map((_, index) => index);
  const best = tree.best(all);
  const total = own.reduce((sum, { weight }) => sum + weight, 0);
  return {
    tests: tree.depthOf(all, hidden.join('|')),
    expected: total > 0 ? best / total : 0,
    optimal: tree.optimal,
  };
}

interface Split {
  readonly cost: number;
  readonly parts: readonly (readonly number[])[];
}

class Tree {
  optimal = true;
  private sets = 0;
  private readonly known = new Map<string, Split>();
  private readonly questions: readonly (readonly Outcome[])[];

  constructor(
    private readonly houses: readonly { readonly shows: readonly Outcome[]; readonly weight: number }[],
  ) {
    // Tests that part the mistakes alike are one question.
    const distinct = new Map<string, Outcome[]>();
    (houses[0]?.shows ?? []).forEach((_, test) => {
      const answers = houses.map(({ shows }) => shows[test] ?? '');
      const first = new Map<string, number>();
      const pattern = answers.map((one) => first.get(one) ?? (first.set(one, first.size), first.size - 1));
      if (first.size > 1) distinct.set(pattern.join(','), answers);
    });
    this.questions = [...distinct.values()];
  }

  /** Weighted tests that a set still takes at the best. */
  best = (set: readonly number[]): number => (set.length < 2 ? 0 : this.split(set).cost);

  /** Tests on the way to one mistake. */
  depthOf(set: readonly number[], key: string): number {
    let [here, depth] = [set, 0];
    while (here.length > 1) {
      const { parts } = this.split(here);
      const next = parts.find((part) => part.some((index) => this.houses[index]?.shows.join('|') === key));
      if (!next || next.length === here.length) return depth;
      [here, depth] = [next, depth + 1];
    }
    return depth;
  }

  private split(set: readonly number[]): Split {
    const key = set.join(',');
    const before = this.known.get(key);
    if (before) return before;
    this.sets++;
    const weight = this.weightOf(set);
    const ways = this.questions
      .flatMap((answers) => {
        const parts = new Map<Outcome, number[]>();
        for (const index of set) {
          const one = answers[index] ?? '';
          const part = parts.get(one);
          if (part) part.push(index);
          else parts.set(one, [index]);
        }
        if (parts.size < 2) return [];
        const own = [...parts.values()];
        return [{ parts: own, floor: own.reduce((sum, part) => sum + this.floor(part), 0) }];
      })
      .sort((a, b) => a.floor - b.floor);
    let best: Split = { cost: Number.POSITIVE_INFINITY, parts: [set] };
    for (const { parts, floor } of ways) {
      if (weight + floor >= best.cost) break;
      const cost = weight + parts.reduce((sum, part) => sum + this.best(part), 0);
      if (cost < best.cost) best = { cost, parts };
      if (this.sets > MOST_SETS) {
        this.optimal = this.optimal && ways.length < 2;
        break;
      }
    }
    if (!Number.isFinite(best.cost)) best = { cost: 0, parts: [set] };
    this.known.set(key, best);
    return best;
  }

  private weightOf = (set: readonly number[]): number =>
    set.reduce((sum, index) => sum + (this.houses[index]?.weight ?? 0), 0);

  /** No tree does with less: entropy over the most answers a question has. */
  private floor(set: readonly number[]): number {
    if (set.length < 2) return 0;
    const total = this.weightOf(set);
    const bits = set.reduce((sum, index) => {
      const weight = this.houses[index]?.weight ?? 0;
      return weight > 0 ? sum - weight * Math.log2(weight / total) : sum;
    }, 0);
    return Math.max(bits / Math.log2(this.most), total);
  }

  private get most(): number {
    return (this.answers ??= Math.max(2, ...this.questions.map((answers) => new Set(answers).size)));
  }
  private answers: number | undefined;
}
