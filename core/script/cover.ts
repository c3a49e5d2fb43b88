/** A test with what it costs and what it tells: the numbers of the faults whose house it shows as not sound. */
export interface Candidate {
  readonly cost: number;
  readonly tells: readonly number[];
}

export interface Cover {
  /** Numbers of the candidates taken. */
  readonly taken: readonly number[];
  /** How many a greedy choice takes. */
  readonly greedy: number;
  /** No choice does with fewer: as many faults as these are told by no test in common. */
  readonly bound: number;
}

/** Steps after which the search for a smaller cover is left as it stands. */
const MOST_STEPS = 20_000;

/**
 * The fewest candidates that tell every fault that any of them tells; of as many, the cheaper. Greedy first, then what
 * is not needed goes, then a bounded search for fewer.
 */
export function cover(candidates: readonly Candidate[], faults: number): Cover {
  const by: number[][] = Array.from({ length: faults }, () => []);
  candidates.forEach(({ tells }, index) => tells.forEach((fault) => by[fault]?.push(index)));
  const asked = by.flatMap((own, fault) => (own.length > 0 ? [fault] : []));
  const greedy = withoutSpare(greedily(candidates, asked), candidates, asked);
  const bound = apart(by, asked);
  const best = greedy.length > bound ? fewer(greedy, candidates, by, asked, bound) : greedy;
  return { taken: best, greedy: greedy.length, bound };
}

function greedily(candidates: readonly Candidate[], asked: readonly number[]): number[] {
  const open = new Set(asked);
  const taken: number[] = [];
  while (open.size > 0) {
    let [best, most, cheapest] = [-1, 0, Number.POSITIVE_INFINITY];
    candidates.forEach(({ tells, cost }, index) => {
      if (tells.length < most) return;
      const told = tells.reduce((sum, fault) => (open.has(fault) ? sum + 1 : sum), 0);
      if (told > most || (told === most && told > 0 && cost < cheapest))
        [best, most, cheapest] = [index, told, cost];
    });
    if (best < 0) break;
    taken.push(best);
    for (const fault of candidates[best]?.tells ?? []) open.delete(fault);
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
  const cost = (index: number) => candidates[index]?.cost ?? 0;
  const kept = new Set(taken);
  for (const index of [...taken].sort((a, b) => cost(b) - cost(a))) {
    if (of(index).some((fault) => needed.has(fault) && counts.get(fault) === 1)) continue;
    kept.delete(index);
    for (const fault of of(index)) counts.set(fault, (counts.get(fault) ?? 0) - 1);
  }
  return taken.filter((index) => kept.has(index));
}

/** How many faults no test tells two of, found one after the other from those that fewest tests tell. */
function apart(by: readonly (readonly number[])[], asked: readonly number[]): number {
  const used = new Set<number>();
  let count = 0;
  for (const fault of [...asked].sort((a, b) => (by[a]?.length ?? 0) - (by[b]?.length ?? 0))) {
    const own = by[fault] ?? [];
    if (own.some((index) => used.has(index))) continue;
    count += 1;
    for (const index of own) used.add(index);
  }
  return count;
}

/** A smaller cover where a bounded search finds one: branches on the fault that fewest tests tell. */
function fewer(
  start: readonly number[],
  candidates: readonly Candidate[],
  by: readonly (readonly number[])[],
  asked: readonly number[],
  bound: number,
): number[] {
  let best = [...start];
  let steps = 0;
  const visit = (taken: readonly number[], open: ReadonlySet<number>): void => {
    steps += 1;
    if (steps > MOST_STEPS || best.length <= bound) return;
    if (open.size === 0) {
      if (taken.length < best.length) best = [...taken];
      return;
    }
    if (taken.length + 1 >= best.length) return;
    let rarest = -1;
    for (const fault of open)
      if (rarest < 0 || (by[fault]?.length ?? 0) < (by[rarest]?.length ?? 0)) rarest = fault;
    const ways = (by[rarest] ?? [])
      .map((index) => ({ index, told: (candidates[index]?.tells ?? []).filter((one) => open.has(one)) }))
      .sort((a, b) => b.told.length - a.told.length)
      .slice(0, 12);
    for (const { index, told } of ways) {
      const rest = new Set(open);
      for (const fault of told) rest.delete(fault);
      visit([...taken, index], rest);
    }
  };
  visit([], new Set(asked));
  return best;
}
