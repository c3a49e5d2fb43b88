// Measures; asserts nothing about time. npm run bench
import { soundHouse } from '../core/power/faults';
import { demoJob, demoJobs } from '../core/handover/jobs/demo-house';
import { findFault } from '../core/site/script/find-fault';
import { HouseRun } from '../core/site/script/run-house';
import { scriptOf, studyFaults } from '../core/site/script/script';
import { solve } from '../core/power/energize/solve';
import { REST, type State } from '../core/power/energize/state';
import { writeNetlist } from '../core/handover/interchange/netlist';
import { makeUpSteps } from '../core/wiring/makeup/steps';
import { drawBox } from '../core/wiring/geometry/box-drawing';
import { buildNetwork } from '../core/power/network/network';
import type { Progress } from '../core/choices/options/option';
import { searchOptions } from '../core/choices/options/search';
import { outletsOf } from '../core/choices/options/wish';
import { planning } from '../core/choices/day/plan-day';
import { tasksOf } from '../core/choices/day/tasks';
import type { JobTasks } from '../core/choices/day/together';
import { EXAMPLE_SHOP } from '../core/choices/takeoff/shop';
import { planJob, type Plan } from '../core/wiring/plan';
import { prove } from '../core/power/proof/prove';
import { checkRules } from '../core/code/rules/check';
import { Site } from '../core/code/rules/site';
import { nextTest } from '../core/site/survey/next-test';
import { weigh } from '../core/site/survey/evidence';
import { generatedHouse } from '../core/testing/house';
import { dice } from '../core/base/dice';
import { answer } from '../core/handover/drills/answer';
import type { Situation } from '../core/handover/drills/situation';
import { fourCables } from '../core/testing/situations';
import { referenceVoltages } from '../core/testing/reference-engine';

/** Everything once and small, to see that it still runs: `npm test` does that. */
const QUICK = process.argv.includes('--quick');

