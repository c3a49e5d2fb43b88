import { weighed, WRONG_READING, type Belief } from '../diagnose/belief';
import { entropy, mostTelling } from '../diagnose/narrowing';
import type { Fault, Wired } from '../../power/faults';
import type { FieldTest, Outcome } from './field-test';
import { runWith, type Run } from './parts';
import type { Study } from './script';
import { agrees } from './agrees';

/** What a test showed. */
export interface FieldReading {
  readonly test: string;
  readonly shows: Outcome;
  /** What was seen without an instrument and comes to this reading: all of it is one piece of evidence. */
  readonly symptom?: string | null | undefined;
}

/** Mistakes that no test tells apart, as one: none for the house as planned, two where one alone does not explain it. */
export interface Suspect {
  /** In each way that it can be: the faults that are there together. */
  readonly ways: readonly (readonly Fault[])[];
  readonly weight: number;
  readonly against: readonly FieldReading[];
  /** How many of those are evidence of their own. */
  readonly weightAgainst: number;
}

export interface Diagnosis {
  /** Most plausible first. */
  readonly suspects: readonly Suspect[];
  /** Share of the belief that it is something else: the suspects have the rest. */
  readonly unknown: number;
  /** The test that tells most for its effort, or one that is to be taken again; null where none tells anything. */
  readonly next: FieldTest | null;
  /** True where `next` was read before, and what was read does not fit. */
  readonly retake: boolean;
  /** `sound`: nothing speaks against the plan. `sure`: one suspect, and no reading is at odds with it. */
  readonly verdict: 'sound' | 'sure' | 'open' | 'contradiction';
}

/** How much likelier a house is sound than wrong in one given way. A plausible figure. */
const SOUND = 200;
/** The same where something was seen to be wrong: it was not read off an instrument in passing. */
const SOUND_THOUGH_SEEN = 0.1;
/** How likely a mistake is that is none of the catalog, and how often it shows just what was read. Plausible figures. */
const UNKNOWN = 2;
const UNKNOWN_SHOWS = 0.15;
/** How often a reading that does not fit is taken before it is believed. */
const TAKES = 3;
/** Share of the belief from which a suspect is named alone. */
const SURE = 0.9;
/** Readings at odds with every single fault from which two at once are thought of. */
const PAIRS_FROM = 1;
/** Single faults that are paired: those that explain most of what does not fit the plan. */
const PAIRED = 50;
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
  const takes = new Map<string, number>();
  const own = readings.flatMap((reading) => {
    const test = number.get(reading.test);
    if (test === undefined) return [];
    const take = (takes.get(reading.test) ?? 0) + 1;
    takes.set(reading.test, take);
    return [{ ...reading, at: test, take }];
  });
  const places = new Map<string, number>();
  for (const { row } of study.faults) places.set(row.id, (places.get(row.id) ?? 0) + 1);
  const singles: Hypothesis[] = [
    {
      faults: [],
      shows: (test) => study.sound[test] ?? '',
      prior: own.some(({ symptom }) => symptom) ? SOUND_THOUGH_SEEN : SOUND,
    },
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
      explains:
        ({ at, shows: read }) =>
        ({ shows }) =>
          agrees(read, shows(at)),
      // Taken again it is evidence of its own: a slip is not made twice alike.
      evidence: ({ test, take, symptom }) => symptom ?? `${test} ${take}`,
    });
  let beliefs = judge(singles);
  const explained = beliefs.some(
    ({ of, weightAgainst }) => of.faults.length > 0 && weightAgainst < PAIRS_FROM,
  );
  if (!explained && (beliefs[0]?.weightAgainst ?? 0) >= PAIRS_FROM && own.length > 1)
    beliefs = judge([...singles, ...pairs(wired, study, beliefs, own)]);
  const unknown = unknownShare(beliefs);
  const suspects = alike(beliefs, study).map((one) => ({ ...one, weight: one.weight * (1 - unknown) }));
  const [first] = suspects;
  // What the most believed house does not explain is read again before anything else is.
  const rival = suspects.slice(1).find(({ weightAgainst }) => weightAgainst < 2);
  const told = nextTest(beliefs.slice(0, LOOKED), study, new Set(takes.keys()));
  const doubted = first?.against.length ? first.against : told === null ? (rival?.against ?? []) : [];
  const odd = doubted.find(({ test }) => (takes.get(test) ?? 0) < TAKES);
  const again = odd && study.tests[number.get(odd.test) ?? -1];
  const sound = first !== undefined && first.ways.some((way) => way.length === 0);
  return {
    suspects,
    unknown,
    ...(again ? { next: again, retake: true } : { next: told, retake: false }),
    verdict:
      first === undefined || first.weightAgainst > 1
        ? 'contradiction'
        : sound && first.against.length === 0
          ? 'sound'
          : first.weight >= SURE && first.against.length === 0 && stands(suspects)
            ? 'sure'
            : 'open',
  };
}

/**
 * Whatever was read at odds with the plan, a mistake outside of the catalog would explain it too, though less likely just
 * so: with every odd reading that a known one foretells, its share shrinks.
 */
function unknownShare(beliefs: readonly Judged[]): number {
  const sound = beliefs.find(({ of }) => of.faults.length === 0);
  if (!sound || sound.weightAgainst === 0) return 0;
  // What the house as planned weighs is known before and after: it is the measure of the others.
  const total = sound.weight > 0 ? (sound.of.prior * WRONG_READING ** sound.weightAgainst) / sound.weight : 0;
  const own = UNKNOWN * UNKNOWN_SHOWS ** sound.weightAgainst;
  return own / (own + total);
}

