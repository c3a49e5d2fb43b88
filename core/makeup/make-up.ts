import { deviceKind, type DeviceKind } from '../devices';
import type { Layout } from '../layout/layout';
import { GROUND_NET, type Net } from '../layout/nets';
import { PANEL, type Box, type Device, type Job } from '../model/job';
import {
  boxGroundId,
  endId,
  PANEL_GROUND,
  PANEL_NEUTRAL,
  panelHotId,
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

/** Pigtail length, in. Common practice: 6 to 7. */
export const TAIL_IN = 7;

/** The order in which a box is made up: grounds, neutrals, hots, then what stays single. */
export const MAKE_UP_ORDER: readonly NetRole[] = ['ground', 'neutral', 'hot', 'switched', 'traveler'];

/** Joins the routed conductors in every box: splices, tails, terminals, caps, tabs. */
export function makeUp(job: Job, layout: Layout): Wiring {
  const cables = layout.runs.flatMap((run) => wiredCables(run));
  const devices = job.devices.map((device) => wiredDevice(device, layout));
  const netOf = new Map(layout.nets.map((net) => [net.id, net]));
  const devicesIn = new Map<string, Device[]>();
  for (const device of job.devices) {
    devicesIn.set(device.box, [...(devicesIn.get(device.box) ?? []), device]);
  }
  const splices: Splice[] = [];
  const tails: Tail[] = [];
  const terminations: Termination[] = [];
  const caps: Cap[] = [];

  const endsByBox = conductorEnds(cables);
  const cablesOf = new Map<string, WiredCable[]>();
  for (const cable of cables) {
    for (const box of [cable.from, cable.to]) cablesOf.set(box, [...(cablesOf.get(box) ?? []), cable]);
  }
  for (const box of job.boxes) {
    const ends = endsByBox.get(box.id) ?? [];
    const waiting = terminalsOf(devicesIn.get(box.id) ?? [], box, layout);
    const netIds = new Set([...ends.map(({ net }) => net), ...waiting.keys()]);
    for (const net of netIds) {
      const mine = ends.filter((end) => end.net === net).map(({ id }) => id);
      if (net === null) {
        caps.push(...mine.map((end) => ({ box: box.id, end })));
        continue;
      }
      const terminals = waiting.get(net) ?? [];
      const role = netOf.get(net)?.role ?? 'ground';
      const gauge = tailGauge(job, netOf.get(net), cablesOf.get(box.id) ?? []);
      const tail = (from: Tail['from'], to: string): Tail => ({
        id: `${box.id}:tail-${to.split(':').join('-')}`,
        box: box.id,
        net,
        role,
        insulation: TAIL_INSULATION[role],
        gauge,
        lengthIn: TAIL_IN,
        from,
        to,
      });
      const [end] = mine;
      const [terminal, second] = terminals;
      if (mine.length === 1 && end !== undefined && terminals.length === 0) {
        caps.push({ box: box.id, end });
      } else if (mine.length === 1 && end !== undefined && terminal !== undefined && terminals.length === 1) {
        terminations.push({ box: box.id, end, terminal });
      } else if (
        mine.length === 0 &&
        terminals.length === 2 &&
        terminal !== undefined &&
        second !== undefined
      ) {
        tails.push(tail({ at: 'terminal', terminal }, second));
      } else if (mine.length + terminals.length > 1) {
        const id = `${box.id}:${net}`;
        splices.push({ id, box: box.id, net, role, ends: mine });
        tails.push(...terminals.map((to) => tail({ at: 'splice', splice: id }, to)));
      }
    }
  }
  terminations.push(...panelTerminations(cables, netOf));
  const order = (role: NetRole) => MAKE_UP_ORDER.indexOf(role);
  splices.sort((a, b) => order(a.role) - order(b.role));
  return { cables, devices, splices, tails, terminations, caps };
}

const TAIL_INSULATION: Record<NetRole, Insulation> = {
  ground: 'bare',
  neutral: 'white',
  hot: 'black',
  switched: 'red',
  traveler: 'red',
};

function wiredCables({ run, nets, cables }: Layout['runs'][number]): WiredCable[] {
  return cables.map((fit, index) => {
    const id = index === 0 ? run.id : `${run.id}-${index + 1}`;
    const insulated = cableRow(fit.type).insulated.map((insulation, slot) => {
      const net = fit.nets[slot] ?? null;
      const carried = nets.find((candidate) => candidate.id === net);
      const role = carried?.role ?? null;
      return {
        id: `${id}:${insulation}`,
        insulation,
        net,
        role,
        circuit: carried?.circuit ?? null,
        reidentified: role !== null && role !== 'neutral' && isWhite(insulation),
      };
    });
    return {
      id,
      run: run.id,
      type: fit.type,
      from: run.from,
      to: run.to,
      lengthFt: run.lengthFt,
      existing: run.existing !== null,
      conductors: [
        ...insulated,
        {
          id: `${id}:bare`,
          insulation: 'bare',
          net: GROUND_NET,
          role: 'ground',
          circuit: null,
          reidentified: false,
        },
      ],
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
  layout.kinds.get(device.id) ?? deviceKind(device.kind === 'switch' ? 'single-pole' : device.kind);

interface End {
  readonly id: string;
  readonly net: string | null;
}

function conductorEnds(cables: readonly WiredCable[]): Map<string, End[]> {
  const ends = new Map<string, End[]>();
  for (const cable of cables) {
    for (const box of [cable.from, cable.to]) {
      const list = ends.get(box) ?? [];
      list.push(...cable.conductors.map(({ id, net }) => ({ id: endId(id, box), net })));
      ends.set(box, list);
    }
  }
  return ends;
}

/** Terminals of a box that need a wire, by net: one for each group of terminals that a whole tab joins. */
function terminalsOf(own: readonly Device[], box: Box, layout: Layout): Map<string, string[]> {
  const waiting = new Map<string, string[]>();
  const add = (net: string, terminal: string) => waiting.set(net, [...(waiting.get(net) ?? []), terminal]);
  const devices = [...own].sort((a, b) => a.gang - b.gang);
  for (const device of devices) {
    const kind = kindOf(device, layout);
    const served = new Set<string>();
    for (const { id } of kind.terminals) {
      const net = layout.netOfTerminal.get(terminalId(device.id, id));
      if (net === undefined || served.has(id)) continue;
      add(net, terminalId(device.id, id));
      for (const { joins } of kind.tabs) {
        const [a, b] = joins;
        const far = a === id ? b : b === id ? a : null;
        if (far !== null && layout.netOfTerminal.get(terminalId(device.id, far)) === net) served.add(far);
      }
    }
    add(GROUND_NET, terminalId(device.id, 'ground'));
  }
  if (isMetal(box.family)) add(GROUND_NET, boxGroundId(box.id));
  return waiting;
}

/** A tail is as large as its circuit's breaker asks; a ground tail as large as the largest ground in the box. */
function tailGauge(job: Job, net: Net | undefined, cables: readonly WiredCable[]): Gauge {
  const breakerA = job.circuits.find(({ id }) => id === net?.circuit)?.breakerA;
  if (breakerA !== undefined) return gaugeForBreaker(breakerA) ?? 10;
  return cables
    .map(({ type }) => cableRow(type).gauge)
    .reduce<Gauge>((largest, gauge) => (gauge < largest ? gauge : largest), 14);
}

function panelTerminations(cables: readonly WiredCable[], netOf: ReadonlyMap<string, Net>): Termination[] {
  return cables
    .filter(({ from, to }) => from === PANEL || to === PANEL)
    .flatMap(({ conductors }) => conductors)
    .flatMap((conductor): Termination[] => {
      const net = netOf.get(conductor.net ?? '');
      const terminal =
        conductor.role === 'ground'
          ? PANEL_GROUND
          : net?.role === 'neutral'
            ? PANEL_NEUTRAL
            : net?.role === 'hot'
              ? panelHotId(net.circuit)
              : null;
      return terminal === null ? [] : [{ box: PANEL, end: endId(conductor.id, PANEL), terminal }];
    });
}
