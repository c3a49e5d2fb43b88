import { afciRoom } from './afci-room';
import { gfciNeed } from './gfci-need';
import { placeOf } from './place';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const p11: Rule = {
  id: 'P11',
  title: say('p11.title'),
  section: section(say('p11.sections')),
  severity: 'code',
  looksAt: say('p11.replacedReceptacles'),
  check: (site) => {
    const gfci = site.protectedBy(['gfci', 'dual']);
    const afci = site.protectedBy(['afci', 'dual']);
    return site.receptacles.flatMap((device) => {
      const box = site.box(device.box);
      if (!device.replaces || !box) return [];
      const keys = site.usersOf(device.id).map(({ key }) => key);
      const lacks = [
        ...(gfciNeed(site.edition, placeOf(site, box)) && !keys.every((key) => gfci.has(key))
          ? [say('p11.gfciProtection')]
          : []),
        ...(afciRoom(site.roomKind(box)) && !keys.every((key) => afci.has(key))
          ? [say('p11.afciProtection')]
          : []),
        // Over 5½ ft up tamper resistance is not asked for (406.12 Exception).
        ...(device.marks.includes('tamper-resistant') || (box.heightIn ?? 0) > 66
          ? []
          : [say('p11.tamperResistance')]),
        ...(box.exposure !== 'dry' && !device.marks.includes('weather-resistant')
          ? [say('p11.weatherResistance')]
          : []),
      ];
      return lacks.length === 0
        ? []
        : [
            {
              at: at('device', device.id),
              ...tell('p11.replacedMustGet', { box: box.name, lacks: lacks.join(', ') }),
            },
          ];
    });
  },
};
