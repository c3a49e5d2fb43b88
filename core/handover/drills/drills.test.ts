import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJob, demoJobs } from '../jobs/demo-house';
import { EMPTY_SCENE } from '../../site/live/scene';
import { operate } from '../../site/live/operate';
import { movables, withPlaced, withTabTurned } from '../../site/live/rewire';
import { planJob, type Plan } from '../../wiring/plan';
import { studyFaults, type Study } from '../../site/script/script';
import { bestTester, type Told } from './best-tester';
import { checkedAgainst, DRILL_KINDS, LEVELS, markOf, readCode, SEEDS, writeCode } from './code';
import { faultDrill, isFound } from './fault-drill';
import { judgedMakeUp, makeUpDrill, makeUpHint } from './make-up-drill';
import { COSTS, pointsOf, sparedBy } from './score';
import { takenIn, type Taken } from './taken';
import { bestAtWall, wallDrill, wallShows, wallTruth } from './wall-drill';
import { draws } from '../../testing/draws';

const plans: readonly Plan[] = demoJobs.flatMap((job) => {
  const outcome = planJob(job);
  return outcome.ok ? [outcome.plan] : [];
});
const studies = new Map<Plan, Study>();
const studyOf = (plan: Plan): Study => {
  const known = studies.get(plan) ?? studyFaults(plan);
  studies.set(plan, known);
  return known;
};

describe('codes', () => {
  test('what is written reads back; what is not a code is refused by what and the way out', () => {
    fc.assert(
      fc.property(
        fc.record({
          kind: fc.constantFrom(...DRILL_KINDS),
          level: fc.constantFrom(...LEVELS),
          seed: fc.nat(SEEDS - 1),
          job: fc.stringMatching(/^[a-z0-9][a-z0-9-]{0,40}$/),
          mark: fc.stringMatching(/^[0-9a-z]{4}$/),
        }),
        (code) => {
          expect(readCode(`  ${writeCode(code).toUpperCase()}\n`)).toEqual({ ok: true, value: code });
        },
      ),
    );
    fc.assert(
      fc.property(fc.string(), (text) => {
        const read = readCode(text);
        if (!read.ok) expect(read.problems[0]!.wayOut).toBeTruthy();
      }),
    );
  });
  test('a job changed is not the one that the drill was made from; renamed it is', () => {
    const job = demoJob('stair')!;
    const code = { kind: 'fault', level: 1, seed: 1, job: 'stair', mark: markOf(job) } as const;
    expect(checkedAgainst(code, job).ok).toBe(true);
    expect(checkedAgainst(code, { ...job, id: 'stair-2', name: 'Other stair' }).ok).toBe(true);
    expect(checkedAgainst(code, null).ok).toBe(false);
    const changed = { ...job, circuits: job.circuits.map((one) => ({ ...one, existingLoadVA: 77 })) };
    expect(checkedAgainst(code, changed).ok).toBe(false);
  });
});

/** Every tree there is, tried: the least weighted tests to tell a set apart. */
function bruteForce(houses: readonly Told[]): number {
  const alike = new Set(houses.map(({ shows }) => shows.join('|'))).size < 2;
  if (alike) return 0;
  const weight = houses.reduce((sum, one) => sum + one.weight, 0);
  const costs = (houses[0]?.shows ?? []).flatMap((_, at) => {
    const answers = [...new Set(houses.map(({ shows }) => shows[at]))];
    if (answers.length < 2) return [];
    return [
      answers.reduce((sum, one) => sum + bruteForce(houses.filter(({ shows }) => shows[at] === one)), weight),
    ];
  });
  return Math.min(...costs);
}

