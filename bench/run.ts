// Measures; asserts nothing about time. npm run bench
import { solve } from '../core/energize/solve';
import { REST, type State } from '../core/energize/state';
import { writeNetlist } from '../core/interchange/netlist';
import { makeUpSteps } from '../core/makeup/steps';
import { drawBox } from '../core/geometry/box-drawing';
import { buildNetwork } from '../core/network/network';
import { planJob, type Plan } from '../core/plan';
import { prove } from '../core/proof/prove';
import { generatedHouse } from '../core/testing/house';
import { referenceVoltages } from '../core/testing/reference-engine';

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
  const outcome = planJob(generatedHouse(boxes));
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
  const ours = median(1001, () => solve(network, state));
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
  console.log('boxes      compile      make-up      drawings        proof   compile+make-up+proof   states');
  for (const boxes of [2, 8, 40, 160]) {
    const job = generatedHouse(boxes);
    const plan = planned(boxes);
    const times = boxes > 40 ? 9 : 31;
    const compile = median(times, () => planJob(job));
    const steps = median(times, () => job.boxes.forEach(({ id }) => makeUpSteps(plan, id)));
    const draw = median(times, () => job.boxes.forEach(({ id }) => drawBox(plan, id)));
    let states = 0;
    const proof = median(times, () => {
      states = prove(job, plan.wiring).statesTried;
    });
    const whole = compile + steps + proof;
    console.log(
      `${String(boxes).padStart(5)} ${[compile, steps, draw, proof].map(ms).join('   ')}   ${ms(whole)}            ${String(states).padStart(5)}`,
    );
  }
}

await operatingPoint();
againstSize();
