import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { dice } from '../../base/dice';
import { sure } from '../../base/sure';
import { demoJobs } from '../../handover/jobs/demo-house';
import { isHome, PANEL, type Design } from '../../job/model/design';
import type { Tick } from '../../job/model/record';
import { endId } from '../../job/model/wiring';
import { draws } from '../../testing/draws';
import { exposed, type Worked } from '../../testing/exposed';
import { anyJob } from '../../testing/random-jobs';
import { renamed, wideJob } from '../../testing/wide-jobs';
import { drawBox } from '../../wiring/geometry/box-drawing';
import { makeUpSteps } from '../../wiring/makeup/steps';
import { tickOf } from '../../wiring/makeup/ticks';
import { planJob, type Plan } from '../../wiring/plan';
import { EXAMPLE_SHOP } from '../takeoff/shop';
import { laborMinutes } from '../takeoff/quote';
import { houseAfter } from './along';
import { standingOf } from './done';
import { plannedDay, type DayPlan, type TimedTask } from './plan-day';
import { tasksOf } from './tasks';
import type { JobTasks } from './together';

/*
 * What must hold of every day: random jobs, alone and two or three of a house, put in order with a small effort, judged by what is
 * read off the wiring itself. NFPA 70E for who works live and what is proved dead; the order of the trade is common practice.
 */
const RUNS = draws(400, 5000);

const planned = (job: Design): Plan | null => {
  const outcome = planJob(job);
  return outcome.ok ? outcome.plan : null;
};
const { minutes } = EXAMPLE_SHOP;
const jobTasks = (plan: Plan, walls: 'open' | 'finished' | 'as planned' = 'as planned'): JobTasks => ({
  job: plan.job.id,
  plan,
  tasks: tasksOf(plan, { minutes, walls }),
  done: new Set(),
});

/** Half of what is there already, at random: boxes, their devices and the runs between two of them. */
function partly(job: Design, random: () => number): Design {
  const old = new Set(job.boxes.flatMap(({ id }) => (random() < 0.5 ? [id] : [])));
  const alive = (place: string) => place === PANEL || old.has(place);
  return {
    ...job,
    boxes: job.boxes.map((box) => ({
      ...box,
      existing: old.has(box.id),
      family: old.has(box.id) || random() < 0.5 ? box.family : 'cut-in',
    })),
    devices: job.devices.map((device) => ({ ...device, was: old.has(device.box) && random() < 0.6 })),
    runs: job.runs.map((run) =>
      alive(run.from) && alive(run.to) && run.existing === null && random() < 0.8
        ? { ...run, existing: '14-3' as const }
        : run,
    ),
    circuits: job.circuits.map((circuit) => ({ ...circuit, fresh: old.size === 0 && circuit.fresh })),
  };
}

const CREWS = [
  [{ name: '', qualified: true }],
  [
    { name: 'a', qualified: false },
    { name: 'b', qualified: true },
  ],
  [
    { name: 'a', qualified: true },
    { name: 'b', qualified: true },
    { name: 'c', qualified: false },
  ],
] as const;

/** One thing after the other, with the minute of the whole work: visits lie far apart. */
const APART = 100_000;
interface Seen extends TimedTask {
  readonly start: number;
  readonly end: number;
}
const seenOf = (day: DayPlan): Seen[] =>
  day.visits.flatMap(({ visit, tasks }) =>
    tasks.map((one) => ({ ...one, start: visit * APART + one.from, end: visit * APART + one.to })),
  );

