import { cableRow } from '../../../trade/standards/cables';
import { maxBreakerA } from '../../../trade/standards/conductors';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const s01: Rule = {
  id: 'S01',
  title: say('s01.conductorTooSmallBreaker'),
  section: section(say('s01.sections'), '240.4(D), 334.80, 310.16'),
  severity: 'stop',
  looksAt: say('s01.looksAt'),
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
                ...tell('s01.awgGoodBreaker', {
                  gauge,
                  maxBreakerA: maxBreakerA(gauge),
                  number: circuit.number,
                  breakerA: circuit.breakerA,
                }),
              },
            ];
      });
    }),
};
