import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJob, demoJobs } from '../../handover/jobs/demo-house';
import type { Design } from '../../job/model/design';
import { inBox } from '../../job/model/in-box';
import type { Tick } from '../../job/model/record';
import { draws } from '../../testing/draws';
import { exposed, type Worked } from '../../testing/exposed';
import { anyJob } from '../../testing/random-jobs';
import { dice } from '../../base/dice';
import { makeUpSteps } from '../../wiring/makeup/steps';
import { tickOf } from '../../wiring/makeup/ticks';
import { planJob, type Plan } from '../../wiring/plan';
import { mixedHouse } from './mixed';
import { stopsOf, type NotSafe } from './stops';

/*
 * Where one may stop in the middle of the work: random jobs, a random part of their steps done, box after box as they are made
 * up and now and then out of order. A judge that shares no code with network, solver and proof says what is live there.
 */
const RUNS = draws(120, 10_000);

const planned = (job: Design): Plan | null => {
  const outcome = planJob(job);
  return outcome.ok ? outcome.plan : null;
};

/** Some boxes made up, some begun, some not; the steps of a begun one mostly in their order. */
function someTicks(plan: Plan, random: () => number): Tick[] {
  const at = new Date('2026-01-05T08:00:00Z');
  return plan.job.boxes.flatMap(({ id }) => {
    const steps = makeUpSteps(plan, id);
    const share = random() < 0.35 ? 1 : random() < 0.3 ? 0 : random();
    const done = steps.slice(0, Math.round(steps.length * share));
    const skipped = random() < 0.2 ? Math.floor(random() * done.length) : -1;
    return done.filter((_, index) => index !== skipped).map((step) => tickOf(id, step, at));
  });
}

/** The same, told to the judge as what each done step handled. */
function workOf(plan: Plan, ticks: readonly Tick[]): Map<string, Worked> {
  const { states } = mixedHouse(plan, ticks);
  return new Map(
    plan.job.boxes.flatMap(({ id }): [string, Worked][] => {
      if (states.get(id) === 'not in work') return [];
      const steps = makeUpSteps(plan, id);
      const did = new Set(ticks.filter(({ box }) => box === id).map(({ step }) => step));
      const done = steps.filter((step) => did.has(step.id));
      const of = (lands: boolean) =>
        new Set(done.flatMap(({ stage, touches }) => ((stage === 'land') === lands ? touches : [])));
      return [[id, { closed: done.length === steps.length, landed: of(true), made: of(false) }]];
    }),
  );
}

const isTouchable = ({ is }: NotSafe): boolean => is === 'bare end' || is === 'open box';
const asItWas = (plan: Plan, ticks: readonly Tick[]) =>
  new Set(
    [...mixedHouse(plan, ticks).states].flatMap(([box, state]) => (state === 'as it was' ? [box] : [])),
  );

describe('where one may stop', () => {
  test(`${RUNS} random parts of random work: nothing live can be touched where a breaker may be on, and every reason is true`, () => {
    const seen = { jobs: 0, on: 0, off: 0, helped: 0 };
    for (const [index, job] of fc.sample(anyJob, { numRuns: RUNS * 4, seed: 27 }).entries()) {
      const plan = planned(job);
      if (!plan || seen.jobs >= RUNS) continue;
      seen.jobs++;
      const ticks = someTicks(plan, dice(index));
      const worked = workOf(plan, ticks);
      const unknown = asItWas(plan, ticks);
      const stops = stopsOf(plan, ticks);
      const judged = (on: readonly string[], work = worked) =>
        exposed(plan.job, plan.wiring, work, new Set(on));
      const all = judged(stops.flatMap(({ on, circuit }) => (on ? [circuit] : [])));
      const known = (set: ReadonlySet<string>) => [...set].filter((one) => !unknown.has(one.split(' ')[0]!));
      expect({ job: index, ends: known(all.ends), boxes: known(all.boxes) }).toEqual({
        job: index,
        ends: [],
        boxes: [],
      });
      for (const stop of stops) {
        if (stop.on) seen.on++;
        else seen.off++;
        const alone = judged([stop.circuit]);
        const why = stop.why.filter(isTouchable);
        const together =
          stop.why.length > 0 && alone.ends.size + alone.boxes.size === 0 && stop.first === null;
        if (together) continue;
        const said = {
          ends: why.flatMap((one) => (one.is === 'bare end' ? [`${one.box} ${one.point}`] : [])).length,
          boxes: why.flatMap((one) => (one.is === 'open box' ? [one.box] : [])).sort(),
        };
        expect({ job: index, circuit: stop.circuit, ...said }).toEqual({
          job: index,
          circuit: stop.circuit,
          ends: known(alone.ends).length,
          boxes: known(alone.boxes).sort(),
        });
        if (stop.on || stop.first === null) continue;
        seen.helped++;
        // What is to be done first leaves nothing bare and no live box open.
        const covered = new Set(stop.first.flatMap((one) => (one.do === 'cover' ? [one.box] : [])));
        const capped = new Set(
          stop.first.flatMap((one) => (one.do === 'cap' ? [`${one.box} ${one.point}`] : [])),
        );
        expect(known(alone.boxes).filter((box) => !covered.has(box))).toEqual([]);
        expect(capped.size).toBe(said.ends);
      }
    }
    process.stdout.write(`stops: ${JSON.stringify(seen)}\n`);
    expect(seen.jobs).toBe(RUNS);
    for (const count of [seen.on, seen.off, seen.helped]) expect(count).toBeGreaterThan(RUNS / 10);
  });

  test('nothing done and all done: what is new is dead or made up, and every breaker may be on', () => {
    for (const { id } of demoJobs) {
      const plan = planned(demoJob(id)!);
      if (!plan) continue;
      const at = new Date('2026-01-05T08:00:00Z');
      const all = plan.job.boxes.flatMap((box) =>
        makeUpSteps(plan, box.id).map((step) => tickOf(box.id, step, at)),
      );
      expect([id, stopsOf(plan, all).filter(({ on }) => !on)]).toEqual([id, []]);
    }
  });

  test('a box that was begun is apart, though the job changes nothing in it', () => {
    let begun = 0;
    for (const { id } of demoJobs) {
      const plan = planned(demoJob(id)!);
      if (!plan) continue;
      for (const [box, state] of mixedHouse(plan, []).states) {
        const steps = makeUpSteps(plan, box);
        const last = steps.at(-1);
        if (state !== 'not in work' || steps.length < 2 || !last) continue;
        begun++;
        const ticks = [tickOf(box, last, new Date('2026-01-05T08:00:00Z'))];
        expect([id, box, mixedHouse(plan, ticks).states.get(box)]).toEqual([id, box, 'open']);
      }
    }
    expect(begun).toBeGreaterThan(0);
  });

  test('a box that is to be changed and was not opened yet: its circuits stay off, whatever is done elsewhere', () => {
    let found = 0;
    for (const { id } of demoJobs) {
      const plan = planned(demoJob(id)!);
      if (!plan) continue;
      const unknown = asItWas(plan, []);
      for (const box of unknown) {
        found++;
        const circuits = new Set(
          inBox(plan.wiring, box).cables.flatMap(({ conductors }) =>
            conductors.flatMap(({ circuit }) => circuit ?? []),
          ),
        );
        for (const stop of stopsOf(plan, []).filter(({ circuit }) => circuits.has(circuit)))
          expect({
            id,
            on: stop.on,
            known: stop.why.some((one) => one.is === 'not known' && one.box === box),
          }).toEqual({
            id,
            on: false,
            known: true,
          });
      }
    }
    expect(found).toBeGreaterThan(0);
  });
});
