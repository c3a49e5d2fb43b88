import { wishKind } from '../../../trade/devices';
import { besideVA } from '../../../power/load/load';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const s04: Rule = {
  id: 'S04',
  title: say('s04.title'),
  section: section('210.21(B)(1)'),
  severity: 'code',
  newWork: true,
  looksAt: say('s04.circuitsOneSingleReceptacle'),
  check: (site) =>
    site.job.circuits.flatMap((circuit) => {
      const own = site.usersOn(circuit.id);
      const [only, second] = own;
      if (
        !only ||
        second ||
        !wishKind(only.device.kind).singleOutlet ||
        only.device.ratingA >= circuit.breakerA ||
        besideVA(circuit) > 0
      )
        return [];
      return [
        {
          at: at('device', only.device.id),
          ...tell('s04.standsAloneCircuitRated', {
            breakerA: circuit.breakerA,
            number: circuit.number,
            ratingA: only.device.ratingA,
          }),
          ...(circuit.breakerA === 20
            ? {
                fix: {
                  says: say('s04.fix'),
                  commands: [{ do: 'set rating' as const, device: only.device.id, ratingA: 20 as const }],
                },
              }
            : {}),
        },
      ];
    }),
};
