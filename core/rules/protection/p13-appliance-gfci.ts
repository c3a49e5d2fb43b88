import type { Edition } from '../../standards/source';
import { applianceOf, type ApplianceId } from '../../standards/appliances';
import { grownBy } from '../../protection/kinds';
import { at, section, type Rule } from '../rule';

/** Appliances that want GFCI protection wherever they stand, NEC 210.8(D), 422.5(A) (from memory). */
const OWN: Record<Edition, ReadonlySet<ApplianceId>> = {
  '2017': new Set<ApplianceId>(['dishwasher']),
  '2020': new Set<ApplianceId>(['dishwasher', 'sump-pump']),
  '2023': new Set<ApplianceId>(['dishwasher', 'sump-pump', 'microwave']),
};

export const p13: Rule = {
  id: 'P13',
  title: 'Appliance that needs GFCI protection wherever it stands',
  section: section('210.8(D)', '210.8(D), 422.5(A)'),
  severity: 'stop',
  newWork: true,
  looksAt: 'appliances by what they are',
  check: (site) => {
    const covered = site.protectedBy(['gfci', 'dual']);
    return site.users.flatMap(({ key, device, want }) => {
      const appliance = applianceOf(want.appliance);
      if (!appliance || !OWN[site.edition].has(appliance.id) || covered.has(key)) return [];
      const circuit = site.circuit(want.circuit);
      return [
        {
          at: at('device', device.id),
          message: `${site.box(device.box)?.name ?? device.box}: a ${appliance.name.toLowerCase()} needs GFCI protection.`,
          ...(circuit
            ? {
                fix: {
                  says: `GFCI breaker on circuit ${circuit.number}`,
                  commands: [
                    {
                      do: 'set circuit' as const,
                      circuit: circuit.id,
                      change: { protection: grownBy(circuit.protection, 'gfci') },
                    },
                  ],
                },
              }
            : {}),
        },
      ];
    });
  },
};