/** What is wrong with the order of the work in one job of a day. */
function wrongIn(plan: Plan, seen: readonly Seen[], crew: readonly { qualified: boolean }[]): string[] {
  const { job, wiring } = plan;
  const own = seen.filter(({ task }) => task.of.some((one) => one.job === job.id));
  const at = (does: string, place: string) =>
    own.find(({ task }) => task.does === does && task.place === place);
  const of = (does: string, number: string) =>
    own.find(({ task }) => task.does === does && task.circuits.includes(number));
  const isOpen = own.some(({ task }) => task.visit > 1);
  const wrong: string[] = [];
  const before = (a: Seen | undefined, b: Seen | undefined, what: string) => {
    if (a && b && a.end > b.start) wrong.push(what);
  };
  const numberOf = (id: string) =>
    sure(
      job.circuits.find((one) => one.id === id),
      id,
    ).number;
  const inBox = (box: string, existing: boolean) =>
    new Set(
      wiring.cables
        .filter((cable) => (cable.from === box || cable.to === box) && (!existing || cable.existing))
        .flatMap(({ conductors }) => conductors.flatMap(({ circuit }) => circuit ?? [])),
    );
  const touched = new Set(own.flatMap(({ task }) => (task.place === PANEL ? [] : [task.place])));
  for (const box of touched) {
    const wasThere = job.boxes.some((one) => one.id === box && one.existing);
    for (const circuit of inBox(box, !wasThere)) {
      if (
        sure(
          job.circuits.find(({ id }) => id === circuit),
          circuit,
        ).fresh
      )
        continue;
      const number = numberOf(circuit);
      const [off, on] = [of('off', number), of('on', number)];
      for (const does of ['open', 'set', 'make up', 'mount', 'cover'] as const) {
        const done = at(does, box);
        // A box on bare studs is set beside a cable that is alive, and cut into it later.
        if (!done || (does === 'set' && !wasThere && done.task.visit === 1 && isOpen)) continue;
        if (!off || !on) wrong.push(`${number} is never off for ${does} ${box}`);
        before(off, done, `${does} ${box} before ${number} is off`);
        before(done, on, `${does} ${box} with ${number} on`);
        if (!done.task.dead.includes(number)) wrong.push(`${does} ${box} does not say that ${number} is off`);
      }
    }
    for (const circuit of inBox(box, false)) {
      const number = numberOf(circuit);
      const [dead, on, live] = [of('dead test', number), of('on', number), of('live test', number)];
      for (const does of ['make up', 'mount', 'cover'] as const) {
        before(at(does, box), dead, `dead test of ${number} before ${does} ${box}`);
        before(at(does, box), on, `${number} on before ${does} ${box}`);
      }
      before(live ?? on, at('plate', box), `plate of ${box} before the tests of ${number}`);
      before(dead, on, `${number} on before its dead test`);
      before(on, live, `live test of ${number} before it is on`);
    }
    for (const [a, b] of [
      ['open', 'make up'],
      ['set', 'make up'],
      ['make up', 'mount'],
      ['make up', 'cover'],
      ['mount', 'plate'],
    ] as const)
      before(at(a, box), at(b, box), `${b} before ${a} in ${box}`);
  }
  const far = farFrom(job);
  for (const { from, to, existing, run } of wiring.cables) {
    if (existing) continue;
    const cable = own.find(({ task }) => task.does === 'cable' && task.run === run);
    const drill = own.find(({ task }) => task.does === 'drill' && task.run === run);
    before(drill, cable, `cable ${run} before its holes`);
    for (const box of [from, to]) {
      before(cable, at('make up', box), `make up ${box} before its cable ${run}`);
      const isNew = job.boxes.some((one) => one.id === box && !one.existing);
      if (isNew) before(at('set', box), drill ?? cable, `${run} before box ${box}`);
    }
    const [near, farther] = (far.get(from) ?? 0) < (far.get(to) ?? 0) ? [from, to] : [to, from];
    if (near !== PANEL && (far.get(from) ?? 0) !== (far.get(to) ?? 0))
      before(at('make up', farther), at('make up', near), `make up ${near} before ${farther}`);
    if (isHome({ from, to }))
      for (const { circuit } of wiring.cables.find((one) => one.run === run)?.conductors ?? [])
        for (const box of circuit === null ? [] : touched)
          if (circuit && inBox(box, false).has(circuit))
            before(at('mount', box), of('land', numberOf(circuit)), `landed before ${box} is mounted`);
  }
  for (const { task, crew: who } of own)
    if ((task.place === PANEL && task.does !== 'label') || task.does === 'live test')
      if (who.some((person) => !crew[person]?.qualified)) wrong.push(`${task.does} by who may not`);
  return wrong;
}

