import { wishKind } from '../../trade/devices';
import { UnionFind } from '../../base/graph/union-find';
import type { Design } from '../../job/model/design';
import type { NetId, TerminalId } from '../../job/model/wiring';
import { cableRow } from '../../trade/standards/cables';
import type { Fit } from './fit';
import { placeName } from '../../job/model/called';
import type { Demand, Net, PurposeId } from './nets';
import type { Service } from './purposes';
import type { Refusal } from './refusal';
import { endsInPanel, threadsTo, wayTo, type House, type Strand, type Ways } from './strands';
import { andList } from '../../base/words/lists';
import { say, tell } from '../../base/words/layout';

export interface Routed {
  /** What each run carries, by run id, in the order of the nets. */
  readonly strands: ReadonlyMap<string, readonly Strand[]>;
  readonly wayOfTerminal: ReadonlyMap<TerminalId, number>;
  /** What waits beyond a strand that waits only: by its far way. */
  readonly waiting: ReadonlyMap<number, readonly Demand[]>;
  readonly refusals: readonly Refusal[];
}

/** Runs every net over the trees of what it serves. */
export function routeNets(
  job: Design,
  nets: readonly Net[],
  services: ReadonlyMap<PurposeId, Service>,
  house: House,
  ways: Ways,
): Routed {
  const strands = new Map<string, Strand[]>(job.runs.map((run) => [run.id, []]));
  const wayOfTerminal = new Map<TerminalId, number>();
  const waiting = new Map<number, Demand[]>();
  const refusals: Refusal[] = [];
  for (const net of nets) {
    const own = new Map<number, Strand>();
    const start = ways.from(net.source);
    const bring = (purpose: PurposeId, boxes: Iterable<string>, soft: boolean) => {
      const tree = services.get(purpose)?.tree;
      if (!tree) return [];
      const threads = threadsTo(ways, house, tree, net.source, boxes);
      for (const { run, near, far, nearWay, farWay } of threads.values())
        if (!own.has(farWay)) own.set(farWay, { id: net.id, net, soft, run, near, far, nearWay, farWay });
      return threads.keys();
    };
    // What is needed first: a conductor that is needed anyway does not only wait.
    const needed = new Map<PurposeId, Set<string>>();
    for (const { purpose, box, soft } of net.demands)
      if (!soft) needed.set(purpose, (needed.get(purpose) ?? new Set()).add(box));
    for (const [purpose, boxes] of needed) bring(purpose, boxes, false);
    for (const demand of net.demands) {
      if (!demand.soft) continue;
      for (const way of bring(demand.purpose, [demand.box], true))
        waiting.set(way, [...(waiting.get(way) ?? []), demand]);
    }
    for (const { terminal, purpose, box } of net.terminals) {
      const tree = services.get(purpose)?.tree;
      const way = box === net.source ? start : tree ? wayTo(ways, tree, net.source, box) : start;
      const known = wayOfTerminal.get(terminal);
      if (known !== undefined && known !== way) refusals.push(twoWays(job, box));
      wayOfTerminal.set(terminal, way);
    }
    for (const strand of own.values()) {
      const list = strands.get(strand.run.id) ?? [];
      const twins = list.filter((one) => one.net === net).length;
      list.push(twins === 0 ? strand : { ...strand, id: `${net.id}*${twins + 1}` });
      if (endsInPanel(strand, ways) && !job.panelSplices) refusals.push(looseInPanel(job, strand));
    }
  }
  return { strands, wayOfTerminal, waiting, refusals };
}

const twoWays = (job: Design, box: string): Refusal => {
  const device = job.devices.find((one) => one.box === box && wishKind(one.kind).parts.length > 1);
  return {
    code: 'two circuits',
    ...tell('route.twoCablesOneNeutral', { placeName: placeName(job, box) }),
    at: [{ kind: 'box', id: box }, ...(device ? [{ kind: 'device' as const, id: device.id }] : [])],
    ways: [say('route.oneCable.way')],
  };
};

/** A closed box next to the panel passes on what it carries, and it would hang loose in the panel. */
const looseInPanel = (job: Design, { run, near, far }: Strand): Refusal => {
  const names = [near, far].map((place) => placeName(job, place));
  return {
    code: 'panel splice',
    ...tell('route.endsInPanel', { names: andList(names) }),
    at: [
      { kind: 'run', id: run.id },
      ...[near, far]
        .filter((id) => job.boxes.some((box) => box.id === id))
        .map((id) => ({ kind: 'box' as const, id })),
    ],
    ways: [say('route.allowClosedBoxOpened'), say('route.panelSplices.way')],
  };
};

/** Groups of run ids joined by boxes that stay closed; runs that meet none are left out. */
export function closedClusters(job: Design): string[][] {
  const closed = job.boxes.filter((box) => box.closed);
  if (closed.length === 0) return [];
  const numbers = new Map(job.runs.map(({ id }, index) => [id, index]));
  const joined = new UnionFind(job.runs.length);
  const members = new Set<string>();
  for (const { id } of closed) {
    const own = job.runs.filter(({ from, to }) => from === id || to === id);
    const first = numbers.get(own[0]?.id ?? '');
    for (const run of own) {
      members.add(run.id);
      const number = numbers.get(run.id);
      if (first !== undefined && number !== undefined) joined.join(first, number);
    }
  }
  const clusters = new Map<number, string[]>();
  for (const run of members) {
    const number = numbers.get(run);
    if (number === undefined) continue;
    const root = joined.find(number);
    clusters.set(root, [...(clusters.get(root) ?? []), run]);
  }
  return [...clusters.values()];
}

interface FittedRun {
  readonly run: Design['runs'][number];
  readonly strands: readonly Strand[];
  readonly cables: readonly Fit[];
}

/** Closed boxes where conductors of one color, which stay spliced, would have to carry different things. */
export function tornAtClosed(job: Design, runs: readonly FittedRun[]): Refusal[] {
  return job.boxes
    .filter(({ closed }) => closed)
    .flatMap(({ id, name }): Refusal[] => {
      const carried = new Map<string, string>();
      const torn = runs.some(({ run, strands, cables }) => {
        if (run.from !== id && run.to !== id) return false;
        return cables.some(({ type, nets }) =>
          cableRow(type).insulated.some((insulation, slot) => {
            const strand = strands.find((one) => one.id === nets[slot]);
            if (!strand) return false;
            const here = `${strand.net.id satisfies NetId} ${strand.near === id ? strand.nearWay : strand.farWay}`;
            const known = carried.get(insulation);
            carried.set(insulation, here);
            return known !== undefined && known !== here;
          }),
        );
      });
      if (!torn) return [];
      return [
        {
          code: 'closed box',
          ...tell('route.closedBox', { name }),
          at: [{ kind: 'box', id }],
          ways: [say('route.allowOpened')],
        },
      ];
    });
}
