import { consumers, controlGroups } from '../../wiring/layout/nets';
import type { Design } from '../../job/model/design';
import { endsOf, terminalsOf } from '../../job/model/lookup';
import { boxGroundId, tailEnd, tailStart, type Wiring } from '../../job/model/wiring';
import type { Disturbance } from '../network/disturbance';

/**
 * Boxes that must be verified together though no cable joins them: what one control group, one LOAD side or one fault
 * ties to each other may not be looked at apart, or each part would look right on its own.
 */
export function boxesTogether(job: Design, wiring: Wiring, disturbances: readonly Disturbance[]): string[][] {
  const boxOf = new Map(job.devices.map(({ id, box }) => [id, box]));
  const groups = controlGroups(job).map(({ places, loads }) => [
    ...places.map(({ box }) => box),
    ...loads.map(({ device }) => device.box),
  ]);
  const behind = consumers(job).flatMap(({ device, want }) => {
    const source = want.via === null ? undefined : boxOf.get(want.via);
    return source === undefined ? [] : [[device.box, source]];
  });
  const at = disturbances.length > 0 ? boxesOfPoints(wiring) : new Map<string, string>();
  const touched = disturbances.map((one) => pointsOf(one).flatMap((point) => at.get(point) ?? []));
  return [...groups, ...behind, ...touched];
}

export const pointsOf = (one: Disturbance): readonly string[] =>
  one.kind === 'contact' ? [one.end] : [one.a, one.b];

/** The box that each point of a wiring lies in; points of the panel are in none. */
export function boxesOfPoints(wiring: Wiring): Map<string, string> {
  return new Map<string, string>([
    ...[...endsOf(wiring)].map(([end, { box }]) => [end, box] as const),
    ...[...terminalsOf(wiring)].map(([id, { device }]) => [id, device.box] as const),
    ...wiring.splices.flatMap(({ id, box }) => [[id, box] as const, [boxGroundId(box), box] as const]),
    ...wiring.tails.flatMap(({ id, box }) => [[tailStart(id), box] as const, [tailEnd(id), box] as const]),
  ]);
}
