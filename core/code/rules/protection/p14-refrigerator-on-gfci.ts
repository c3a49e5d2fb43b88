import { sure } from '../../../base/sure';
import { applianceOf, type ApplianceId } from '../../../trade/standards/appliances';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

/** What spoils, or floods, when nobody sees that it stands still. */
const UNWATCHED: ReadonlySet<ApplianceId> = new Set<ApplianceId>(['refrigerator', 'freezer', 'sump-pump']);

export const p14: Rule = {
  id: 'P14',
  title: say('p14.title'),
  section: section('210.8(A)'),
  severity: 'craft',
  newWork: true,
  looksAt: say('p14.appliancesRunUnwatched'),
  check: (site) => {
    const covered = site.protectedBy(['gfci', 'dual']);
    return site.users.flatMap(({ key, device, want }) => {
      const appliance = applianceOf(want.appliance);
      if (!appliance || !UNWATCHED.has(appliance.id) || !covered.has(key)) return [];
      const by = [...site.proof.coverage].find(([, parts]) => parts.includes(key))?.[0];
      const where = by === undefined ? undefined : site.box(site.device(by)?.box ?? '');
      return [
        {
          at: at('device', device.id),
          ...tell('p14.stops', {
            appliance: appliance.name.toLowerCase(),
            where: where
              ? where.id === device.box
                ? say('p14.ownFace')
                : say('p14.at', { where: where.name })
              : say('p14.breaker', {
                  number: sure(site.circuit(want.circuit), `circuit ${want.circuit}`).number,
                }),
          }),
        },
      ];
    });
  },
};
