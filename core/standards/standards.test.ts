import { describe, expect, test } from '@jest/globals';
import { boxRow, BOXES, isMetal } from './boxes';
import { cableRow, CABLE_TYPES } from './cables';
import { conductorOhms, gaugeForBreaker, GAUGES, maxBreakerA } from './conductors';

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

test('metal box minimum volumes (NEC Table 314.16(A), from memory)', () => {
  const volume = (id: string) => boxRow(id)?.volumeIn3;
  expect(volume('metal-square-4-×-1½')).toBe(21);
  expect(volume('metal-square-4-×-2⅛')).toBe(30.3);
  expect(volume('metal-octagon-4-×-1½')).toBe(15.5);
  expect(volume('metal-device-3-×-2-×-3½')).toBe(18);
  expect(BOXES.filter(({ family }) => isMetal(family)).every(({ source }) => source.memory)).toBe(true);
});
