import { ownCircuit } from '../../load/own-circuit';
import { at, section, type Rule } from '../rule';
import { ROOM_KIND_NAME, SERVES_NAME } from '../../model/place-names';
import { wishKind } from '../../devices';
import { partNameOf } from '../../makeup/device-names';
import { say, tell } from '../../words/rules';

export const l06: Rule = {
  id: 'L06',
  title: say('l06.placeMayNotFedFrom'),
  section: section('210.11(C), 210.52(B), (D), (F), (G)'),
  severity: 'code',
  newWork: true,
  looksAt: say('l06.roomsCircuitsTheirOwn'),
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
            ...tell('l06.belongsNot', {
              box: box.name,
              part: partNameOf(wishKind(device.kind), part),
              kind: ROOM_KIND_NAME[kind],
              needs:
                needs === 'small appliance'
                  ? say('l06.n20SmallApplianceCircuit')
                  : say('l06.n20Circuit', { needs: SERVES_NAME[needs] }),
              number: circuit.number,
              serves: SERVES_NAME[circuit.serves],
              breakerA: circuit.breakerA,
            }),
          },
        ];
      });
    }),
};