describe('the best tester', () => {
  test('takes no more tests on the average than any order of tests (every tree tried)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5 }).chain((tests) =>
          fc.array(
            fc.record({
              shows: fc.array(fc.constantFrom('a', 'b', 'c'), { minLength: tests, maxLength: tests }),
              weight: fc.integer({ min: 1, max: 9 }),
            }),
            { minLength: 1, maxLength: 6 },
          ),
        ),
        (houses) => {
          const total = houses.reduce((sum, { weight }) => sum + weight, 0);
          const best = bestTester(houses, houses[0]!.shows);
          expect(best.optimal).toBe(true);
          expect(best.expected).toBeCloseTo(bruteForce(houses) / total, 9);
          expect(best.tests).toBeLessThanOrEqual(houses[0]!.shows.length);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('find the fault', () => {
  test('a code makes the same house every time; what it hides shows; named right it is found, named wrong it is not', () => {
    for (const plan of plans) {
      const study = studyOf(plan);
      for (const level of LEVELS) {
        for (let seed = 1; seed <= draws(1, 2); seed++) {
          const drill = faultDrill(plan, study, level, seed);
          if (!drill) continue;
          const again = faultDrill(plan, study, level, seed)!;
          expect(again.hidden.map(({ id }) => id)).toEqual(drill.hidden.map(({ id }) => id));
          expect(drill.shows).not.toEqual(study.sound);
          expect(drill.best.tests).toBeGreaterThan(0);
          const ids = drill.hidden.map(({ id }) => id);
          expect(isFound(plan, study, drill, ids)).toBe(true);
          expect(isFound(plan, study, drill, [])).toBe(false);
          const key = drill.shows.join('|');
          const wrong = study.faults.find((_, index) => study.shows[index]!.join('|') !== key)!;
          if (level < 3) expect(isFound(plan, study, drill, [wrong.id])).toBe(false);
        }
      }
    }
  }, 120_000);
  test('levels: one mistake, one, and two wherever the job has two kinds', () => {
    const stair = plans.find(({ job }) => job.id === 'stair')!;
    const counts = LEVELS.map((level) => faultDrill(stair, studyOf(stair), level, 5)!.hidden.length);
    expect(counts).toEqual([1, 1, 2]);
  });
  test('readings count once a state, looks too; a live one that a dead one could have spared is told', () => {
    const plan = plans.find(({ job }) => job.id === 'sunroom-plant-shelf')!;
    const study = studyOf(plan);
    const ground = study.faults.find(({ row }) => row.id === 'F08')!;
    const at = study.faults.indexOf(ground);
    const drill = {
      hidden: [ground],
      house: ground.put({
        wiring: plan.wiring,
        circuits: plan.job.circuits,
        disturbances: [],
        openBreakers: [],
        tripped: [],
      }),
      shows: study.shows[at]!,
      best: { tests: 1, expected: 1, optimal: true },
    };
    const setting = { job: plan.job, house: drill.house };
    const plugged = operate(setting, EMPTY_SCENE, { do: 'plug', part: 'shelf-outlet/upper', what: 'tester' });
    const taken = takenIn(setting, plugged);
    expect(takenIn(setting, plugged).map(({ key }) => key)).toEqual(taken.map(({ key }) => key));
    expect(taken.map(({ live }) => live)).toEqual([true, true]);
    const tester = taken.find(({ key }) => key.startsWith('tester'))!;
    // An open ground is told dead, by ohms from the ground screw to the panel.
    expect(sparedBy(plan, study, drill, [tester])).toEqual([tester.key]);
    const off = operate(setting, plugged, { do: 'breaker', circuit: plan.job.circuits[0]!.id });
    const dead: Taken[] = takenIn(setting, off);
    expect(dead.every(({ live }) => !live)).toBe(true);
    expect(sparedBy(plan, study, drill, dead)).toEqual([]);
  });
  test('points: more tests, hints, wrong answers or touches never give more', () => {
    const count = fc.nat(20);
    fc.assert(
      fc.property(count, count, count, count, count, count, (tests, best, spared, hints, wrong, touched) => {
        const now = pointsOf({ tests, best, spared }, { hints, wrong, touched });
        expect(now).toBeGreaterThanOrEqual(0);
        expect(now).toBeLessThanOrEqual(100);
        for (const worse of [
          pointsOf({ tests: tests + 1, best, spared }, { hints, wrong, touched }),
          pointsOf({ tests, best, spared: spared + 1 }, { hints, wrong, touched }),
          pointsOf({ tests, best, spared }, { hints: hints + 1, wrong, touched }),
          pointsOf({ tests, best, spared }, { hints, wrong: wrong + 1, touched }),
          pointsOf({ tests, best, spared }, { hints, wrong, touched: touched + 1 }),
        ])
          expect(worse).toBeLessThanOrEqual(now);
      }),
    );
    expect(pointsOf({ tests: 4, best: 4, spared: 0 }, { hints: 1, wrong: 0, touched: 0 })).toBe(
      100 - COSTS.hint,
    );
  });
});

test('what is in this wall: the same wall by its code, answered alike, and the finder gets through it', () => {
  const drawn = plans.slice(0, 2).flatMap((plan, index) =>
    LEVELS.flatMap((level) => {
      const drill = wallDrill(plan, level, index);
      return drill ? [{ plan, level, seed: index, drill }] : [];
    }),
  );
  expect(drawn.length).toBeGreaterThan(4);
  for (const { plan, level, seed, drill } of drawn) {
    const again = wallDrill(plan, level, seed)!;
    expect(again.survey).toEqual(drill.survey);
    const setup = { breakers: 'on', apart: 'as found', switches: 'as they are', loadsOut: false } as const;
    const [end] = drill.survey.boxes[0]!.ends.filter(({ insulation }) => insulation === 'black');
    const probe = {
      with: 'non-contact',
      at: { on: 'conductor', cable: end!.cable, insulation: 'black' },
    } as const;
    expect(wallShows(again, seed, 3, setup, probe)).toEqual(wallShows(drill, seed, 3, setup, probe));
    const truth = wallTruth(drill);
    if (level < 3) expect(truth.ground).toBe(true);
    const best = bestAtWall(drill, seed);
    expect(best).toBeGreaterThan(0);
    expect(best).toBeLessThan(40);
  }
}, 120_000);

test('make it up: taken apart it does not stand, put back as planned it does, and a hint says where an end goes', () => {
  for (const plan of plans)
    for (const level of LEVELS) {
      const drill = makeUpDrill(plan, level, 1);
      if (!drill) continue;
      expect(makeUpDrill(plan, level, 1)).toEqual(drill);
      expect(judgedMakeUp(plan, drill.start).length).toBeGreaterThan(0);
      expect(makeUpHint(plan, drill.start)).toBeTruthy();
      const known = movables(plan.wiring);
      let by = drill.start;
      for (const end of Object.keys(by.ends)) by = withPlaced(plan.wiring, by, end, known.get(end)!.planned);
      for (const device of plan.wiring.devices.filter(({ box }) => box === drill.box))
        for (const tab of device.brokenTabs) by = withTabTurned(plan.wiring, by, device.id, tab);
      expect(makeUpHint(plan, by)).toBeNull();
      expect(judgedMakeUp(plan, by).map(({ message }) => message)).toEqual([]);
    }
});
