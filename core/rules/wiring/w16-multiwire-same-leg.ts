import { at, section, type Rule } from '../rule';

export const w16: Rule = {
  id: 'W16',
  title: 'Multiwire circuit with both hots on the same leg',
  section: section('Art. 100 "multiwire", 210.4'),
  severity: 'stop',
  looksAt: 'legs of circuits that share a neutral',
  check: (site) =>
    site.job.circuits.flatMap((circuit) => {
      const partner = site.job.circuits.find(({ id }) => id === circuit.multiwireWith);
      return !partner || site.isSecond(circuit) || partner.leg !== circuit.leg
        ? []
        : [
            {
              at: at('circuit', circuit.id),
              message: `Circuits ${circuit.number} and ${partner.number} are on one leg: their neutral carries the sum.`,
              fix: {
                says: `Move circuit ${partner.number} to the other leg`,
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
