import { endId } from '../../job/model/wiring';
import { say } from '../../base/words/faults';
import type { FaultRow, Placed, Wired } from './fault';
import { Places } from './places';

/* What no instrument shows: nothing of the network changes. */
const same: Placed['put'] = (house) => house;

const banded = (wired: Wired): Placed[] => {
  const places = new Places(wired);
  return wired.wiring.cables.flatMap((cable) =>
    cable.conductors
      .filter(({ reidentified }) => reidentified)
      .flatMap((conductor) =>
        [cable.from, cable.to].map((box) => ({
          key: endId(conductor.id, box),
          box,
          points: [endId(conductor.id, box)],
          place: places.end(cable, conductor, box),
          put: same,
        })),
      ),
  );
};

const pigtails = (wired: Wired): Placed[] => {
  const places = new Places(wired);
  return wired.wiring.tails
    .filter(({ uncut, lead, role }) => uncut === null && !lead && role !== 'ground')
    .map(({ id, box }) => ({
      key: id,
      box,
      points: [id],
      place: places.contacts.find(({ wire }) => wire === id)?.place ?? places.box(box),
      put: same,
    }));
};

export const LOOK_FAULTS: readonly FaultRow[] = [
  {
    id: 'F24',
    name: say('f24.name'),
    shows: say('f24.shows'),
    hides: say('f24.hides'),
    fix: say('f24.fix'),
    look: true,
    weight: 3,
    where: banded,
  },
  {
    id: 'F25',
    name: say('f25.name'),
    shows: say('f25.shows'),
    hides: say('f25.hides'),
    fix: say('f25.fix'),
    look: true,
    weight: 1,
    where: pigtails,
  },
];
