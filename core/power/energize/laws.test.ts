import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { buildNetwork } from '../network/network';
import { planJob } from '../../wiring/plan';
import { conductorOhms } from '../../trade/standards/conductors';
import { anyPlan } from '../../testing/random-jobs';
import { faultDraws, withFaults } from '../../testing/random-faults';
import { duplexIn, sketch } from '../../testing/jobs';
import { solve, stateResistors } from './solve';
import { REST, type State } from './state';

/** A random faulty network in a random state. */
const drawn = fc
  .tuple(anyPlan, faultDraws, fc.array(fc.nat(), { minLength: 20, maxLength: 20 }))
  .map(([{ job, ...plan }, draws, dice]) => {
    const { wiring, disturbances } = withFaults(plan.wiring, draws);
    const network = buildNetwork(wiring, job.circuits, disturbances);
    const roll = (index: number) => dice[index % dice.length]!;
    const state: State = {
      ...REST,
      positions: new Map(network.devices.map(({ wired }, index) => [wired.id, roll(index) % 2])),
      loads: new Map(network.parts.map(({ key }, index) => [key, 40 + (roll(index + 3) % 1400)])),
    };
    return { network, state };
  });

describe('laws of circuits on random faulty wiring', () => {
  test('Kirchhoff: currents into every point that is not a source add to zero', () => {
    fc.assert(
      fc.property(drawn, ({ network, state }) => {
        const point = solve(network, state);
        const sums = new Map<number, number>();
        const root = (at: number) => network.points.findIndex((_, index) => point.same(index, at));
        let largest = 1;
        for (const resistor of [...network.wires, ...stateResistors(network, state)]) {
          const amps = point.current(resistor);
          largest = Math.max(largest, Math.abs(amps));
          sums.set(root(resistor.a), (sums.get(root(resistor.a)) ?? 0) - amps);
          sums.set(root(resistor.b), (sums.get(root(resistor.b)) ?? 0) + amps);
        }
        const sources = new Set([network.reference, network.legs.A, network.legs.B].map(root));
        for (const [at, sum] of sums)
          if (!sources.has(at)) expect(Math.abs(sum)).toBeLessThan(1e-6 * largest);
      }),
      { numRuns: 60 },
    );
  });

  test('energy: what the legs give is what resistors take (Joule)', () => {
    fc.assert(
      fc.property(drawn, ({ network, state }) => {
        const point = solve(network, state);
        const resistors = [...network.wires, ...stateResistors(network, state)];
        const taken = resistors.reduce((sum, one) => sum + point.current(one) ** 2 * one.ohms, 0);
        // Each leg is 120 V behind a small resistance: power leaves at the leg's own voltage.
        const given = resistors.reduce((sum, one) => {
          if (!one.id.startsWith('!breaker:')) return sum;
          return sum + point.volts(one.a) * point.current(one);
        }, 0);
        expect(Math.abs(given - taken)).toBeLessThan(1e-6 * Math.max(taken, 1));
      }),
      { numRuns: 60 },
    );
  });

  test('no point is above the legs nor below them', () => {
    fc.assert(
      fc.property(drawn, ({ network, state }) => {
        const point = solve(network, state);
        network.points.forEach((_, index) => {
          const volts = point.volts(index);
          if (!Number.isNaN(volts)) expect(Math.abs(volts)).toBeLessThanOrEqual(120 + 1e-9);
        });
      }),
      { numRuns: 60 },
    );
  });
});

test('20 A circuit, 60 ft of 12 AWG one way, 16 A: 3.71 V, 3.1 % (2 × 60/1000 × 1.93 × 16)', () => {
  expect(2 * conductorOhms(12, 60) * 16).toBeCloseTo(3.71, 2);
  const job = sketch({ boxes: ['far'], runs: ['panel-far:60'], devices: [duplexIn('far', null, null)] });
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('refused');
  const network = buildNetwork(outcome.plan.wiring, job.circuits);
  // 16 A at what arrives: 120 V less the drop, contacts and source included.
  const loads = new Map([['far-outlet/upper', (120 ** 2 / (120 - 3.9)) * 16]]);
  const point = solve(network, { ...REST, loads });
  const [part] = network.parts;
  const drop = 120 - Math.abs(point.volts(part!.hot) - point.volts(part!.neutral));
  expect(drop).toBeGreaterThan(3.71);
  expect(drop).toBeLessThan(4.2);
});
