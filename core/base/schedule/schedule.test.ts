import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import loadHighs, { type Highs } from 'highs';
import { draws } from '../../testing/draws';
import { boundOf } from './bound';
import { costOf, weighed, type Activity, type Cost, type Problem, type Schedule } from './problem';
import { scheduled } from './schedule';

/*
 * Work with people, places and windows: random problems, judged by a checker of its own; small ones beside an integer program
 * that a solver of the registry solves; and the benchmark of six jobs on six machines.
 */
const RUNS = draws(400, 10_000);
const EXACT = draws(60, 1000);

interface Drawn {
  readonly most: number;
  readonly people: number;
  readonly windows: number;
}

/** Places on a plane, so that no way round is shorter. */
const anyProblem = ({ most, people: mostPeople, windows: mostWindows }: Drawn): fc.Arbitrary<Problem> =>
  fc
    .record({
      people: fc.integer({ min: 1, max: mostPeople }),
      spots: fc.array(fc.tuple(fc.nat(6), fc.nat(6)), { minLength: 1, maxLength: 4 }),
      tasks: fc.array(
        fc.record({
          minutes: fc.integer({ min: 1, max: 20 }),
          who: fc.array(fc.boolean(), { minLength: 3, maxLength: 3 }),
          pair: fc.nat(5),
          place: fc.nat(3),
          after: fc.array(fc.nat(30), { maxLength: 2 }),
        }),
        { minLength: 2, maxLength: most },
      ),
      at: fc.array(fc.option(fc.nat(3)), { minLength: 3, maxLength: 3 }),
      windows: fc.array(fc.tuple(fc.nat(30), fc.nat(30)), { maxLength: mostWindows }),
      base: fc.option(fc.nat(3)),
      weights: fc.record({
        time: fc.integer({ min: 1, max: 3 }),
        open: fc.constantFrom(0, 0, 1),
        trips: fc.constantFrom(0, 0, 4),
      }),
    })
    .map(({ people, spots, tasks, at, windows, base, weights }) => {
      const place = (one: number) => one % spots.length;
      const activities = tasks.map(({ minutes, who, pair, place: spot, after }, index): Activity => {
        const may = Array.from({ length: people }, (_, person) => person).filter((person) => who[person]);
        const able = may.length > 0 ? may : [0];
        return {
          minutes,
          who: able,
          hands: pair === 0 ? Math.min(2, able.length) : 1,
          place: place(spot),
          after: [...new Set(after.filter((one) => one < index))],
        };
      });
      const chosen = windows
        .map(([a, b]) => [Math.min(a, b) % activities.length, Math.max(a, b) % activities.length] as const)
        .filter(([opens, closes]) => opens < closes);
      return {
        people,
        at: at.slice(0, people).map((one) => (one === null ? null : place(one))),
        travel: spots.map(([x, y]) => spots.map(([u, v]) => Math.abs(x - u) + Math.abs(y - v))),
        windows: chosen.map(([opens, closes]) => ({ opens, closes })),
        base: base === null ? null : place(base),
        weights,
        // What closes a window comes after what opens it.
        activities: activities.map((one, index) => ({
          ...one,
          after: [
            ...new Set([
              ...one.after,
              ...chosen.flatMap(([opens, closes]) => (closes === index ? [opens] : [])),
            ]),
          ],
        })),
      };
    });

/** What is wrong with a schedule, and what it comes to: minute by minute, by nothing of the planner's. */
function judge({ activities, travel, at, windows, base }: Problem, { starts, crews }: Schedule) {
  const wrong: string[] = [];
  const span = activities.map(({ minutes }, index) => [starts[index]!, starts[index]! + minutes] as const);
  activities.forEach(({ who, hands, after }, index) => {
    const crew = crews[index]!;
    if (new Set(crew).size !== hands || crew.some((one) => !who.includes(one)))
      wrong.push(`crew of ${index}`);
    for (const one of after) if (span[one]![1] > span[index]![0]) wrong.push(`${index} before ${one}`);
  });
  let trips = 0;
  at.forEach((begins, person) => {
    const own = activities.map((_, index) => index).filter((index) => crews[index]!.includes(person));
    own.sort((a, b) => span[a]![0] - span[b]![0]);
    let [where, when] = [begins, 0];
    for (const index of own) {
      const { place } = activities[index]!;
      const way = where === null ? 0 : travel[where]![place]!;
      if (span[index]![0] < when + way) wrong.push(`person ${person} is not yet at ${index}`);
      if (place === base && where !== base) trips++;
      [where, when] = [place, span[index]![1]];
    }
  });
  const cost: Cost = {
    time: Math.max(...span.map(([, end]) => end)),
    open: windows.map(({ opens, closes }) => span[closes]![1] - span[opens]![0]),
    trips,
  };
  return { wrong, cost };
}

