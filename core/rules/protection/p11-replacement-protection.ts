import { afciRoom } from './afci-room';
import { gfciNeed } from './gfci-need';
import { placeOf } from './place';
import { at, section, type Rule } from '../rule';

export const p11: Rule = {
  id: 'P11',
  title: 'A replaced receptacle must get the protection now required',
  section: section('406.4(D)(3) to (6)'),
  severity: 'code',
  looksAt: 'replaced receptacles',
  check: (site) => {
    const gfci = site.protectedBy(['gfci', 'dual']);
    const afci = site.protectedBy(['afci', 'dual']);
    return site.receptacles.flatMap((device) => {
      const box = site.box(device.box);
      if (!device.replaces || !box) return [];
      const keys = site.usersOf(device.id).map(({ key }) => key);
      const lacks = [
        ...(gfciNeed(site.edition, placeOf(site, box)) && !keys.every((key) => gfci.has(key))
          ? ['GFCI protection']
          : []),
        ...(afciRoom(site.roomKind(box)) && !keys.every((key) => afci.has(key)) ? ['AFCI protection'] : []),
        // Over 5½ ft up tamper resistance is not asked for (406.12 Exception).
        ...(device.marks.includes('tamper-resistant') || (box.heightIn ?? 0) > 66
          ? []
          : ['tamper resistance']),
        ...(box.exposure !== 'dry' && !device.marks.includes('weather-resistant')
          ? ['weather resistance']
          : []),
      ];
      return lacks.length === 0
        ? []
        : [
            {
              at: at('device', device.id),
              message: `Replaced at ${box.name}, it must get ${lacks.join(', ')}.`,
            },
          ];
    });
  },
};
