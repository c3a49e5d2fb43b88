import { describe, expect, test } from '@jest/globals';
import { demoJob, demoJobs } from '@core/handover/jobs/demo-house';
import { spineOrder } from '@core/wiring/layout/spine-order';
import { roundedPath } from './wire';

describe('a path with round corners', () => {
  test('starts and ends at its points, with a curve for each corner', () => {
    const d = roundedPath([
      [0, 0],
      [0, 40],
      [60, 40],
      [60, 90],
    ]);
    expect(d.startsWith('M0 0')).toBe(true);
    expect(d.endsWith('L60 90')).toBe(true);
    expect(d.match(/Q/g)).toHaveLength(2);
  });
  test('a corner is no larger than half of the shorter side', () => {
    expect(
      roundedPath([
        [0, 0],
        [0, 8],
        [100, 8],
      ]),
    ).toBe('M0 0L0 4Q0 8 4 8L100 8');
  });
  test('points that repeat, single points and none at all are drawn without a fault', () => {
    expect(
      roundedPath([
        [1, 1],
        [1, 1],
        [5, 1],
      ]),
    ).toBe('M1 1L5 1');
    expect(roundedPath([[3, 4]])).toBe('M3 4');
    expect(roundedPath([])).toBe('');
  });
});

describe('the spine', () => {
  test('names every box once, from the panel outward', () => {
    for (const job of demoJobs) {
      const places = spineOrder(job).map(({ place }) => place);
      expect(places[0]).toBe('panel');
      expect(places.slice(1).sort()).toEqual(job.boxes.map(({ id }) => id).sort());
    }
  });
  test('a box that nothing reaches comes last, with no run', () => {
    const job = demoJob('stair')!;
    const lone = { ...job, boxes: [{ ...job.boxes[0]!, id: 'lone', name: 'Lone' }, ...job.boxes] };
    expect(spineOrder(lone).at(-1)).toMatchObject({ place: 'lone', run: null });
  });
});