/** A single reading makes no verdict: whatever else it might be is at odds with two. */
const stands = (suspects: readonly Suspect[]): boolean =>
  suspects.slice(1).every(({ weightAgainst }) => weightAgainst >= 2);

type Read = FieldReading & { readonly at: number; readonly take: number };
type Judged = Belief<Read> & { readonly of: Hypothesis };

/**
 * Two faults at once: among those single ones that explain something of what does not fit, one of each that no test
 * tells apart. What the two do together is energized, since one may hide or change what the other shows.
 */
function pairs(
  wired: Wired,
  study: Study,
  beliefs: readonly Judged[],
  readings: readonly Read[],
): Hypothesis[] {
  const odd = readings.filter(({ at, shows }) => !agrees(shows, study.sound[at] ?? ''));
  // What a fault changes, another one may change further: it helps, though less than one that explains the reading.
  const helps = ({ of }: Judged) =>
    odd.reduce((sum, { at, shows }) => {
      const own = of.shows(at);
      return agrees(shows, own) ? sum + 2 : own !== study.sound[at] ? sum + 1 : sum;
    }, 0);
  const classes = classesOf(study);
  // Two of each class: both ends of a conductor may be loose at once.
  const seen = new Map<string, number>();
  const likely = beliefs
    .flatMap((judged) => {
      const [fault] = judged.of.faults;
      const key = fault && classes.get(fault.id);
      const times = key === undefined ? 2 : (seen.get(key) ?? 0);
      if (key === undefined || times >= 2) return [];
      const own = helps(judged);
      if (own === 0) return [];
      seen.set(key, times + 1);
      return [{ judged, key, again: times > 0, helps: own }];
    })
    .sort(
      (a, b) => Number(a.again) - Number(b.again) || b.helps - a.helps || b.judged.weight - a.judged.weight,
    )
    .slice(0, PAIRED);
  const found: Hypothesis[] = [];
  likely.forEach(({ judged: { of: first }, key, again }, index) => {
    if (again) return;
    for (const { judged, key: other, again: twice } of likely.slice(index + 1)) {
      const second = judged.of;
      if (twice && other !== key) continue;
      const [a, b] = [first.faults[0], second.faults[0]];
      if (!a || !b) continue;
      found.push(pairOf(wired, study, a, b, (first.prior * second.prior) / SOUND));
    }
  });
  return found;
}

/** Pairs that are kept with what they were seen to show: the next question asks most of them again. */
const MOST_KEPT = 2000;
const kept = new WeakMap<Study, Map<string, Hypothesis['shows']>>();

/** Two faults at once; the house is wired when something of it is asked, and each test tried once. */
function pairOf(wired: Wired, study: Study, a: Fault, b: Fault, prior: number): Hypothesis {
  const known = kept.get(study) ?? new Map<string, Hypothesis['shows']>();
  kept.set(study, known);
  const key = JSON.stringify([a.id, b.id]);
  const before = known.get(key);
  if (before) return { faults: [a, b], prior, shows: before };
  let run: Run | null = null;
  const seen: Outcome[] = [];
  const shows = (at: number): Outcome => {
    const test = study.tests[at];
    if (!test) return '';
    run ??= runWith(wired, [a, b]);
    return (seen[at] ??= run.outcome(test));
  };
  if (known.size >= MOST_KEPT) known.clear();
  known.set(key, shows);
  return { faults: [a, b], prior, shows };
}

const classed = new WeakMap<Study, ReadonlyMap<string, string>>();
/** By fault, what every test shows: the same for faults that no test tells apart. */
function classesOf(study: Study): ReadonlyMap<string, string> {
  const known =
    classed.get(study) ??
    new Map(study.faults.map(({ id }, index) => [id, (study.shows[index] ?? []).join('|')]));
  classed.set(study, known);
  return known;
}

/** Hypotheses that every test shows alike, as one suspect; of a pair, every way that its two can be. */
function alike(beliefs: readonly Judged[], study: Study): Suspect[] {
  const classes = classesOf(study);
  const members = new Map<string, Fault[]>();
  for (const fault of study.faults) {
    const key = classes.get(fault.id) ?? '';
    if (!fault.row.look) members.set(key, [...(members.get(key) ?? []), fault]);
  }
  const groups = new Map<
    string,
    {
      ways: (readonly Fault[])[];
      weight: number;
      weightAgainst: number;
      against: readonly FieldReading[];
    }
  >();
  for (const { of, weight, against, weightAgainst } of beliefs) {
    const keys = of.faults.map(({ id }) => classes.get(id) ?? '');
    const key = keys.length === 0 ? study.sound.join('|') : [...keys].sort().join(' + ');
    const known = groups.get(key);
    if (known) {
      if (of.faults.length < 2) known.ways.push(of.faults);
      known.weight += weight;
      continue;
    }
    const [first, second] = keys.map((one) => members.get(one) ?? []);
    const ways = first && second ? first.flatMap((a) => second.map((b) => [a, b])) : [of.faults];
    groups.set(key, {
      ways,
      weight,
      weightAgainst,
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
  // The outcomes of one test at a time: each a bit, in the order in which hypotheses show them.
  let asked: FieldTest | null = null;
  let at = -1;
  let bits: Outcome[] = [];
  const [best] = mostTelling(
    {
      looked,
      allows: ({ of }, test: FieldTest) => {
        if (test !== asked) [asked, at, bits] = [test, numbers.get(test.id) ?? -1, []];
        const shows = of.shows(at);
        const known = bits.indexOf(shows);
        return 1 << Math.min(known < 0 ? bits.push(shows) - 1 : known, 30);
      },
      uncertainty: entropy,
    },
    study.tests.filter(({ id }) => !taken.has(id)),
    1,
  );
  return best?.test ?? null;
}
