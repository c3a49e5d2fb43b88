import type { DeviceKind } from '../devices';
import { PANEL, type Job, type Run } from '../model/job';
import { cableRow, cablesOfGauge } from '../standards/cables';
import { gaugeForBreaker, maxBreakerA, type Gauge } from '../standards/conductors';
import { fitCable, smallestCable, type Fit } from './fit';
import {
  consumers,
  controlGroups,
  deriveNets,
  type ControlGroup,
  type Net,
  type NetList,
  type Orders,
} from './nets';
import { countOrders, jointOrders, ORDER_LIMIT } from './orders';
import type { Refusal } from './refusal';
import { netsOfRuns } from './route';
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

/**
 * Routes what the wishes ask for over the job's runs: which nets each run carries, which cable it needs, and which
 * conductor is what. Total: gives a layout, or refusals that name the run, box or group.
 */
export function layOut(job: Job): LayoutOutcome {
  const { trees, refusals: loops } = circuitTrees(job);
  if (loops.length > 0) return { ok: false, refusals: loops };
  const groups = controlGroups(job);
  const early = [...unpowered(job, trees), ...brokenGroups(job, groups, trees)];
  if (early.length > 0) return { ok: false, refusals: early };

  const ordersOfAll = new Map<string, Orders extends ReadonlyMap<string, infer Order> ? Order : never>();
  for (const circuit of job.circuits) {
    const own = groups.filter(({ loads }) => loads[0]?.want.circuit === circuit.id);
    if (own.length === 0) continue;
    if (countOrders(own) > ORDER_LIMIT) return { ok: false, refusals: [tooManyOrders(own)] };
    const best = bestOrders(ofCircuit(job, circuit.id, trees), own, trees);
    for (const [group, order] of best) ordersOfAll.set(group, order);
  }
  const { list, runs, misfits } = route(job, groups, ordersOfAll, trees);
  if (misfits.length > 0) return { ok: false, refusals: misfits };
  return { ok: true, layout: { ...list, runs, trees } };
}

/** The job as one circuit sees it: the orders of its groups depend on nothing else. */
function ofCircuit(job: Job, circuit: string, trees: ReadonlyMap<string, CircuitTree>): Job {
  const reached = new Set([...(trees.get(circuit)?.parents.values() ?? [])].map(({ run }) => run.id));
  return {
    ...job,
    runs: job.runs.filter(({ id }) => reached.has(id)),
    devices: job.devices.flatMap((device) => {
      const wants = Object.entries(device.wants).filter(
        ([, want]) => want.does === 'control' || want.circuit === circuit,
      );
      return wants.length > 0 && trees.get(circuit)?.parents.has(device.box)
        ? [{ ...device, wants: Object.fromEntries(wants) }]
        : [];
    }),
  };
}

