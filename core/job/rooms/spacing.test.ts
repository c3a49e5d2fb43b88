import { describe, expect, test } from '@jest/globals';
import { Design } from '../model/design';
import { duplexIn, sketch, switchIn } from '../../testing/jobs';
import { spacing } from './spacing';

/** A room with receptacles at the given places of its walls. */
function drawn(
  wallsFt: number[],
  places: readonly (readonly [wall: number, alongFt: number, change?: object])[],
): Design {
  const ids = places.map((_, index) => `b${index}`);
  const base = sketch({
    boxes: ids,
    runs: ids.map((id) => `panel-${id}:10`),
    devices: ids.map((id) => duplexIn(id, null, null)),
  });
  return Design.parse({
    ...base,
    rooms: [{ id: 'room', name: 'Room', kind: 'bedroom', wallsFt }],
    boxes: base.boxes.map((box, index) => {
      const [wall, alongFt, change] = places[index]!;
      return { ...box, spot: { room: 'room', wall, alongFt }, ...change };
    }),
  });
}
const gaps = (job: Design) =>
  spacing(job, job.rooms[0]!).gaps.map(({ wall, fromFt, toFt }) => [wall, fromFt, toFt]);

describe('wall spacing: no point more than 6 ft from a receptacle (NEC 210.52(A)(1), from memory)', () => {
  test('a wall of 12 ft with one in the middle is covered to its ends', () => {
    expect(
      gaps(
        drawn(
          [12, 12],
          [
            [0, 6],
            [1, 6],
          ],
        ),
      ),
    ).toEqual([]);
  });
  test('14 ft with one at 6 ft leaves the last 2 ft', () => {
    expect(gaps(drawn([14, 30], [[0, 6]]))[0]).toEqual([0, 12, 14]);
  });
  test('measured round the corner', () => {
    const [first, second] = gaps(drawn([10, 20], [[0, 9]]));
    expect(first).toEqual([0, 0, 3]);
    expect(second).toEqual([1, 5, 20]);
  });
  test('a wall under 2 ft is no wall space', () => {
    expect(
      gaps(
        drawn(
          [10, 1.5, 10],
          [
            [0, 5],
            [2, 5],
          ],
        ),
      ).filter(([wall]) => wall === 1),
    ).toEqual([]);
  });
  test('without receptacles the whole room is open', () => {
    const job = Design.parse({ ...drawn([10, 10], [[0, 5]]), devices: [] });
    expect(gaps(job)).toEqual([
      [0, 0, 10],
      [1, 0, 10],
    ]);
  });
});

describe('which receptacles count (210.52, from memory)', () => {
  test('not one over 5½ ft up, nor inside a cabinet', () => {
    const job = drawn(
      [10, 10],
      [
        [0, 5, { heightIn: 72 }],
        [1, 5, { reach: 'in cabinet' }],
      ],
    );
    expect(spacing(job, job.rooms[0]!).uncounted.map(({ why }) => why)).toEqual([
      'it is over 5½ ft up',
      'it is inside a cabinet',
    ]);
  });
  test('one wholly switched does not; one with a half that stays on does', () => {
    const of = (upper: string | null) => {
      const base = sketch({
        boxes: ['b0', 'b1'],
        runs: ['panel-b1:10', 'b1-b0:10'],
        groups: ['g'],
        devices: [switchIn('b1', 'g'), duplexIn('b0', upper, 'g')],
      });
      const job = Design.parse({
        ...base,
        rooms: [{ id: 'room', name: 'Room', wallsFt: [10] }],
        boxes: base.boxes.map((box) => ({ ...box, spot: { room: 'room', wall: 0, alongFt: 5 } })),
      });
      return spacing(job, job.rooms[0]!);
    };
    expect(of('g').counted).toEqual([]);
    expect(of('g').uncounted[0]?.why).toMatch(/switch/);
    expect(of(null).counted).toHaveLength(1);
  });
});
