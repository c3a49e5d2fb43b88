import type { Fault, Wired } from '../../power/faults';
import { groupBy } from '../../base/group-by';
import { canShow, isLoaded, type FieldTest, type Instrument, type Outcome } from './field-test';
import { findFault, type Diagnosis, type FieldReading, type Suspect } from './find-fault';
import { scriptOf, type Grade, type GradeCost, type Study } from './script';
import { symptomsOf, type Symptom } from './symptoms';
import { say } from '../../base/words/script';
import { TestWords } from './words';

/** A reading as it is kept and as it is said. */
export interface ShownReading {
  readonly code: Outcome;
  readonly says: string;
}

/** A test, ready to show: where one stands, what is switched, what is done, what can come. */
export interface ShownTest {
  readonly id: string;
  /** The box where it is done, and its name. */
  readonly at: string;
  readonly box: string;
  readonly instrument: Instrument;
  readonly live: boolean;
  readonly state: string;
  readonly what: string;
  /** What comes where the house is as planned. */
  readonly expected: ShownReading;
  /** What else it can show: what some mistake makes it show first. */
  readonly others: readonly ShownReading[];
  /** True where any figure of volts can be read, and so entered. */
  readonly figure: boolean;
}

export interface ShownFault {
  readonly id: string;
  /** The mistake, where it is, and both together. */
  readonly name: string;
  readonly place: string;
  readonly says: string;
  readonly shows: string;
  readonly fix: string;
  readonly box: string;
  /** Ends, terminals, splices, tabs and conductors that it lights in the drawing. */
  readonly points: readonly string[];
}

export interface ShownScript {
  /** Each with the mistakes it tells: how many, and their names. */
  readonly steps: readonly (ShownTest & {
    readonly grade: Grade;
    readonly tells: number;
    readonly names: readonly string[];
  })[];
  readonly costs: Readonly<Record<Grade, GradeCost>>;
  /** Mistakes that the tests before the covers do not tell: each kind once, with how many places it can be in. */
  readonly untold: readonly { readonly name: string; readonly places: number; readonly weight: number }[];
  /** What can be seen to be wrong without an instrument, by the name of its place. */
  readonly symptoms: readonly (Symptom & { readonly place: string })[];
  /** Mistakes that only a look finds, and those that nothing finds. */
  readonly look: readonly ShownFault[];
  readonly unseen: readonly ShownFault[];
  /** Mistakes that the steps tell: all that any instrument shows. */
  readonly told: number;
  /** Tests of a script of every instrument, place and state. */
  readonly naive: number;
}

/** One mistake, or two at once, with all places where it can be: one rank for all of them. */
export interface ShownSuspect {
  /** What it is called: the names of its mistakes; none where the house is as planned. */
  readonly names: readonly string[];
  readonly weight: number;
  /** The faults that are there together, the likeliest place first, with its share of the belief. */
  readonly ways: readonly { readonly faults: readonly ShownFault[]; readonly weight: number }[];
  /** Places that are not shown. */
  readonly more: number;
  readonly against: readonly FieldReading[];
  /** What tells one of its places from another by hand; "" where it has but one. */
  readonly byHand: string;
}

export interface ShownDiagnosis {
  readonly verdict: Diagnosis['verdict'];
  readonly suspects: readonly ShownSuspect[];
  /** Share of the belief that it is a mistake which Split Tap does not know. */
  readonly unknown: number;
  readonly next: ShownTest | null;
  readonly retake: boolean;
}

/** Suspects shown, and ways shown of one: those after them are far less plausible, or no test tells them apart. */
const SUSPECTS = 6;
const WAYS = 6;

/** Script and diagnosis of one job in words. */
export class FieldReport {
  private readonly words: TestWords;
  private readonly numbers: ReadonlyMap<string, number>;