function farFrom({ runs }: Design): Map<string, number> {
  const far = new Map([[PANEL, 0]]);
  for (let more = true; more;) {
    more = false;
    for (const { from, to } of runs)
      for (const [a, b] of [
        [from, to],
        [to, from],
      ] as const)
        if (far.has(a) && (far.get(b) ?? Infinity) > far.get(a)! + 1) {
          far.set(b, far.get(a)! + 1);
          more = true;
        }
  }
  return far;
}

/** Nobody in two places; each way walked. */
function wrongAbout(seen: readonly Seen[], crew: number): string[] {
  return Array.from({ length: crew }, (_, person) => person).flatMap((person) => {
    const own = seen.filter(({ crew: who }) => who.includes(person)).sort((a, b) => a.start - b.start);
    return own.slice(1).flatMap((next, index) => {
      const last = own[index]!;
      const spot = ({ task }: Seen) => (task.place === PANEL ? PANEL : `${task.of[0]!.job} ${task.place}`);
      const way =
        spot(last) === spot(next) ? 0 : [last, next].some(({ task }) => task.place === PANEL) ? 3 : 1;
      return last.end + way <= next.start ? [] : [`${person} is still at ${spot(last)}`];
    });
  });
}

/** At each boundary, with the breakers as the day has them: what is live and can be touched. */
function touchable(plan: Plan, seen: readonly Seen[], most: number): string[] {
  const { job, wiring } = plan;
  const { tasks } = jobTasks(plan);
  const own = seen.filter(({ task }) => task.of.some((one) => one.job === job.id));
  const order = [...own].sort((a, b) => a.end - b.end);
  const standing = standingOf(plan, tasks, { ticks: [], tasks: [] });
  const steps = new Map(job.boxes.map(({ id }) => [id, makeUpSteps(plan, id)]));
  const worked = new Map<string, { done: Set<string> }>();
  const touched = new Set(own.flatMap(({ task }) => (task.place === PANEL ? [] : [task.place])));
  const begun = new Set<string>();
  const on = new Set(job.circuits.flatMap(({ id, fresh }) => (fresh ? [] : [id])));
  for (const box of touched) worked.set(box, { done: new Set() });
  const wrong: string[] = [];
  for (const [index, { task }] of order.entries()) {
    const ids = job.circuits.flatMap(({ id, number }) => (task.circuits.includes(number) ? [id] : []));
    if (task.does === 'off') ids.forEach((id) => on.delete(id));
    if (task.does === 'on') ids.forEach((id) => on.add(id));
    if (task.does === 'open') begun.add(task.place);
    const name = task.of.find((one) => one.job === job.id)!.task;
    for (const { step } of standing.get(name)?.steps ?? []) {
      worked.get(task.place)!.done.add(step.id);
      begun.add(task.place);
    }
    if (index >= most) continue;
    const work = new Map(
      [...worked].map(([box, { done }]): [string, Worked] => {
        const all = steps.get(box)!;
        const did = all.filter(({ id }) => done.has(id));
        const what = (lands: boolean) =>
          new Set(did.flatMap(({ stage, touches }) => ((stage === 'land') === lands ? touches : [])));
        return [box, { closed: did.length === all.length, landed: what(true), made: what(false) }];
      }),
    );
    // A new cable is landed in the panel when its task is done.
    const waiting = new Set<string>(
      order
        .slice(index + 1)
        .filter((one) => one.task.does === 'land')
        .flatMap((one) =>
          wiring.cables
            .filter(
              ({ existing, from, to, conductors }) =>
                !existing &&
                isHome({ from, to }) &&
                conductors.some(({ circuit }) =>
                  job.circuits.some(({ id, number }) => id === circuit && one.task.circuits.includes(number)),
                ),
            )
            .flatMap(({ conductors }) => conductors.map(({ id }) => endId(id, PANEL))),
        ),
    );
    const terminations = wiring.terminations.filter(({ end }) => !waiting.has(end));
    const { ends, boxes } = exposed(job, { ...wiring, terminations }, work, on);
    // What was there and is not opened yet, a box or a cable that a new one is set beside, is as it was.
    const known = (box: string) =>
      begun.has(box) ||
      !(
        job.boxes.some(({ id, existing }) => id === box && existing) ||
        wiring.cables.some(({ from, to, existing }) => existing && (from === box || to === box))
      );
    for (const box of [...boxes, ...[...ends].map((end) => end.split(' ')[0]!)])
      if (known(box)) wrong.push(`after ${task.key}: ${box}`);
  }
  return wrong;
}

