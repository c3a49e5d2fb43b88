import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyCommand, type DesignCommand } from '../commands/command';
import { demoJob } from '../../handover/jobs/demo-house';
import { Design, type Room } from '../model/design';
import type { Sheet, SheetPoint } from '../model/sheet';
import { corners } from '../rooms/corners';
import { floorCorners } from '../rooms/floor';
import { measureRun } from '../rooms/route';
import { clockwise, fitOf, planeOf } from './plane';
import { trace as traceTap, tracedOn, type Tap } from './trace';

/*
 * Sheets drawn with known sizes, seen as a camera sees them: the checker draws by its own camera, which turns, tilts and stands
 * somewhere, and shares nothing with what traces.
 */

interface Camera {
  readonly turnDeg: number;
  readonly tiltDeg: number;
  readonly swingDeg: number;
  readonly pxPerFt: number;
}
const RAD = Math.PI / 180;
/** Pixels of a point of the floor, ft: turned on the table, then tilted and swung before a lens that is some 60 ft off. */
function seenBy({ turnDeg, tiltDeg, swingDeg, pxPerFt }: Camera, xFt: number, yFt: number): SheetPoint {
  const [x, y] = [xFt - 20, yFt - 15];
  const [c, s] = [Math.cos(turnDeg * RAD), Math.sin(turnDeg * RAD)];
  const [tx, ty] = [x * c - y * s, x * s + y * c];
  // About the horizontal axis, then the vertical one.
  const [ry, rz] = [ty * Math.cos(tiltDeg * RAD), ty * Math.sin(tiltDeg * RAD)];
  const [qx, qz] = [
    tx * Math.cos(swingDeg * RAD) + rz * Math.sin(swingDeg * RAD),
    -tx * Math.sin(swingDeg * RAD) + rz * Math.cos(swingDeg * RAD),
  ];
  const far = 60 / (60 + qz);
  return { x: Math.max(2200 + qx * far * pxPerFt, 0), y: Math.max(2200 + ry * far * pxPerFt, 0) };
}
const camera = fc.record({
  turnDeg: fc.double({ min: -180, max: 180, noNaN: true }),
  tiltDeg: fc.double({ min: -25, max: 25, noNaN: true }),
  swingDeg: fc.double({ min: -25, max: 25, noNaN: true }),
  pxPerFt: fc.constantFrom(12, 24, 40, 60),
});
/** A thumb, after coming closer, is on the pixel or one beside it; where a pixel is an inch, nobody taps beside it. */
const tapped = ({ x, y }: SheetPoint, off: readonly [number, number] = [0, 0]): SheetPoint => ({
  x: Math.max(Math.round(x) + off[0], 0),
  y: Math.max(Math.round(y) + off[1], 0),
});
const thumb = fc.tuple(fc.integer({ min: -1, max: 1 }), fc.integer({ min: -1, max: 1 }));

/** Rooms of right angles: a rectangle with corners taken out, clockwise from the upper left. */
const room = fc
  .record({
    x: fc.integer({ min: 2, max: 14 }),
    y: fc.integer({ min: 2, max: 10 }),
    wide: fc.integer({ min: 7, max: 20 }),
    high: fc.integer({ min: 6, max: 16 }),
    cut: fc.constantFrom('none', 'upper right', 'lower right', 'lower left') as fc.Arbitrary<string>,
  })
  .map(({ x, y, wide, high, cut }): [number, number][] => {
    const [r, b] = [x + wide, y + high];
    if (cut === 'upper right')
      return [
        [x, y],
        [r - 3, y],
        [r - 3, y + 2],
        [r, y + 2],
        [r, b],
        [x, b],
      ];
    if (cut === 'lower right')
      return [
        [x, y],
        [r, y],
        [r, b - 2],
        [r - 3, b - 2],
        [r - 3, b],
        [x, b],
      ];
    if (cut === 'lower left')
      return [
        [x, y],
        [r, y],
        [r, b],
        [x + 3, b],
        [x + 3, b - 2],
        [x, b - 2],
      ];
    return [
      [x, y],
      [r, y],
      [r, b],
      [x, b],
    ];
  });

