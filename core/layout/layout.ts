import { wishKind, type DeviceKind } from '../devices';
import type { Job, Run } from '../model/job';
import { cableRow, type Insulation } from '../standards/cables';
import { earlyRefusals } from './checks';
import { sameFeed, type Feed } from './domains';
import type { Fit } from './fit';
import { commonInsulations, fitRun } from './fit-run';
import { placeName } from './names';
import { controlGroups, deriveNets, type ControlGroup, type Net, type NetList, type Orders } from './nets';
import { countOrders, jointOrders, ORDER_LIMIT } from './orders';
import type { Refusal } from './refusal';
import { closedClusters, netsOfRuns } from './route';
import { circuitTrees, isBeyond, type CircuitTree } from './trees';

/** The cables of one run, each with its nets placed. */
export interface RunLayout {
  readonly run: Run;
  readonly nets: readonly Net[];
  readonly cables: readonly Fit[];
}

export interface Layout {
  readonly nets: readonly Net[];
  readonly netOfTerminal: ReadonlyMap<string, string>;
  readonly kinds: ReadonlyMap<string, DeviceKind>;
  readonly runs: readonly RunLayout[];
  readonly trees: ReadonlyMap<string, CircuitTree>;
}

export type LayoutOutcome = { ok: true; layout: Layout } | { ok: false; refusals: readonly Refusal[] };

type Trees = ReadonlyMap<string, CircuitTree>;

/**
 * Routes what the wishes ask for over the job's runs: which nets each run carries, which cable it needs, and which
 * conductor is what. Total: gives a layout, or refusals that name the run, box or group.
 */
export function layOut(job: Job): LayoutOutcome {
  const { trees, refusals: loops } = circuitTrees(job);
  if (loops.length > 0) return { ok: false, refusals: loops };
  const groups = controlGroups(job);
  const early = earlyRefusals(job, groups, trees);
  if (early.length > 0) return { ok: false, refusals: early };

  const orders = new Map<string, readonly Job['devices'][number][]>();
  for (const circuit of job.circuits) {
    const own = groups.filter(({ loads }) => loads[0]?.want.circuit === circuit.id);
    if (own.length === 0) continue;
    if (countOrders(own) > ORDER_LIMIT) return { ok: false, refusals: [tooManyOrders(own)] };
    for (const [group, order] of bestOrders(ofCircuit(job, circuit.id, trees), own, trees))
      orders.set(group, order);
  }
  const { list, runs, misfits } = route(job, groups, orders, trees);
  if (misfits.length > 0) return { ok: false, refusals: misfits };
  return { ok: true, layout: { ...list, runs, trees } };
}

/** The job as one circuit sees it: the orders of its groups depend on nothing else. */
function ofCircuit(job: Job, circuit: string, trees: Trees): Job {
  const tree = trees.get(circuit)?.parents;
  const reached = new Set([...(tree?.values() ?? [])].map(({ run }) => run.id));
  return {
    ...job,
    runs: job.runs.filter(({ id }) => reached.has(id)),
    devices: job.devices.flatMap((device) => {
      const wants = Object.entries(device.wants).filter(
        ([, want]) => want.does === 'control' || want.circuit === circuit,
      );
      return wants.length > 0 && tree?.has(device.box)
        ? [{ ...device, wants: Object.fromEntries(wants) }]
        : [];
    }),
  };
}

function bestOrders(job: Job, groups: readonly ControlGroup[], trees: Trees): Orders {
  let best: { orders: Orders; cost: readonly number[] } | null = null;
  const single = countOrders(groups) === 1;
  for (const orders of jointOrders(groups)) {
    if (single) return orders;
    const { runs, misfits } = route(job, groups, orders, trees);
    const cost = costOf(runs, misfits);
    if (!best || isLess(cost, best.cost)) best = { orders, cost };
  }
  return best?.orders ?? new Map();
}

/** In order of weight: what does not fit, new conductor-feet, conductors used, distance from the plainest colors. */
function costOf(runs: readonly RunLayout[], misfits: readonly Refusal[]): readonly number[] {
  const sum = (value: (layout: RunLayout) => number) =>
    runs.reduce((total, layout) => total + value(layout), 0);
  const insulated = ({ cables }: RunLayout) =>
    cables.reduce((total, { type }) => total + cableRow(type).insulated.length, 0);
  return [
    misfits.length,
    sum((layout) => (layout.run.existing ? 0 : insulated(layout) * layout.run.lengthFt)),
    sum(({ nets }) => nets.length),
    sum(({ cables }) => cables.reduce((total, fit) => total + fit.oddness, 0)),
  ];
}

