import { describe, expect, test } from '@jest/globals';
import { planJob } from '../plan';
import { boxRow } from '../../trade/standards/boxes';
import { duplexIn, sketch, switchIn } from '../../testing/jobs';
import { boxFill, countBox, type FillCount } from './box-fill';

const times = <T>(count: number, value: T): T[] => Array.from({ length: count }, () => value);
const none: FillCount = { conductors: [], grounds: [], internalClamps: false, yokes: [] };

describe('box fill (NEC 314.16, from memory, and worked examples of common practice)', () => {
  test('ceiling box of 18.0 in³, three 12-2 and a duplex: 20.25 in³, over by 2.25; 4 × 1½ square holds it (common practice)', () => {
    const count = {
      ...none,
      conductors: times(6, 12 as const),
      grounds: times(3, 12 as const),
      yokes: [12 as const],
    };
    const fill = boxFill(count, 18, '2020');
    expect([fill.totalIn3, fill.fits]).toEqual([20.25, false]);
    expect(boxFill(count, boxRow('metal-square-4-×-1½')!.volumeIn3, '2020').fits).toBe(true);
  });

  test('one 14-2 in, one 14-3 out, one duplex, no clamp: (5 + 1 + 2) × 2.00 = 16.0 in³ (314.16)', () => {
    const outcome = planJob(
      sketch({
        breakerA: 15,
        boxes: ['shelf', 'door'],
        runs: ['panel-shelf:30', 'shelf-door:12'],
        groups: ['shelf'],
        devices: [duplexIn('shelf', null, 'shelf'), switchIn('door', 'shelf')],
      }),
    );
    if (!outcome.ok) throw new Error('refused');
    const { job, wiring } = outcome.plan;
    const count = countBox(
      wiring,
      job.boxes.find(({ id }) => id === 'shelf')!,
    );
    expect(boxFill(count, 18, '2020').totalIn3).toBe(16);
  });

  test('one-gang switch box, one 14-3, single-pole switch, internal clamp: (3 + 1 + 1 + 2) × 2.00 = 14.0 in³ (314.16)', () => {
    const outcome = planJob(
      sketch({
        breakerA: 15,
        boxes: [{ id: 'shelf' }, { id: 'door', family: 'metal device', internalClamps: true }],
        runs: ['panel-shelf:30', 'shelf-door:12'],
        groups: ['shelf'],
        devices: [duplexIn('shelf', null, 'shelf'), switchIn('door', 'shelf')],
      }),
    );
    if (!outcome.ok) throw new Error('refused');
    const { job, wiring } = outcome.plan;
    const fill = boxFill(countBox(wiring, job.boxes[1]!), 14, '2020');
    expect([fill.totalIn3, fill.fits]).toEqual([14, true]);
  });

  test('six 12 AWG grounds: 3.375 in³ from 2020, 2.25 in³ in 2017 (314.16(B)(5))', () => {
    const count = { ...none, grounds: times(6, 12 as const) };
    expect(
      (['2017', '2020', '2023'] as const).map((edition) => boxFill(count, 20, edition).totalIn3),
    ).toEqual([2.25, 3.375, 3.375]);
  });

  test('two yokes, one with 12 AWG only, one with 14 AWG only: 2 × 2.25 + 2 × 2.00 (314.16(B)(4))', () => {
    expect(boxFill({ ...none, yokes: [12, 14] }, 20, '2020').totalIn3).toBe(8.5);
  });

  test('a box filled to the last hundredth fits', () => {
    expect(boxFill({ ...none, conductors: times(9, 14 as const) }, 18, '2020').fits).toBe(true);
  });
});
