import { wishKind, type DeviceKind } from '../../trade/devices';
import type { Layout } from '../layout/layout';
import type { Strand } from '../layout/strands';
import { PANEL, type Device } from '../../job/model/design';
import {
  endId,
  GROUND_NET,
  terminalId,
  type ConductorId,
  type EndId,
  type NetId,
  type WiredCable,
} from '../../job/model/wiring';
import type { Waiting } from './join';

/** What is joined in one place: ends and terminals of one net that came there by the same way. */
export interface Meets {
  readonly net: NetId;
  /** The way by which the net came there; null for grounds, which are all one. */
  readonly way: number | null;
  readonly ends: readonly EndId[];
  readonly terminals: readonly Waiting[];
}

export function meetings(
  cables: readonly WiredCable[],
  devices: readonly Device[],
  place: string,
  layout: Layout,
  strands: ReadonlyMap<ConductorId, Strand>,
  grounded: boolean,
): Meets[] {
  const found: { net: NetId; way: number | null; ends: EndId[]; terminals: Waiting[] }[] = [];
  const at = (net: NetId, way: number | null) => {
    const known = found.find((one) => one.net === net && one.way === way);
    if (known) return known;
    const fresh = { net, way, ends: [], terminals: [] };
    found.push(fresh);
    return fresh;
  };
  for (const { conductors } of cables) {
    for (const { id, net } of conductors) {
      const strand = strands.get(id);
      const way = strand ? (strand.near === place ? strand.nearWay : strand.farWay) : null;
      if (net !== null && (strand || net === GROUND_NET)) at(net, way).ends.push(endId(id, place));
    }
  }
  for (const device of [...devices].sort((a, b) => a.gang - b.gang)) {
    const kind = kindOf(device, layout);
    const joint = (id: string) => jointOfTerminal(device, id, layout);
    const served = new Set<string>();
    for (const { id, lead = null } of kind.terminals) {
      const own = joint(id);
      if (own === null || served.has(id)) continue;
      // Terminals that a whole tab joins need one wire between them.
      const twin = kind.tabs
        .flatMap(({ joins: [a, b] }) => (a === id ? [b] : b === id ? [a] : []))
        .find((far) => isOneJoint(joint(far), own));
      if (twin !== undefined) served.add(twin);
      at(own.net, own.way).terminals.push({
        terminal: terminalId(device.id, id),
        lead,
        twin: twin === undefined ? null : terminalId(device.id, twin),
        feedsOn: kind.halves === true,
      });
    }
    if (grounded && kind.terminals.some(({ id }) => id === 'ground'))
      at(GROUND_NET, null).terminals.push({
        terminal: terminalId(device.id, 'ground'),
        lead: null,
        twin: null,
      });
  }
  if (place !== PANEL && grounded) at(GROUND_NET, null);
  return found;
}

/** What is joined in a box: ends and terminals of one net that came there by the same way. */
export interface Joint {
  readonly net: NetId;
  readonly way: number;
}

/** Where a device's terminal is joined to, or null where it stays bare. */
export function jointOfTerminal(device: Device, terminal: string, layout: Layout): Joint | null {
  const id = terminalId(device.id, terminal);
  const net = layout.netOfTerminal.get(id);
  const way = net === undefined ? undefined : layout.wayOfTerminal.get(id);
  return net === undefined || way === undefined ? null : { net, way };
}

export const isOneJoint = (a: Joint | null, b: Joint | null): boolean =>
  a?.net === b?.net && a?.way === b?.way;

/** A switch that controls nothing yet is wired as a plain single-pole one. */
export const kindOf = (device: Device, layout: Layout): DeviceKind =>
  layout.kinds.get(device.id) ?? wishKind(device.kind);
