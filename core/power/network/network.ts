import {
  deviceKind,
  powerParts,
  type DeviceKind,
  type PowerPart,
  type ProtectionKind,
} from '../../trade/devices';
import { UnionFind } from '../../base/graph/union-find';
import { boxesOf, inBox } from '../../job/model/in-box';
import { PANEL, type Circuit } from '../../job/model/design';
import {
  breakerNeutralWire,
  bridgeWire,
  endId,
  LEG_POINTS,
  PANEL_GROUND,
  PANEL_NEUTRAL,
  panelHotId,
  panelNeutralId,
  partKey,
  tailEnd,
  tailStart,
  terminalId,
  type PartKey,
  type WiredDevice,
  type Wiring,
} from '../../job/model/wiring';
import { cableRow } from '../../trade/standards/cables';
import { conductorOhms } from '../../trade/standards/conductors';
import type { Disturbance } from './disturbance';

/** Resistance of one sound splice port or screw, Ω. Common practice: about a milliohm. */
export const CONTACT_OHMS = 0.001;
/** Resistance of a closed breaker, Ω, and of the source behind each leg, Ω. Plausible figures, not a maker's. */
export const BREAKER_OHMS = 0.002;
export const SOURCE_OHMS = 0.01;

export interface Resistor {
  /** The conductor or pigtail it stands for, or what `keys` calls a breaker, a contact, a load, an instrument. */
  readonly id: string;
  readonly a: number;
  readonly b: number;
  readonly ohms: number;
}

/** A device with the numbers of its terminals' points. */
export interface NetworkDevice {
  readonly wired: WiredDevice;
  readonly kind: DeviceKind;
  readonly point: (terminal: string) => number;
}

export interface NetworkProtection {
  readonly device: string;
  readonly kind: ProtectionKind;
  readonly line: { readonly hot: number; readonly neutral: number };
  readonly load: { readonly hot: number; readonly neutral: number };
}

/** A part that takes power, by key `device/part`: where its plug or lamp meets the wiring. */
export interface NetworkPart {
  readonly key: PartKey;
  readonly device: WiredDevice;
  readonly part: PowerPart;
  readonly hot: number;
  readonly neutral: number;
  readonly ground: number;
}

/**
 * Wiring as an electrical graph. Points are terminals, splices and free conductor ends; wires are resistors, with
 * the contacts at their two ends folded in, since a conductor's end lands on just one.
 */
export interface Network {
  readonly points: readonly string[];
  readonly point: (id: string) => number | undefined;
  readonly circuits: readonly Circuit[];
  readonly devices: readonly NetworkDevice[];
  /** Devices with contacts from LINE to LOAD. */
  readonly protecting: readonly NetworkProtection[];
  readonly parts: readonly NetworkPart[];
  readonly wires: readonly Resistor[];
  /** Points joined by nothing but metal in every state: tabs that are whole, the main bonding jumper. */
  readonly metal: UnionFind;
  readonly reference: number;
  /** The panel's ground bar. */
  readonly ground: number;
  readonly legs: { readonly A: number; readonly B: number };
}

/** Builds the graph of a wiring, with faults put in where asked. */
export function buildNetwork(
  wiring: Wiring,
  circuits: readonly Circuit[],
  disturbances: readonly Disturbance[] = [],
): Network {
  const points: string[] = [];
  const numbers = new Map<string, number>();
  const number = (id: string): number => {
    const known = numbers.get(id);
    if (known !== undefined) return known;
    numbers.set(id, points.length);
    points.push(id);
    return points.length - 1;
  };
  const reference = number(PANEL_NEUTRAL);
  const panelGround = number(PANEL_GROUND);
  const legs = { A: number(LEG_POINTS.A), B: number(LEG_POINTS.B) };
  for (const circuit of circuits) number(panelHotId(circuit.id));
  const breakerNeutrals = circuits
    .filter(({ protection }) => protection !== 'none')
    .map(({ id }) => ({
      id: breakerNeutralWire(id),
      a: number(panelNeutralId(id)),
      b: reference,
      ohms: CONTACT_OHMS,
    }));

  const landing = landings(wiring);
  const contactOhms = new Map<string, number>();
  for (const disturbance of disturbances) {
    if (disturbance.kind === 'contact') contactOhms.set(disturbance.end, disturbance.ohms);
  }
  const contact = (end: string): number => contactOhms.get(end) ?? CONTACT_OHMS;

  const wires: Resistor[] = [...breakerNeutrals];
  for (const cable of wiring.cables) {
    const { gauge } = cableRow(cable.type);
    for (const conductor of cable.conductors) {
      const [near, far] = [endId(conductor.id, cable.from), endId(conductor.id, cable.to)];
      const ohms = conductorOhms(gauge, cable.lengthFt) + contact(near) + contact(far);
      const [a, b] = [number(landing.get(near) ?? near), number(landing.get(far) ?? far)];
      if (Number.isFinite(ohms)) wires.push({ id: conductor.id, a, b, ohms });
    }
  }
  for (const tail of wiring.tails) {
    const start = tail.from.at === 'splice' ? tail.from.splice : tail.from.terminal;
    const ohms =
      conductorOhms(tail.gauge, tail.lengthIn / 12) + contact(tailStart(tail.id)) + contact(tailEnd(tail.id));
    const [a, b] = [number(start), number(tail.to)];
    if (Number.isFinite(ohms)) wires.push({ id: tail.id, a, b, ohms });
  }

  const devices = wiring.devices.map((wired): NetworkDevice => {
    const kind = deviceKind(wired.kind);
    const own = new Map(kind.terminals.map(({ id }) => [id, number(terminalId(wired.id, id))]));
    const point = (terminal: string): number => {
      const known = own.get(terminal);
      if (known === undefined) throw new Error(`${kind.name} has no terminal "${terminal}"`);
      return known;
    };
    return { wired, kind, point };
  });
  disturbances.forEach((disturbance, index) => {
    if (disturbance.kind !== 'bridge') return;
    wires.push({
      id: bridgeWire(index),
      a: number(disturbance.a),
      b: number(disturbance.b),
      ohms: disturbance.ohms,
    });
  });

  const metal = new UnionFind(points.length);
  metal.join(reference, panelGround);
  for (const { wired, kind, point } of devices) {
    for (const { id, joins } of kind.tabs) {
      if (!wired.brokenTabs.includes(id)) metal.join(point(joins[0]), point(joins[1]));
    }
  }
  const parts = devices.flatMap(({ wired, kind, point }) =>
    powerParts(kind).map((part) => ({
      key: partKey(wired.id, part.id),
      device: wired,
      part,
      hot: point(part.face?.hot ?? part.hot),
      neutral: point(part.face?.neutral ?? part.neutral),
      ground: point(part.ground),
    })),
  );
  const protecting = devices.flatMap(({ wired, kind, point }): NetworkProtection[] => {
    if (!kind.protection) return [];
    const { line, load, kind: protects } = kind.protection;
    const pair = (side: typeof line) => ({ hot: point(side.hot), neutral: point(side.neutral) });
    return [{ device: wired.id, kind: protects, line: pair(line), load: pair(load) }];
  });
  return {
    points,
    point: (id) => numbers.get(id),
    circuits,
    devices,
    protecting,
    parts,
    wires,
    metal,
    reference,
    ground: panelGround,
    legs,
  };
}

