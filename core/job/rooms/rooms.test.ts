import { expect, test } from '@jest/globals';
import { applyCommand } from '../commands/command';
import { demoJob } from '../../handover/jobs/demo-house';
import { corners, spotPoint } from './corners';
import { measureRun } from './route';

const job = demoJob('sunroom-plant-shelf')!;
const run = job.runs[1]!;

test('up to the plate and over: 4 ft up, 15 ft over, 4 ft 8 in down (geometry)', () => {
  // Door at 4 ft on a 14 ft wall, 48 in up; shelf 5 ft along the next wall, 40 in up; ceiling 8 ft.
  const over = measureRun(job, run, 'over')!;
  expect(over.lengthFt).toBe(23.5);
  expect(over.holes).toBe(2);
});
test('along the wall: 15 ft and 8 in of height, a hole every 16 in (geometry; studs 16 in, common practice)', () => {
  const along = measureRun(job, run, 'along')!;
  expect(along.lengthFt).toBe(15.5);
  expect(along.holes).toBe(11);
});
test('staples: within 12 in of each box and at most 4½ ft apart (334.30, from memory)', () => {
  for (const route of ['over', 'along'] as const) {
    const { lengthFt, staples } = measureRun(job, run, route)!;
    expect((lengthFt - 2) / (staples - 1)).toBeLessThanOrEqual(4.5);
    expect((lengthFt - 2) / Math.max(staples - 2, 1)).toBeGreaterThan(4.5);
  }
});
test('a run on a route follows its boxes; a given length stays', () => {
  const routed = applyCommand(job, { do: 'set run', run: 'shelf-run', change: { route: 'along' } });
  if (!routed.ok) throw new Error('refused');
  expect(routed.value.job.runs[1]!.lengthFt).toBe(15.5);
  const moved = applyCommand(routed.value.job, {
    do: 'set box',
    box: 'plant-shelf',
    change: { spot: { room: 'sunroom', wall: 1, alongFt: 8 } },
  });
  if (!moved.ok) throw new Error('refused');
  expect(moved.value.job.runs[1]!.lengthFt).toBe(18.5);
  const given = applyCommand(job, { do: 'set box', box: 'plant-shelf', change: { heightIn: 70 } });
  expect(given.ok && given.value.job.runs[1]!.lengthFt).toBe(18);
});
test('a spot past the end of its wall is refused with its place', () => {
  const past = applyCommand(job, {
    do: 'set box',
    box: 'plant-shelf',
    change: { spot: { room: 'sunroom', wall: 1, alongFt: 30 } },
  });
  expect(past).toMatchObject({ ok: false, problems: [{ path: 'design.boxes[1].spot.alongFt' }] });
});
test('four walls close to a rectangle, and spots lie on them facing out', () => {
  const room = { wallsFt: [14, 11, 14, 11] };
  const round = (point: readonly number[]) => point.map((value) => Math.round(value * 1000) / 1000 + 0);
  expect(corners(room).map(round)).toEqual([
    [0, 0],
    [14, 0],
    [14, 11],
    [0, 11],
  ]);
  const { at, outward } = spotPoint(room, 1, 5);
  expect([round(at), round(outward)]).toEqual([
    [14, 5],
    [1, 0],
  ]);
});