function bestOrders(
  job: Job,
  groups: readonly ControlGroup[],
  trees: ReadonlyMap<string, CircuitTree>,
): Orders {
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
  return [
    misfits.length,
    sum(({ run, cables }) =>
      run.existing
        ? 0
        : cables.reduce((total, { type }) => total + cableRow(type).insulated.length, 0) * run.lengthFt,
    ),
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

/**
 * Routes the nets for given orders. A neutral that only waits at a switch box for a later device is given up
 * where an existing cable has no conductor for it.
 */
function route(
  job: Job,
  groups: readonly ControlGroup[],
  orders: Orders,
  trees: ReadonlyMap<string, CircuitTree>,
): Routed {
  const spare = spareNeutrals(job, groups);
  for (;;) {
    const list = deriveNets(job, groups, orders, spare);
    const carried = netsOfRuns(job, trees, list.nets);
    const runs: RunLayout[] = [];
    const misfits: Refusal[] = [];
    let gaveUp = false;
    for (const run of job.runs) {
      const nets = carried.get(run.id) ?? [];
      const fitted = fitRun(job, run, nets);
      if (fitted.ok) runs.push({ run, nets, cables: fitted.cables });
      else if (run.existing && giveUpSpareBeyond(run, nets, list, spare, trees)) gaveUp = true;
      else misfits.push(fitted.refusal);
    }
    if (!gaveUp) return { list, runs, misfits };
  }
}

/** Switch boxes that get a neutral they do not need today, by circuit. */
function spareNeutrals(job: Job, groups: readonly ControlGroup[]): Map<string, Set<string>> {
  const spare = new Map<string, Set<string>>();
  for (const { places, loads } of groups) {
    const circuit = loads[0]?.want.circuit;
    // 404.2(C) asks for the neutral where a switch controls lighting, not where it controls a receptacle.
    const asked = loads.some(({ device }) => device.kind === 'luminaire');
    if (circuit === undefined || (job.habits.neutralAtSwitches === 'where asked' && !asked)) continue;
    const boxes = spare.get(circuit) ?? new Set<string>();
    for (const place of places) boxes.add(place.box);
    spare.set(circuit, boxes);
  }
  return spare;
}

/** Drops the spare neutrals beyond a run whose cable is short of conductors; true when there were any. */
function giveUpSpareBeyond(
  run: Run,
  nets: readonly Net[],
  list: NetList,
  spare: Map<string, Set<string>>,
  trees: ReadonlyMap<string, CircuitTree>,
): boolean {
  let dropped = false;
  for (const net of nets) {
    const tree = trees.get(net.circuit);
    const boxes = spare.get(net.circuit);
    if (net.role !== 'neutral' || !tree || !boxes) continue;
    const needed = list.nets.some(
      (other) => other.id === net.id && other.terminals.some(({ box }) => isBeyond(tree, run.id, box)),
    );
    if (needed) continue;
    for (const box of [...boxes]) {
      if (isBeyond(tree, run.id, box)) dropped = boxes.delete(box) || dropped;
    }
  }
  return dropped;
}

type RunFit = { ok: true; cables: readonly Fit[] } | { ok: false; refusal: Refusal };

function fitRun(job: Job, run: Run, nets: readonly Net[]): RunFit {
  const gauge = gaugeOfRun(job, run, nets);
  if (gauge === undefined) {
    return refuse('conductor too small', run, `${runName(job, run)} is on a breaker over 30 A.`, []);
  }
  if (!run.existing) {
    const whole = smallestCable(gauge, nets, job.habits);
    if (whole) return { ok: true, cables: [whole] };
    const perCircuit = [...new Set(nets.map((net) => net.circuit))].map((circuit) =>
      smallestCable(
        gauge,
        nets.filter((net) => net.circuit === circuit),
        job.habits,
      ),
    );
    if (perCircuit.length > 1 && perCircuit.every((fit) => fit !== null)) {
      return { ok: true, cables: perCircuit };
    }
    return refuse(
      'too many conductors',
      run,
      `${runName(job, run)} needs ${nets.length} insulated conductors (${listNets(nets)}); no cable carries more than 4 of one circuit.`,
      [
        'Move one of the switches, or what it controls, to the other box.',
        'Feed part of it over a run of its own.',
      ],
    );
  }
  const has = cableRow(run.existing);
  const breakerA = breakerOfRun(job, run, nets);
  if (breakerA > maxBreakerA(has.gauge)) {
    return refuse(
      'conductor too small',
      run,
      `${runName(job, run)} is an existing ${run.existing} on a ${breakerA} A breaker; ${has.gauge} AWG copper allows ${maxBreakerA(has.gauge)} A.`,
      [
        `Replace it by ${gauge}-${run.existing.slice(3)}.`,
        `Change the breaker to ${maxBreakerA(has.gauge)} A.`,
      ],
    );
  }
  const fit = fitCable(run.existing, nets, job.habits);
  if (fit) return { ok: true, cables: [fit] };
  const enough = cablesOfGauge(has.gauge).find(({ type }) => fitCable(type, nets, job.habits));
  const ways = [
    ...(enough ? [`Replace it by a new ${enough.type}.`] : []),
    'Feed the outlet from another box that has the constant hot and its neutral.',
  ];
  return refuse(
    'too few conductors',
    run,
    nets.length > has.insulated.length
      ? `${runName(job, run)} needs ${nets.length} insulated conductors (${listNets(nets)}); the existing ${run.existing} has ${has.insulated.length}.`
      : `${runName(job, run)}: the existing ${run.existing} would need its white as a return (${listNets(nets)}), which 200.7(C)(1) does not allow.`,
    ways,
  );
}

const refuse = (code: Refusal['code'], run: Run, message: string, ways: readonly string[]): RunFit => ({
  ok: false,
  refusal: { code, message, at: [{ kind: 'run', id: run.id }], ways },
});

function breakerOfRun(job: Job, run: Run, nets: readonly Net[]): number {
  const ids = new Set(nets.length > 0 ? nets.map((net) => net.circuit) : (run.circuits ?? []));
  return Math.max(...job.circuits.filter(({ id }) => ids.has(id)).map(({ breakerA }) => breakerA), 15);
}

const gaugeOfRun = (job: Job, run: Run, nets: readonly Net[]): Gauge | undefined =>
  gaugeForBreaker(breakerOfRun(job, run, nets));

export function placeName(job: Job, id: string): string {
  return id === PANEL ? 'panel' : (job.boxes.find((box) => box.id === id)?.name ?? id);
}

export const runName = (job: Job, run: Run): string =>
  `The run from ${placeName(job, run.from)} to ${placeName(job, run.to)}`;

const ROLE_WORDS = {
  ground: 'ground',
  neutral: 'neutral',
  hot: 'constant hot',
  switched: 'switched hot',
  traveler: 'traveler',
} as const;

const listNets = (nets: readonly Net[]): string => nets.map((net) => ROLE_WORDS[net.role]).join(', ');

function unpowered(job: Job, trees: ReadonlyMap<string, CircuitTree>): Refusal[] {
  return consumers(job).flatMap(({ device, want }): Refusal[] => {
    if (trees.get(want.circuit)?.parents.has(device.box)) return [];
    const circuit = job.circuits.find(({ id }) => id === want.circuit);
    return [
      {
        code: 'no power',
        message: `Circuit ${circuit?.number ?? want.circuit} does not reach ${placeName(job, device.box)}.`,
        at: [
          { kind: 'box', id: device.box },
          { kind: 'circuit', id: want.circuit },
        ],
        ways: [`Add a run that joins ${placeName(job, device.box)} to a box of that circuit.`],
      },
    ];
  });
}

function brokenGroups(
  job: Job,
  groups: readonly ControlGroup[],
  trees: ReadonlyMap<string, CircuitTree>,
): Refusal[] {
  return groups.flatMap(({ group, places, loads }): Refusal[] => {
    const [first] = loads;
    if (!first) return [];
    const at = [{ kind: 'group', id: group.id } as const];
    if (places.length === 0) {
      return [
        {
          code: 'no switch',
          message: `Nothing switches "${group.name}", which ${placeName(job, first.device.box)} waits for.`,
          at: [...at, { kind: 'box', id: first.device.box }],
          ways: ['Add a switch for it, or make what it controls always on.'],
        },
      ];
    }
    const other = loads.find(({ want }) => want.circuit !== first.want.circuit);
    if (other) {
      return [
        {
          code: 'two circuits',
          message: `"${group.name}" controls things on two circuits (${first.want.circuit} and ${other.want.circuit}); one pole cannot.`,
          at: [...at, { kind: 'box', id: other.device.box }],
          ways: ['Put what it controls on one circuit.', 'Give each circuit its own switch.'],
        },
      ];
    }
    return places
      .filter(({ box }) => !trees.get(first.want.circuit)?.parents.has(box))
      .map(({ box }) => ({
        code: 'no power',
        message: `The switch at ${placeName(job, box)} is not joined to circuit ${first.want.circuit}, which it must switch.`,
        at: [{ kind: 'box', id: box }],
        ways: [`Add a run that joins ${placeName(job, box)} to a box of that circuit.`],
      }));
  });
}

const tooManyOrders = (groups: readonly ControlGroup[]): Refusal => ({
  code: 'search limit',
  message: `${groups.map(({ group }) => `"${group.name}"`).join(', ')} can be wired in ${countOrders(groups).toLocaleString('en-US')} orders, more than are searched.`,
  at: groups.map(({ group }) => ({ kind: 'group', id: group.id })),
  ways: ['Spread the groups over two circuits, or use fewer switch places for one of them.'],
});
