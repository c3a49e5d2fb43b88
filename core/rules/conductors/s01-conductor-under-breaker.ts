import { cableRow } from '../../standards/cables';
import { maxBreakerA } from '../../standards/conductors';
import { at, section, type Rule } from '../rule';

export const s01: Rule = {
  id: 'S01',
  title: 'Conductor too small for its breaker',
  section: section('240.4(D), 334.80, Table 310.15(B)(16)', '240.4(D), 334.80, 310.16'),
  severity: 'stop',
  looksAt: 'every cable against every breaker that feeds it',
  check: (site) =>
    site.wiring.cables.flatMap(({ run, type, conductors }) => {
      const { gauge } = cableRow(type);
      const circuits = new Set(conductors.flatMap(({ circuit }) => circuit ?? []));
      return [...circuits].flatMap((id) => {
        const circuit = site.circuit(id);
        return !circuit || circuit.breakerA <= maxBreakerA(gauge)
          ? []
          : [
              {
                at: at('run', run),
                message: `${gauge} AWG is good for ${maxBreakerA(gauge)} A; breaker ${circuit.number} is ${circuit.breakerA} A.`,
              },
            ];
      });
    }),
};
