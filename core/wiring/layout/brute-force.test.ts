import { permutations } from '../../base/permutations';
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { PANEL, type Device, type Design, type Run } from '../../job/model/design';
import { planJob } from '../plan';
import { duplexIn, sketch, switchIn } from '../../testing/jobs';

/*
 * An enumerator that shares no code with the compiler: every order of switch places, every set of runs that joins
 * what a net must join, every placing on conductors that 200.7(C)(1) allows (from memory). On trees of up to four
 * boxes it must agree with the compiler on what fits and on the least conductor-feet of new cable.
 */

const smallJob = (loop: boolean): fc.Arbitrary<Design> =>
  fc
    .record({
      loops: fc.array(
        fc.tuple(
          fc.nat(4),
          fc.nat(4),
          fc.constantFrom('', '=12-2', '=12-3'),
          fc.integer({ min: 3, max: 40 }),
        ),
        {
          minLength: loop ? 1 : 0,
          maxLength: loop ? 2 : 0,
        },
      ),
      parents: fc.array(fc.nat(2), { minLength: 1, maxLength: 3 }),
      existing: fc.array(fc.constantFrom('', '', '=12-2', '=12-3'), { minLength: 4, maxLength: 4 }),
      lengths: fc.array(fc.integer({ min: 3, max: 40 }), { minLength: 4, maxLength: 4 }),
      feed: fc.nat(3),
      outlets: fc.array(fc.constantFrom(null, null, 'both', 'half', 'on'), { minLength: 4, maxLength: 4 }),
      switches: fc.array(fc.nat(3), { minLength: 1, maxLength: 3 }),
    })
    .map(({ loops, parents, existing, lengths, feed, outlets, switches }) => {
      const boxes = ['b0', ...parents.map((_, index) => `b${index + 1}`)];
      const places = [...new Set(switches.map((pick) => pick % boxes.length))];
      const job = sketch({
        boxes,
        runs: [
          `panel-b${feed % boxes.length}:${lengths[3]}`,
          ...parents.map(
            (parent, index) => `b${parent % (index + 1)}-b${index + 1}:${lengths[index]}${existing[index]}`,
          ),
          // Further runs between any two places, side by side with another too, the panel among them.
          ...loops.map(([one, step, found, feet]) => {
            const places = [...boxes, 'panel'];
            const from = one % boxes.length;
            const to = (from + 1 + (step % (places.length - 1))) % places.length;
            return `${places[to]}-${places[from]}:${feet}${found}`;
          }),
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
      return { ...job, runs: job.runs.map((run, index) => ({ ...run, id: `run-${index}` })) };
    });

interface Need {
  readonly role: 'hot' | 'neutral' | 'switched' | 'traveler';
  readonly boxes: readonly string[];
}

function needs(job: Design, order: readonly Device[]): Need[] {
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

/** The conductors of each cable by what its name says after the gauge, those of the least copper first. */
const CONDUCTORS: Record<string, readonly ('white' | 'color')[]> = {
  '2': ['color', 'white'],
  '3': ['color', 'color', 'white'],
  '2-2': ['color', 'color', 'white', 'white'],
  '4': ['color', 'color', 'color', 'white'],
};
const countOf = (cable: string): number => CONDUCTORS[cable]!.length;
/** The fewest conductors that hold all of it: those of the cable that is there, or of the least new one. */
function conductorsFor(roles: readonly Need['role'][], existing: string | null): number | null {
  const cable = (existing === null ? Object.keys(CONDUCTORS) : [existing.slice(3)])
    .toSorted((a, b) => countOf(a) - countOf(b))
    .find((one) => places(roles, one));
  return cable === undefined ? null : countOf(cable);
}

/** True when some placing on a cable of this many conductors keeps to the color rule. */
function places(roles: readonly Need['role'][], cable: string): boolean {
  const conductors = CONDUCTORS[cable]!;
  if (roles.length > conductors.length) return false;
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
function bruteForce(job: Design): number | null {
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
        const count = conductorsFor(roles, run.existing);
        if (count === null) return;
        if (run.existing === null) feet += count * run.lengthFt;
      }
      best = best === null ? feet : Math.min(best, feet);
    };
    pick(0, []);
  }
  return best;
}

test('small trees: the compiler refuses only what no assignment fits, and picks the least new cable', () => {
  let fits = 0;
  let refused = 0;
  fc.assert(
    fc.property(smallJob(false), (job) => {
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
        .reduce((sum, { type, lengthFt }) => sum + countOf(type.slice(3)) * lengthFt, 0);
      expect(feet).toBeCloseTo(least!, 6);
    }),
    { numRuns: 160 },
  );
  expect(fits).toBeGreaterThan(40);
  expect(refused).toBeGreaterThan(10);
});

/*
 * Where runs form loops: every tree over the runs for what is always on, every tree for the group, every order of its
 * switches. A conductor goes along the only way of its purpose's tree; two conductors of one net that came by one and
 * the same way are one. Nothing passes from one run to another in the panel (312.8, from memory).
 */

interface Wire {
  readonly role: Need['role'];
  /** The net and the way it came, so that what came alike is one conductor. */
  readonly key: string;
}

/** Sets of runs, as bits, that hold no loop. */
const forests = (runs: readonly Run[]): number[] =>
  Array.from({ length: 2 ** runs.length }, (_, bits) => bits).filter((bits) => {
    const tops = new Map<string, string>();
    const top = (place: string): string => {
      const up = tops.get(place) ?? place;
      return up === place ? place : top(up);
    };
    return runs.every(({ from, to }, index) => {
      if (!((bits >> index) & 1)) return true;
      const [a, b] = [top(from), top(to)];
      tops.set(a, b);
      return a !== b;
    });
  });

/** The runs on the way between two places within a set of runs without a loop; null where none leads there. */
function wayBetween(runs: readonly Run[], bits: number, a: string, b: string): number[] | null {
  const walk = (place: string, came: number): number[] | null => {
    if (place === b) return [];
    for (const [index, { from, to }] of runs.entries()) {
      if (!((bits >> index) & 1) || index === came || (from !== place && to !== place)) continue;
      const rest = walk(from === place ? to : from, index);
      if (rest) return [index, ...rest];
    }
    return null;
  };
  return walk(a, -1);
}

/** What a purpose puts into each run on a tree, or null where it cannot be led there. */
function wiresOf(
  runs: readonly Run[],
  bits: number,
  nets: readonly { net: string; role: Need['role']; from: string; to: readonly string[] }[],
): Wire[][] | null {
  const put: Wire[][] = runs.map(() => []);
  for (const { net, role, from, to } of nets) {
    for (const target of to) {
      const way = wayBetween(runs, bits, from, target);
      if (!way) return null;
      let place = from;
      for (const [step, index] of way.entries()) {
        if (place === PANEL && step > 0) return null;
        const key = `${net} from ${from} by ${way.slice(0, step + 1).join()}`;
        if (!put[index]!.some((wire) => wire.key === key)) put[index]!.push({ role, key });
        const run = runs[index]!;
        place = run.from === place ? run.to : run.from;
      }
    }
  }
  return put;
}

function bruteForceLoops(job: Design): number | null {
  const { runs } = job;
  const outlets = job.devices.filter(({ kind }) => kind === 'duplex');
  const boxesWith = (control: string | null) =>
    outlets
      .filter(({ wants }) =>
        Object.values(wants).some((want) => want.does === 'power' && want.control === control),
      )
      .map(({ box }) => box);
  const [constant, switched] = [boxesWith(null), boxesWith('g')];
  const trees = forests(runs);
  const options = (
    nets: (order: readonly Device[]) => Parameters<typeof wiresOf>[2],
    orders: readonly (readonly Device[])[],
  ) => {
    const found = new Map<string, Wire[][]>();
    for (const order of orders)
      for (const bits of trees) {
        const put = wiresOf(runs, bits, nets(order));
        if (put) found.set(JSON.stringify(put), put);
      }
    return [...found.values()];
  };
  const steady = options(
    () => [
      { net: 'hot', role: 'hot', from: PANEL, to: constant },
      { net: 'neutral', role: 'neutral', from: PANEL, to: constant },
    ],
    [[]],
  );
  const group =
    switched.length === 0
      ? [runs.map(() => [])]
      : options(
          (order) => [
            { net: 'hot', role: 'hot', from: PANEL, to: [order[0]!.box] },
            { net: 'neutral', role: 'neutral', from: PANEL, to: switched },
            ...order.slice(1).flatMap(({ box }, rank) =>
              ['a', 'b'].map((wire) => ({
                net: `traveler ${rank}${wire}`,
                role: 'traveler' as const,
                from: order[rank]!.box,
                to: [box],
              })),
            ),
            { net: 'switched', role: 'switched', from: order.at(-1)!.box, to: switched },
          ],
          [...permutations(job.devices.filter(({ kind }) => kind === 'switch'))],
        );
  let best: number | null = null;
  for (const one of steady) {
    for (const other of group) {
      let feet: number | null = 0;
      for (const [index, run] of runs.entries()) {
        const wires = new Map([...one[index]!, ...other[index]!].map(({ key, role }) => [key, role]));
        const roles = [...wires.values()];
        const count = conductorsFor(roles, run.existing);
        if (count === null) feet = null;
        else if (feet !== null && run.existing === null && roles.length > 0) feet += count * run.lengthFt;
        if (count === null) break;
      }
      if (feet !== null) best = best === null ? feet : Math.min(best, feet);
    }
  }
  return best;
}

test('runs that form loops: refused only where no trees fit, else the least new cable, and some need two trees', () => {
  let [fits, refused, two] = [0, 0, 0];
  fc.assert(
    fc.property(smallJob(true), (job) => {
      const outcome = planJob(job);
      const least = bruteForceLoops(job);
      if (!outcome.ok) {
        refused++;
        for (const { code } of outcome.refusals)
          expect(['too few conductors', 'too many conductors', 'panel splice']).toContain(code);
        expect(least).toBeNull();
        return;
      }
      fits++;
      const { cables } = outcome.plan.wiring;
      const feet = cables
        .filter(
          ({ existing, conductors }) =>
            !existing && conductors.some(({ net, role }) => net !== null && role !== 'ground'),
        )
        .reduce((sum, { type, lengthFt }) => sum + countOf(type.slice(3)) * lengthFt, 0);
      expect(feet).toBeCloseTo(least!, 6);
      const hots = cables.filter(
        ({ to, from, conductors }) =>
          [from, to].includes(PANEL) && conductors.some(({ role }) => role === 'hot'),
      );
      if (hots.length > 1) two++;
    }),
    { numRuns: 160 },
  );
  expect(fits).toBeGreaterThan(40);
  expect(refused).toBeGreaterThan(5);
  expect(two).toBeGreaterThan(2);
});
