import { wishKind } from '../../../trade/devices';
import type { Circuit, Device } from '../../../job/model/design';
import { gives } from '../../protection/kinds';
import type { Site, User } from '../site';
import { afciRoom } from './afci-room';

/** A circuit may grow by this much conductor, with no outlet or device added, and need no AFCI, ft (210.12(D), from memory). */
const GROWS_FT = 6;

export interface AfciNeed {
  readonly why: 'new' | 'extended';
  /** What the protection must cover. */
  readonly users: readonly User[];
}

/**
 * What of a circuit must have AFCI protection as the job stands: its outlets in the rooms of 210.12(A) on 15 and 20 A,
 * where the circuit is new or extended (210.12(A), (D); 2023: (A), (B), (E); from memory). On an extended circuit an
 * AFCI at the first receptacle will do: lights ahead of it are then let be. Null where nothing is asked for.
 */
export function afciNeed(site: Site, circuit: Circuit): AfciNeed | null {
  if (circuit.breakerA > 20) return null;
  const all = site.usersOn(circuit.id);
  const inRooms = ({ box }: Device) => afciRoom(site.roomKind(site.box(box)));
  // Outlets or devices: a switch in the room counts, wherever its light is.
  const handlesOf = (control: string | null) => (control === null ? [] : site.handlesOf(control));
  const own = all.filter(({ want, device }) => inRooms(device) || handlesOf(want.control).some(inRooms));
  if (own.length === 0) return null;
  if (circuit.fresh) return { why: 'new', users: own };
  const grownFt = site.wiring.cables
    .filter(({ existing, conductors }) => !existing && conductors.some((one) => one.circuit === circuit.id))
    .reduce((sum, { lengthFt }) => sum + lengthFt, 0);
  const devices = all.flatMap(({ device, want }) => [device, ...handlesOf(want.control)]);
  // What stands in the place of another extends nothing: what it must get, its replacement rule says (406.4(D)(4)).
  if (devices.every(({ was, replaces }) => was || replaces) && grownFt <= GROWS_FT) return null;
  const atReceptacle = site.receptacles.some(
    ({ id, kind }) =>
      gives(wishKind(kind).protection?.kind, 'afci') &&
      site.usersOf(id).some(({ want }) => want.circuit === circuit.id),
  );
  return { why: 'extended', users: atReceptacle ? own.filter(({ plug }) => plug) : own };
}
