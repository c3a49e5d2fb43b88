import type { Edition } from '../../../trade/standards/source';
import { applianceOf, type ApplianceId } from '../../../trade/standards/appliances';
import { grownBy } from '../../protection/kinds';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

/** Appliances that want GFCI protection wherever they stand, NEC 210.8(D), 422.5(A) (from memory). */
const OWN: Record<Edition, ReadonlySet<ApplianceId>> = {
  '2017': new Set<ApplianceId>(['dishwasher']),
  '2020': new Set<ApplianceId>(['dishwasher', 'sump-pump']),
  '2023': new Set<ApplianceId>(['dishwasher', 'sump-pump', 'microwave']),
};

export const p13: Rule = {
  id: 'P13',
  title: say('p13.title'),
  section: section('210.8(D)', '210.8(D), 422.5(A)'),
  severity: 'stop',
  newWork: true,
  looksAt: say('p13.appliancesWhatThey'),
  check: (site) => {
    const covered = site.protectedBy(['gfci', 'dual']);
    return site.users.flatMap(({ key, device, want }) => {
      const appliance = applianceOf(want.appliance);
      if (!appliance || !OWN[site.edition].has(appliance.id) || covered.has(key)) return [];
      const circuit = site.circuit(want.circuit);
      return [
        {
          at: at('device', device.id),
          ...tell('p13.needsGfciProtection', {
            box: site.box(device.box)?.name ?? device.box,
            appliance: appliance.name.toLowerCase(),
          }),
          ...(circuit
            ? {
                fix: {
                  says: say('p13.gfciBreakerCircuit', { number: circuit.number }),
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