/** Median milliseconds of several runs, after as many to warm up. */
function median(times: number, run: () => void): number {
  for (let warm = 0; warm < times; warm++) run();
  const taken = Array.from({ length: times }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return taken[Math.floor(times / 2)] ?? Number.NaN;
}
const ms = (value: number) => `${value.toFixed(value < 10 ? 2 : 0)} ms`.padStart(10);

function planned(boxes: number): Plan {
  const outcome = planJob(generatedHouse(boxes, boxes > 300 ? 8 : undefined));
  if (!outcome.ok) throw new Error(outcome.refusals[0]?.message);
  return outcome.plan;
}

async function operatingPoint() {
  const { job, wiring } = planned(40);
  const network = buildNetwork(wiring, job.circuits);
  const state: State = {
    ...REST,
    positions: new Map(network.devices.map(({ wired }, index) => [wired.id, index % 2])),
    loads: new Map(network.parts.map(({ key }, index) => [key, 40 + 11 * index])),
  };
  const deck = writeNetlist(network, state, job.name);
  await referenceVoltages(deck.text);
  const start = performance.now();
  const reference = await referenceVoltages(deck.text);
  const theirs = performance.now() - start;
  const ours = median(QUICK ? 1 : 1001, () => solve(network, state));
  const point = solve(network, state);
  const off = network.points.map((_, index) => {
    const node = deck.nodeOf(index);
    if (node === undefined) return 0;
    return Math.abs(point.volts(index) - (node === '0' ? 0 : (reference.get(node) ?? Number.NaN)));
  });
  console.log(`One operating point, 40 boxes, ${deck.nodes.length} nodes`);
  console.log(`  Split Tap         ${ms(ours)}`);
  console.log(`  reference engine  ${ms(theirs)}   ${(theirs / ours).toFixed(0)} times as long`);
  console.log(`  largest difference ${(Math.max(...off) * 1e6).toFixed(3)} µV\n`);
}

function againstSize() {
  console.log(
    'boxes      compile      make-up      drawings        proof        rules   all but drawings   states',
  );
  for (const boxes of QUICK ? [2] : [2, 8, 40, 160, 400]) {
    const job = generatedHouse(boxes, boxes > 300 ? 8 : undefined);
    const plan = planned(boxes);
    const times = QUICK ? 1 : boxes > 40 ? 9 : 31;
    const compile = median(times, () => planJob(job));
    const steps = median(times, () => job.boxes.forEach(({ id }) => makeUpSteps(plan, id)));
    const draw = median(times, () => job.boxes.forEach(({ id }) => drawBox(plan, id)));
    let states = 0;
    // Under other names each time: what was found of a part is kept by all that is known of it.
    let round = 0;
    const renamed = () => ({
      ...job,
      boxes: job.boxes.map((box) => ({ ...box, name: `${box.name} ${round}` })),
    });
    const proof = median(times, () => {
      round++;
      states = prove(renamed(), plan.wiring).statesTried;
    });
    const proved = prove(job, plan.wiring);
    const rules = median(times, () => checkRules(new Site(job, plan.wiring, [], proved)));
    const whole = compile + steps + proof + rules;
    console.log(
      `${String(boxes).padStart(5)} ${[compile, steps, draw, proof, rules].map(ms).join('   ')}   ${ms(whole)}            ${String(states).padStart(5)}`,
    );
  }
}

const cold = (situation: Situation): Situation => ({
  ...situation,
  survey: { ...situation.survey, id: 'warm' },
});

/** Boxes with four cables, answers truthful: weighing a reading against every guess, and choosing the next test. */
function nextTestChoice() {
  const four = fourCables().slice(0, QUICK ? 1 : undefined);
  const weighing: number[] = [];
  const choosing: number[] = [];
  let first = Number.NaN;
  // Once to warm up, under another id, since guesses are kept by what is seen.
  for (const situation of [...four.map(cold), ...four]) {
    if (situation === four[0]) {
      first = choosing[0] ?? Number.NaN;
      weighing.length = 0;
      choosing.length = 0;
    }
    const random = dice(1);
    let { survey } = situation;
    weigh(survey);
    for (let count = 0; count < 8; count++) {
      const start = performance.now();
      const standings = weigh(survey);
      const weighed = performance.now();
      const next = nextTest(survey, standings);
      choosing.push(performance.now() - weighed);
      weighing.push(weighed - start);
      if (!next || next.again) break;
      const { setup, probe } = next.test;
      const value = answer(situation, setup, probe, random);
      survey = {
        ...survey,
        readings: [...survey.readings, { id: `r${count}`, setup, probe, value, times: 1 }],
      };
    }
  }
  console.log(
    `\nFind, ${four.length} boxes of four cables, ${choosing.length} tests; the very first, cold, ${ms(first).trim()}`,
  );
  for (const [what, taken] of [
    ['next test', choosing],
    ['weighing', weighing],
  ] as const) {
    const sorted = [...taken].sort((a, b) => a - b);
    const at = (share: number) => ms(sorted[Math.floor((sorted.length - 1) * share)] ?? Number.NaN);
    console.log(`  ${what.padEnd(9)} median ${at(0.5)}   nine of ten under ${at(0.9)}   slowest ${at(1)}`);
  }
}

/** Options for the last receptacle of a generated house: every way applied, compiled, proved, ruled, priced. */
function options() {
  console.log('\nOptions, all ways of one outlet');
  for (const boxes of QUICK ? [2] : [2, 8, 40]) {
    const job = generatedHouse(boxes, boxes > 300 ? 8 : undefined);
    const outlet = outletsOf(job).at(-1);
    if (!outlet) continue;
    const start = performance.now();
    let last: Progress = { tried: 0, of: 0, found: 0, best: [] };
    let cards = Number.NaN;
    const search = searchOptions(job, outlet);
    for (let step = search.next(); !step.done; step = search.next()) {
      last = step.value;
      if (Number.isNaN(cards) && last.best.length > 0) cards = performance.now() - start;
    }
    console.log(
      `  ${String(boxes).padStart(3)} boxes ${ms(performance.now() - start)}   ${last.tried} ways tried, ${last.found} kept; first cards after ${ms(cards).trim()}`,
    );
  }
}

/** The test script: how long it takes, how short it is; and the next test of the fault finder. */
function testScripts() {
  console.log(
    '\nTest script        faults   naive  greedy  script  bound   told   only a look  nothing     time   next test',
  );
  const jobs = [
    ...demoJobs.flatMap(({ id }) => demoJob(id) ?? []),
    { ...generatedHouse(8), name: '8 boxes' },
    { ...generatedHouse(40), name: '40 boxes' },
  ];
  for (const job of QUICK ? jobs.slice(0, 1) : jobs) {
    const outcome = planJob(job);
    if (!outcome.ok) continue;
    const start = performance.now();
    const study = studyFaults(outcome.plan);
    const script = scriptOf(outcome.plan, study);
    const took = performance.now() - start;
    const taken = study.faults
      .filter(({ row }) => !row.look)
      .filter((_, index, all) => index % Math.ceil(all.length / 15) === 0)
      .map((fault) => {
        const run = new HouseRun(fault.put(soundHouse(outcome.plan)));
        const readings = script.steps.map(({ test }) => ({ test: test.id, shows: run.outcome(test) }));
        const asked = performance.now();
        findFault(outcome.plan, study, readings);
        return performance.now() - asked;
      })
      .sort((a, b) => a - b);
    const cells = [
      study.faults.length,
      script.naive,
      script.steps.length,
      Math.round(script.costs['before the covers'].minutes),
      Math.round(script.costs['full proof'].minutes),
      script.seen,
      script.look.length,
      script.unseen.length,
    ];
    console.log(
      `${job.name.padEnd(28)} ${cells.map((cell) => String(cell).padStart(6)).join(' ')}  ${ms(took)}  ${ms(taken[Math.floor(taken.length / 2)] ?? Number.NaN)}`,
    );
  }
}

/** The demo house, and a house of eight jobs of five boxes: first answer, and how far above its bound after five seconds. */
function days() {
  console.log('\nA day of several jobs: first answer, after 5 s minutes against the bound');
  const asked = {
    crew: [
      { name: '', qualified: true },
      { name: '', qualified: false },
    ],
    weights: { time: 5, off: 1, trips: 2 },
  };
  const wide = Array.from({ length: 8 }, (_, index) => ({ ...generatedHouse(5), id: `job-${index}` }));
  for (const [name, designs] of [
    ['demo house', demoJobs],
    ['8 jobs, 40 boxes', wide],
  ] as const)
    for (const crew of [asked.crew.slice(0, 1), asked.crew]) {
      const start = performance.now();
      const jobs = designs.flatMap((design): JobTasks[] => {
        const outcome = planJob(design);
        if (!outcome.ok) return [];
        const tasks = tasksOf(outcome.plan, { minutes: EXAMPLE_SHOP.minutes });
        return [{ job: design.id, plan: outcome.plan, tasks, done: new Set() }];
      });
      const work = planning(jobs, { ...asked, crew }, { tries: 1e6, steps: 150_000 });
      let step = work.next();
      const first = performance.now() - start;
      while (!step.done && performance.now() - start < (QUICK ? 100 : 5000)) step = work.next();
      const visits = step.value.visits.map(
        ({ cost, bound }) =>
          `${cost.time}/${bound.time} (${((100 * cost.time) / bound.time - 100).toFixed(1)} %)`,
      );
      const count = jobs.reduce((sum, { tasks }) => sum + tasks.length, 0);
      console.log(
        `${name.padEnd(18)} ${count} tasks, ${crew.length} at work ${ms(first)}  ${visits.join('  ')}`,
      );
    }
}

await operatingPoint();
againstSize();
options();
nextTestChoice();
testScripts();
days();
