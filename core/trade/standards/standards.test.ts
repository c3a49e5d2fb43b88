import { describe, expect, test } from '@jest/globals';
import { APPLIANCES } from './appliances';
import { boxRow, BOXES, isMetal } from './boxes';
import { cableRow, CABLE_TYPES, isWhite, LETTERS } from './cables';
import {
  AMPACITY_60_A,
  AMPACITY_90_A,
  boxVolumeIn3,
  conductorOhms,
  gaugeForBreaker,
  GAUGES,
  maxBreakerA,
} from './conductors';
import { connectorFor, CONNECTORS } from './connectors';
import { maxPlugInA } from './loads';

describe('conductor resistance against physics', () => {
  // ASTM B258: d = 0.127 mm × 92^((36 − n) / 39). IEC 60028: 1.7241e-8 Ω·m at 20 °C, 0.00393 per K.
  test.each(GAUGES)('%i AWG agrees with the drawn-copper formula at 75 °C within 1 %', (gauge) => {
    const diameterM = 0.127e-3 * 92 ** ((36 - gauge) / 39);
    const areaM2 = (Math.PI * diameterM ** 2) / 4;
    const lengthM = 1000 * 0.3048;
    const ohms = ((1.7241e-8 * lengthM) / areaM2) * (1 + 0.00393 * (75 - 20));
    expect(Math.abs(conductorOhms(gauge, 1000) / ohms - 1)).toBeLessThan(0.01);
  });
});

test('small conductors: 14 AWG 15 A, 12 AWG 20 A, 10 AWG 30 A (NEC 240.4(D), from memory)', () => {
  expect(GAUGES.map(maxBreakerA)).toEqual([15, 20, 30]);
  expect([15, 20, 30, 40].map(gaugeForBreaker)).toEqual([14, 12, 10, undefined]);
});

test('cable names say gauge and insulated conductors, the bare ground left out (common practice)', () => {
  for (const type of CABLE_TYPES) {
    const [gauge, ...counts] = type.split('-').map(Number);
    expect(cableRow(type).gauge).toBe(gauge);
    expect(cableRow(type).insulated).toHaveLength(counts.reduce((a, b) => a + b, 0));
  }
});

/** The printed rows: trade size, shape, minimum volume in in³. */
const TABLE_314_16_A = [
  ['4 × 1¼', 'octagon', 12.5],
  ['4 × 1½', 'octagon', 15.5],
  ['4 × 2⅛', 'octagon', 21.5],
  ['4 × 1¼', 'square', 18.0],
  ['4 × 1½', 'square', 21.0],
  ['4 × 2⅛', 'square', 30.3],
  ['4 11/16 × 1¼', 'square', 25.5],
  ['4 11/16 × 1½', 'square', 29.5],
  ['4 11/16 × 2⅛', 'square', 42.0],
  ['3 × 2 × 1½', 'device', 7.5],
  ['3 × 2 × 2', 'device', 10.0],
  ['3 × 2 × 2¼', 'device', 10.5],
  ['3 × 2 × 2½', 'device', 12.5],
  ['3 × 2 × 2¾', 'device', 14.0],
  ['3 × 2 × 3½', 'device', 18.0],
  ['4 × 2⅛ × 1½', 'device', 10.3],
  ['4 × 2⅛ × 1⅞', 'device', 13.0],
  ['4 × 2⅛ × 2⅛', 'device', 14.5],
] as const;

describe('boxes', () => {
  test.each(TABLE_314_16_A)(
    '%s %s, metal: %d in³ (NEC Table 314.16(A), from memory)',
    (size, shape, volume) => {
      const row = boxRow(`metal-${shape}-${size.replaceAll(' ', '-')}`);
      expect(row).toMatchObject({ volumeIn3: volume, source: { memory: true } });
      expect(row!.name).toContain(size);
    },
  );
  test('no metal box but those of the table, and none holds more than its outside measures', () => {
    const metal = BOXES.filter(({ family }) => isMetal(family));
    expect(metal).toHaveLength(TABLE_314_16_A.length);
    const inches = (text: string) =>
      [...text.matchAll(/(\d+)?(?: (\d+)\/(\d+))?([¼½¾⅛⅞])?/g)]
        .filter(([whole]) => whole.trim() !== '')
        .map(([, whole = '0', over = '0', under = '1', part = '']) => {
          const parts: Record<string, number> = { '¼': 0.25, '½': 0.5, '¾': 0.75, '⅛': 0.125, '⅞': 0.875 };
          return Number(whole) + Number(over) / Number(under) + (parts[part] ?? 0);
        });
    for (const [size, shape, volume] of TABLE_314_16_A) {
      const sides = inches(size);
      const [a = 0, b = 0, c] = sides;
      // Two measures are a square or an octagon and its depth; the sizes are nominal, so a sixth more may be inside.
      const outside = c === undefined ? a * a * b * (shape === 'octagon' ? 0.83 : 1) : a * b * c;
      expect({ size, fits: volume <= outside * 1.17 }).toEqual({ size, fits: true });
    }
  });
  test('nonmetallic volumes are stamps of the trade: more gangs hold more (common practice)', () => {
    for (const family of ['nail-on', 'cut-in'] as const) {
      const own = BOXES.filter((one) => one.family === family);
      for (const one of own) {
        expect(one.source).toEqual({ document: 'common practice', memory: false });
        for (const other of own)
          if (one.gangs < other.gangs) expect(one.volumeIn3).toBeLessThan(other.volumeIn3);
      }
    }
    expect(new Set(BOXES.map(({ id }) => id)).size).toBe(BOXES.length);
    expect(boxRow('shoebox')).toBeUndefined();
  });
});

