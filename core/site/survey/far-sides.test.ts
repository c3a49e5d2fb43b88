import { describe, expect, test } from '@jest/globals';
import { SEEN_CABLES, Survey, type Probe, type Setup, type Spot } from '../../job/model/survey';
import { cableRow, type Insulation } from '../../trade/standards/cables';
import {
  farSides,
  HOT_OPEN,
  leadsToPanel,
  NEUTRAL_OPEN,
  PORT_SAYS,
  stiffTo,
  type FarSide,
  type Port,
} from './far-sides';
import { GuessModel } from './guess-model';
import { seenWhole } from './guess-setup';
import {
  ANY_VOLTS,
  CHANGES,
  DOUBLE,
  HOT,
  JOINED,
  NO,
  OPEN,
  THROUGH,
  YES,
  ZERO,
} from '../../job/seen/outcomes';

/*
 * Each far side of the catalog, alone in a box with its conductors capped: what every instrument must show follows
 * from what the port is (Ohm's law, 120 V to the neutral, neutral bonded to ground at the panel; common practice).
 */

const LIVE: Setup = { breakers: 'on', apart: 'as found', switches: 'as they are', loadsOut: false };
const WORKED: Setup = { ...LIVE, switches: 'worked' };
const QUIET: Setup = { ...WORKED, loadsOut: true };
const DEAD: Setup = { ...LIVE, breakers: 'all off' };
const OFF: Setup = { ...LIVE, breakers: 'off' };
const GROUND: Spot = { on: 'ground', box: 'b' };
const spot = (insulation: Insulation): Spot => ({ on: 'conductor', cable: 'c', insulation });
const low = (from: Spot, to: Spot): Probe => ({ with: 'meter', impedance: 'low', from, to });
const high = (from: Spot, to: Spot): Probe => ({ with: 'meter', impedance: 'high', from, to });
const ohms = (from: Spot, to: Spot): Probe => ({ with: 'continuity', from, to });
const glow = (at: Spot): Probe => ({ with: 'non-contact', at });

function modelOf(type: (typeof SEEN_CABLES)[number], side: FarSide, groundGood = true): GuessModel {
  const colors: Insulation[] = [...cableRow(type).insulated, 'bare'];
  const survey = Survey.parse({
    id: 's',
    name: 'S',
    breaker: '1',
    target: 'b',
    boxes: [
      {
        id: 'b',
        name: 'B',
        cables: [{ id: 'c', type }],
        devices: [],
        ends: colors.map((insulation) => ({ cable: 'c', insulation, sits: { at: 'capped' } })),
      },
    ],
  });
  return new GuessModel(seenWhole(survey), { sides: new Map([['c', side]]), groundGood });
}

const ALL = (['14-2', '14-3'] as const).flatMap((type) =>
  farSides(type).map((side) => [`${type} ${side.says}`, type, side] as const),
);

describe('the catalog', () => {
  test('gives every conductor of its cable a port, plainest first, none twice', () => {
    for (const type of SEEN_CABLES) {
      const sides = farSides(type);
      expect(sides.length).toBeGreaterThan(8);
      expect(new Set(sides.map(({ id }) => id)).size).toBe(sides.length);
      sides.forEach(({ ports, odd }, index) => {
        expect(Object.keys(ports).sort()).toEqual([...cableRow(type).insulated].sort());
        if (index > 0) expect(odd).toBeGreaterThanOrEqual(sides[index - 1]!.odd);
      });
    }
  });
  test('gauge changes nothing of what a cable may be', () => {
    expect(farSides('12-3').map(({ id }) => id)).toEqual(farSides('14-3').map(({ id }) => id));
  });
  test('every port has words of the trade', () => {
    for (const words of Object.values(PORT_SAYS)) expect(words).toMatch(/^[a-z][a-z0-9 ,-]+$/);
  });
});

const CONSTANT = new Set<Port>(['hot', 'hot-second', 'hot-other-leg']);

