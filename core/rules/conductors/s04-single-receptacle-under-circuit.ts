import { wishKind } from '../../devices';
import { at, section, type Rule } from '../rule';

export const s04: Rule = {
  id: 'S04',
  title: 'Single receptacle alone on its circuit, rated under the circuit',
  section: section('210.21(B)(1)'),
  severity: 'code',
  newWork: true,
  looksAt: 'circuits with one single receptacle',
  check: (site) =>
    site.job.circuits.flatMap((circuit) => {
      const own = site.usersOn(circuit.id);
      const [only, second] = own;
      if (
        !only ||
        second ||
        !wishKind(only.device.kind).singleOutlet ||
        only.device.ratingA >= circuit.breakerA ||
        circuit.existingLoadVA > 0
      )
        return [];
      return [
        {
          at: at('device', only.device.id),
          message: `It stands alone on the ${circuit.breakerA} A circuit ${circuit.number} and is rated ${only.device.ratingA} A.`,
          ...(circuit.breakerA === 20
            ? {
                fix: {
                  says: 'A 20 A receptacle',
                  commands: [{ do: 'set rating' as const, device: only.device.id, ratingA: 20 as const }],
                },
              }
            : {}),
        },
      ];
    }),
};