/** Where each conductor end lands: the splice or terminal it sits in. Ends not in it hang free. */
export function landings(wiring: Wiring): Map<string, string> {
  const landing = new Map<string, string>();
  for (const splice of wiring.splices) for (const end of splice.ends) landing.set(end, splice.id);
  for (const { end, terminal } of wiring.terminations) landing.set(end, terminal);
  return landing;
}

/**
 * The parts of a wiring that only meet at the panel, each a wiring of its own: the panel's bars are so stiff
 * that what happens in one part cannot be seen in another. Boxes that are to stay together (`together`, list by list)
 * do, and so does what is spliced in the panel.
 */
export function separateParts(wiring: Wiring, together: readonly (readonly string[])[] = []): Wiring[] {
  const boxes = boxesOf(wiring);
  const numbers = new Map(boxes.map((box, index) => [box, index]));
  const joined = new UnionFind(boxes.length);
  const join = (places: readonly string[]) => {
    const own = places.flatMap((place) => numbers.get(place) ?? []);
    for (const other of own) joined.join(own[0] ?? other, other);
  };
  for (const { from, to } of wiring.cables) join([from, to]);
  for (const places of together) join(places);
  const panel = inBox(wiring, PANEL);
  const owner = new Map(
    panel.cables.flatMap(({ conductors, from, to }) =>
      conductors.map(({ id }) => [endId(id, PANEL), from === PANEL ? to : from] as const),
    ),
  );
  for (const { from, to } of panel.tails) {
    const places = [from.at === 'splice' ? from.splice : null, to].flatMap((id) =>
      (panel.splices.find((one) => one.id === id)?.ends ?? []).flatMap((end) => owner.get(end) ?? []),
    );
    join(places);
  }
  for (const { ends } of panel.splices) join(ends.flatMap((end) => owner.get(end) ?? []));
  const groups = new Map<number, string[]>();
  boxes.forEach((box, index) => {
    const root = joined.find(index);
    groups.set(root, [...(groups.get(root) ?? []), box]);
  });
  const atPanel = new Map(panel.terminations.map((one) => [one.end, one]));
  const cappedAtPanel = new Map(panel.caps.map((one) => [one.end, one]));
  return [...groups.values()].map((own) => {
    const contents = own.map((box) => inBox(wiring, box));
    const cables = [...new Set(contents.flatMap((one) => one.cables))];
    const ends = cables.flatMap(({ conductors }) => conductors.map(({ id }) => endId(id, PANEL)));
    const here = new Set(ends);
    const splices = panel.splices.filter((splice) => splice.ends.some((end) => here.has(end)));
    const tails = panel.tails.filter(
      ({ from }) => from.at === 'splice' && splices.some(({ id }) => id === from.splice),
    );
    return {
      cables,
      devices: contents.flatMap((one) => one.devices),
      splices: [...contents.flatMap((one) => one.splices), ...splices],
      tails: [...contents.flatMap((one) => one.tails), ...tails],
      terminations: [
        ...contents.flatMap((one) => one.terminations),
        ...ends.flatMap((end) => atPanel.get(end) ?? []),
      ],
      caps: [...contents.flatMap((one) => one.caps), ...ends.flatMap((end) => cappedAtPanel.get(end) ?? [])],
    };
  });
}
