import { wishKind, type DeviceKind } from '../devices';
import { neutralNetId } from '../layout/domains';
import type { Layout } from '../layout/layout';
import { GROUND_NET, type Net } from '../layout/nets';
import { groupBy } from '../group-by';
import { PANEL, type Box, type Device, type Job } from '../model/job';
import {
  boxGroundId,
  endId,
  PANEL_GROUND,
  PANEL_NEUTRAL,
  panelHotId,
  panelNeutralId,
  terminalId,
  type Cap,
  type NetRole,
  type Splice,
  type Tail,
  type Termination,
  type WiredCable,
  type WiredDevice,
  type Wiring,
} from '../model/wiring';
import { isMetal } from '../standards/boxes';
import { cableRow, isWhite, type Insulation } from '../standards/cables';
import { gaugeForBreaker, type Gauge } from '../standards/conductors';
import { largestSplice, type ConnectorSchool } from '../standards/connectors';
import { join, type Waiting } from './join';

/** Pigtail length, in. Common practice: 6 to 7. */
export const TAIL_IN = 7;

/** The order in which a box is made up: grounds, neutrals, hots, then what stays single. */
export const MAKE_UP_ORDER: readonly NetRole[] = ['ground', 'neutral', 'hot', 'switched', 'traveler'];

const TAIL_INSULATION: Record<NetRole, Insulation> = {
  ground: 'bare',
  neutral: 'white',
  hot: 'black',
  switched: 'red',
  traveler: 'red',
};

/** Joins the routed conductors in every box: splices, tails, terminals, caps, tabs. */
export function makeUp(job: Job, layout: Layout): Wiring {
  const cables = layout.runs.flatMap((run) => wiredCables(run));
  const nets = new Map(layout.nets.map((net) => [net.id, net]));
  const sharedNeutrals = new Set(
    job.circuits
      .filter(({ multiwireWith }) => multiwireWith !== null)
      .map(({ id }) => neutralNetId(job, { circuit: id, via: null })),
  );
  const devicesIn = groupBy(job.devices, ({ box }) => [box]);
  const cablesIn = groupBy(cables, ({ from, to }) => [from, to]);

  const splices: Splice[] = [];
  const tails: Tail[] = [];
  const terminations: Termination[] = [];
  const caps: Cap[] = [];
  for (const box of job.boxes) {
    const own = cablesIn.get(box.id) ?? [];
    const ends = conductorEnds(own, box.id);
    const waiting = terminalsOf(devicesIn.get(box.id) ?? [], box, layout);
    caps.push(...sparesIn(own, box.id));
    for (const net of new Set([...ends.map((end) => end.net), ...waiting.keys()])) {
      if (net === null) continue;
      const role = nets.get(net)?.role ?? 'ground';
      const made = join(
        {
          box: box.id,
          net,
          role,
          shared: sharedNeutrals.has(net),
          ends: ends.filter((end) => end.net === net).map(({ id }) => id),
          terminals: waiting.get(net) ?? [],
          capacity: largestSplice(job.connectors, schoolFor(job, role), spliceGauge(own)),
        },
        job.habits,
      );
      const gauge = tailGauge(job, nets.get(net), own);
      splices.push(...made.splices);
      tails.push(
        ...made.tails.map((tail) => ({
          ...tail,
          insulation: TAIL_INSULATION[role],
          gauge,
          lengthIn: TAIL_IN,
        })),
      );
      terminations.push(...made.terminations.map((one) => ({ box: box.id, ...one })));
      caps.push(...made.caps.map((end) => ({ box: box.id, end })));
    }
  }
  terminations.push(...panelTerminations(job, cables, nets));
  caps.push(...sparesIn(cablesIn.get(PANEL) ?? [], PANEL));
  const order = (role: NetRole) => MAKE_UP_ORDER.indexOf(role);
  splices.sort((a, b) => order(a.role) - order(b.role));
  return {
    cables,
    devices: job.devices.map((device) => wiredDevice(device, layout)),
    splices,
    tails,
    terminations,
    caps,
  };
}

/** Spares are capped at both ends. */
const sparesIn = (cables: readonly WiredCable[], box: string): Cap[] =>
  conductorEnds(cables, box)
    .filter(({ net }) => net === null)
    .map(({ id }) => ({ box, end: id }));

/** Folded grounds want a grounding connector; everything else follows the habit of the house. */
export const schoolFor = ({ habits }: Job, role: NetRole): ConnectorSchool =>
  role === 'ground' && habits.grounds === 'folded' && habits.connectors === 'twist-on'
    ? 'grounding'
    : habits.connectors;

/** The thickest conductor that can come into a splice of the box. */
const spliceGauge = (cables: readonly WiredCable[]): Gauge =>
  cables
    .map(({ type }) => cableRow(type).gauge)
    .reduce<Gauge>((thick, gauge) => (gauge < thick ? gauge : thick), 14);

