import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from '../energize/solve';
import { REST, type State } from '../energize/state';
import { demoJob } from '../../handover/jobs/demo-house';
import { PANEL } from '../../job/model/design';
import { breakerNeutralWire, endId, panelHotId } from '../../job/model/wiring';
import { planJob } from '../../wiring/plan';
import { conductorOhms } from '../../trade/standards/conductors';
import { generatedHouse } from '../../testing/house';
import { duplexIn, sketch } from '../../testing/jobs';
import { anyPlan } from '../../testing/random-jobs';
import { faultDraws, withFaults } from '../../testing/random-faults';
import { looseContact, openContact, touching, withSwappedTerminals, withTab } from './disturbance';
import { buildNetwork, CONTACT_OHMS, landings, separateParts, type Network } from './network';
import { withoutWireOhms } from './without-ohms';

/* The graph that wiring becomes. Resistances: NEC Chapter 9 Table 8 (from memory), a milliohm a contact (common practice). */

const plan = (job = demoJob('sunroom-plant-shelf')!) => {
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error(outcome.refusals[0]!.message);
  return outcome.plan;
};
const busy = (network: Network): State => ({
  ...REST,
  positions: new Map(network.devices.map(({ wired }, index) => [wired.id, index % 2])),
  loads: new Map(network.parts.map(({ key }, index) => [key, 60 + 35 * index])),
});

describe('wires', () => {
  const job = sketch({
    boxes: ['near', 'far'],
    runs: ['panel-near:60', 'near-far:25'],
    devices: [duplexIn('near', null, null), duplexIn('far', null, null)],
  });
  const { wiring } = plan(job);
  const network = buildNetwork(wiring, job.circuits);
  const wire = (id: string) => network.wires.find((one) => one.id === id);

  test('a conductor is its length of copper and a contact at either end', () => {
    for (const { conductors, lengthFt } of wiring.cables) {
      for (const { id } of conductors)
        expect(wire(id)!.ohms).toBeCloseTo(conductorOhms(12, lengthFt) + 2 * CONTACT_OHMS, 9);
    }
  });
  test('a tail is inches of it', () => {
    for (const { id, lengthIn } of wiring.tails)
      expect(wire(id)!.ohms).toBeCloseTo(conductorOhms(12, lengthIn / 12) + 2 * CONTACT_OHMS, 9);
  });
  test('every conductor and tail is one wire, and there are no others', () => {
    const ids = [
      ...wiring.cables.flatMap(({ conductors }) => conductors.map(({ id }) => id)),
      ...wiring.tails.map(({ id }) => id),
    ];
    expect(network.wires.map(({ id }) => id).sort()).toEqual(ids.sort());
  });
  test('a loose contact adds its ohms, an open one takes the wire away, a touch adds one', () => {
    const [feed] = wiring.cables;
    const black = feed!.conductors.find(({ insulation }) => insulation === 'black')!;
    const end = endId(black.id, 'near');
    const at = (...faults: Parameters<typeof buildNetwork>[2] & object) =>
      buildNetwork(wiring, job.circuits, faults).wires;
    const ohms = (wires: Network['wires']) => wires.find(({ id }) => id === black.id)?.ohms;
    expect(ohms(at(looseContact(end, 2)))! - wire(black.id)!.ohms).toBeCloseTo(2 - CONTACT_OHMS, 9);
    expect(ohms(at(openContact(end)))).toBeUndefined();
    expect(at(touching('near-outlet:ground', 'near-outlet:neutral-upper'))).toHaveLength(
      network.wires.length + 1,
    );
  });
  test('a breaker that protects takes its neutral through itself', () => {
    const guarded = {
      ...job,
      circuits: job.circuits.map((one) => ({ ...one, protection: 'gfci' as const })),
    };
    const own = buildNetwork(plan(guarded).wiring, guarded.circuits);
    expect(own.wires).toHaveLength(network.wires.length + 1);
    expect(own.wires.some(({ id }) => id === breakerNeutralWire('c'))).toBe(true);
  });
});