/** The stair before anybody put its sheet on the table. */
const plain: Design = Design.parse({
  ...demoJob('stair')!,
  sheets: [],
  panelAt: null,
  rooms: [{ id: 'stair', name: 'Stair', kind: 'stairway', wallsFt: [12, 3, 12, 3] }],
  boxes: demoJob('stair')!.boxes.map((box) => ({ ...box, spot: null, at: null, room: 'stair' })),
});
function withSheet(scale: Sheet['scale'], base: Design = plain): Design {
  const done = applyCommand(base, {
    do: 'add sheet',
    sheet: {
      id: 'sheet',
      name: 'First floor',
      picture: null,
      widthPx: 4400,
      heightPx: 4400,
      scale,
      check: null,
    },
  });
  if (!done.ok) throw new Error(done.problems.map(({ message }) => message).join());
  return done.value.job;
}
type Step = DesignCommand | Tap;
/** A job after commands and taps on its sheet. */
const after = (job: Design, ...steps: readonly Step[]): Design => steps.reduce(stepped, job);
function stepped(job: Design, step: Step): Design {
  const done = tried(job, step);
  if (!done.ok) throw new Error(done.problems.map(({ path, message }) => `${path} ${message}`).join());
  return done.value.job;
}
function tried(job: Design, step: Step): ReturnType<typeof applyCommand> {
  if ('do' in step) return applyCommand(job, step);
  const command = traceTap(job, 'sheet', step);
  return command.ok ? applyCommand(job, command.value) : command;
}
/** Within 1 % or 2 in: what the work is measured by. */
const near = (is: number, was: number) => Math.abs(is - was) <= Math.max(was / 100, 2 / 12) + 1e-9;
const side = ([ax, ay]: readonly number[], [bx, by]: readonly number[]) => Math.hypot(bx! - ax!, by! - ay!);
const trace = (
  corners: readonly SheetPoint[],
  more: { readonly room?: string; readonly name?: string } = {},
): Tap => ({
  on: 'room',
  corners,
  room: null,
  name: 'Traced',
  kind: 'den',
  ...more,
});
const lastRoom = (job: Design): Room => job.rooms.at(-1)!;

describe('what is traced is as long as it was drawn', () => {
  test('on sheets turned and skewed, straightened by the four corners of their frame, by a thumb', () => {
    fc.assert(
      fc.property(camera, room, fc.array(thumb, { minLength: 10, maxLength: 10 }), (eye, drawn, off) => {
        const see = ([x, y]: readonly number[], at: number) =>
          tapped(seenBy(eye, x!, y!), eye.pxPerFt < 24 ? [0, 0] : off[at]);
        // The frame of the sheet is 40 by 30 ft at its scale.
        const frame = [
          [0, 0],
          [40, 0],
          [40, 30],
          [0, 30],
        ].map((one, at) => see(one, at + 6));
        const job = withSheet({ by: 'rectangle', corners: frame, wideFt: 40, highFt: 30 });
        // A sheet that lies on its side has its frame's other corner first: wide and high change places with it.
        const plane = planeOf(job.sheets[0]!)!;
        const turned = side(plane.toFloor(frame[0]!), plane.toFloor(frame[1]!)) < 35;
        const scaled = turned ? withSheet({ by: 'rectangle', corners: frame, wideFt: 30, highFt: 40 }) : job;
        const { wallsFt, turnsDeg } = lastRoom(after(scaled, trace(drawn.map(see))));
        expect(wallsFt).toHaveLength(drawn.length);
        const walls = drawn.map((one, at) => side(one, drawn[(at + 1) % drawn.length]!));
        wallsFt.forEach((ft, wall) =>
          expect([near(ft, walls[wall]!), ft, walls[wall]]).toEqual([true, ft, walls[wall]]),
        );
        expect(new Set(turnsDeg!.map((deg) => Math.abs(deg)))).toEqual(new Set([90]));
      }),
      { numRuns: 400 },
    );
  });

  test('by two points, at every resolution and turn; and a second length says so', () => {
    fc.assert(
      fc.property(
        camera.map((eye) => ({ ...eye, tiltDeg: 0, swingDeg: 0 })),
        room,
        fc.array(thumb, { minLength: 10, maxLength: 10 }),
        (eye, drawn, off) => {
          const see = ([x, y]: readonly number[], at: number) =>
            tapped(seenBy(eye, x!, y!), eye.pxPerFt < 24 ? [0, 0] : off[at]);
          const scaled = withSheet({ by: 'length', from: see([0, 0], 6), to: see([40, 0], 7), lengthFt: 40 });
          const job = after(scaled, {
            do: 'set sheet',
            sheet: 'sheet',
            change: { check: { from: see([0, 0], 8), to: see([0, 30], 9), lengthFt: 30 } },
          });
          expect(fitOf(job.sheets[0]!)).toMatchObject({ fits: true });
          const { wallsFt } = lastRoom(after(job, trace(drawn.map(see))));
          const walls = drawn.map((one, at) => side(one, drawn[(at + 1) % drawn.length]!));
          wallsFt.forEach((ft, wall) =>
            expect([near(ft, walls[wall]!), ft, walls[wall]]).toEqual([true, ft, walls[wall]]),
          );
        },
      ),
      { numRuns: 300 },
    );
  });

  test('a photo taken askew does not pass for a flat one: its second length does not fit, and four corners mend it', () => {
    const eye: Camera = { turnDeg: 8, tiltDeg: 24, swingDeg: -14, pxPerFt: 40 };
    const see = (x: number, y: number) => tapped(seenBy(eye, x, y));
    const check = { from: see(0, 0), to: see(0, 30), lengthFt: 30 };
    const flat = after(withSheet({ by: 'length', from: see(0, 30), to: see(40, 30), lengthFt: 40 }), {
      do: 'set sheet',
      sheet: 'sheet',
      change: { check },
    });
    expect(fitOf(flat.sheets[0]!)).toMatchObject({ fits: false });
    const mended = after(flat, {
      on: 'scale',
      scale: {
        by: 'rectangle',
        corners: [see(0, 0), see(40, 0), see(40, 30), see(0, 30)],
        wideFt: 40,
        highFt: 30,
      },
    });
    expect(fitOf(mended.sheets[0]!)).toMatchObject({ fits: true });
  });
});

