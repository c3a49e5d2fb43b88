import { permutations } from '../../base/permutations';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJob, demoJobs } from '../../handover/jobs/demo-house';
import { applyCommand } from '../../job/commands/command';
import { planJob, type Plan } from '../plan';
import { anyPlan } from '../../testing/random-jobs';
import { drawBox } from './box-drawing';
import { LABEL_COLUMNS, LANE, ROLE_LETTER, TITLE_LETTER, WORKS_LETTER } from './scale';
import { contentsOf } from './contents';
import { bestOrdering } from './order';
import { leastCrossings, routeChannel, type ChannelWire } from './channel';
import type { BoxDrawing, XY } from './drawing';

const sunroom = (): Plan => {
  const moved = applyCommand(demoJob('sunroom-plant-shelf')!, {
    do: 'move feed',
    run: 'feed',
    box: 'plant-shelf',
  });
  const outcome = moved.ok ? planJob(moved.value.job) : null;
  if (!outcome?.ok) throw new Error('refused');
  return outcome.plan;
};

/** How often wires cross, counted on the drawn segments. */
function crossings({ wires }: BoxDrawing): number {
  const segments = wires.flatMap(({ id, path }) =>
    path.slice(1).map((to, index) => ({ id, from: path[index]!, to })),
  );
  let count = 0;
  segments.forEach((a, index) => {
    for (const b of segments.slice(index + 1)) if (a.id !== b.id && cross(a, b)) count++;
  });
  return count;
}
function cross(a: { from: XY; to: XY }, b: { from: XY; to: XY }): boolean {
  const horizontal = (s: typeof a) => s.from[1] === s.to[1] && s.from[0] !== s.to[0];
  const [h, v] = horizontal(a) ? [a, b] : [b, a];
  if (!horizontal(h) || horizontal(v)) return false;
  const inside = (value: number, one: number, other: number) =>
    value > Math.min(one, other) && value < Math.max(one, other);
  return inside(v.from[0], h.from[0], h.to[0]) && inside(h.from[1], v.from[1], v.to[1]);
}

/** Pairs of wires of which one runs along another in the same lane. */
function overdrawn({ wires }: BoxDrawing): string[] {
  const segments = wires.flatMap(({ id, path }) =>
    path.slice(1).map((to, index) => ({ id, from: path[index]!, to })),
  );
  const along = (axis: 0 | 1) =>
    segments.flatMap((a, index) =>
      segments.slice(index + 1).flatMap((b) => {
        const other = axis === 0 ? 1 : 0;
        const straight = [a, b].every(({ from, to }) => from[axis] === to[axis] && from[other] !== to[other]);
        if (a.id === b.id || !straight || a.from[axis] !== b.from[axis]) return [];
        const low = Math.max(Math.min(a.from[other], a.to[other]), Math.min(b.from[other], b.to[other]));
        const high = Math.min(Math.max(a.from[other], a.to[other]), Math.max(b.from[other], b.to[other]));
        return high > low ? [`${a.id} ~ ${b.id}`] : [];
      }),
    );
  return [...along(0), ...along(1)];
}

/** Labels of cables that were cut though they would have had room. */
const cutWithoutNeed = ({ cables }: BoxDrawing): string[] =>
  cables.flatMap(({ title, role, whole }) => {
    const cut = whole !== `${title}, ${role}`;
    const most = (LABEL_COLUMNS - 1) * LANE;
    const [longTitle, longRole] = [title.endsWith('…'), role.endsWith('…')];
    return cut && whole.length * TITLE_LETTER < most && (longTitle || longRole) ? [whole] : [];
  });