describe('tabs and screws', () => {
  const { wiring } = plan();
  test('a tab put back, then broken, is as it was; other devices are left alone', () => {
    const whole = withTab(wiring, 'shelf-outlet', 'hot-tab', 'whole');
    expect(whole.devices.find(({ id }) => id === 'shelf-outlet')!.brokenTabs).not.toContain('hot-tab');
    expect(withTab(whole, 'shelf-outlet', 'hot-tab', 'broken')).toEqual(wiring);
    expect(withTab(wiring, 'no-device', 'hot-tab', 'whole')).toEqual(wiring);
  });
  test('what is swapped twice is as it was', () => {
    const once = withSwappedTerminals(wiring, 'shelf-outlet', 'hot-upper', 'neutral-upper');
    expect(once).not.toEqual(wiring);
    expect(withSwappedTerminals(once, 'shelf-outlet', 'hot-upper', 'neutral-upper')).toEqual(wiring);
  });
});

describe('laws on random wiring', () => {
  test('every conductor end lands somewhere or is capped, and in one place only', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const { wiring } = plan;
        const landing = new Set([...landings(wiring).keys(), ...wiring.caps.map(({ end }) => end)]);
        const ends = [
          ...wiring.splices.flatMap(({ ends: own }) => own),
          ...wiring.terminations.map(({ end }) => end),
        ];
        expect(new Set(ends).size).toBe(ends.length);
        for (const { conductors, from, to } of wiring.cables) {
          for (const { id, net } of conductors) {
            for (const end of [endId(id, from), endId(id, to)]) {
              expect({ end, net, lands: landing.has(end) }).toEqual({ end, net, lands: true });
            }
          }
        }
      }),
      { numRuns: 50 },
    );
  });
  test('parts that only meet at the panel, taken alone, show what they show together, to within 0.1 V', () => {
    let split = 0;
    fc.assert(
      fc.property(anyPlan, faultDraws, (plan, draws) => {
        const { job } = plan;
        const { wiring } = withFaults(plan.wiring, draws);
        const parts = separateParts(wiring);
        const whole = buildNetwork(wiring, job.circuits);
        const all = busy(whole);
        const together = solve(whole, all);
        if (parts.length > 1) split++;
        for (const own of parts) {
          const alone = buildNetwork(own, job.circuits);
          const point = solve(alone, all);
          for (const part of alone.parts) {
            const same = whole.parts.find(({ key }) => key === part.key)!;
            const [here, there] = [point.volts(part.hot), together.volts(same.hot)];
            expect({ part: part.key, floats: Number.isNaN(here) }).toEqual({
              part: part.key,
              floats: Number.isNaN(there),
            });
            if (!Number.isNaN(here)) expect(Math.abs(here - there)).toBeLessThan(0.1);
          }
        }
      }),
      { numRuns: 30 },
    );
    expect(split).toBeGreaterThan(0);
  });
  test('each box is in one part, and no cable is lost', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const { wiring } = plan;
        const parts = separateParts(wiring);
        const cables = parts.flatMap((own) => own.cables.map(({ id }) => id));
        expect([...cables].sort()).toEqual(wiring.cables.map(({ id }) => id).sort());
        const devices = parts.flatMap((own) => own.devices.map(({ id }) => id));
        expect([...devices].sort()).toEqual(wiring.devices.map(({ id }) => id).sort());
      }),
      { numRuns: 30 },
    );
  });
  test('without the ohms of its wires a house shows the same to a few volts, with fewer points', () => {
    const job = generatedHouse(12);
    const { wiring } = plan(job);
    const wired = buildNetwork(wiring, job.circuits);
    const bare = withoutWireOhms(wired);
    expect(bare.points.length).toBeLessThan(wired.points.length / 3);
    expect(bare.wires).toEqual([]);
    const light: State = { ...busy(wired), loads: new Map(wired.parts.map(({ key }) => [key, 5])) };
    const [full, rough] = [solve(wired, light), solve(bare, light)];
    wired.parts.forEach((part, index) => {
      const other = bare.parts[index]!;
      const volts = (point: typeof full, { hot, neutral }: typeof part) =>
        Math.abs(point.volts(hot) - point.volts(neutral)) || 0;
      expect(Math.abs(volts(full, part) - volts(rough, other))).toBeLessThan(3);
    });
  });
});

test('points of the panel are there for every circuit, wired or not', () => {
  const job = demoJob('den-media-wall')!;
  const network = buildNetwork(
    { cables: [], devices: [], splices: [], tails: [], terminations: [], caps: [] },
    job.circuits,
  );
  for (const { id } of job.circuits) expect(network.point(panelHotId(id))).toBeDefined();
  expect(network.point(`nowhere:${PANEL}`)).toBeUndefined();
  const point = solve(network, REST);
  expect(point.volts(network.legs.A)).toBeCloseTo(120, 6);
  expect(point.volts(network.legs.B)).toBeCloseTo(-120, 6);
});
