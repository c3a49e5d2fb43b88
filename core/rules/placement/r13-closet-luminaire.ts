import { wishKind } from '../../devices';
import { at, section, type Hit, type Rule } from '../rule';

/** Surface luminaires in a closet keep 12 in from the storage space, recessed and fluorescent ones 6 in. */
const SURFACE_IN = 12;
const RECESSED_IN = 6;

export const r13: Rule = {
  id: 'R13',
  title: 'Luminaire of a closet too near its storage space',
  section: section('410.16(C)'),
  severity: 'code',
  newWork: true,
  looksAt: 'luminaires of closets',
  check: (site) =>
    site.job.devices.flatMap((device): Hit[] => {
      const box = site.box(device.box);
      if (!box || wishKind(device.kind).serves !== 'light' || site.roomKind(box) !== 'closet') return [];
      const away = box.storageIn;
      if (away !== null && away >= SURFACE_IN) return [];
      if (away !== null && away < RECESSED_IN) {
        return [
          {
            at: at('device', device.id),
            message: `${box.name}: ${away} in from the storage space; 12 in for a surface luminaire, 6 in for a recessed one.`,
          },
        ];
      }
      return [
        {
          at: at('device', device.id),
          severity: 'ask',
          message:
            away === null
              ? `${box.name}: how far is the luminaire from the storage space? 12 in where it is on the surface, 6 in recessed; no bare lamp.`
              : `${box.name}: ${away} in from the storage space will do for a recessed or fluorescent luminaire only.`,
        },
      ];
    }),
};
