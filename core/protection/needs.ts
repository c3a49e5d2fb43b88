import { wishKind } from '../devices';
import { placeName } from '../layout/names';
import { afciRoom } from '../rules/protection/afci-room';
import { gfciNeed } from '../rules/protection/gfci-need';
import { placeOf } from '../rules/protection/place';
import type { Site, User } from '../rules/site';

export interface OutletNeeds {
  readonly user: User;
  readonly name: string;
  /** Why GFCI protection is asked for; null where it is not. */
  readonly gfci: string | null;
  readonly afci: string | null;
  /** Marks that the receptacle must carry, with the section. */
  readonly marks: readonly string[];
  readonly hasGfci: boolean;
  readonly hasAfci: boolean;
}

/** What each outlet and light needs by room, place and edition, and what it has (sections from memory). */
export function protectionNeeds(site: Site): OutletNeeds[] {
  const gfci = site.protectedBy(['gfci', 'dual']);
  const afci = site.protectedBy(['afci', 'dual']);
  return site.users.map((user): OutletNeeds => {
    const box = site.box(user.device.box);
    const need = box ? gfciNeed(site.edition, placeOf(site, box)) : null;
    const kind = site.roomKind(box);
    const small = (site.circuit(user.want.circuit)?.breakerA ?? 0) <= 20;
    const marks = !user.plug
      ? []
      : [
          'tamper-resistant, 406.12',
          ...(box && box.exposure !== 'dry'
            ? [
                'weather-resistant, 406.9',
                box.exposure === 'wet' ? 'in-use cover, 406.9(B)' : 'damp cover, 406.9(A)',
              ]
            : []),
        ];
    return {
      user,
      name: `${placeName(site.job, user.device.box)}, ${wishKind(user.device.kind).parts.find(({ id }) => id === user.part)?.name ?? user.part}`,
      gfci: need && (user.plug || need.lights) ? need.reason : null,
      afci: small && afciRoom(kind) ? `${kind}: AFCI where the circuit is new or extended, 210.12` : null,
      marks,
      hasGfci: gfci.has(user.key),
      hasAfci: afci.has(user.key),
    };
  });
}
