import { wishKind, type DeviceKind } from '../../trade/devices';
import { PANEL, type Device, type Design, type Run } from '../../job/model/design';
import type { NetId, TerminalId } from '../../job/model/wiring';
import type { Insulation } from '../../trade/standards/cables';
import { cableRow } from '../../trade/standards/cables';
import { earlyRefusals } from './checks';
import type { Carried, Fit } from './fit';
import { commonInsulations, fitRun, type RunFit } from './fit-run';
import { placeName } from '../../job/model/called';
import {
  controlGroups,
  deriveNets,
  groupPurpose,
  type ControlGroup,
  type Net,
  type NetList,
  type SpareNeutrals,
} from './nets';
import { notesOf, type PlanNote } from './notes';
import { choicesOf, purposesOf, servicesOf, treesOf, type Purpose, type Service } from './purposes';
import type { Refusal } from './refusal';
import { closedClusters, routeNets, tornAtClosed, type Routed } from './route';
import { chooseTogether, type Found } from './search';
import type { Load, RunCost } from './board';
import { travelersAlike } from './travelers';
import { Ways, type House, type Strand } from './strands';
import { circuitTrees, formLoops, roadsOf, type CircuitTree, type Tree } from '../../job/model/trees';
import { andList } from '../../base/words/lists';
import { say, tell } from '../../base/words/layout';
import { searchLimit, sharedTerminals, conflictRefusal } from './layout-refusals';
import type { RunLayout } from './run-layout';

export interface Layout {
  readonly nets: readonly Net[];
  readonly netOfTerminal: ReadonlyMap<TerminalId, NetId>;
  /** The way of what starts in the panel. */
  readonly wayFromPanel: number;
  /** The way by which a terminal's net comes to it. */
  readonly wayOfTerminal: ReadonlyMap<TerminalId, number>;
  readonly kinds: ReadonlyMap<string, DeviceKind>;
  readonly runs: readonly RunLayout[];
  /** Each circuit's boxes as reached from the panel by the fewest runs. */
  readonly trees: ReadonlyMap<string, CircuitTree>;
  /** What was planned as asked, but will surprise: runs left unused, a switch that controls nothing. */
  readonly notes: readonly PlanNote[];
}

export type LayoutOutcome = { ok: true; layout: Layout } | { ok: false; refusals: readonly Refusal[] };

/**
 * Routes what the wishes ask for over the job's runs: which nets each run carries, which cable it needs, and which
 * conductor is what. Total: gives a layout, or refusals that name the run, box or group.
 */
export function layOut(job: Design): LayoutOutcome {
  const trees = circuitTrees(job);
  const groups = controlGroups(job);
  const early = earlyRefusals(job, groups, trees);
  if (early.length > 0) return { ok: false, refusals: early };

  const house: House = {
    roads: roadsOf(job.runs),
    loops: formLoops(job.runs),
    closed: new Set(job.boxes.filter(({ closed }) => closed).map(({ id }) => id)),
  };
  const ways = new Ways();
  const spares = spareNeutrals(job, groups);
  const purposes = purposesOf(job, groups, spares);
  const treesBy = new Map(
    purposes.map((purpose) => [purpose.id, treesOf(purpose, house, trees.get(purpose.feed.circuit))]),
  );
  const cut = purposes.filter(({ id }) => treesBy.get(id)?.length === 0);
  if (cut.length > 0) return { ok: false, refusals: cut.map((purpose) => atPanel(job, purpose)) };

  const fit = new Fitting(job);
  const found = choose(job, purposes, treesBy, house, ways, fit);
  const services = new Map(found.picks.map((service) => [service.purpose.id, service]));
  const orders = new Map(
    found.picks.flatMap(({ purpose: { group }, order }) => (group ? [[group.group.id, order] as const] : [])),
  );
  const { list, routed, runs, misfits } = place(job, groups, orders, services, spares, house, ways, fit);
  if (misfits.length > 0) {
    return { ok: false, refusals: found.sure ? misfits : [searchLimit(purposes), ...misfits] };
  }
  const colored = travelersAlike(job, runs);
  return {
    ok: true,
    layout: {
      ...list,
      wayOfTerminal: routed.wayOfTerminal,
      wayFromPanel: ways.from(PANEL),
      runs: colored,
      trees,
      notes: notesOf(job, groups, colored),
    },
  };
}

