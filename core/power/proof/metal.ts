import { UnionFind } from '../../base/graph/union-find';
import { PANEL, type Design } from '../../job/model/design';
import { boxGroundId, endId, type EndId, type WiredDevice, type Wiring } from '../../job/model/wiring';
import { isMetal } from '../../trade/standards/boxes';
import { isGround, isWhite } from '../../trade/standards/cables';
import { INSULATION_NAME } from '../../trade/standards/names';
import { bringsGround, groundedBoxes } from '../../wiring/layout/grounds';
import { landings, type Network, type NetworkPart } from '../network/network';
import type { Names } from './names';
import type { Report } from './proof';
import { say, tell } from '../../base/words/proof';

/** One part of a house, with whom to tell what is found. */
export interface OnBench {
  readonly job: Design;
  readonly wiring: Wiring;
  readonly network: Network;
  readonly names: Names;
  readonly find: Report;
}

/** The point of the network that a conductor's end is on. */
export type PointOfEnd = (end: EndId) => number | undefined;

export function pointsOfEnds({ wiring, network }: OnBench): PointOfEnd {
  const landing = landings(wiring);
  return (end) => network.point(landing.get(end) ?? end);
}

/** What metal alone joins with the panel's neutral is white or gray from end to end (200.6). */
export function coloredNeutrals({ wiring, network, names, find }: OnBench, pointOfEnd: PointOfEnd): void {
  const joined = network.metal.copy();
  for (const { a, b } of network.wires) joined.join(a, b);
  const bar = joined.find(network.reference);
  for (const { conductors, ...cable } of wiring.cables) {
    for (const { id, insulation } of conductors) {
      if (isWhite(insulation) || isGround(insulation)) continue;
      const at = pointOfEnd(endId(id, cable.from));
      if (at === undefined || joined.find(at) !== bar) continue;
      find(
        'colored neutral',
        { kind: 'conductor', conductor: id, run: cable.run },
        tell('bench.reidentifiedNeutral', {
          insulation: INSULATION_NAME[insulation],
          cable: names.cable(cable),
        }),
      );
    }
  }
}

/**
 * A sound ground leads to the panel by equipment grounds alone: what gets there over a white is none. Every one is
 * looked at: that of each outlet, of each other device, of each metal box, of each cable in each box (250.148,
 * 404.9(B), 406.4). Nothing else may lie on it past the panel (250.142(B)), whether current flows there or not.
 */
export function grounds(
  { job, wiring, network, names, find }: OnBench,
  pointOfEnd: PointOfEnd,
  parts: readonly NetworkPart[],
): void {
  const grounds = new Set<string>([
    ...wiring.cables.flatMap(({ conductors }) =>
      conductors.flatMap(({ id, insulation }) => (isGround(insulation) ? [id] : [])),
    ),
    ...wiring.tails.flatMap(({ id, role }) => (role === 'ground' ? [id] : [])),
  ]);
  const joined = new UnionFind(network.points.length);
  for (const { id, a, b } of network.wires) if (grounds.has(id)) joined.join(a, b);
  const panel = joined.find(network.ground);
  const sound = (point: number | undefined) => point !== undefined && joined.find(point) === panel;

  // What was found without a ground, and stays or is replaced as it was, is known: rules speak of it.
  const grounded = groundedBoxes(job);
  const old = new Set(job.devices.flatMap(({ id, was, replaces }) => (was || replaces ? [id] : [])));
  const known = (device: WiredDevice) => !grounded.has(device.box) && old.has(device.id);
  const bareRuns = new Set(job.runs.flatMap((run) => (bringsGround(run) ? [] : [run.id])));

  const plugs = new Set<string>();
  for (const { key, ground, part, device } of parts) {
    if (!part.plug) continue;
    plugs.add(device.id);
    if (!sound(ground) && !known(device))
      find('no ground', names.partAt(key), tell('bench.noEquipmentGround', { part: names.part(key) }));
  }
  for (const { wired, kind, point } of network.devices) {
    const at = { kind: 'device', device: wired.id } as const;
    for (const { id, screw, name } of kind.terminals) {
      if (screw === 'green' && !plugs.has(wired.id) && !sound(point(id)) && !known(wired))
        find('no ground', at, tell('bench.deviceUngrounded', { device: names.device(wired.id) }));
      if (screw !== 'green' && sound(point(id)))
        find('ground joined', at, tell('bench.equipmentGround', { device: names.device(wired.id), name }));
    }
  }
  for (const { conductors, from, to, run, type, cord } of wiring.cables) {
    for (const { id, insulation } of conductors) {
      for (const box of [from, to]) {
        const isSound = sound(pointOfEnd(endId(id, box)));
        if (isSound === isGround(insulation)) continue;
        if (
          !isSound &&
          (bareRuns.has(run) ||
            !grounded.has(from === PANEL ? to : from) ||
            !grounded.has(to === PANEL ? from : to))
        )
          continue;
        const words = say('bench.ofThe', { cable: names.cable({ type, cord, from, to }) });
        find(
          isSound ? 'ground joined' : 'no ground',
          { kind: 'conductor', conductor: id, run, box },
          isSound
            ? tell('bench.onGround', {
                insulation: INSULATION_NAME[insulation],
                words,
                box: names.box(box),
              })
            : tell('bench.groundNotJoinedGround', { words, box: names.box(box) }),
        );
      }
    }
  }
  const here = new Set(wiring.cables.flatMap(({ from, to }) => [from, to]));
  for (const { id, family, existing } of job.boxes) {
    if (existing && !grounded.has(id)) continue;
    if (here.has(id) && isMetal(family) && !sound(network.point(boxGroundId(id))))
      find('no ground', { kind: 'box', box: id }, tell('bench.metalNotGrounded', { box: names.box(id) }));
  }
}