describe('conductors', () => {
  test('volume a conductor takes, in³: 14 AWG 2.00, 12 AWG 2.25, 10 AWG 2.50 (NEC Table 314.16(B), from memory)', () => {
    expect(GAUGES.map(boxVolumeIn3)).toEqual([2, 2.25, 2.5]);
  });
  test('ampacity at 60 and 90 °C (NEC Table 310.16, from memory)', () => {
    expect(GAUGES.map((gauge) => [AMPACITY_60_A[gauge], AMPACITY_90_A[gauge]])).toEqual([
      [15, 25],
      [20, 30],
      [30, 40],
    ]);
  });
  test('a breaker is never over the 60 °C column, which NM-B is used by (NEC 334.80, from memory)', () => {
    for (const gauge of GAUGES) expect(maxBreakerA(gauge)).toBeLessThanOrEqual(AMPACITY_60_A[gauge]);
  });
});

describe('plug-in load', () => {
  test('15 A receptacle 12 A on either circuit, 20 A receptacle 16 A (NEC Table 210.21(B)(2), from memory)', () => {
    expect([maxPlugInA(15, 15), maxPlugInA(20, 15), maxPlugInA(20, 20)]).toEqual([12, 12, 16]);
  });
  test('what the circuit may not hold has no figure (NEC Table 210.21(B)(3), from memory)', () => {
    expect([maxPlugInA(15, 20), maxPlugInA(30, 15), maxPlugInA(30, 20)]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });
});

describe('connectors (common practice)', () => {
  test('the smallest that holds them; none beyond the largest', () => {
    const of = (count: number, gauge: 14 | 12 | 10, school: 'lever' | 'twist-on' | 'grounding') =>
      connectorFor(CONNECTORS, school, count, gauge)?.id;
    expect([2, 3, 4, 5, 6].map((count) => of(count, 12, 'lever'))).toEqual([
      'lever-2',
      'lever-3',
      'lever-5',
      'lever-5',
      undefined,
    ]);
    expect([3, 4, 5, 6, 7].map((count) => of(count, 14, 'twist-on'))).toEqual([
      'twist-on-small',
      'twist-on-medium',
      'twist-on-large',
      'twist-on-large',
      undefined,
    ]);
    expect(of(3, 12, 'twist-on')).toBe('twist-on-medium');
    expect(of(3, 10, 'grounding')).toBeUndefined();
  });
  test('thicker wire, fewer of them; a port holds one conductor', () => {
    for (const { holds, ports } of CONNECTORS) {
      expect(holds[12]).toBeLessThanOrEqual(holds[14]);
      expect(holds[10]).toBeLessThanOrEqual(holds[12]);
      if (ports !== null) expect(Object.values(holds)).toEqual([ports, ports, ports]);
    }
  });
});

describe('cable', () => {
  test('jackets: white 14, yellow 12, orange 10 (common practice)', () => {
    for (const type of CABLE_TYPES) {
      expect(cableRow(type).jacket).toBe({ 14: 'white', 12: 'yellow', 10: 'orange' }[cableRow(type).gauge]);
    }
  });
  test('one white to a neutral: x-2-2 has two, told apart by a stripe', () => {
    for (const type of CABLE_TYPES) {
      expect(cableRow(type).insulated.filter(isWhite)).toHaveLength(type.endsWith('-2-2') ? 2 : 1);
    }
  });
  test('every conductor has a letter, and no two of a cable the same', () => {
    for (const type of CABLE_TYPES) {
      const letters = [...cableRow(type).insulated, 'bare' as const].map((one) => LETTERS[one]);
      expect(new Set(letters).size).toBe(letters.length);
    }
  });
});

describe('appliances (common practice)', () => {
  test('each is within one 20 A circuit, runs at hours of a day, and has a name of its own', () => {
    expect(new Set(APPLIANCES.map(({ name }) => name)).size).toBe(APPLIANCES.length);
    for (const { watts, hours, continuous } of APPLIANCES) {
      expect(watts).toBeGreaterThan(0);
      expect(watts).toBeLessThanOrEqual(1920);
      expect(hours.every((hour) => Number.isInteger(hour) && hour >= 0 && hour < 24)).toBe(true);
      // Continuous (3 h or more) is what continuous means (NEC Article 100, from memory).
      if (continuous) expect(hours.length).toBeGreaterThanOrEqual(3);
    }
  });
});