  constructor(
    private readonly wired: Wired,
    private readonly study: Study,
  ) {
    this.words = new TestWords(wired);
    this.numbers = new Map(study.tests.map(({ id }, index) => [id, index]));
  }

  /** True where the job has such a test. */
  knows = (test: string): boolean => this.numbers.has(test);

  script(): ShownScript {
    const { steps, costs, untold, look, unseen, seen, naive } = scriptOf(this.wired, this.study);
    return {
      steps: steps.map(({ test, grade, tells }) => ({
        ...this.test(test),
        grade,
        tells: tells.length,
        names: [...new Set(tells.map(({ row }) => row.name))],
      })),
      symptoms: symptomsOf(this.wired, this.study).map((one) => ({ ...one, place: this.words.box(one.box) })),
      look: look.map(this.fault),
      unseen: unseen.map(this.fault),
      told: seen,
      naive,
      costs,
      untold: [...groupBy(untold, ({ row }) => [row.id])]
        .flatMap(([, own]) => {
          const [one] = own;
          return one ? [{ name: one.row.name, places: own.length, weight: one.row.weight }] : [];
        })
        .sort((a, b) => b.weight - a.weight),
    };
  }

  find(readings: readonly FieldReading[]): ShownDiagnosis {
    const { verdict, suspects, unknown, next, retake } = findFault(this.wired, this.study, readings);
    return {
      verdict,
      unknown,
      retake,
      next: next && this.test(next),
      suspects: this.ranked(suspects).slice(0, SUSPECTS),
    };
  }

  /** Suspects by what they are: the same mistake in another place is no other mistake. */
  private ranked(suspects: readonly Suspect[]): ShownSuspect[] {
    const kindOf = (way: Suspect['ways'][number]) =>
      way
        .map(({ row }) => row.id)
        .sort()
        .join('+');
    const ways = suspects.flatMap((suspect) =>
      suspect.ways.map((faults) => ({
        faults,
        weight: suspect.weight / suspect.ways.length,
        against: suspect.against,
      })),
    );
    return [...groupBy(ways, ({ faults }) => [kindOf(faults)]).values()]
      .map((all): ShownSuspect => {
        const own = [...all].sort((a, b) => b.weight - a.weight);
        const [first] = own;
        const rows = (first?.faults ?? []).map(({ row }) => row);
        return {
          names: rows.map(({ name }) => name),
          weight: own.reduce((sum, { weight }) => sum + weight, 0),
          ways: own.slice(0, WAYS).map(({ faults, weight }) => ({ faults: faults.map(this.fault), weight })),
          more: Math.max(0, own.length - WAYS),
          against: first?.against ?? [],
          byHand:
            own.length > 1
              ? [...new Set(rows.map(({ byHand }) => byHand ?? say('report.byLook')))].join(' ')
              : '',
        };
      })
      .sort((a, b) => b.weight - a.weight);
  }

  private test(test: FieldTest): ShownTest {
    const at = this.numbers.get(test.id) ?? -1;
    const expected = this.study.sound[at] ?? '';
    // What mistakes make it show comes first; whatever else it can truly show has its button too.
    const others = new Set([...this.study.shows.map((own) => own[at] ?? ''), ...canShow(test)]);
    others.delete(expected);
    const shown = (code: Outcome): ShownReading => ({ code, says: this.words.reading(test, code) });
    return {
      id: test.id,
      at: test.box,
      box: this.words.box(test.box),
      instrument: test.instrument,
      live: test.live,
      state: this.words.state(test),
      what: this.words.what(test),
      expected: shown(expected),
      others: [...others].map(shown),
      figure: isLoaded(test),
    };
  }

  boxName = (id: string): string => this.words.box(id);

  readonly fault = (fault: Fault): ShownFault => ({
    id: fault.id,
    name: fault.row.name,
    place: fault.place,
    says: this.words.fault(fault),
    shows: fault.row.shows,
    fix: fault.row.fix,
    box: fault.box,
    points: fault.points,
  });
}
