import { partName } from '../../job/model/called';
import { afciNeed } from '../rules/protection/afci-need';
import { afciRoom } from '../rules/protection/afci-room';
import { gfciNeed } from '../rules/protection/gfci-need';
import { placeOf } from '../rules/protection/place';
import type { Site, User } from '../rules/site';
import { ROOM_KIND_NAME } from '../../job/model/place-names';
import { say } from '../../base/words/protection';

export interface OutletNeeds {
  readonly user: User;
  readonly name: string;
  /** Why GFCI protection is asked for; null where it is not. */
  readonly gfci: string | null;
  /** Why AFCI protection is asked for in such a room, where its circuit is new or extended. */
  readonly afci: string | null;
  /** True where the circuit is new or extended, so that it is asked for now. */
  readonly afciNow: boolean;
  /** Marks that the receptacle must carry, with the section. */
  readonly marks: readonly string[];
  readonly hasGfci: boolean;
  readonly hasAfci: boolean;
}

/** What each outlet and light needs by room, place and edition, and what it has (sections from memory). */
export function protectionNeeds(site: Site): OutletNeeds[] {
  const gfci = site.protectedBy(['gfci', 'dual']);
  const afci = site.protectedBy(['afci', 'dual']);
  const now = new Set(
    site.job.circuits.flatMap((circuit) => afciNeed(site, circuit)?.users.map(({ key }) => key) ?? []),
  );
  return site.users.map((user): OutletNeeds => {
    const box = site.box(user.device.box);
    const need = box ? gfciNeed(site.edition, placeOf(site, box)) : null;
    const kind = site.roomKind(box);
    const small = (site.circuit(user.want.circuit)?.breakerA ?? 0) <= 20;
    const marks = !user.plug
      ? []
      : [
          say('needs.tamperResistant'),
          ...(box && box.exposure !== 'dry'
            ? [
                say('needs.weatherResistant'),
                box.exposure === 'wet' ? say('needs.useCover4069B') : say('needs.dampCover'),
              ]
            : []),
        ];
    return {
      user,
      name: partName(site.job, user.device, user.part),
      gfci: need && (user.plug || need.lights) ? need.reason : null,
      afci: small && afciRoom(kind) ? say('needs.afciRoom', { kind: ROOM_KIND_NAME[kind] }) : null,
      afciNow: now.has(user.key),
      marks,
      hasGfci: gfci.has(user.key),
      hasAfci: afci.has(user.key),
    };
  });
}