describe('work in order', () => {
  let highs: Highs;
  beforeAll(async () => {
    highs = await loadHighs();
  });

  test(`${RUNS} random problems: nobody in two places or before the way is walked, who may and as many as it takes, all after what comes before; never under the bound`, () => {
    fc.assert(
      fc.property(anyProblem({ most: 24, people: 3, windows: 3 }), (problem) => {
        const { schedule, cost, bound } = scheduled(problem, { tries: 40, steps: 300 });
        const judged = judge(problem, schedule);
        expect(judged.wrong).toEqual([]);
        expect(judged.cost).toEqual(cost);
        expect(cost.time).toBeGreaterThanOrEqual(bound.time);
        expect(cost.trips).toBeGreaterThanOrEqual(bound.trips);
        cost.open.forEach((open, index) => expect(open).toBeGreaterThanOrEqual(bound.open[index]!));
      }),
      { numRuns: RUNS, seed: 27 },
    );
  });

  test(`${EXACT} small problems come to what an integer program comes to, and to no more under other numbers`, () => {
    let proved = 0;
    fc.assert(
      fc.property(
        anyProblem({ most: 5, people: 2, windows: 2 }),
        fc.array(fc.nat(), { minLength: 5, maxLength: 5 }),
        (problem, keys) => {
          const found = scheduled(problem, { tries: 60, steps: 200_000 });
          const figure = weighed(found.cost, problem.weights);
          const least = solved(highs, problem);
          expect(weighed(boundOf(problem), problem.weights)).toBeLessThanOrEqual(least + 1e-6);
          expect(figure).toBeGreaterThanOrEqual(least - 1e-6);
          expect(found.proved).toBe(true);
          proved++;
          expect(figure).toBeCloseTo(least, 5);
          const other = scheduled(shuffled(problem, keys), { tries: 60, steps: 200_000 });
          expect(weighed(other.cost, problem.weights)).toBeCloseTo(least, 5);
        },
      ),
      { numRuns: EXACT, seed: 28 },
    );
    expect(proved).toBe(EXACT);
  });

  /** H. Fisher and G. L. Thompson, 1963: six jobs on six machines, 55 at the least (from memory). */
  test('six jobs on six machines take 55, and it is shown that no order takes less', () => {
    const jobs = [
      [
        [2, 1],
        [0, 3],
        [1, 6],
        [3, 7],
        [5, 3],
        [4, 6],
      ],
      [
        [1, 8],
        [2, 5],
        [4, 10],
        [5, 10],
        [0, 10],
        [3, 4],
      ],
      [
        [2, 5],
        [3, 4],
        [5, 8],
        [0, 9],
        [1, 1],
        [4, 7],
      ],
      [
        [1, 5],
        [0, 5],
        [2, 5],
        [3, 3],
        [4, 8],
        [5, 9],
      ],
      [
        [2, 9],
        [1, 3],
        [4, 5],
        [5, 4],
        [0, 3],
        [3, 1],
      ],
      [
        [1, 3],
        [3, 3],
        [5, 9],
        [0, 10],
        [4, 4],
        [2, 1],
      ],
    ] as const;
    const problem: Problem = {
      people: 6,
      at: Array.from({ length: 6 }, () => null),
      travel: [[0]],
      windows: [],
      base: null,
      weights: { time: 1, open: 0, trips: 0 },
      activities: jobs.flatMap((job, row) =>
        job.map(([machine, minutes], index) => ({
          minutes,
          who: [machine],
          hands: 1,
          place: 0,
          after: index === 0 ? [] : [row * 6 + index - 1],
        })),
      ),
    };
    const { cost, proved, schedule } = scheduled(problem, { tries: 400, steps: 1_000_000 });
    expect(judge(problem, schedule)).toMatchObject({ wrong: [], cost: { time: 55 } });
    expect({ time: cost.time, proved }).toEqual({ time: 55, proved: true });
  });
});

/** The same work under other numbers. */
function shuffled(problem: Problem, keys: readonly number[]): Problem {
  const order = problem.activities
    .map((_, index) => index)
    .sort((a, b) => keys[a % keys.length]! - keys[b % keys.length]! || b - a);
  const now = (activity: number) => order.indexOf(activity);
  return {
    ...problem,
    activities: order.map((old) => {
      const one = problem.activities[old]!;
      return { ...one, after: one.after.map(now) };
    }),
    windows: problem.windows.map(({ opens, closes }) => ({ opens: now(opens), closes: now(closes) })),
  };
}

