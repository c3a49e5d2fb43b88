import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
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

describe('doors break the wall space, windows do not (210.52(A)(2), from memory)', () => {
  /** A room by quarter feet, walked cell by cell: the checker knows no stretches. */
  const QUARTER = 4;
  const walls = fc.array(fc.integer({ min: 4, max: 60 }), { minLength: 1, maxLength: 7 });
  const place = fc.record({ wall: fc.nat(6), share: fc.double({ min: 0, max: 1, noNaN: true }) });
  const door = fc.record({
    wall: fc.nat(6),
    share: fc.double({ min: 0, max: 1, noNaN: true }),
    wide: fc.integer({ min: 4, max: 16 }),
    kind: fc.constantFrom('door' as const, 'opening' as const, 'window' as const),
  });

  /** Quarter feet that are more than 6 ft from every receptacle as one walks without passing a door; null: in no wall space. */
  function walked(
    cells: number,
    ring: boolean,
    broken: ReadonlySet<number>,
    marks: readonly number[],
  ): boolean[] {
    const step = (cell: number, by: number): number | null => {
      const next = ring ? (cell + by + cells) % cells : cell + by;
      return next < 0 || next >= cells || broken.has(next) ? null : next;
    };
    return Array.from({ length: cells }, (_, cell) => {
      if (broken.has(cell)) return false;
      let [wide, reached] = [1, false];
      for (const by of [-1, 1]) {
        let at: number | null = cell;
        for (let far = 0; far < cells && at !== null; far++) {
          // A receptacle at the edge of a cell is there for the cells on both sides of it: the middle of this one is half a cell off.
          const edge = by === 1 ? at + 1 : at;
          if (
            far + 0.5 <= 6 * QUARTER &&
            marks.some((mark) => mark === edge || (ring && mark % cells === edge % cells))
          )
            reached = true;
          at = step(at, by);
          if (at !== null && far < cells - 1) wide++;
        }
      }
      return !reached && Math.min(wide, cells) >= 2 * QUARTER;
    });
  }

  test('as one walks along the walls, on random rooms with doors, windows and receptacles', () => {
    let seen = 0;
    fc.assert(
      fc.property(
        walls,
        fc.array(door, { maxLength: 4 }),
        fc.array(place, { maxLength: 4 }),
        (quarters, doors, places) => {
          const starts = quarters.map((_, wall) =>
            quarters.slice(0, wall).reduce((sum, one) => sum + one, 0),
          );
          const cells = quarters.reduce((sum, one) => sum + one, 0);
          const openings = doors.flatMap(({ wall: any, share, wide, kind }, index) => {
            const wall = any % quarters.length;
            const from = Math.floor(share * Math.max(quarters[wall]! - wide, 0));
            const to = Math.min(from + wide, quarters[wall]!);
            return [{ id: `o${index}`, kind, wall, from, to }];
          });
          const apart = openings.filter(
            (one, at) =>
              !openings
                .slice(0, at)
                .some((other) => other.wall === one.wall && other.from < one.to && one.from < other.to),
          );
          const broken = new Set(
            apart.flatMap(({ kind, wall, from, to }) =>
              kind === 'window'
                ? []
                : Array.from({ length: to - from }, (_, at) => starts[wall]! + from + at),
            ),
          );
          const marks = places
            .map(({ wall: any, share }) => {
              const wall = any % quarters.length;
              return { wall, at: Math.round(share * quarters[wall]!) };
            })
            // No receptacle stands in a door or on its frame.
            .filter(({ wall, at }) => !broken.has(starts[wall]! + at) && !broken.has(starts[wall]! + at - 1));
          const job = drawn(
            quarters.map((one) => one / QUARTER),
            marks.length > 0 ? marks.map(({ wall, at }) => [wall, at / QUARTER] as const) : [[0, 0]],
          );
          const room = {
            ...job.rooms[0]!,
            openings: apart.map(({ from, to, ...one }) => ({
              ...one,
              fromFt: from / QUARTER,
              toFt: to / QUARTER,
            })),
          };
          const { gaps: found } = spacing(marks.length > 0 ? job : { ...job, devices: [] }, room);
          const want = walked(
            cells,
            quarters.length > 2,
            broken,
            marks.map(({ wall, at }) => starts[wall]! + at),
          );
          const is = want.map((_, cell) =>
            found.some(({ wall, fromFt, toFt }) => {
              const at = (cell + 0.5 - starts[wall]!) / QUARTER;
              return at > fromFt && at < toFt && at > 0 && at * QUARTER < quarters[wall]!;
            }),
          );
          expect(is).toEqual(want);
          if (broken.size > 0 && want.includes(true)) seen++;
        },
      ),
      { numRuns: 600 },
    );
    expect(seen).toBeGreaterThan(100);
  });

  test('a receptacle across a door serves the wall on its own side alone', () => {
    const job = drawn([20, 10, 20, 10], [[0, 4]]);
    const opening = { id: 'door', wall: 0, fromFt: 6, toFt: 9 };
    const gapsWith = (kind: 'door' | 'window') =>
      spacing(job, { ...job.rooms[0]!, openings: [{ ...opening, kind }] }).gaps.filter(
        ({ wall }) => wall === 0,
      );
    expect(gapsWith('door')).toEqual([{ wall: 0, fromFt: 9, toFt: 20 }]);
    expect(gapsWith('window')).toEqual([{ wall: 0, fromFt: 10, toFt: 20 }]);
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
