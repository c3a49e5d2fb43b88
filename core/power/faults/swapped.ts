import { endId, type TerminalId } from '../../job/model/wiring';
import { openContact, touching, withChangedOver } from '../network/disturbance';
import { say } from '../../base/words/faults';
import { both, disturbed, rewired, type FaultRow, type Placed, type Wired } from './fault';
import { Places } from './places';
import { atDevices, straight, end, poles, swap, neutralScrews } from './at-devices';

/** A switch in the neutral: where the two whites meet in a splice of their own and both hots land on the switch. */
const inNeutral = (wired: Wired): Placed[] =>
  atDevices(wired, (device, places) => {
    const own = straight(places, device);
    if (!own?.from || !own.to || own.from === own.to) return [];
    const { box } = device.wired;
    const whites = [end(own.from, 'white', box), end(own.to, 'white', box)] as const;
    const [first, second] = whites;
    if (first === null || second === null) return [];
    const splice = wired.wiring.splices.find(({ ends }) => ends.includes(first));
    const alone =
      splice?.role === 'neutral' &&
      splice.ends.length === 2 &&
      splice.ends.includes(second) &&
      !wired.wiring.tails.some(
        ({ from, to }) => to === splice.id || (from.at === 'splice' && from.splice === splice.id),
      );
    if (!alone) return [];
    return [
      {
        terminals: ['upper', 'lower'],
        put: rewired((wiring) =>
          withChangedOver(withChangedOver(wiring, own.feed.end, first), own.fed.end, second),
        ),
      },
    ];
  });

/** Feed and light cable mistaken for one another, where the feed lies in a splice and the light on the switch. */
function mistaken(wired: Wired): Placed[] {
  const places = new Places(wired);
  return wired.wiring.splices.flatMap((splice): Placed[] => {
    if (splice.role !== 'hot') return [];
    const feeds = splice.ends.filter((one) =>
      wired.wiring.cables.some(
        ({ to, conductors }) =>
          to === splice.box && conductors.some(({ id }) => one === endId(id, splice.box)),
      ),
    );
    const legs = places.contacts.filter(
      ({ box, role, wire, at }) =>
        box === splice.box &&
        role === 'switched' &&
        places.devices.some(
          (device) =>
            device.wired.box === box &&
            device.kind.positions.length > 0 &&
            device.kind.terminals.some(({ id }) => device.terminal(id) === at),
        ) &&
        wired.wiring.cables.some(({ conductors }) => conductors.some(({ id }) => id === wire)),
    );
    return feeds.flatMap((feed) =>
      legs.map(({ end: leg, place }) => ({
        key: `${feed} ${leg}`,
        box: splice.box,
        points: [feed, leg],
        place,
        put: rewired((wiring) => withChangedOver(wiring, feed, leg)),
      })),
    );
  });
}

/** Black and red of a 3-wire run changed over at one end: where they carry different nets. */
function changedColors(wired: Wired): Placed[] {
  const places = new Places(wired);
  return wired.wiring.cables.flatMap((cable) => {
    const [black, red] = ['black', 'red'].map((color) =>
      cable.conductors.find(({ insulation }) => insulation === color),
    );
    if (!black || !red || black.net === null || red.net === null || black.net === red.net) return [];
    return [cable.from, cable.to].flatMap((box): Placed[] => {
      const ends = [endId(black.id, box), endId(red.id, box)] as const;
      if (!ends.every((one) => places.landed.has(one))) return [];
      return [
        {
          key: `${cable.id}@${box}`,
          box,
          points: ends,
          place: places.end(cable, black, box),
          put: rewired((wiring) => withChangedOver(wiring, ...ends)),
        },
      ];
    });
  });
}

const mainGround = (places: Places, ground: TerminalId): string | undefined =>
  places.contacts.find(({ at }) => at === ground)?.end;

