import type { Circuit, RoomKind } from '../../../job/model/design';
import type { Site, User } from '../site';
import { at, section, type Hit, type Rule } from '../rule';
import { wishKind } from '../../../trade/devices';
import { partNameOf } from '../../../wiring/makeup/device-names';
import { say, tell } from '../../../base/words/rules';

export const l10: Rule = {
  id: 'L10',
  title: say('l10.title'),
  section: section(say('l10.sections')),
  severity: 'code',
  newWork: true,
  looksAt: say('l10.looksAt'),
  check: (site) =>
    site.job.circuits.flatMap((circuit): Hit[] =>
      strangers(site, circuit).map(({ user, why }) => ({
        at: at('device', user.device.id),
        ...tell('l10.circuit', {
          box: site.box(user.device.box)?.name ?? user.device.box,
          part: partNameOf(wishKind(user.device.kind), user.part),
          number: circuit.number,
          why,
        }),
      })),
    ),
};

/** Fastened or built in: none of what small-appliance circuits are for (210.52(B)(2)). */
export const builtIn = ({ want }: User): boolean =>
  want.appliance === 'dishwasher' || want.appliance === 'disposer' || want.fixed === true;

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
        (user) => user.plug && KITCHENS.has(kind(user)) && !builtIn(user),
        say('l10.smallAppliance'),
      );
    case 'laundry':
      return but((user) => user.plug && kind(user) === 'laundry', say('l10.laundry'));
    case 'bathroom': {
      // The circuit of a single bathroom may feed all of that bathroom (Exception).
      const rooms = new Set(own.filter(said).map((user) => site.room(site.box(user.device.box))?.id));
      return but((user) => kind(user) === 'bathroom' && (user.plug || rooms.size === 1), say('l10.bathroom'));
    }
    case 'garage':
      return but(
        (user) => user.plug && (kind(user) === 'garage' || kind(user) === 'outdoors'),
        say('l10.garage'),
      );
    case 'individual': {
      const [first] = own;
      return own
        .filter(({ device }) => device !== first?.device)
        .map((user) => ({ user, why: say('l10.individual') }));
    }
    default:
      return [];
  }
}
