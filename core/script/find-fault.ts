import { weighed, type Belief } from '../diagnose/belief';
import { entropy, mostTelling } from '../diagnose/narrowing';
import { soundHouse, type Fault, type Wired } from '../faults';
import type { FieldTest, Outcome } from './field-test';
import { HouseRun } from './run-house';
import type { Study } from './script';

/** What a test showed. */
export interface FieldReading {
  readonly test: string;
  readonly shows: Outcome;
}

/** Mistakes that no test tells apart, as one: none for the house as planned, two where one alone does not explain it. */
export interface Suspect {
  /** In each way that it can be: the faults that are there together. */
  readonly ways: readonly (readonly Fault[])[];
  readonly weight: number;
  readonly against: readonly FieldReading[];
}

export interface Diagnosis {
  /** Most plausible first. */
  readonly suspects: readonly Suspect[];
  /** The test that tells most for its effort; null where none tells anything. */
  readonly next: FieldTest | null;
  /** `sound`: nothing speaks against the plan. `sure`: one suspect, and no reading is at odds with it. */
  readonly verdict: 'sound' | 'sure' | 'open' | 'contradiction';
}

/** How much likelier a house is sound than wrong in one given way. A plausible figure. */
const SOUND = 200;
/** Share of the belief from which a suspect is named alone. */
const SURE = 0.9;
/** Readings at odds with every single fault from which two at once are thought of. */
const PAIRS_FROM = 1;
/** Single faults that are paired: those that explain most of what does not fit the plan. */
const PAIRED = 60;
/** Suspects that a next test is weighed by. */
const LOOKED = 60;

interface Hypothesis {
  readonly faults: readonly Fault[];
  readonly shows: (test: number) => Outcome;
  readonly prior: number;
}

/** What may be wrong, given what was read; two at once where no single one explains it. */
export function findFault(wired: Wired, study: Study, readings: readonly FieldReading[]): Diagnosis {
  const number = new Map(study.tests.map(({ id }, index) => [id, index]));
  const own = readings.flatMap((reading) => {
    const test = number.get(reading.test);
    return test === undefined ? [] : [{ ...reading, at: test }];
  });
  const places = new Map<string, number>();
  for (const { row } of study.faults) places.set(row.id, (places.get(row.id) ?? 0) + 1);
  const singles: Hypothesis[] = [
    { faults: [], shows: (test) => study.sound[test] ?? '', prior: SOUND },
    ...study.faults.flatMap((fault, index): Hypothesis[] =>
      fault.row.look
        ? []
        : [
            {
              faults: [fault],
              shows: (test) => study.shows[index]?.[test] ?? '',
              prior: fault.row.weight / (places.get(fault.row.id) ?? 1),
            },
          ],
    ),
  ];
  const judge = (hypotheses: readonly Hypothesis[]) =>
    weighed(hypotheses, own, {
      prior: ({ prior }) => prior,
      explains: ({ shows }, { at, shows: read }) => shows(at) === read,
      evidence: ({ test }) => test,
    });
  let beliefs = judge(singles);
  if ((beliefs[0]?.weightAgainst ?? 0) >= PAIRS_FROM && own.length > 1)
    beliefs = judge([...singles, ...pairs(wired, study, beliefs, own)]);
  const suspects = alike(beliefs, study);
  const [first] = suspects;
  const sound = first !== undefined && first.ways.some((way) => way.length === 0);
  return {
    suspects,
    next: nextTest(beliefs.slice(0, LOOKED), study, new Set(own.map(({ test }) => test))),
    verdict:
      first === undefined || first.against.length > 1
        ? 'contradiction'
        : sound && first.against.length === 0
          ? 'sound'
          : first.weight >= SURE && first.against.length === 0
            ? 'sure'
            : 'open',
  };
}

type Judged = Belief<FieldReading & { readonly at: number }> & { readonly of: Hypothesis };

/** Two faults at once: among those single ones that explain something of what does not fit. */
function pairs(
  wired: Wired,
  study: Study,
  beliefs: readonly Judged[],
  readings: readonly (FieldReading & { readonly at: number })[],
): Hypothesis[] {
  const odd = readings.filter(({ at, shows }) => study.sound[at] !== shows);
  const helps = ({ of }: Judged) => odd.filter(({ at, shows }) => of.shows(at) === shows).length;
  const likely = beliefs
    .filter((one) => one.of.faults.length === 1 && helps(one) > 0)
    .sort((a, b) => helps(b) - helps(a) || b.weight - a.weight)
    .slice(0, PAIRED);
  const found: Hypothesis[] = [];
  likely.forEach((one, index) => {
    for (const other of likely.slice(index + 1)) {
      const explained = odd.every(
        ({ at, shows }) => one.of.shows(at) === shows || other.of.shows(at) === shows,
      );
      if (!explained) continue;
      const [a, b] = [one.of.faults[0], other.of.faults[0]];
      if (!a || !b || a.id === b.id) continue;
      const run = lazily(() => new HouseRun(b.put(a.put(soundHouse(wired)))));
      const known = new Map<number, Outcome>();
      found.push({
        faults: [a, b],
        prior: (one.of.prior * other.of.prior) / SOUND,
        shows: (at) => {
          const before = known.get(at);
          if (before !== undefined) return before;
          const test = study.tests[at];
          const shows = test ? run().outcome(test) : '';
          known.set(at, shows);
          return shows;
        },
      });
    }
  });
  return found;
}

function lazily<T>(make: () => T): () => T {
  let made: T | null = null;
  return () => (made ??= make());
}

/** Hypotheses that every test shows alike, as one suspect. Pairs stand alone: not every test was tried on them. */
function alike(beliefs: readonly Judged[], study: Study): Suspect[] {
  const groups = new Map<
    string,
    { ways: (readonly Fault[])[]; weight: number; against: readonly FieldReading[] }
  >();
  for (const { of, weight, against } of beliefs) {
    const key =
      of.faults.length > 1
        ? of.faults.map(({ id }) => id).join(' + ')
        : study.tests.map((_, test) => of.shows(test)).join('|');
    const known = groups.get(key);
    if (known) {
      known.ways.push(of.faults);
      known.weight += weight;
    } else
      groups.set(key, {
        ways: [of.faults],
        weight,
        against: against.map(({ test, shows }) => ({ test, shows })),
      });
  }
  return [...groups.values()].sort((a, b) => b.weight - a.weight);
}

/** The next test: expected narrowing for effort and risk, among tests that were not taken yet. */
function nextTest(beliefs: readonly Judged[], study: Study, taken: ReadonlySet<string>): FieldTest | null {
  const total = beliefs.reduce((sum, { weight }) => sum + weight, 0);
  if (total <= 0) return null;
  const looked = beliefs.map(({ of, weight }) => ({ of, weight: weight / total }));
  const numbers = new Map(study.tests.map(({ id }, index) => [id, index]));
  const bits = new Map<string, Map<Outcome, number>>();
  const [best] = mostTelling(
    {
      looked,
      allows: ({ of }, test: FieldTest) => {
        const own = bits.get(test.id) ?? new Map<Outcome, number>();
        bits.set(test.id, own);
        const shows = of.shows(numbers.get(test.id) ?? -1);
        const bit = own.get(shows) ?? 1 << Math.min(own.size, 30);
        own.set(shows, bit);
        return bit;
      },
      uncertainty: (weights) => {
        const sum = weights.reduce((so, weight) => so + weight, 0);
        return sum > 0 ? entropy(weights.map((weight) => weight / sum)) : 0;
      },
    },
    study.tests.filter(({ id }) => !taken.has(id)),
    1,
  );
  return best?.test ?? null;
}
