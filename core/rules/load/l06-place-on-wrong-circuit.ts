import { ownCircuit } from '../../load/own-circuit';
import { at, section, type Rule } from '../rule';

export const l06: Rule = {
  id: 'L06',
  title: 'This place may not be fed from this circuit',
  section: section('210.11(C), 210.52(B), (D), (F), (G)'),
  severity: 'code',
  newWork: true,
  looksAt: 'rooms with circuits of their own',
  check: (site) =>
    site.receptacles.flatMap((device) => {
      const box = site.box(device.box);
      const kind = site.roomKind(box);
      const needs = ownCircuit(kind);
      if (needs === null || !box) return [];
      const users = site.usersOf(device.id);
      return users.flatMap(({ want, part }) => {
        const circuit = site.circuit(want.circuit);
        // An individual circuit does not excuse a countertop (210.52(B)(1) Exception 2, (C)).
        if (!circuit || (circuit.serves === 'individual' && !box.counter)) return [];
        const right = circuit.serves === needs && circuit.breakerA >= 20;
        // A switched receptacle on the general circuit is allowed as an extra in a dining room.
        const extra = kind === 'dining' && want.control !== null;
        if (right || extra) return [];
        const binding =
          site.edition === '2017' || needs === 'small appliance' || needs === 'laundry' || box.counter;
        return [
          {
            at: at('device', device.id),
            severity: binding ? ('code' as const) : ('ask' as const),
            message: `${box.name}, ${part}: in a ${kind} it belongs on ${needs === 'small appliance' ? 'a 20 A small-appliance circuit' : `a 20 A ${needs} circuit`}, not on ${circuit.number} (${circuit.serves}, ${circuit.breakerA} A).`,
          },
        ];
      });
    }),
};
