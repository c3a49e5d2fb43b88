import { sure } from '../../sure';
import { applianceOf, type ApplianceId } from '../../standards/appliances';
import { at, section, type Rule } from '../rule';

/** What spoils, or floods, when nobody sees that it stands still. */
const UNWATCHED: ReadonlySet<ApplianceId> = new Set<ApplianceId>(['refrigerator', 'freezer', 'sump-pump']);

export const p14: Rule = {
  id: 'P14',
  title: 'Refrigerator, freezer or sump pump behind a GFCI (advice)',
  section: section('210.8(A)'),
  severity: 'craft',
  newWork: true,
  looksAt: 'appliances that run unwatched',
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
          message: `The ${appliance.name.toLowerCase()} stands still when the GFCI trips. It resets ${
            where
              ? where.id === device.box
                ? 'on its own face'
                : `at ${where.name}`
              : `at breaker ${sure(site.circuit(want.circuit), `circuit ${want.circuit}`).number}`
          }: say so there, and give it a protection of its own, or an alarm.`,
        },
      ];
    });
  },
};
