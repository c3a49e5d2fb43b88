import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJobs } from '../../handover/jobs/demo-house';
import type { Design } from '../../job/model/design';
import { anyJob } from '../../testing/random-jobs';
import { generatedHouse } from '../../testing/house';
import { besideLine } from './beside-line';
import { runMap, type RunMap } from './run-map';
import { MAP_SIZES, SKETCH_SIZES, symbolRow, type MapArea, type MapPoint, type MapSizes } from './map-sizes';

const overlap = (a: MapArea, b: MapArea): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;
const pieces = (points: readonly MapPoint[], half: number): MapArea[] =>
  points.slice(1).map((to, index) => {
    const from = points[index]!;
    const [x, y] = [Math.min(from.x, to.x), Math.min(from.y, to.y)];
    const level = from.y === to.y;
    return {
      x: x - (level ? 0 : half),
      y: y - (level ? half : 0),
      width: Math.abs(to.x - from.x) + (level ? 0 : 2 * half),
      height: Math.abs(to.y - from.y) + (level ? 2 * half : 0),
    };
  });
const inside = (inner: MapArea, outer: MapArea): boolean =>
  inner.x >= outer.x - 1e-6 &&
  inner.y >= outer.y - 1e-6 &&
  inner.x + inner.width <= outer.x + outer.width + 1e-6 &&
  inner.y + inner.height <= outer.y + outer.height + 1e-6;

/** What is wrong with a map; nothing, of a sound one. */
function faults({ boxes, runs }: Pick<Design, 'boxes' | 'runs'>, map: RunMap, sizes: MapSizes): string[] {
  const wrong: string[] = [];
  const check = (holds: boolean, what: string): void => {
    if (!holds) wrong.push(what);
  };
  check(
    [...map.nodes.keys()].sort().join() === ['panel', ...boxes.map(({ id }) => id)].sort().join(),
    'a box is missing',
  );
  check(
    [...map.runs.keys()].sort().join() ===
      runs
        .map(({ id }) => id)
        .sort()
        .join(),
    'a run is missing',
  );
  const whole = { x: 0, y: 0, width: map.width, height: map.height };
  const nodes = [...map.nodes.values()];
  nodes.forEach((a, index) => {
    check(inside(a, whole), 'a box is cut off');
    for (const b of nodes.slice(index + 1)) check(!overlap(a, b), 'a box lies over another');
  });
  const labels = [...map.runs.values()].flatMap(({ label }) => (label ? [label] : []));
  check(labels.length === (sizes.label ? runs.length : 0), 'a label is missing');
  labels.forEach((a, index) => {
    check(inside(a, whole), 'a label is cut off');
    for (const b of labels.slice(index + 1)) check(!overlap(a, b), 'a label lies over another');
    for (const node of nodes) check(!overlap(a, node), 'a label lies over a box');
  });
  for (const { id, from, to } of runs) {
    const points = map.runs.get(id)?.points ?? [];
    const [first, last] = [points[0], points.at(-1)];
    if (!first || !last || points.length < 2) {
      wrong.push('a run has no line');
      continue;
    }
    const touches = (place: string, { x, y }: MapPoint) => {
      const node = map.nodes.get(place);
      return node !== undefined && inside({ x, y, width: 0, height: 0 }, node);
    };
    check(
      (touches(from, first) && touches(to, last)) || (touches(to, first) && touches(from, last)),
      'a run does not end at its boxes',
    );
    for (const [index, at] of points.slice(1).entries()) {
      const before = points[index];
      check(at.x === before?.x || at.y === before?.y, 'a piece is neither level nor upright');
      check(inside({ ...at, width: 0, height: 0 }, whole), 'a run is cut off');
    }
    for (const piece of pieces(points, sizes.halfRibbon))
      for (const label of labels) check(!overlap(piece, label), 'a label lies over a run');
    for (const [place, node] of map.nodes)
      if (place !== from && place !== to)
        for (const piece of pieces(points, 0)) check(!overlap(piece, node), 'a run passes over a box');
  }
  return wrong;
}

const shapes = [
  ['RIGHT', MAP_SIZES],
  ['DOWN', MAP_SIZES],
  ['RIGHT', SKETCH_SIZES],
  ['DOWN', { ...MAP_SIZES, label: { width: 210, height: 34 } }],
  ['RIGHT', { ...MAP_SIZES, label: { width: 210, height: 34 } }],
] as const;

/** Any runs among the boxes of a job: loops, runs side by side, boxes that nothing reaches. */
const tangled = fc
  .tuple(anyJob, fc.array(fc.tuple(fc.nat(), fc.nat()), { maxLength: 9 }))
  .map(([job, draws]): Pick<Design, 'boxes' | 'runs'> => {
    const places = ['panel', ...job.boxes.map(({ id }) => id)];
    const extra = draws.flatMap(([a, b], index) => {
      const [from, to] = [places[a % places.length]!, places[b % places.length]!];
      return from === to || !job.runs[0] ? [] : [{ ...job.runs[0], id: `extra-${index}`, from, to }];
    });
    return { boxes: job.boxes, runs: [...job.runs, ...extra] };
  });

describe('the map of runs', () => {
  test.each(shapes)('%s: no label over a run, a box or a label; no box over another', (direction, sizes) => {
    for (const job of demoJobs) expect(faults(job, runMap(job, direction, sizes), sizes)).toEqual([]);
    fc.assert(
      fc.property(tangled, (job) => expect(faults(job, runMap(job, direction, sizes), sizes)).toEqual([])),
      { numRuns: 60 },
    );
  });

  test('forty boxes are laid out too', () => {
    const job = generatedHouse(40);
    expect(faults(job, runMap(job, 'RIGHT'), MAP_SIZES)).toEqual([]);
  });

  test('what lies further along the runs stands further from the panel; what nothing reaches is there too', () => {
    const job = demoJobs.find(({ id }) => id === 'stair')!;
    const { nodes } = runMap(job, 'RIGHT');
    for (const { from, to } of job.runs) expect(nodes.get(to)!.x).not.toBe(nodes.get(from)!.x);
    expect(nodes.get('panel')!.x).toBe(0);
    expect(runMap({ ...job, runs: [] }, 'RIGHT').nodes.size).toBe(job.boxes.length + 1);
  });

  test('every symbol lies inside its box, as large as there is room for', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 12 }),
        fc.integer({ min: 30, max: 140 }),
        fc.integer({ min: 14, max: 60 }),
        (count, width, height) => {
          const room = { x: 5, y: 7, width, height };
          const { scale, at } = symbolRow(count, room);
          expect(at).toHaveLength(count);
          const drawn = at.map(({ x, y }) => ({
            x: x - 14 * scale,
            y: y - 12 * scale,
            width: 28 * scale,
            height: 24 * scale,
          }));
          drawn.forEach((one, index) => {
            expect(inside(one, room)).toBe(true);
            expect(one.x).toBeCloseTo(room.x + index * 28 * scale);
          });
        },
      ),
    );
  });

  test('conductors beside each other keep their distance round every corner', () => {
    const line = [
      { x: 0, y: 0 },
      { x: 40, y: 0 },
      { x: 40, y: 30 },
      { x: 90, y: 30 },
    ];
    expect(besideLine(line, 5)).toEqual([
      { x: 0, y: 5 },
      { x: 35, y: 5 },
      { x: 35, y: 35 },
      { x: 90, y: 35 },
    ]);
    expect(besideLine(line, 0)).toEqual(line);
  });
});