/**
 * How each purpose is served, all together the best. What can be served in one way only is looked at where it shares a
 * run with what can be served in several.
 */
function choose(
  job: Design,
  purposes: readonly Purpose[],
  treesBy: ReadonlyMap<NetId, readonly Tree[]>,
  house: House,
  ways: Ways,
  fit: Fitting,
): Found<Service> {
  const numbers = new Map(job.runs.map(({ id }, index) => [id, index]));
  const services = purposes.map((purpose) => servicesOf(purpose, treesBy.get(purpose.id) ?? [], numbers));
  const open = services.filter((own) => own.length > 1);
  if (open.length === 0) return { picks: services.flatMap(([only]) => only ?? []), sure: true };

  const runsOf = (own: readonly Service[]) =>
    own.flatMap(({ tree }) => [...tree.parents.values()].map(({ run }) => run));
  const touched = new Set(open.flatMap(runsOf));
  const shared = sharedTerminals(job);
  // Closed boxes carry on into every cable; terminals that serve two purposes ask both for one way.
  const isAlone = ([only, second]: readonly Service[]): boolean =>
    only !== undefined &&
    second === undefined &&
    house.closed.size === 0 &&
    !shared.some(({ purpose }) => purpose === only.purpose.id) &&
    !runsOf([only]).some((run) => touched.has(run));
  const alone: Service[] = [];
  const together: (readonly Service[])[] = [];
  for (const own of services) {
    if (isAlone(own)) alone.push(...own);
    else together.push(own);
  }
  const found = chooseTogether<Service>(
    together.map((own) => (own[0] ? choicesOf(job, own[0].purpose, own, house, ways, numbers, shared) : [])),
    {
      runs: job.runs.length + 1,
      newFt: (index) => {
        const run = job.runs[index];
        return run?.existing === null ? run.lengthFt : 0;
      },
      cost: (run, loads) => fit.cost(run, loads),
    },
  );
  return { picks: [...alone, ...found.picks], sure: found.sure };
}

/** Cables for runs, and what they cost; closed boxes narrow the colors. */
class Fitting {
  private readonly only = new Map<string, ReadonlySet<Insulation>>();

  constructor(private readonly job: Design) {
    for (const cluster of closedClusters(job)) {
      const common = commonInsulations(job.runs.filter(({ id }) => cluster.includes(id)));
      for (const run of cluster) this.only.set(run, common);
    }
  }

  run = (run: Run, nets: readonly Carried[]): RunFit => fitRun(this.job, run, nets, this.only.get(run.id));

  /** A neutral that only waits for a later device is given up where an existing cable has no conductor for it. */
  cost(index: number, loads: readonly Load[]): RunCost {
    const run = this.job.runs[index];
    // One past the runs is the panel: nothing may be spliced or left in it.
    if (!run) return { fits: loads.length === 0, feet: 0, oddness: 0 };
    const all = this.run(
      run,
      loads.map(({ net }) => net),
    );
    const fit =
      !all.ok && run.existing !== null && loads.some(({ soft }) => soft)
        ? this.run(
            run,
            loads.filter(({ soft }) => !soft).map(({ net }) => net),
          )
        : all;
    if (!fit.ok) return { fits: false, feet: 0, oddness: 0 };
    const unused = loads.length === 0;
    return {
      fits: true,
      feet: run.existing === null && !unused ? conductorFt(run, fit.cables) : 0,
      oddness: fit.cables.reduce((sum, { oddness }) => sum + oddness, 0),
    };
  }
}