function wiredCables({ run, nets, cables }: Layout['runs'][number]): WiredCable[] {
  return cables.map((fit, index) => {
    const id = index === 0 ? run.id : `${run.id}-${index + 1}`;
    const insulated = cableRow(fit.type).insulated.map((insulation, slot) => {
      const carried = nets.find((candidate) => candidate.id === fit.nets[slot]);
      return {
        id: `${id}:${insulation}`,
        insulation,
        net: carried?.id ?? null,
        role: carried?.role ?? null,
        circuit: carried?.circuit ?? null,
        domain: carried?.domain ?? null,
        reidentified: carried !== undefined && carried.role !== 'neutral' && isWhite(insulation),
      };
    });
    const ground = {
      id: `${id}:bare`,
      insulation: 'bare',
      net: GROUND_NET,
      role: 'ground',
      circuit: null,
      domain: null,
      reidentified: false,
    } as const;
    return {
      id,
      run: run.id,
      type: fit.type,
      from: run.from,
      to: run.to,
      lengthFt: run.lengthFt,
      existing: run.existing !== null,
      conductors: [...insulated, ground],
    };
  });
}

/** A tab stays only where both its terminals lie on the same net. */
function wiredDevice(device: Device, layout: Layout): WiredDevice {
  const kind = kindOf(device, layout);
  const net = (terminal: string) => layout.netOfTerminal.get(terminalId(device.id, terminal));
  return {
    id: device.id,
    box: device.box,
    gang: device.gang,
    kind: kind.id,
    brokenTabs: kind.tabs.filter(({ joins: [a, b] }) => net(a) !== net(b)).map(({ id }) => id),
  };
}

/** A switch that controls nothing yet is wired as a plain single-pole one. */
const kindOf = (device: Device, layout: Layout): DeviceKind =>
  layout.kinds.get(device.id) ?? wishKind(device.kind);

const conductorEnds = (cables: readonly WiredCable[], box: string) =>
  cables.flatMap(({ conductors }) => conductors.map(({ id, net }) => ({ id: endId(id, box), net })));

/** Terminals of a box that need a wire, by net: one for each group of terminals that a whole tab joins. */
function terminalsOf(own: readonly Device[], box: Box, layout: Layout): Map<string, Waiting[]> {
  const waiting = new Map<string, Waiting[]>();
  const add = (net: string, terminal: string, twin: string | null = null) =>
    waiting.set(net, [...(waiting.get(net) ?? []), { terminal, twin }]);
  for (const device of [...own].sort((a, b) => a.gang - b.gang)) {
    const kind = kindOf(device, layout);
    const netOf = (id: string) => layout.netOfTerminal.get(terminalId(device.id, id));
    const served = new Set<string>();
    for (const { id } of kind.terminals) {
      const net = netOf(id);
      if (net === undefined || served.has(id)) continue;
      const twins = kind.tabs.flatMap(({ joins: [a, b] }) => (a === id ? [b] : b === id ? [a] : []));
      const twin = twins.find((far) => netOf(far) === net);
      if (twin !== undefined) served.add(twin);
      add(net, terminalId(device.id, id), twin === undefined ? null : terminalId(device.id, twin));
    }
    if (kind.terminals.some(({ id }) => id === 'ground')) add(GROUND_NET, terminalId(device.id, 'ground'));
  }
  if (isMetal(box.family)) add(GROUND_NET, boxGroundId(box.id));
  return waiting;
}

/** A tail is as large as its circuit's breaker asks; a ground tail as large as the largest ground in the box. */
function tailGauge(job: Job, net: Net | undefined, cables: readonly WiredCable[]): Gauge {
  const breakerA = job.circuits.find(({ id }) => id === net?.circuit)?.breakerA;
  if (breakerA !== undefined) return gaugeForBreaker(breakerA) ?? 10;
  return spliceGauge(cables);
}

function panelTerminations(
  job: Job,
  cables: readonly WiredCable[],
  nets: ReadonlyMap<string, Net>,
): Termination[] {
  return cables
    .filter(({ from, to }) => from === PANEL || to === PANEL)
    .flatMap(({ conductors }) => conductors)
    .flatMap((conductor): Termination[] => {
      const terminal = panelTerminal(job, conductor.role, nets.get(conductor.net ?? ''));
      return terminal === null ? [] : [{ box: PANEL, end: endId(conductor.id, PANEL), terminal }];
    });
}

function panelTerminal(job: Job, role: NetRole | null, net: Net | undefined): string | null {
  if (role === 'ground') return PANEL_GROUND;
  if (net?.role === 'hot') return panelHotId(net.circuit);
  if (net?.role !== 'neutral') return null;
  // A breaker that protects must see the neutral's current: the neutral lands on it and not on the bar.
  const own = job.circuits.find(({ id }) => id === net.circuit);
  return own && own.protection !== 'none' ? panelNeutralId(own.id) : PANEL_NEUTRAL;
}
