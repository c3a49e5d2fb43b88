import { faultsOf, type Fault, type House, type Wired } from '../../power/faults';
import { cover } from './cover';
import type { FieldTest, Outcome } from './field-test';
import { runWith, showsWith } from './parts';
import { HouseRun } from './run-house';
import { stimuliOf } from './stimuli';
import { testsOf, walkingOrder } from './tests';

/**
 * Two grades of a script. *Before the covers*: with the tools at hand, nothing opened again, no live screw touched: the
 * plug-in tester in each half, every switch worked, TEST and RESET, a load plugged in, the breaker off and a look again
 * (common practice). *Full proof*: what only a lead to the panel, a clamp, or a meter behind the plate tells as well.
 */
export const GRADES = ['before the covers', 'full proof'] as const;
export type Grade = (typeof GRADES)[number];

/** A test of the script: what must come, and which faults it is there for. */
export interface ScriptStep {
  readonly test: FieldTest;
  readonly grade: Grade;
  readonly expected: Outcome;
  readonly tells: readonly Fault[];
}

/** What the tests of a grade take. */
export interface GradeCost {
  readonly minutes: number;
  readonly setups: number;
  /** No choice of such tests takes fewer minutes. */
  readonly bound: number;
}

export interface TestScript {
  readonly steps: readonly ScriptStep[];
  readonly costs: Readonly<Record<Grade, GradeCost>>;
  /** Faults that the first grade does not tell, and the full proof does. */
  readonly untold: readonly Fault[];
  /** Faults that only a look, or a pull at a conductor, finds. */
  readonly look: readonly Fault[];
  /** Faults that change nothing which any test reads. */
  readonly unseen: readonly Fault[];
  /** Faults that some test shows; every one of them is told by a step. */
  readonly seen: number;
  /** Every instrument, place and state. */
  readonly naive: number;
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

/** The cheapest tests that tell every faulty house from the sound one: what is at hand first, then what only more tells. */
export function scriptOf(wired: Wired, { tests, faults, sound, shows }: Study): TestScript {
  const tells: number[][] = tests.map(() => []);
  shows.forEach((own, fault) =>
    own.forEach((shown, index) => {
      if (shown !== sound[index]) tells[index]?.push(fault);
    }),
  );
  const candidates = tests.map(({ own, setup }, index) => ({
    cost: own,
    setup: setup.key,
    setupCost: setup.minutes,
    tells: tells[index] ?? [],
  }));
  const all = tests.map((_, index) => index).filter((index) => (tells[index]?.length ?? 0) > 0);
  /** Of some tests the cheapest that tell what is asked of all they tell. */
  const chosen = (of: readonly number[], asked: (fault: number) => boolean) => {
    const { taken, ...cost } = cover(
      of.flatMap((index) => {
        const one = candidates[index];
        return one ? [{ ...one, tells: one.tells.filter(asked) }] : [];
      }),
      faults.length,
    );
    return { taken: taken.flatMap((at) => of[at] ?? []), cost };
  };
  const first = chosen(
    all.filter((index) => tests[index]?.reach === 'outside'),
    () => true,
  );
  const told = new Set(first.taken.flatMap((index) => tells[index] ?? []));
  const more = chosen(all, (fault) => !told.has(fault));
  const seen = new Set(all.flatMap((index) => tells[index] ?? []));
  const order = walkingOrder(wired);
  const turn = new Map(tests.map(({ setup }, index) => [setup.key, index]));
  const steps = ([first, more] as const).flatMap(({ taken }, grade) =>
    taken
      .flatMap((index): ScriptStep[] => {
        const [test, expected] = [tests[index], sound[index]];
        if (!test || expected === undefined) return [];
        const own = (tells[index] ?? []).flatMap((fault) => faults[fault] ?? []);
        return [{ test, grade: GRADES[grade] ?? 'full proof', expected, tells: own }];
      })
      .sort(
        (a, b) =>
          Number(a.test.live) - Number(b.test.live) ||
          (turn.get(a.test.setup.key) ?? 0) - (turn.get(b.test.setup.key) ?? 0) ||
          order.indexOf(a.test.box) - order.indexOf(b.test.box),
      ),
  );
  return {
    steps,
    costs: { 'before the covers': first.cost, 'full proof': more.cost },
    untold: faults.filter((_, index) => seen.has(index) && !told.has(index)),
    look: faults.filter(({ row }, index) => row.look || (row.byTug && !seen.has(index))),
    unseen: faults.filter(({ row }, index) => !row.look && !row.byTug && !seen.has(index)),
    seen: seen.size,
    naive: tests.length,
  };
}
