import { wishKind } from '../../../trade/devices';
import { besideVA } from '../../../power/load/load';
import { NOMINAL_V } from '../../../trade/standards/loads';
import { at, section, type Rule } from '../rule';
import { say, tell } from '../../../base/words/rules';

export const l04: Rule = {
  id: 'L04',
  title: say('l04.title'),
  section: section('210.23(A)(2)', '210.23(A)(2)', '210.23(B)(2)'),
  severity: 'code',
  looksAt: say('l04.fastenedLoads'),
  check: (site) =>
    site.job.circuits.flatMap((circuit) => {
      const own = site.usersOn(circuit.id);
      const fixed = own.filter(({ want, device }) => want.fixed && wishKind(device.kind).serves !== 'light');
      const watts = fixed.reduce((sum, { want }) => sum + (want.watts ?? 0), 0);
      const limit = (circuit.breakerA * NOMINAL_V) / 2;
      const shared = own.some((user) => !fixed.includes(user)) || besideVA(circuit) > 0;
      return watts <= limit || !shared
        ? []
        : [
            {
              at: at('circuit', circuit.id),
              ...tell('l04.finding', { watts, number: circuit.number, limit }),
            },
          ];
    }),
};