const isLess = (a: readonly number[], b: readonly number[]): boolean => {
  const at = a.findIndex((value, index) => value !== b[index]);
  return at >= 0 && (a[at] ?? 0) < (b[at] ?? 0);
};

interface Routed {
  readonly list: NetList;
  readonly runs: readonly RunLayout[];
  readonly misfits: readonly Refusal[];
}

interface Spare {
  readonly feed: Feed;
  readonly boxes: Set<string>;
}

/**
 * Routes the nets for given orders. A neutral that only waits at a switch box for a later device is given up
 * where an existing cable has no conductor for it.
 */
function route(job: Job, groups: readonly ControlGroup[], orders: Orders, trees: Trees): Routed {
  const spare = spareNeutrals(job, groups);
  const only = new Map<string, ReadonlySet<Insulation>>();
  for (const cluster of closedClusters(job)) {
    const common = commonInsulations(job.runs.filter(({ id }) => cluster.includes(id)));
    for (const run of cluster) only.set(run, common);
  }
  for (;;) {
    const list = deriveNets(job, groups, orders, spare);
    const carried = netsOfRuns(job, trees, list.nets);
    const runs: RunLayout[] = [];
    const misfits: Refusal[] = list.conflicts.map((conflict) => conflictRefusal(job, conflict));
    let gaveUp = false;
    for (const run of job.runs) {
      const nets = carried.get(run.id) ?? [];
      const fitted = fitRun(job, run, nets, only.get(run.id));
      if (fitted.ok) runs.push({ run, nets, cables: fitted.cables });
      else if (run.existing && giveUpSpareBeyond(run, nets, list, spare, trees)) gaveUp = true;
      else misfits.push(fitted.refusal);
    }
    if (!gaveUp) return { list, runs, misfits };
  }
}

/** Switch boxes that get a neutral they do not need today. */
function spareNeutrals(job: Job, groups: readonly ControlGroup[]): Spare[] {
  const spare: Spare[] = [];
  for (const { places, loads } of groups) {
    const feed = loads[0]?.want;
    // 404.2(C) asks for the neutral where a switch controls lighting, not where it controls a receptacle.
    const asked = loads.some(({ device }) => !wishKind(device.kind).receptacle);
    if (!feed || (job.habits.neutralAtSwitches === 'where asked' && !asked)) continue;
    const known = spare.find((one) => sameFeed(one.feed, feed));
    const own = known ?? { feed: { circuit: feed.circuit, via: feed.via }, boxes: new Set<string>() };
    if (!known) spare.push(own);
    for (const place of places) own.boxes.add(place.box);
  }
  return spare;
}

/** Drops the spare neutrals beyond a run whose cable is short of conductors; true when there were any. */
function giveUpSpareBeyond(
  run: Run,
  nets: readonly Net[],
  list: NetList,
  spare: readonly Spare[],
  trees: Trees,
): boolean {
  let dropped = false;
  for (const net of nets) {
    const tree = trees.get(net.circuit);
    if (net.role !== 'neutral' || !tree) continue;
    const full = list.nets.find(({ id }) => id === net.id);
    // Beyond is the side of the run that the net's source is not on.
    const sourceBeyond = isBeyond(tree, run.id, net.source);
    const far = (box: string) => isBeyond(tree, run.id, box) !== sourceBeyond;
    if (full?.terminals.some(({ box }) => far(box))) continue;
    for (const { feed, boxes } of spare) {
      if (feed.circuit !== net.circuit) continue;
      for (const box of [...boxes]) if (far(box)) dropped = boxes.delete(box) || dropped;
    }
  }
  return dropped;
}

function conflictRefusal(job: Job, { device: id, terminal }: NetList['conflicts'][number]): Refusal {
  const device = job.devices.find((one) => one.id === id);
  const box = device?.box ?? '';
  const name = device ? wishKind(device.kind).name : id;
  return {
    code: 'two circuits',
    message: `The ${name} at ${placeName(job, box)} has one ${terminal} for what is asked of two; its parts must share a circuit.`,
    at: [
      { kind: 'box', id: box },
      { kind: 'device', id },
    ],
    ways: ['Put both parts on one circuit.'],
  };
}

const tooManyOrders = (groups: readonly ControlGroup[]): Refusal => ({
  code: 'search limit',
  message: `${groups.map(({ group }) => `"${group.name}"`).join(', ')} can be wired in ${countOrders(groups).toLocaleString('en-US')} orders, more than are searched.`,
  at: groups.map(({ group }) => ({ kind: 'group', id: group.id })),
  ways: ['Spread the groups over two circuits, or use fewer switch places for one of them.'],
});
