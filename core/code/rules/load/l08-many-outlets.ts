import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const l08: Rule = {
  id: 'L08',
  title: say('l08.title'),
  section: section(''),
  severity: 'craft',
  looksAt: say('l08.outletsEachGeneralCircuit'),
  check: (site) =>
    site.job.circuits.flatMap((circuit) => {
      const most = circuit.breakerA === 15 ? 10 : 13;
      const outlets = new Set(site.usersOn(circuit.id).map(({ device }) => device.id)).size;
      return circuit.serves !== 'general' || outlets <= most
        ? []
        : [
            {
              at: at('circuit', circuit.id),
              ...tell('l08.outletsCircuit15Each', { outlets, number: circuit.number, most }),
            },
          ];
    }),
};