describe('what is traced stands where it was tapped', () => {
  const flat = withSheet({ by: 'length', from: { x: 0, y: 0 }, to: { x: 1600, y: 0 }, lengthFt: 40 });
  const px = (...ft: [number, number][]) => ft.map(([x, y]) => ({ x: x * 40, y: y * 40 }));

  test('corners near a right angle are square, those near a neighbor are its; a face across a stud wall stays apart', () => {
    const first = after(flat, trace(px([2, 2], [14.1, 2.05], [14, 12], [2, 11.95])));
    expect(lastRoom(first).turnsDeg).toEqual([90, 90, 90, 90]);
    const [, right] = floorCorners(lastRoom(first));
    const second = after(first, trace(px([14.2, 2.2], [20, 2.1], [20, 12], [14.1, 12.1]), { name: 'Next' }));
    const [corner] = floorCorners(lastRoom(second));
    expect(side(corner!, right!)).toBeLessThan(0.02);
    const third = after(first, trace(px([14.5, 2.2], [20, 2.1], [20, 12], [14.5, 12.1]), { name: 'Beyond' }));
    expect(side(floorCorners(lastRoom(third))[0]!, right!)).toBeGreaterThan(0.35);
  });

  test('tapped the other way round it is the same room; walls that cross are refused', () => {
    const taps = px([2, 2], [14, 2], [14, 12], [2, 12]);
    const [first, ...rest] = taps;
    const there = lastRoom(after(flat, trace(taps)));
    expect(lastRoom(after(flat, trace([first!, ...rest.toReversed()]))).wallsFt).toEqual(there.wallsFt);
    const crossed = tried(flat, trace([taps[0]!, taps[2]!, taps[1]!, taps[3]!]));
    expect(crossed).toMatchObject({ ok: false, problems: [{ path: 'design.rooms[1].turnsDeg' }] });
  });

  test('nothing is traced before a length is known, and points that span nothing give none', () => {
    const bare = withSheet(null);
    expect(tried(bare, trace(px([2, 2], [14, 2], [14, 12])))).toMatchObject({
      ok: false,
      problems: [{ path: 'sheet' }],
    });
    const spot = { x: 5, y: 5 };
    for (const scale of [
      { by: 'length', from: spot, to: { x: 6, y: 5 }, lengthFt: 10 },
      { by: 'rectangle', corners: [spot, spot, { x: 90, y: 5 }, { x: 90, y: 90 }], wideFt: 9, highFt: 9 },
    ] as const)
      expect(tried(bare, { on: 'scale', scale: scale as never })).toMatchObject({
        ok: false,
        problems: [{ path: 'scale' }],
      });
  });

  test('four corners are the same rectangle in whatever order they are tapped', () => {
    const ends = px([2, 2], [14, 2], [14, 12], [2, 12]);
    const want = clockwise(ends);
    fc.assert(
      fc.property(fc.shuffledSubarray(ends, { minLength: 4 }), (order) => {
        expect(clockwise(order)).toEqual(want);
      }),
    );
  });

  test('a box before a wall is on it, a ceiling box hangs in its room, the panel stands free', () => {
    const roomed = after(flat, trace(px([2, 2], [14, 2], [14, 12], [2, 12]), { room: 'stair' }));
    const job = after(
      roomed,
      { on: 'box', box: 'stair-foot', at: { x: 8 * 40, y: 2.7 * 40 } },
      { on: 'box', box: 'stair-light', at: { x: 8 * 40, y: 2.7 * 40 } },
      { on: 'panel', at: { x: 30 * 40, y: 20 * 40 } },
    );
    const box = (id: string) => job.boxes.find((one) => one.id === id)!;
    expect(box('stair-foot').spot).toEqual({ room: 'stair', wall: 0, alongFt: 6 });
    expect(box('stair-light')).toMatchObject({
      spot: null,
      room: 'stair',
      at: { sheet: 'sheet', xFt: 8, yFt: 2.7 },
    });
    expect(job.panelAt).toEqual({ sheet: 'sheet', xFt: 30, yFt: 20 });
    // From the panel, 5 ft up: 3 ft to the plate, 22 and 18 ft across the joists, and down to 16 in.
    const feed = job.runs.find(({ id }) => id === 'feed')!;
    expect(measureRun(job, feed, 'over')!.lengthFt).toBeCloseTo(3 + 22 + 18 + (8 - 16 / 12), 0);
    const led = after(job, { do: 'set run', run: 'feed', change: { route: 'over' } });
    expect(led.runs.find(({ id }) => id === 'feed')!.lengthFt).toBe(measureRun(job, feed, 'over')!.lengthFt);
  });

  test('scaled anew all of it stays on its place of the picture, and is longer by the same part', () => {
    fc.assert(
      fc.property(room, fc.double({ min: 0.5, max: 2, noNaN: true }), (drawn, part) => {
        const job = after(
          flat,
          trace(
            drawn.map(([x, y]) => ({ x: x * 40, y: y * 40 })),
            { room: 'stair' },
          ),
          {
            on: 'opening',
            room: 'stair',
            kind: 'door',
            from: { x: (drawn[0]![0] + 1) * 40, y: drawn[0]![1] * 40 },
            to: { x: (drawn[0]![0] + 3.5) * 40, y: drawn[0]![1] * 40 },
          },
          {
            on: 'box',
            box: 'stair-foot',
            at: { x: drawn[2]![0] * 40, y: (drawn[2]![1] - 1) * 40 },
          },
          { on: 'panel', at: { x: 1200, y: 900 } },
        );
        const scaled = after(job, {
          on: 'scale',
          scale: { by: 'length', from: { x: 0, y: 0 }, to: { x: 1600, y: 0 }, lengthFt: 40 * part },
        });
        const [was, is] = [job, scaled].map((one) => tracedOn(one, one.sheets[0]!));
        const all = (traced: typeof was) => [
          ...traced!.rooms.flatMap((one) => one.corners),
          ...traced!.openings.flatMap(({ from, to }) => [from, to]),
          ...traced!.places.values(),
        ];
        const [before, now] = [all(was), all(is)];
        expect(now).toHaveLength(before.length);
        expect(before.length).toBeGreaterThan(7);
        now.forEach((point, at) =>
          expect(Math.hypot(point.x - before[at]!.x, point.y - before[at]!.y)).toBeLessThan(3),
        );
        lastRoom(scaled).wallsFt.forEach((ft, wall) =>
          expect(near(ft, lastRoom(job).wallsFt[wall]! * part)).toBe(true),
        );
      }),
      { numRuns: 60 },
    );
  });

  test('a sheet that goes leaves the walls and what is on them', () => {
    const job = after(flat, trace(px([2, 2], [14, 2], [14, 12], [2, 12]), { room: 'stair' }));
    const placed = after(job, { on: 'box', box: 'stair-foot', at: { x: 320, y: 90 } });
    const gone = after(placed, { do: 'remove sheet', sheet: 'sheet' });
    expect(gone.rooms[0]).toMatchObject({ wallsFt: [12, 10, 12, 10], plan: null });
    expect(corners(gone.rooms[0]!)).toHaveLength(4);
    expect(gone.boxes[0]!.spot).toMatchObject({ room: 'stair', wall: 0 });
    expect(gone.panelAt).toBeNull();
  });
});