/** The least that any schedule comes to, by an integer program: who follows whom, and when. */
function solved(highs: Highs, problem: Problem): number {
  const { activities, people, travel, at, windows, base, weights } = problem;
  const ids = activities.map((_, index) => index);
  const crew = Array.from({ length: people }, (_, person) => person);
  const far = Math.max(0, ...travel.flat());
  const horizon = activities.reduce((sum, { minutes }) => sum + minutes + far, far);
  const rows: string[] = [];
  const binary: string[] = [];
  const cost = new Map([['C', weights.time]]);
  const costs = (name: string, much: number) => cost.set(name, (cost.get(name) ?? 0) + much);
  let constant = 0;
  ids.forEach((id) => rows.push(`C - s${id} >= ${activities[id]!.minutes}`));
  for (const { opens, closes } of windows)
    if (weights.open > 0 && opens !== closes) {
      costs(`s${closes}`, weights.open);
      costs(`s${opens}`, -weights.open);
      constant += weights.open * activities[closes]!.minutes;
    }
  for (const [id, { after, who, hands }] of activities.entries()) {
    for (const one of after) rows.push(`s${id} - s${one} >= ${activities[one]!.minutes}`);
    rows.push(`${crew.map((person) => `x${person}_${id}`).join(' + ')} = ${hands}`);
    for (const person of crew) {
      binary.push(`x${person}_${id}`);
      if (!who.includes(person)) rows.push(`x${person}_${id} = 0`);
    }
  }
  for (const person of crew) {
    const from = ['b', ...ids] as const;
    const arcs = from.flatMap((a) => ids.filter((b) => a !== b).map((b) => [a, b] as const));
    for (const [a, b] of arcs) {
      const arc = `z${person}_${a}_${b}`;
      binary.push(arc);
      const where = a === 'b' ? (at[person] ?? null) : activities[a]!.place;
      const { place } = activities[b]!;
      const way = where === null ? 0 : travel[where]![place]!;
      rows.push(
        a === 'b'
          ? `s${b} - ${way} ${arc} >= 0`
          : `s${b} - s${a} - ${horizon} ${arc} >= ${activities[a]!.minutes + way - horizon}`,
      );
      if (place === base && where !== base && weights.trips > 0) costs(arc, weights.trips);
    }
    for (const id of ids) {
      const others = from.filter((one) => one !== id);
      rows.push(`${others.map((one) => `z${person}_${one}_${id}`).join(' + ')} - x${person}_${id} = 0`);
      const after = ids.filter((one) => one !== id).map((one) => `z${person}_${id}_${one}`);
      rows.push(`${[...after, `e${person}_${id}`].join(' + ')} - x${person}_${id} = 0`);
      binary.push(`e${person}_${id}`);
    }
    rows.push(`${ids.map((id) => `z${person}_b_${id}`).join(' + ')} <= 1`);
    rows.push(`${ids.map((id) => `e${person}_${id}`).join(' + ')} <= 1`);
  }
  const { Status, ObjectiveValue } = highs.solve(
    `Minimize\n obj: ${[...cost].map(([name, much]) => `${much < 0 ? '-' : '+'} ${Math.abs(much)} ${name}`).join(' ')}\nSubject To\n${rows
      .map((row, index) => ` r${index}: ${row}`)
      .join('\n')}\nBinary\n ${binary.join('\n ')}\nEnd\n`,
    { mip_rel_gap: 0 },
  );
  expect(Status).toBe('Optimal');
  // All figures are whole: what is off by less is its arithmetic.
  expect(Math.abs(ObjectiveValue - Math.round(ObjectiveValue))).toBeLessThan(1e-3);
  return Math.round(ObjectiveValue) + constant;
}

/** A judge that can find nothing wrong judges nothing. */
test('the judge finds what is wrong', () => {
  const problem: Problem = {
    people: 1,
    at: [null],
    travel: [
      [0, 5],
      [5, 0],
    ],
    windows: [],
    base: null,
    weights: { time: 1, open: 0, trips: 0 },
    activities: [
      { minutes: 3, who: [0], hands: 1, place: 0, after: [] },
      { minutes: 3, who: [0], hands: 1, place: 1, after: [0] },
    ],
  };
  expect(judge(problem, { starts: [0, 8], crews: [[0], [0]] }).wrong).toEqual([]);
  expect(judge(problem, { starts: [0, 7], crews: [[0], [0]] }).wrong).toHaveLength(1);
  expect(judge(problem, { starts: [0, 8], crews: [[0], []] }).wrong).toHaveLength(1);
  expect(costOf(problem, { starts: [0, 8], crews: [[0], [0]] }).time).toBe(11);
});
