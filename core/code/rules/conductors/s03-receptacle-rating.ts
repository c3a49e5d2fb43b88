import { maxPlugInA } from '../../../trade/standards/loads';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const s03: Rule = {
  id: 'S03',
  title: say('s03.title'),
  section: section(say('s03.sections')),
  severity: 'code',
  looksAt: say('s03.receptaclesBreakers'),
  check: (site) =>
    site.receptacles.flatMap((device) => {
      const [want] = site.usersOf(device.id);
      const breakerA = want && site.circuit(want.want.circuit)?.breakerA;
      return breakerA === undefined || maxPlugInA(breakerA, device.ratingA) !== undefined
        ? []
        : [
            {
              at: at('device', device.id),
              ...tell('s03.receptacleMayNotCircuit', { ratingA: device.ratingA, breakerA }),
              ...(device.ratingA === 20
                ? {
                    fix: {
                      says: say('s03.fix'),
                      commands: [{ do: 'set rating' as const, device: device.id, ratingA: 15 as const }],
                    },
                  }
                : {}),
            },
          ];
    }),
};
