import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { PANEL, type Device, type Job, type Run } from '../model/job';
import { planJob } from '../plan';
import { duplexIn, sketch, switchIn } from '../testing/jobs';

/*
 * An enumerator that shares no code with the compiler: every order of switch places, every set of runs that joins
 * what a net must join, every placing on conductors that 200.7(C)(1) allows (from memory). On trees of up to four
 * boxes it must agree with the compiler on what fits and on the least conductor-feet of new cable.
 */

const smallJob: fc.Arbitrary<Job> = fc
  .record({
    parents: fc.array(fc.nat(2), { minLength: 1, maxLength: 3 }),
    existing: fc.array(fc.constantFrom('', '', '=12-2', '=12-3'), { minLength: 4, maxLength: 4 }),
    lengths: fc.array(fc.integer({ min: 3, max: 40 }), { minLength: 4, maxLength: 4 }),
    feed: fc.nat(3),
    outlets: fc.array(fc.constantFrom(null, null, 'both', 'half', 'on'), { minLength: 4, maxLength: 4 }),
    switches: fc.array(fc.nat(3), { minLength: 1, maxLength: 3 }),
  })
  .map(({ parents, existing, lengths, feed, outlets, switches }) => {
    const boxes = ['b0', ...parents.map((_, index) => `b${index + 1}`)];
    const places = [...new Set(switches.map((pick) => pick % boxes.length))];
    return sketch({
      boxes,
      runs: [
        `panel-b${feed % boxes.length}:${lengths[3]}`,
        ...parents.map(
          (parent, index) => `b${parent % (index + 1)}-b${index + 1}:${lengths[index]}${existing[index]}`,
        ),
      ],
      groups: ['g'],
      habits: { neutralAtSwitches: 'where asked' },
      devices: [
        ...boxes.flatMap((box, index) => {
          const kind = outlets[index];
          const pick = { both: ['g', 'g'], half: [null, 'g'], on: [null, null] } as const;
          if (!kind) return [];
          const [upper, lower] = pick[kind];
          return [duplexIn(box, upper, lower)];
        }),
        ...places.map((place) => switchIn(`b${place}`, 'g', 1)),
      ],
    });
  });

interface Need {
  readonly role: 'hot' | 'neutral' | 'switched' | 'traveler';
  readonly boxes: readonly string[];
}

function needs(job: Job, order: readonly Device[]): Need[] {
  const outlets = job.devices.filter(({ kind }) => kind === 'duplex');
  const controls = (device: Device) =>
    Object.values(device.wants).map((want) => want.does === 'power' && want.control);
  const boxesOf = (list: readonly Device[]) => list.map(({ box }) => box);
  const constant = boxesOf(outlets.filter((device) => controls(device).includes(null)));
  const switched = boxesOf(outlets.filter((device) => controls(device).includes('g')));
  const list: Need[] = [];
  if (outlets.length > 0) list.push({ role: 'neutral', boxes: [PANEL, ...boxesOf(outlets)] });
  const first = switched.length > 0 ? order.slice(0, 1) : [];
  if (constant.length + first.length > 0)
    list.push({ role: 'hot', boxes: [PANEL, ...constant, ...boxesOf(first)] });
  if (switched.length === 0) return list;
  order.slice(1).forEach((device, index) => {
    const pair = { role: 'traveler' as const, boxes: [order[index]!.box, device.box] };
    list.push(pair, pair);
  });
  list.push({ role: 'switched', boxes: [order.at(-1)!.box, ...switched] });
  return list;
}

/** Every set of runs, as bits, that joins the boxes. */
function joiningSets(runs: readonly Run[], boxes: readonly string[]): number[] {
  return Array.from({ length: 2 ** runs.length }, (_, bits) => bits).filter((bits) => {
    const reached = new Set([boxes[0]]);
    for (let grown = true; grown;) {
      grown = false;
      runs.forEach(({ from, to }, index) => {
        if (!((bits >> index) & 1) || reached.has(from) === reached.has(to)) return;
        reached.add(from).add(to);
        grown = true;
      });
    }
    return boxes.every((box) => reached.has(box));
  });
}

const CONDUCTORS: Record<number, readonly ('white' | 'color')[]> = {
  2: ['color', 'white'],
  3: ['color', 'color', 'white'],
  4: ['color', 'color', 'color', 'white'],
};

/** True when some placing on a cable of this many conductors keeps to the color rule. */
function places(roles: readonly Need['role'][], count: number): boolean {
  const conductors = CONDUCTORS[count]!;
  if (roles.length > count) return false;
  const neutral = roles.includes('neutral');
  const allowed = (role: Need['role'], conductor: 'white' | 'color') =>
    conductor === 'color' ? role !== 'neutral' : role === 'neutral' || (!neutral && role !== 'switched');
  const place = (index: number, free: readonly number[]): boolean =>
    index === roles.length ||
    free.some(
      (slot) =>
        allowed(roles[index]!, conductors[slot]!) &&
        place(
          index + 1,
          free.filter((one) => one !== slot),
        ),
    );
  return place(
    0,
    conductors.map((_, slot) => slot),
  );
}

/** Least new conductor-feet over everything that can be done, or null where nothing fits. */
function bruteForce(job: Job): number | null {
  const switches = job.devices.filter(({ kind }) => kind === 'switch');
  let best: number | null = null;
  for (const order of permutations(switches)) {
    const list = needs(job, order);
    const choices = list.map(({ boxes }) => joiningSets(job.runs, boxes));
    const pick = (index: number, chosen: readonly number[]): void => {
      if (index < list.length) {
        for (const bits of choices[index]!) pick(index + 1, [...chosen, bits]);
        return;
      }
      let feet = 0;
      for (const [at, run] of job.runs.entries()) {
        const roles = list.filter((_, net) => (chosen[net]! >> at) & 1).map(({ role }) => role);
        const has = run.existing ? Number(run.existing.slice(3)) : null;
        const count = has ?? [2, 3, 4].find((size) => places(roles, size));
        if (count === undefined || !places(roles, count)) return;
        if (has === null) feet += count * run.lengthFt;
      }
      best = best === null ? feet : Math.min(best, feet);
    };
    pick(0, []);
  }
  return best;
}

function permutations<T>(items: readonly T[]): T[][] {
  if (items.length <= 1) return [[...items]];
  return items.flatMap((item, index) =>
    permutations(items.toSpliced(index, 1)).map((rest) => [item, ...rest]),
  );
}

test('small trees: the compiler refuses only what no assignment fits, and picks the least new cable', () => {
  let fits = 0;
  let refused = 0;
  fc.assert(
    fc.property(smallJob, (job) => {
      const outcome = planJob(job);
      const least = bruteForce(job);
      if (!outcome.ok) {
        refused++;
        expect(
          outcome.refusals.every(
            ({ code }) => code === 'too few conductors' || code === 'too many conductors',
          ),
        ).toBe(true);
        expect(least).toBeNull();
        return;
      }
      fits++;
      const feet = outcome.plan.wiring.cables
        .filter(({ existing }) => !existing)
        .reduce((sum, { type, lengthFt }) => sum + Number(type.slice(3)) * lengthFt, 0);
      expect(feet).toBeCloseTo(least!, 6);
    }),
    { numRuns: 160 },
  );
  expect(fits).toBeGreaterThan(40);
  expect(refused).toBeGreaterThan(10);
});