export const SWAP_FAULTS: readonly FaultRow[] = [
  {
    id: 'F04',
    name: say('f04.name'),
    shows: say('f04.shows'),
    hides: say('f04.hides'),
    fix: say('f04.fix'),
    weight: 5,
    where: (wired) =>
      atDevices(wired, (device) => {
        const pairs = poles(device);
        return pairs.length === 0 ? [] : [{ terminals: pairs.flat(), put: swap(device, ...pairs) }];
      }),
  },
  {
    id: 'F05',
    name: say('f05.name'),
    shows: say('f05.shows'),
    hides: '',
    fix: say('f05.fix'),
    weight: 1,
    where: (wired) =>
      atDevices(wired, (device) =>
        poles(device)
          .filter(([hot]) => device.used(hot) && device.used('ground'))
          .slice(0, 1)
          .map(([hot]) => ({ terminals: [hot, 'ground'], put: swap(device, [hot, 'ground']) })),
      ),
  },
  {
    id: 'F35',
    name: say('f35.name'),
    shows: say('f35.shows'),
    hides: say('f35.hides'),
    fix: say('f35.fix'),
    weight: 2,
    where: (wired) =>
      atDevices(wired, (device) =>
        neutralScrews(device)
          .filter(() => device.used('ground'))
          .slice(0, 1)
          .map((neutral) => ({ terminals: [neutral, 'ground'], put: swap(device, [neutral, 'ground']) })),
      ),
  },
  {
    id: 'F36',
    name: say('f36.name'),
    shows: say('f36.shows'),
    hides: say('f36.hides'),
    fix: say('f36.fix'),
    weight: 3,
    where: (wired) =>
      atDevices(wired, (device) => {
        const hots = [...new Set(poles(device).map(([hot]) => hot))].filter((hot) => device.used(hot));
        const [upper, lower] = hots;
        const split = device.kind.halves && device.wired.brokenTabs.length > 0;
        return split && upper !== undefined && lower !== undefined
          ? [{ terminals: [upper, lower], put: swap(device, [upper, lower]) }]
          : [];
      }),
  },
  {
    id: 'F11',
    name: say('f11.name'),
    shows: say('f11.shows'),
    hides: say('f11.hides'),
    fix: say('f11.fix'),
    weight: 2,
    where: inNeutral,
  },
  {
    id: 'F15',
    name: say('f15.name'),
    shows: say('f15.shows'),
    hides: '',
    fix: say('f15.fix'),
    weight: 6,
    where: (wired) =>
      atDevices(wired, (device) =>
        device.kind.symbol === 'S3'
          ? ['traveler-1', 'traveler-2']
              .filter((traveler) => device.used(traveler) && device.used('common'))
              .map((traveler) => ({
                key: traveler,
                terminals: ['common', traveler],
                put: swap(device, ['common', traveler]),
              }))
          : [],
      ),
  },
  {
    id: 'F16',
    name: say('f16.name'),
    shows: say('f16.shows'),
    hides: say('f16.hides'),
    fix: say('f16.fix'),
    weight: 5,
    where: changedColors,
  },
  {
    id: 'F20',
    name: say('f20.name'),
    shows: say('f20.shows'),
    hides: '',
    fix: say('f20.fix'),
    weight: 5,
    where: mistaken,
  },
  {
    id: 'F23',
    name: say('f23.name'),
    shows: say('f23.shows'),
    hides: '',
    fix: say('f23.fix'),
    weight: 3,
    where: (wired) =>
      atDevices(wired, (device) => {
        const feed = ['common-switch', 'common-outlet'].find((terminal) => device.used(terminal));
        const broken = device.wired.brokenTabs.includes('jumper');
        return device.kind.serves === 'switch and outlet' &&
          !device.kind.protection &&
          feed !== undefined &&
          device.used('switched') &&
          !broken
          ? [{ terminals: [feed, 'switched'], put: swap(device, [feed, 'switched']) }]
          : [];
      }),
  },
  {
    id: 'F29',
    name: say('f29.name'),
    shows: say('f29.shows'),
    hides: say('f29.hides'),
    fix: say('f29.fix'),
    weight: 1,
    where: (wired) =>
      atDevices(wired, (device, places) => {
        const pairs = poles(device);
        const ground = mainGround(places, device.terminal('ground'));
        const [neutral] = neutralScrews(device);
        if (device.kind.protection || device.wired.brokenTabs.length > 0) return [];
        if (pairs.length === 0 || ground === undefined || neutral === undefined) return [];
        return [
          {
            terminals: [...pairs.flat(), 'ground'],
            put: both(
              swap(device, ...pairs),
              disturbed(openContact(ground), touching(device.terminal(neutral), device.terminal('ground'))),
            ),
          },
        ];
      }),
  },
  {
    id: 'F32',
    name: say('f32.name'),
    shows: say('f32.shows'),
    hides: '',
    fix: say('f32.fix'),
    weight: 4,
    where: (wired) =>
      atDevices(wired, (device) =>
        device.kind.symbol === 'S4'
          ? [
              ['in-2', 'out-1'],
              ['in-1', 'out-2'],
            ].map(([a = '', b = '']) => ({ key: a, terminals: [a, b], put: swap(device, [a, b]) }))
          : [],
      ),
  },
];
