import type { Circuit, RoomKind } from '../../model/design';
import type { Site, User } from '../site';
import { at, section, type Hit, type Rule } from '../rule';

export const l10: Rule = {
  id: 'L10',
  title: 'A circuit that may serve nothing else feeds something else',
  section: section('210.52(B)(2), 210.11(C)(2) to (4), 210.23'),
  severity: 'code',
  newWork: true,
  looksAt: 'small-appliance, laundry, bathroom, garage and individual circuits',
  check: (site) =>
    site.job.circuits.flatMap((circuit): Hit[] =>
      strangers(site, circuit).map(({ user, why }) => ({
        at: at('device', user.device.id),
        message: `${site.box(user.device.box)?.name ?? user.device.box}, ${user.part}: circuit ${circuit.number} ${why}.`,
      })),
    ),
};

const KITCHENS: ReadonlySet<RoomKind> = new Set<RoomKind>(['kitchen', 'pantry', 'dining']);

/** What hangs on a circuit that is not what it is there for; outlets whose room is not said are asked about elsewhere. */
function strangers(site: Site, circuit: Circuit): { user: User; why: string }[] {
  const own = site.usersOn(circuit.id);
  const kind = (user: User) => site.roomKind(site.box(user.device.box));
  const said = (user: User) => site.room(site.box(user.device.box)) !== undefined;
  const but = (fits: (user: User) => boolean, why: string) =>
    own.filter((user) => !fits(user) && (!user.plug || said(user))).map((user) => ({ user, why }));
  switch (circuit.serves) {
    case 'small appliance':
      return but(
        (user) => user.plug && KITCHENS.has(kind(user)),
        'is a small-appliance circuit: receptacles of kitchen, pantry and dining room only, no light',
      );
    case 'laundry':
      return but(
        (user) => user.plug && kind(user) === 'laundry',
        'is the laundry circuit: receptacles of the laundry only, no light',
      );
    case 'bathroom': {
      // The circuit of a single bathroom may feed all of that bathroom (Exception).
      const rooms = new Set(own.filter(said).map((user) => site.room(site.box(user.device.box))?.id));
      return but(
        (user) => kind(user) === 'bathroom' && (user.plug || rooms.size === 1),
        'is a bathroom circuit: bathroom receptacles only, or all of one bathroom',
      );
    }
    case 'garage':
      return but(
        (user) => user.plug && (kind(user) === 'garage' || kind(user) === 'outdoors'),
        'is the garage circuit: receptacles of the garage, and outdoor ones in reach, only',
      );
    case 'individual': {
      const [first] = own;
      return own
        .filter(({ device }) => device !== first?.device)
        .map((user) => ({ user, why: 'is an individual circuit: one appliance only' }));
    }
    default:
      return [];
  }
}
