/** A test with what it takes and what it tells: the numbers of the faults whose house it shows as not sound. */
export interface Candidate {
  /** Minutes of its own. */
  readonly cost: number;
  /** What is switched, plugged in or opened for it, and the minutes that takes: once for all tests that share it. */
  readonly setup: string;
  readonly setupCost: number;
  readonly tells: readonly number[];
}

export interface Cover {
  /** Numbers of the candidates taken. */
  readonly taken: readonly number[];
  readonly minutes: number;
  readonly setups: number;
  /** No choice takes fewer minutes: of faults that no test tells two of, each wants its cheapest. */
  readonly bound: number;
}

/** Steps after which the search for a cheaper cover is left as it stands. */
const MOST_STEPS = 20_000;

/**
 * The cheapest candidates that tell every fault that any of them tells, set-ups shared. Greedy first, then what is not
 * needed goes, then a bounded search for what is cheaper.
 */
export function cover(candidates: readonly Candidate[], faults: number): Cover {
  const by: number[][] = Array.from({ length: faults }, () => []);
  candidates.forEach(({ tells }, index) => tells.forEach((fault) => by[fault]?.push(index)));
  const asked = by.flatMap((own, fault) => (own.length > 0 ? [fault] : []));
  const bound = apart(candidates, by, asked);
  const start = withoutSpare(greedily(candidates, asked), candidates, asked);
  const taken = cheaper(start, candidates, by, asked, bound);
  return { taken, ...priceOf(taken, candidates), bound };
}

/** What a choice takes. */
function priceOf(
  taken: readonly number[],
  candidates: readonly Candidate[],
): Pick<Cover, 'minutes' | 'setups'> {
  const setups = new Map<string, number>();
  let minutes = 0;
  for (const index of taken) {
    const one = candidates[index];
    if (!one) continue;
    minutes += one.cost;
    setups.set(one.setup, one.setupCost);
  }
  for (const own of setups.values()) minutes += own;
  return { minutes, setups: setups.size };
}

function greedily(candidates: readonly Candidate[], asked: readonly number[]): number[] {
  const open = new Set(asked);
  const ready = new Set<string>();
  const taken: number[] = [];
  while (open.size > 0) {
    let [best, most] = [-1, 0];
    candidates.forEach(({ tells, cost, setup, setupCost }, index) => {
      const price = cost + (ready.has(setup) ? 0 : setupCost);
      if (tells.length / price <= most) return;
      const told = tells.reduce((sum, fault) => (open.has(fault) ? sum + 1 : sum), 0);
      if (told / price > most) [best, most] = [index, told / price];
    });
    const one = candidates[best];
    if (!one) break;
    taken.push(best);
    ready.add(one.setup);
    for (const fault of one.tells) open.delete(fault);
  }
  return taken;
}

/** Without those whose every fault another one tells too, dearest first. */
function withoutSpare(
  taken: readonly number[],
  candidates: readonly Candidate[],
  asked: readonly number[],
): number[] {
  const counts = new Map<number, number>();
  const of = (index: number) => candidates[index]?.tells ?? [];
  for (const index of taken) for (const fault of of(index)) counts.set(fault, (counts.get(fault) ?? 0) + 1);
  const needed = new Set(asked);
  const saves = (index: number) => {
    const without = taken.filter((one) => one !== index);
    return priceOf(taken, candidates).minutes - priceOf(without, candidates).minutes;
  };
  const kept = new Set(taken);
  for (const index of [...taken].sort((a, b) => saves(b) - saves(a))) {
    if (of(index).some((fault) => needed.has(fault) && counts.get(fault) === 1)) continue;
    kept.delete(index);
    for (const fault of of(index)) counts.set(fault, (counts.get(fault) ?? 0) - 1);
  }
  return taken.filter((index) => kept.has(index));
}

/** Minutes that no choice goes below, from faults no two of which one test tells: the hardest to tell first. */
function apart(
  candidates: readonly Candidate[],
  by: readonly (readonly number[])[],
  asked: readonly number[],
): number {
  const used = new Set<number>();
  let minutes = 0;
  for (const fault of [...asked].sort((a, b) => (by[a]?.length ?? 0) - (by[b]?.length ?? 0))) {
    const own = by[fault] ?? [];
    if (own.some((index) => used.has(index))) continue;
    minutes += Math.min(...own.map((index) => candidates[index]?.cost ?? 0));
    for (const index of own) used.add(index);
  }
  return minutes;
}

/** A cheaper cover where a bounded search finds one: branches on the fault that fewest tests tell. */
function cheaper(
  start: readonly number[],
  candidates: readonly Candidate[],
  by: readonly (readonly number[])[],
  asked: readonly number[],
  bound: number,
): readonly number[] {
  let best = start;
  let least = priceOf(start, candidates).minutes;
  let steps = 0;
  const visit = (
    taken: readonly number[],
    spent: number,
    ready: ReadonlySet<string>,
    open: ReadonlySet<number>,
  ): void => {
    steps += 1;
    if (steps > MOST_STEPS || least <= bound) return;
    if (open.size === 0) {
      if (spent < least) [best, least] = [taken, spent];
      return;
    }
    let rarest = -1;
    for (const fault of open)
      if (rarest < 0 || (by[fault]?.length ?? 0) < (by[rarest]?.length ?? 0)) rarest = fault;
    const ways = (by[rarest] ?? [])
      .flatMap((index) => {
        const one = candidates[index];
        if (!one) return [];
        const price = one.cost + (ready.has(one.setup) ? 0 : one.setupCost);
        return [{ index, one, price, told: one.tells.filter((fault) => open.has(fault)) }];
      })
      .sort((a, b) => b.told.length / b.price - a.told.length / a.price)
      .slice(0, 12);
    for (const { index, one, price, told } of ways) {
      if (spent + price >= least) continue;
      const rest = new Set(open);
      for (const fault of told) rest.delete(fault);
      visit([...taken, index], spent + price, new Set([...ready, one.setup]), rest);
    }
  };
  visit([], 0, new Set(), new Set(asked));
  return best;
}
