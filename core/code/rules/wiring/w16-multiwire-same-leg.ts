import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const w16: Rule = {
  id: 'W16',
  title: say('w16.title'),
  section: section(say('w16.sections')),
  severity: 'stop',
  looksAt: say('w16.legsCircuitsShareNeutral'),
  check: (site) =>
    site.job.circuits.flatMap((circuit) => {
      const partner = site.job.circuits.find(({ id }) => id === circuit.multiwireWith);
      return !partner || site.isSecond(circuit) || partner.leg !== circuit.leg
        ? []
        : [
            {
              at: at('circuit', circuit.id),
              ...tell('w16.oneLeg', {
                first: circuit.number,
                second: partner.number,
              }),
              fix: {
                says: say('w16.moveCircuitOtherLeg', { number: partner.number }),
                commands: [
                  {
                    do: 'set circuit' as const,
                    circuit: partner.id,
                    change: { leg: circuit.leg === 'A' ? ('B' as const) : ('A' as const) },
                  },
                ],
              },
            },
          ];
    }),
};
