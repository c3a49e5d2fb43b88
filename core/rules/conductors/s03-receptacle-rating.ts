import { maxPlugInA } from '../../standards/loads';
import { at, section, type Rule } from '../rule';

export const s03: Rule = {
  id: 'S03',
  title: 'Receptacle rating does not fit the circuit',
  section: section('Table 210.21(B)(3)'),
  severity: 'code',
  looksAt: 'receptacles and breakers',
  check: (site) =>
    site.receptacles.flatMap((device) => {
      const [want] = site.usersOf(device.id);
      const breakerA = want && site.circuit(want.want.circuit)?.breakerA;
      return breakerA === undefined || maxPlugInA(breakerA, device.ratingA) !== undefined
        ? []
        : [
            {
              at: at('device', device.id),
              message: `A ${device.ratingA} A receptacle may not be on a ${breakerA} A circuit.`,
              ...(device.ratingA === 20
                ? {
                    fix: {
                      says: 'A 15 A receptacle',
                      commands: [{ do: 'set rating' as const, device: device.id, ratingA: 15 as const }],
                    },
                  }
                : {}),
            },
          ];
    }),
};