/** Labels and letters that stand over each other, by the room their text takes. */
function overlappingLabels({ cables, wires, splices, devices }: BoxDrawing): string[] {
  const boxes = [
    ...cables.map(({ title, label: [x, y] }) => ({
      name: title,
      x,
      y,
      width: title.length * TITLE_LETTER,
      height: 16,
    })),
    ...cables.map(({ role, label: [x, y] }) => ({
      name: role,
      x,
      y: y + 19,
      width: role.length * ROLE_LETTER,
      height: 14,
    })),
    ...devices.flatMap(({ works }) =>
      works
        ? [
            {
              name: works.text,
              x: works.at[0],
              y: works.at[1],
              width: works.text.length * WORKS_LETTER,
              height: 14,
            },
          ]
        : [],
    ),
    ...wires.map(({ id, badge: [x, y] }) => ({ name: id, x, y, width: 18, height: 18 })),
    ...splices.map(({ label, x, y, width }) => ({
      name: label,
      x: x + width / 2,
      y: y + 32,
      width: label.length * 7,
      height: 13,
    })),
  ];
  return boxes.flatMap((a, index) =>
    boxes
      .slice(index + 1)
      .filter(
        (b) =>
          Math.abs(a.x - b.x) < (a.width + b.width) / 2 && Math.abs(a.y - b.y) < (a.height + b.height) / 2,
      )
      .map((b) => `${a.name} over ${b.name}`),
  );
}

describe('the half-switched outlet with the feed', () => {
  const drawing = drawBox(sunroom(), 'plant-shelf');

  test('conductors run in make-up order; only the three crossings that two cables force are left', () => {
    expect(drawing.splices.map(({ label }) => label)).toEqual(['ground 3', 'neutral 3', 'hot 3']);
    expect(crossings(drawing)).toBe(3);
  });
  test('the brass tab is drawn broken, the silver one whole', () => {
    expect(drawing.devices[0]!.tabs.map(({ id, broken }) => [id, broken])).toEqual([
      ['shelf-outlet|hot-tab', true],
      ['shelf-outlet|neutral-tab', false],
    ]);
  });
  test('neutral side left, hot side right, seen from the front', () => {
    const { x, width, terminals } = drawing.devices[0]!;
    const side = (screw: string) =>
      terminals.filter((one) => one.screw === screw).map(({ at }) => at[0] < x + width / 2);
    expect(side('silver')).toEqual([true, true]);
    expect(side('brass')).toEqual([false, false]);
  });
});

test('any box of any job: all inside, wires end at what they name, none drawn over another', () => {
  fc.assert(
    fc.property(anyPlan, (plan) => {
      const { job } = plan;
      for (const box of job.boxes) {
        const drawing = drawBox(plan, box.id);
        const { wall } = drawing;
        const terminals = new Map(
          drawing.devices.flatMap((device) => device.terminals.map(({ id, at }) => [id, at] as const)),
        );
        for (const { id, at } of drawing.screws) terminals.set(id, at);
        for (const wire of drawing.wires) {
          for (const [x, y] of wire.path) {
            expect(x).toBeGreaterThan(wall.x + 8);
            expect(x).toBeLessThan(wall.x + wall.width - 8);
            expect(y).toBeLessThan(wall.y + wall.height);
            expect(Number.isFinite(x + y)).toBe(true);
          }
          const end = terminals.get(wire.point);
          if (end) expect(wire.path.at(-1)).toEqual(end);
        }
        const drawn = drawing.wires.map(({ id }) => id);
        const { cables, tails } = plan.wiring;
        const expected =
          cables
            .filter(({ from, to }) => from === box.id || to === box.id)
            .reduce((sum, { conductors }) => sum + conductors.length, 0) +
          tails.filter((tail) => tail.box === box.id).length;
        expect(new Set(drawn).size).toBe(expected);
        expect(overdrawn(drawing)).toEqual([]);
        expect(overlappingLabels(drawing)).toEqual([]);
        expect(cutWithoutNeed(drawing)).toEqual([]);
        for (const { works } of drawing.devices) {
          if (!works) continue;
          expect(works.at[1]).toBeLessThan(wall.y + wall.height);
          const half = (works.text.length * WORKS_LETTER) / 2;
          expect(works.at[0] - half).toBeGreaterThan(wall.x);
          expect(works.at[0] + half).toBeLessThan(wall.x + wall.width);
        }
        const rects = [...drawing.splices, ...drawing.devices];
        for (const a of rects) {
          for (const b of rects) {
            if (a === b) continue;
            const apart =
              a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.height <= b.y || b.y + b.height <= a.y;
            expect(apart).toBe(true);
          }
        }
      }
    }),
    { numRuns: 75 },
  );
});

