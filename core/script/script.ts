import { faultsOf, type Fault, type House, type Wired } from '../faults';
import { cover } from './cover';
import type { FieldTest, Outcome } from './field-test';
import { runWith, showsWith } from './parts';
import { HouseRun } from './run-house';
import { stimuliOf } from './stimuli';
import { testsOf, walkingOrder } from './tests';

/** A test of the script: what must come, and which faults it is there for. */
export interface ScriptStep {
  readonly test: FieldTest;
  readonly expected: Outcome;
  readonly tells: readonly Fault[];
}

export interface TestScript {
  readonly steps: readonly ScriptStep[];
  /** Faults that only a look finds. */
  readonly look: readonly Fault[];
  /** Faults that change nothing which any test reads. */
  readonly unseen: readonly Fault[];
  /** Faults that some test shows; every one of them is told by a step. */
  readonly seen: number;
  /** Every instrument, place and state. */
  readonly naive: number;
  readonly greedy: number;
  /** No script does with fewer. */
  readonly bound: number;
}

/** Every fault of a job against every test: what each shows in each house. */
export interface Study {
  readonly tests: readonly FieldTest[];
  readonly faults: readonly Fault[];
  readonly sound: readonly Outcome[];
  /** By fault, what each test shows. */
  readonly shows: readonly (readonly Outcome[])[];
}

/** Tries every fault in every place, and tells after each how many of how many were tried. */
export function* studying(wired: Wired): Generator<{ readonly done: number; readonly of: number }, Study> {
  const tests = testsOf(wired, stimuliOf(wired));
  const run = runWith(wired, []);
  const sound = tests.map((test) => run.outcome(test));
  const faults = faultsOf(wired);
  const shows: (readonly Outcome[])[] = [];
  for (const fault of faults) {
    shows.push(fault.row.look ? sound : showsWith(wired, fault, tests, sound));
    yield { done: shows.length, of: faults.length };
  }
  return { tests, faults, sound, shows };
}

/** The same at once. */
export function studyFaults(wired: Wired): Study {
  const steps = studying(wired);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** What every test shows in a house, whatever it is. */
export const outcomes = (house: House, tests: readonly FieldTest[]): Outcome[] => {
  const run = new HouseRun(house);
  return tests.map((test) => run.outcome(test));
};

/** A dead test costs less than a live one that tells as much. */
const LIVE_RISK = 1;

/** The fewest tests that tell every faulty house from the sound one, in walking order. */
export function scriptOf(wired: Wired, { tests, faults, sound, shows }: Study): TestScript {
  const tells = tests.map(({ live, effort }) => ({
    cost: effort + (live ? LIVE_RISK : 0),
    tells: [] as number[],
  }));
  shows.forEach((own, fault) =>
    own.forEach((shown, index) => {
      if (shown !== sound[index]) tells[index]?.tells.push(fault);
    }),
  );
  const useful = tells.flatMap((one, index) => (one.tells.length > 0 ? [{ ...one, index }] : []));
  const { taken, greedy, bound } = cover(useful, faults.length);
  const order = walkingOrder(wired);
  const steps = taken
    .flatMap((at) => {
      const one = useful[at];
      const test = one && tests[one.index];
      const expected = one && sound[one.index];
      if (!one || !test || expected === undefined) return [];
      return [{ test, expected, tells: one.tells.flatMap((fault) => faults[fault] ?? []) }];
    })
    .sort(
      (a, b) =>
        Number(a.test.live) - Number(b.test.live) ||
        order.indexOf(a.test.box) - order.indexOf(b.test.box) ||
        a.test.stimulus.key.localeCompare(b.test.stimulus.key),
    );
  const told = new Set(useful.flatMap((one) => one.tells));
  return {
    steps,
    look: faults.filter(({ row }) => row.look),
    unseen: faults.filter(({ row }, index) => !row.look && !told.has(index)),
    seen: told.size,
    naive: tests.length,
    greedy,
    bound,
  };
}
