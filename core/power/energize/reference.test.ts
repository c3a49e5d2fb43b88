import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { writeNetlist } from '../../handover/interchange/netlist';
import { demoJob } from '../../handover/jobs/demo-house';
import { voltageDrops } from '../load/voltage-drop';
import { Design } from '../../job/model/design';
import { buildNetwork } from '../network/network';
import { planJob } from '../../wiring/plan';
import { referenceVoltages } from '../../testing/reference-engine';
import { duplexIn, sketch } from '../../testing/jobs';
import { anyJob } from '../../testing/random-jobs';
import { faultDraws, withFaults } from '../../testing/random-faults';
import { solve } from './solve';
import { REST, type State } from './state';
import { draws } from '../../testing/draws';

/*
 * Reference: an independent circuit engine, SPICE built to WebAssembly, on the same deck. Voltages agree within
 * 1 µV at nodes with a path under 10 kΩ to a source, elsewhere within 1e-4 of 120 V.
 */
const NETWORKS = draws(40, 500);

test(`${NETWORKS} random wirings with faults: every node voltage agrees with the reference engine`, async () => {
  let compared = 0;
  let networks = 0;
  let faults = 0;
  for (let seed = 1; networks < NETWORKS; seed++) {
    const [drawn] = fc.sample(
      fc.tuple(anyJob, faultDraws, fc.array(fc.nat(), { minLength: 40, maxLength: 40 })),
      { numRuns: 1, seed },
    );
    const [job, draws, dice] = drawn!;
    const outcome = planJob(job);
    if (!outcome.ok || outcome.plan.wiring.devices.length === 0) continue;
    const { wiring, disturbances } = withFaults(outcome.plan.wiring, draws);
    const network = buildNetwork(wiring, job.circuits, disturbances);
    const roll = (index: number) => dice[index % dice.length]!;
    const meterPoints = network.points.filter((_, index) => index > 4);
    const state: State = {
      ...REST,
      positions: new Map(network.devices.map(({ wired }, index) => [wired.id, roll(index) % 2])),
      loads: new Map(
        network.parts.flatMap(({ key }, index) =>
          roll(index + 7) % 3 === 0 ? [] : [[key, 40 + (roll(index) % 1400)]],
        ),
      ),
      testers: new Set(network.parts.filter((_, index) => roll(index + 13) % 4 === 0).map(({ key }) => key)),
      meter: {
        impedance: roll(30) % 2 === 0 ? 'high' : 'low',
        from: meterPoints[roll(31) % meterPoints.length]!,
        to: meterPoints[roll(32) % meterPoints.length]!,
      },
    };
    const point = solve(network, state);
    const deck = writeNetlist(network, state, `seed ${seed}`);
    const reference = await referenceVoltages(deck.text);
    const strong = strongPoints(network, state);
    network.points.forEach((id, index) => {
      const node = deck.nodeOf(index);
      const ours = point.volts(index);
      if (node === undefined) {
        expect({ seed, id, floats: Number.isNaN(ours) }).toEqual({ seed, id, floats: true });
        return;
      }
      const theirs = node === '0' ? 0 : reference.get(node)!;
      const off = Math.abs(ours - theirs);
      expect({ seed, id, off, good: off <= (strong(index) ? 1e-6 : 1e-4 * 120) }).toMatchObject({
        good: true,
      });
      compared++;
    });
    networks++;
    faults += disturbances.length;
  }
  expect(faults).toBeGreaterThan(20);
  expect(compared).toBeGreaterThan(500);
});

test('islands are left out of a deck, so that the engine does not call it singular', async () => {
  const job = demoJob('sunroom-plant-shelf')!;
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('refused');
  const network = buildNetwork(outcome.plan.wiring, job.circuits);
  const off = writeNetlist(network, REST, job.name);
  expect(off.nodeOf(network.point('shelf-outlet:hot-lower')!)).toBeUndefined();
  const volts = await referenceVoltages(off.text);
  expect(volts.get(off.nodeOf(network.point('shelf-outlet:hot-upper')!)!)).toBeCloseTo(-120, 6);
});

test('voltage drop of the network agrees with the reference engine within 1 µV', async () => {
  for (const [feet, watts] of [
    [60, 1440],
    [150, 600],
  ] as const) {
    const base = sketch({
      boxes: ['far'],
      runs: [`panel-far:${feet}`],
      devices: [duplexIn('far', null, null)],
    });
    const job = Design.parse({
      ...base,
      devices: base.devices.map((one) => ({
        ...one,
        wants: { ...one.wants, upper: { ...one.wants['upper'], watts } },
      })),
    });
    const outcome = planJob(job);
    if (!outcome.ok) throw new Error('refused');
    const network = buildNetwork(outcome.plan.wiring, job.circuits);
    const deck = writeNetlist(network, { ...REST, loads: new Map([['far-outlet/upper', watts]]) }, 'drop');
    const volts = await referenceVoltages(deck.text);
    const at = (point: number) => {
      const node = deck.nodeOf(point);
      return node === undefined || node === '0' ? 0 : volts.get(node)!;
    };
    const part = network.parts.find(({ key }) => key === 'far-outlet/upper')!;
    const theirs = 120 - Math.abs(at(part.hot) - at(part.neutral));
    const [ours] = voltageDrops(job, outcome.plan.wiring);
    expect(Math.abs(ours!.dropV - theirs)).toBeLessThan(1e-6);
  }
});

/** Points that resistors under 10 kΩ each join to a source. */
function strongPoints(network: ReturnType<typeof buildNetwork>, state: State): (point: number) => boolean {
  const bare = solve(network, { ...state, meter: null, testers: new Set() });
  return (point) => !Number.isNaN(bare.volts(point));
}