test('a channel of wires that need not cross has no crossing', () => {
  const wires: ChannelWire[] = [0, 1, 2, 3, 4].map((index) => ({
    id: `w${index}`,
    pins: [
      { column: index, side: 'top' },
      { column: index + 5, side: 'bottom' },
    ],
  }));
  expect(leastCrossings(wires)).toBe(0);
  const { tracks } = routeChannel(wires);
  // All go right, so the rightmost must turn first.
  expect([...tracks.entries()].sort().map(([, track]) => track)).toEqual([4, 3, 2, 1, 0]);
});

test('from behind, left and right change places and nothing else is lost', () => {
  const plan = sunroom();
  const [front, behind] = [drawBox(plan, 'plant-shelf'), drawBox(plan, 'plant-shelf', { side: 'behind' })];
  const side = (drawing: BoxDrawing, id: string) => {
    const device = drawing.devices[0]!;
    return device.terminals.find((one) => one.id === id)!.at[0] < device.x + device.width / 2
      ? 'left'
      : 'right';
  };
  for (const { id } of front.devices[0]!.terminals) expect(side(front, id)).not.toBe(side(behind, id));
  expect(behind.wires.map(({ id }) => id).sort()).toEqual(front.wires.map(({ id }) => id).sort());
  expect(overdrawn(behind)).toEqual([]);
});

test('for ears no two conductors, pigtails or jumpers of a box are called the same', () => {
  fc.assert(
    fc.property(anyPlan, (plan) => {
      const { job } = plan;
      for (const { id } of job.boxes) {
        const names = drawBox(plan, id).wires.map(({ name }) => name);
        expect(new Set(names).size).toBe(names.length);
      }
    }),
    { numRuns: 30 },
  );
});

describe('crossings against a brute-force best', () => {
  /** Fewest inversions over every order of cables, of their conductors and of what passes, splices in their order. */
  function best(plan: Plan, box: string): number {
    const { topRow, middleRow } = contentsOf(plan, box, { groundPin: 'down', side: 'front' });
    const free = middleRow.filter(({ kind }) => kind !== 'splice');
    const splices = middleRow.filter(({ kind }) => kind === 'splice');
    let least = Number.POSITIVE_INFINITY;
    for (const cables of permutations(topRow)) {
      for (const middle of insertions(splices, free)) {
        const rank = new Map(middle.map(({ id }, index) => [id, index]));
        const upper = cables.flatMap(({ ends }) =>
          ends.map(({ target }) => rank.get(target)!).sort((a, b) => a - b),
        );
        const lower = middle.flatMap(({ below }) => [...below].sort((a, b) => a - b));
        least = Math.min(least, inversions(upper) + inversions(lower));
      }
    }
    return least;
  }
  const inversions = (ranks: readonly number[]) =>
    ranks.reduce(
      (sum, rank, index) => sum + ranks.slice(index + 1).filter((later) => later < rank).length,
      0,
    );
  function insertions<T>(fixed: readonly T[], free: readonly T[]): T[][] {
    const [first, ...rest] = free;
    if (!first) return [[...fixed]];
    return insertions(fixed, rest).flatMap((row) =>
      Array.from({ length: row.length + 1 }, (_, slot) => row.toSpliced(slot, 0, first)),
    );
  }

  test('the boxes of the demo house have the fewest crossings there are', () => {
    let boxes = 0;
    for (const job of demoJobs) {
      const outcome = planJob(job);
      if (!outcome.ok) continue;
      for (const { id } of job.boxes) {
        const contents = contentsOf(outcome.plan, id, { groundPin: 'down', side: 'front' });
        if (contents.middleRow.length > 7) continue;
        const ordering = bestOrdering(contents.topRow, contents.middleRow);
        expect({ job: job.id, id, crossings: ordering.crossings }).toEqual({
          job: job.id,
          id,
          crossings: best(outcome.plan, id),
        });
        boxes++;
      }
    }
    expect(boxes).toBeGreaterThan(10);
  });
});

test('the geometry of the plant shelf, as a snapshot', () => {
  const { wires, splices } = drawBox(sunroom(), 'plant-shelf');
  expect(splices.map(({ id, x, y, ports }) => [id, x, y, ports.length])).toMatchSnapshot();
  expect(
    wires.map(({ id, path }) => `${id} ${path.map((point) => point.join(',')).join(' ')}`),
  ).toMatchSnapshot();
});
