import fc from 'fast-check';
import { Design, PANEL, type Run } from '../job/model/design';
import { CABLE_TYPES } from '../trade/standards/cables';
import { anyJob } from './random-jobs';

const extraDraw = fc.record({
  kind: fc.constantFrom('parallel', 'cross', 'cross', 'home', 'spare'),
  a: fc.nat(),
  b: fc.nat(),
  lengthFt: fc.integer({ min: 3, max: 60 }),
  existing: fc.constantFrom(null, null, '2', '3'),
});

const wideDraw = fc.record({
  job: anyJob,
  extra: fc.array(extraDraw, { maxLength: 3 }),
  panelSplices: fc.constantFrom(false, false, false, true),
  oldFeed: fc.boolean(),
});

/**
 * Random jobs whose runs may form loops: parallel runs, runs between boxes that are joined already, several home runs
 * of one circuit, home runs that go to boxes that stay closed, panels that may hold splices.
 */
export const wideJob: fc.Arbitrary<Design> = wideDraw.map(({ job, extra, panelSplices, oldFeed }) => {
  const gauge = job.circuits[0]?.breakerA === 15 ? 14 : 12;
  const typeOf = (size: string | null) => CABLE_TYPES.find((one) => one === `${gauge}-${size ?? ''}`) ?? null;
  const runs: Run[] = job.runs.map((run) =>
    run.from === PANEL && oldFeed ? { ...run, existing: typeOf(job.circuits.length > 1 ? '3' : '2') } : run,
  );
  extra.forEach(({ kind, a, b, lengthFt, existing }, index) => {
    const pick = runs[a % runs.length];
    const [from, to] = [job.boxes[a % job.boxes.length], job.boxes[b % job.boxes.length]];
    if (!pick || !from || !to) return;
    const id = `x${index}`;
    if (kind === 'parallel') runs.push({ ...pick, id, lengthFt, existing: typeOf(existing) });
    else if (kind === 'home') {
      const feed = runs.find((run) => run.from === PANEL);
      if (feed) runs.push({ ...feed, id, to: to.id, lengthFt, existing: typeOf(existing) });
    } else if (from !== to) {
      runs.push({
        ...pick,
        circuits: undefined,
        id,
        from: from.id,
        to: to.id,
        lengthFt,
        existing: typeOf(existing),
      });
    }
  });
  return Design.parse({ ...job, runs, panelSplices });
});

/** New names for every id, made to look like one another: with dashes, numbers, and names of other things in them. */
const ODD = [
  'a',
  'a-b',
  'a-b-2',
  'panel-2',
  'home',
  'home-2',
  'hot',
  'neutral',
  'ground',
  'c-after-a',
  'hot-c',
  'red',
  'a-2',
  'b',
  'x-y',
  'black',
];

/**
 * The same job under other ids: those of one list are given to another too (a box, a device and a circuit of one
 * name), and every list is in another order. What is not an id stays.
 */
export function renamed(job: Design, seed: readonly number[]): { job: Design; names: Renaming } {
  const roll = dice(seed);
  const table = (ids: readonly string[]): Map<string, string> => {
    const pool = [...ODD, ...ids.map((_, index) => `a-${index}-b`)].filter((id) => id !== PANEL);
    const mixed = shuffled(pool, roll);
    return new Map(ids.map((id, index) => [id, mixed[index] ?? `z${index}`]));
  };
  const list = (items: readonly { readonly id: string }[]) => items.map(({ id }) => id);
  const names: Renaming = {
    circuits: table(list(job.circuits)),
    boxes: table(list(job.boxes)),
    runs: table(list(job.runs)),
    devices: table(list(job.devices)),
    groups: table(list(job.groups)),
  };
  // A device may be called "panel": only boxes may not.
  const [device] = job.devices;
  if (device && roll() < 0.3) names.devices.set(device.id, PANEL);
  const to = (map: ReadonlyMap<string, string>, id: string) => map.get(id) ?? id;
  const place = (id: string) => (id === PANEL ? PANEL : to(names.boxes, id));
  const changed = Design.parse({
    ...job,
    circuits: shuffled(job.circuits, roll).map((one) => ({
      ...one,
      id: to(names.circuits, one.id),
      multiwireWith: one.multiwireWith && to(names.circuits, one.multiwireWith),
      tiedWith: one.tiedWith && to(names.circuits, one.tiedWith),
    })),
    boxes: shuffled(job.boxes, roll).map((one) => ({ ...one, id: place(one.id) })),
    runs: shuffled(job.runs, roll).map((one) => ({
      ...one,
      id: to(names.runs, one.id),
      from: place(one.from),
      to: place(one.to),
      ...(one.circuits ? { circuits: one.circuits.map((id) => to(names.circuits, id)) } : {}),
    })),
    groups: shuffled(job.groups, roll).map((one) => ({ ...one, id: to(names.groups, one.id) })),
    devices: shuffled(job.devices, roll).map((one) => ({
      ...one,
      id: to(names.devices, one.id),
      box: place(one.box),
      wants: Object.fromEntries(
        Object.entries(one.wants).map(([part, want]) => [
          part,
          want.does === 'control'
            ? { ...want, group: to(names.groups, want.group) }
            : {
                ...want,
                circuit: to(names.circuits, want.circuit),
                control: want.control && to(names.groups, want.control),
                via: want.via && to(names.devices, want.via),
              },
        ]),
      ),
    })),
  });
  return { job: changed, names };
}

export interface Renaming {
  readonly circuits: Map<string, string>;
  readonly boxes: Map<string, string>;
  readonly runs: Map<string, string>;
  readonly devices: Map<string, string>;
  readonly groups: Map<string, string>;
}

function dice(seed: readonly number[]): () => number {
  let state = seed.reduce((sum, one) => Math.imul(sum ^ one, 0x9e3779b1), 0x2545f491) >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 4294967296;
  };
}

function shuffled<T>(items: readonly T[], roll: () => number): T[] {
  const list = [...items];
  for (let at = list.length - 1; at > 0; at--) {
    const other = Math.floor(roll() * (at + 1));
    [list[at], list[other]] = [list[other]!, list[at]!];
  }
  return list;
}
