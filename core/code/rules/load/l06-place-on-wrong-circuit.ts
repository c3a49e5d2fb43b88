import { ownCircuit } from '../../../power/load/own-circuit';
import type { Circuit } from '../../../job/model/design';
import { at, section, type Hit, type Rule } from '../rule';
import type { Site } from '../site';
import { ROOM_KIND_NAME, SERVES_NAME } from '../../../job/model/place-names';
import { wishKind } from '../../../trade/devices';
import { partNameOf } from '../../../wiring/makeup/device-names';
import { builtIn } from './l10-circuit-serves-others';
import { say, tell } from '../../../base/words/rules';

export const l06: Rule = {
  id: 'L06',
  title: say('l06.title'),
  section: section('210.11(C), 210.52(B), (D), (F), (G)'),
  severity: 'code',
  newWork: true,
  looksAt: say('l06.roomsCircuitsTheirOwn'),
  check: (site) => [...inPlaces(site), ...kitchens(site)],
};

/** Whether a room's own circuit already feeds a receptacle of it: one more is an extra. */
const served = (site: Site, room: string, needs: Circuit['serves']): boolean =>
  site.usersIn(room).some(({ plug, want }) => {
    const circuit = site.circuit(want.circuit);
    return plug && want.control === null && circuit?.serves === needs && circuit.breakerA >= 20;
  });

function inPlaces(site: Site): Hit[] {
  return site.receptacles.flatMap((device) => {
    const box = site.box(device.box);
    const room = site.room(box);
    const kind = site.roomKind(box);
    const needs = ownCircuit(kind);
    if (needs === null || !box || !room) return [];
    const users = site.usersOf(device.id);
    return users.flatMap((user): Hit[] => {
      const { want, part } = user;
      const circuit = site.circuit(want.circuit);
      // An individual circuit does not excuse a countertop (210.52(B)(1) Exception 2, (C)).
      if (!circuit || (circuit.serves === 'individual' && !box.counter)) return [];
      const right = circuit.serves === needs && circuit.breakerA >= 20;
      // A switched receptacle on the general circuit is allowed as an extra in a dining room.
      const extra =
        (kind === 'dining' && want.control !== null) ||
        (kind === 'kitchen' && !box.counter && builtIn(user)) ||
        (kind === 'laundry' && served(site, room.id, needs));
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
  });
}

/** A kitchen all of which is in the job has two small-appliance circuits or more at its counters (210.11(C)(1), 210.52(B)(3)). */
function kitchens(site: Site): Hit[] {
  return site.job.rooms.flatMap((room): Hit[] => {
    if (room.kind !== 'kitchen' || room.spacing === 'leave') return [];
    if (room.spacing !== 'judge' && !site.isNew(room.id)) return [];
    const counters = site
      .usersIn(room.id)
      .filter(({ device, plug }) => plug && site.box(device.box)?.counter === true);
    const circuits = new Set(
      counters.map(({ want }) => want.circuit).filter((id) => site.circuit(id)?.serves === 'small appliance'),
    );
    return counters.length === 0 || circuits.size >= 2
      ? []
      : [
          {
            at: at('room', room.id),
            ...tell('l06.twoSmallApplianceCircuits', { room: room.name, count: circuits.size }),
          },
        ];
  });
}