const conductorFt = ({ lengthFt }: Run, cables: readonly Fit[]): number =>
  cables.reduce((sum, { type }) => sum + cableRow(type).insulated.length * lengthFt, 0);

interface Placed {
  readonly list: NetList;
  readonly routed: Routed;
  readonly runs: readonly RunLayout[];
  readonly misfits: readonly Refusal[];
}

/**
 * Routes the nets as chosen. A neutral that only waits at a switch box for a later device is given up where an
 * existing cable has no conductor for it.
 */
function place(
  job: Design,
  groups: readonly ControlGroup[],
  orders: ReadonlyMap<string, readonly Device[]>,
  services: ReadonlyMap<NetId, Service>,
  spares: SpareNeutrals,
  house: House,
  ways: Ways,
  fit: Fitting,
): Placed {
  let kept = spares;
  for (;;) {
    const list = deriveNets(job, groups, orders, kept);
    const routed = routeNets(job, list.nets, services, house, ways);
    const runs: RunLayout[] = [];
    const misfits: Refusal[] = [
      ...list.conflicts.map((conflict) => conflictRefusal(job, conflict)),
      ...routed.refusals,
    ];
    const given = new Set<SpareNeutrals[number]>();
    for (const run of job.runs) {
      const strands = routed.strands.get(run.id) ?? [];
      const fitted = fit.run(
        run,
        strands.map(({ id, net }) => ({ ...net, id })),
      );
      const soft = strands.filter((strand) => strand.soft);
      if (fitted.ok) {
        runs.push({ run, nets: [...new Set(strands.map(({ net }) => net))], strands, cables: fitted.cables });
      } else if (run.existing && soft.length > 0) {
        for (const spare of kept) if (isWaitingBeyond(routed, soft, spare)) given.add(spare);
      } else misfits.push(fitted.refusal);
    }
    if (given.size === 0) return { list, routed, runs, misfits: [...misfits, ...tornAtClosed(job, runs)] };
    kept = kept.filter((spare) => !given.has(spare));
  }
}

const isWaitingBeyond = (routed: Routed, strands: readonly Strand[], spare: SpareNeutrals[number]): boolean =>
  strands.some(({ farWay }) =>
    routed.waiting
      .get(farWay)
      ?.some(({ purpose, box }) => purpose === groupPurpose(spare.group) && box === spare.box),
  );

/** Switch boxes that get a neutral they do not need today. */
function spareNeutrals(job: Design, groups: readonly ControlGroup[]): SpareNeutrals {
  return groups.flatMap(({ group, places, loads }) => {
    const feed = loads[0]?.want;
    // 404.2(C) asks for the neutral where a switch controls lighting, not where it controls a receptacle.
    const asked = loads.some(({ device }) => !wishKind(device.kind).receptacle);
    if (!feed || (job.habits.neutralAtSwitches === 'where asked' && !asked)) return [];
    return [...new Set(places.map(({ box }) => box))].map((box) => ({
      feed: { circuit: feed.circuit, via: feed.via },
      group: group.id,
      box,
    }));
  });
}

/** Something would have to pass from one run to another in the panel. */
function atPanel(job: Design, { group, root, loads }: Purpose): Refusal {
  const boxes = [...new Set([...(group?.places.map(({ box }) => box) ?? []), ...loads, root])];
  const named = boxes.filter((box) => job.boxes.some(({ id }) => id === box));
  const names = named.map((box) => placeName(job, box));
  const what = group ? `"${group.group.name}"` : say('layout.onLoadSide');
  return {
    code: 'panel splice',
    ...tell('layout.meetInPanel', { what, names: andList(names) }),
    at: [
      ...named.map((id) => ({ kind: 'box' as const, id })),
      ...(group ? [{ kind: 'group' as const, id: group.group.id }] : []),
    ],
    ways: [
      say('layout.pullRunBetween', { names: andList(names.slice(0, 2)) }),
      say('layout.panelSplices.way'),
    ],
  };
}