describe.each(ALL)('%s', (_, type, side) => {
  const model = modelOf(type, side);
  const ports = Object.entries(side.ports) as [Insulation, Port][];
  const grounded = leadsToPanel(side);

  test('what each conductor shows to ground and neutral', () => {
    for (const [insulation, port] of ports) {
      const at = spot(insulation);
      const show = { port, insulation };
      if (CONSTANT.has(port)) {
        expect({ ...show, glow: model.allows(LIVE, glow(at)) }).toEqual({ ...show, glow: YES });
        if (grounded)
          expect({ ...show, high: model.allows(WORKED, high(at, GROUND)) }).toEqual({ ...show, high: HOT });
        // Only the named breaker was switched off.
        const after = model.allows(OFF, glow(at));
        expect({ ...show, after: after === YES }).toEqual({ ...show, after: port !== 'hot' });
      }
      if (port === 'neutral') {
        expect({ ...show, glow: model.allows(LIVE, glow(at)) }).toEqual({ ...show, glow: NO });
        if (grounded)
          expect({ ...show, ohms: model.allows(DEAD, ohms(at, GROUND)) }).toEqual({ ...show, ohms: JOINED });
      }
      if (port === 'switched') {
        if (grounded) expect(model.allows(WORKED, high(at, GROUND)) & CHANGES).toBe(CHANGES);
      }
      if (port === 'open') {
        expect(model.allows(LIVE, high(at, GROUND))).toBe(ANY_VOLTS);
        expect(model.allows(DEAD, ohms(at, GROUND))).toBe(OPEN);
      }
      if (port === 'lamp') {
        // Through the lamp to the neutral, or open where the lamp is out.
        if (grounded) expect(model.allows(DEAD, ohms(at, GROUND))).toBe(THROUGH | OPEN);
      }
    }
  });

  test('what stands between two of its conductors', () => {
    ports.forEach(([a, first], index) => {
      for (const [b, second] of ports.slice(index + 1)) {
        const pair = [first, second].sort().join(' ');
        const between = model.allows(QUIET, low(spot(a), spot(b)));
        if (pair === 'hot neutral' || pair === 'hot-second neutral' || pair === 'hot-other-leg neutral') {
          expect({ pair, between }).toEqual({ pair, between: HOT });
        }
        if (pair === 'hot hot-other-leg') expect({ pair, between }).toEqual({ pair, between: DOUBLE });
        if (pair === 'hot hot-second') expect({ pair, between }).toEqual({ pair, between: ZERO });
        if (pair === 'load return') {
          expect({ pair, ohms: model.allows(DEAD, ohms(spot(a), spot(b))) }).toEqual({
            pair,
            ohms: THROUGH | OPEN,
          });
        }
        if (pair === 'leg switch-common') {
          expect({ pair, ohms: model.allows(DEAD, ohms(spot(a), spot(b))) }).toEqual({
            pair,
            ohms: JOINED | OPEN,
          });
        }
        if (pair === 'fed-1 fed-2') {
          // One of them is hot, the other floats: low impedance finds nothing between them.
          expect({ pair, between }).toEqual({ pair, between: ZERO });
        }
        if (pair === 'open open') expect({ pair, between }).toEqual({ pair, between: ZERO });
      }
    });
  });

  test('with an open ground nothing is proven by high impedance to it', () => {
    const open = modelOf(type, side, false);
    for (const [insulation] of ports) {
      expect(open.allows(LIVE, high(spot(insulation), GROUND))).toBe(ANY_VOLTS);
      expect(open.allows(DEAD, ohms(spot(insulation), GROUND))).toBe(OPEN);
    }
  });

  test('what is stiffly hot is never also a neutral', () => {
    for (const [, port] of ports) {
      if (stiffTo(port) === 'neutral') expect(['neutral', 'neutral-switched']).toContain(port);
    }
  });
});

test('the feeds that are broken upstream are of the catalog, and lack what they are broken in', () => {
  const sides = SEEN_CABLES.flatMap((type) => farSides(type));
  for (const [ids, lacks, has] of [
    [NEUTRAL_OPEN, 'neutral', 'hot'],
    [HOT_OPEN, 'hot', 'neutral'],
  ] as const)
    for (const id of ids) {
      const side = sides.find((one) => one.id === id);
      const ports = Object.values(side?.ports ?? {});
      expect(ports).toContain(has);
      expect(ports).toContain('open');
      expect(ports).not.toContain(lacks);
    }
});