describe('the day', () => {
  const jobs = fc.tuple(
    fc.oneof(anyJob, wideJob),
    fc.nat(),
    fc.constantFrom('open', 'finished', 'as planned'),
  );

  test(`${RUNS} random jobs: dead before opened, from the far end, one thing after the other, by who may; nothing live can be touched at any boundary`, () => {
    const seen = { days: 0, windows: 0, boundaries: 0, visits: 0 };
    fc.assert(
      fc.property(jobs, fc.nat(2), ([drawn, seed, walls], size) => {
        const plan = planned(partly(drawn, dice(seed))) ?? planned(drawn);
        if (!plan) return;
        const job = jobTasks(plan, walls);
        const crew = CREWS[size]!;
        const day = plannedDay(
          [job],
          { crew: [...crew], weights: { time: 5, off: 1, trips: 2 } },
          { tries: 6, steps: 60 },
        );
        const all = seenOf(day);
        expect(all.map(({ task }) => task.of[0]!.task).sort()).toEqual(job.tasks.map(({ id }) => id).sort());
        expect({ seed, wrong: wrongIn(plan, all, crew) }).toEqual({ seed, wrong: [] });
        expect({ seed, wrong: wrongAbout(all, crew.length) }).toEqual({ seed, wrong: [] });
        for (const { cost, bound, visit } of day.visits) {
          expect(cost.time).toBeGreaterThanOrEqual(bound.time);
          seen.visits += visit > 1 ? 1 : 0;
        }
        if (walls === 'as planned') {
          expect({ seed, live: touchable(plan, all, 12) }).toEqual({ seed, live: [] });
          seen.boundaries += Math.min(12, all.length);
        }
        seen.days++;
        seen.windows += day.visits.flatMap(({ windows }) => windows).length;
      }),
      { numRuns: RUNS, seed: 27 },
    );
    // The draws reach what they are there for.
    expect(seen.days).toBeGreaterThan(RUNS / 3);
    expect(seen.windows).toBeGreaterThan(RUNS / 3);
    expect(seen.visits).toBeGreaterThan(RUNS / 20);
    expect(seen.boundaries).toBeGreaterThan(RUNS);
  });

  test('two or three jobs of a house in one day: each as it is alone, a breaker once off and once on in a visit', () => {
    fc.assert(
      fc.property(fc.array(anyJob, { minLength: 2, maxLength: 3 }), fc.nat(), (drawn, seed) => {
        const random = dice(seed);
        const plans = drawn.flatMap(
          (one, index) => planned({ ...partly(one, random), id: `job-${index}` }) ?? [],
        );
        const crew = CREWS[1];
        const day = plannedDay(
          plans.map((plan) => jobTasks(plan)),
          { crew: [...crew], weights: { time: 5, off: 1, trips: 2 } },
          { tries: 4, steps: 20 },
        );
        const all = seenOf(day);
        for (const plan of plans) expect(wrongIn(plan, all, crew)).toEqual([]);
        expect(wrongAbout(all, crew.length)).toEqual([]);
        for (const { tasks } of day.visits) {
          const off = tasks.flatMap(({ task }) => (task.does === 'off' ? task.circuits : []));
          expect(new Set(off).size).toBe(off.length);
        }
      }),
      { numRuns: draws(150, 1500), seed: 3 },
    );
  });

  test('the same job under other names and in another order has the same tasks and the same day', () => {
    fc.assert(
      fc.property(anyJob, fc.nat(), (drawn, seed) => {
        const job = partly(drawn, dice(seed));
        const [plan, twin] = [planned(job), planned(renamed(job, [seed]).job)];
        if (!plan || !twin) return;
        const kinds = ({ tasks }: JobTasks) =>
          tasks.map(({ does, minutes: own, visit, dead }) => `${visit} ${does} ${own} ${dead.length}`).sort();
        const [a, b] = [jobTasks(plan), jobTasks(twin)];
        expect(kinds(b)).toEqual(kinds(a));
        const asked = { crew: [...CREWS[0]], weights: { time: 1, off: 0, trips: 0 } };
        const days = [a, b].map((one) => plannedDay([one], asked, { tries: 60, steps: 4000 }));
        const [times, twins] = days.map(({ visits }) =>
          visits.map(({ cost, soonest }) => [cost.time, soonest]),
        );
        // Where it was shown of both that nothing is sooner.
        times!.forEach(([time, soonest], index) => {
          const [other, shown] = twins![index]!;
          if (soonest && shown) expect(other).toBe(time);
        });
      }),
      { numRuns: draws(100, 1000), seed: 5 },
    );
  });

  test('what is checked off is left out, and what is left keeps its order: after each task of the day in turn', () => {
    for (const design of demoJobs) {
      const plan = planned(design);
      if (!plan) continue;
      const job = jobTasks(plan);
      const asked = { crew: [...CREWS[1]], weights: { time: 5, off: 1, trips: 2 } };
      const effort = { tries: 4, steps: 20 };
      const order = plannedDay([job], asked, effort).visits.flatMap(({ tasks }) => tasks);
      const done = new Set<string>();
      for (const { task } of order) {
        done.add(task.of[0]!.task);
        const rest = plannedDay([{ ...job, done }], asked, effort);
        const left = rest.visits.flatMap(({ tasks }) => tasks);
        expect(left.length + rest.done.length).toBe(order.length);
        expect(wrongAbout(seenOf(rest), 2)).toEqual([]);
        // Whatever is off is put on again.
        for (const number of new Set(
          rest.done.filter(({ does }) => does === 'off').flatMap(({ circuits }) => circuits),
        ))
          expect(
            [...rest.done, ...left.map((one) => one.task)].some(
              ({ does, circuits }) => does === 'on' && circuits.includes(number),
            ),
          ).toBe(true);
      }
    }
  });

  test('the labor of the quote is the work of the day; nothing to do where nothing changes', () => {
    fc.assert(
      fc.property(anyJob, fc.nat(), (drawn, seed) => {
        const plan = planned(partly(drawn, dice(seed)));
        if (!plan) return;
        const tasks = tasksOf(plan, { minutes });
        expect(laborMinutes(plan, EXAMPLE_SHOP)).toBe(tasks.reduce((sum, one) => sum + one.minutes, 0));
        for (const task of tasks) {
          expect(Number.isInteger(task.minutes)).toBe(true);
          expect(task.minutes).toBeGreaterThan(0);
        }
        expect(new Set(tasks.map(({ id }) => id)).size).toBe(tasks.length);
      }),
      { numRuns: 100 },
    );
  });

  test('every step of the make-up of a box that is worked in belongs to one task', () => {
    for (const design of demoJobs) {
      const plan = planned(design);
      if (!plan) continue;
      const { tasks } = jobTasks(plan);
      const standing = standingOf(plan, tasks, { ticks: [], tasks: [] });
      for (const box of new Set(
        tasks.flatMap(({ place, does }) => (does === 'mount' || does === 'cover' ? [place] : [])),
      )) {
        const steps = tasks
          .filter(({ place }) => place === box)
          .flatMap(({ id }) => standing.get(id)!.steps.map(({ step }) => step.id));
        expect(steps.sort()).toEqual(
          makeUpSteps(plan, box)
            .map(({ id }) => id)
            .sort(),
        );
      }
      // All of them ticked, and what comes after checked off: all is done, also what nobody checked off.
      const at = new Date('2026-05-04T10:00:00Z');
      const ticks: Tick[] = design.boxes.flatMap(({ id }) =>
        makeUpSteps(plan, id).map((step) => tickOf(id, step, at)),
      );
      const checked = tasks
        .filter(({ does }) => does === 'label' || does === 'plate')
        .map(({ id }) => ({ task: id, says: '', at: at.toISOString(), by: '' }));
      const all = standingOf(plan, tasks, { ticks, tasks: checked });
      expect([...all].filter(([, { done }]) => !done)).toEqual([]);
    }
  });

  test('the house along the day: all done it is as planned, before it nothing new is there and nothing is alive that is not pulled and landed', () => {
    for (const design of demoJobs) {
      const plan = planned(design);
      if (!plan) continue;
      const { tasks } = jobTasks(plan);
      const all = new Set(tasks.map(({ id }) => id));
      const after = houseAfter(plan, tasks, all);
      expect(after.plan.wiring).toEqual(plan.wiring);
      expect(after.off).toEqual([]);
      const before = houseAfter(plan, tasks, new Set());
      expect(before.plan.wiring.cables.every(({ existing }) => existing)).toBe(true);
      // New circuits are off until they are put on; those in use are on until they are put off.
      expect(before.off).toEqual(design.circuits.flatMap(({ id, fresh }) => (fresh ? [id] : [])));
      // It is drawn at every step of it.
      const done = new Set<string>();
      for (const { id } of tasks) {
        done.add(id);
        const { plan: now } = houseAfter(plan, tasks, done);
        for (const box of design.boxes) expect(drawBox(now, box.id).width).toBeGreaterThan(0);
        expect(drawBox(now, PANEL, { wholePanel: true }).width).toBeGreaterThan(0);
      }
    }
  });

  test('ways are the shop’s minutes: a longer way to the panel makes no day shorter, and one round about is never taken', () => {
    const plan = sure(planned(demoJobs[1]!), 'plan');
    const time = (wayPanel: number, wayRoom = 2) =>
      plannedDay([jobTasks(plan)], {
        crew: [...CREWS[0]],
        weights: { time: 1, off: 0, trips: 0 },
        minutes: { wayBox: 1, wayRoom, wayPanel },
      }).visits.map(({ cost, soonest }) => [cost.time, soonest]);
    const [near, far, round] = [time(1), time(9), time(1, 50)];
    expect([...near, ...far, ...round].every(([, soonest]) => soonest)).toBe(true);
    expect(far[0]![0]).toBeGreaterThan(near[0]![0] as number);
    // Two minutes over the panel, and not fifty.
    expect(round[0]![0]).toBeLessThan((near[0]![0] as number) + 20);
  });

  test('nobody who may work at the panel: nothing is planned, and it says so', () => {
    const plan = sure(planned(demoJobs[0]!), 'plan');
    expect(
      plannedDay([jobTasks(plan)], {
        crew: [{ name: '', qualified: false }],
        weights: { time: 1, off: 0, trips: 0 },
      }),
    ).toMatchObject({ visits: [], nobody: true });
  });
});
