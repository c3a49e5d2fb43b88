import { PANEL } from '../../job/model/design';
import {
  boxGroundId,
  endId,
  isOnLoad,
  isShared,
  LEG_POINTS,
  panelHotId,
  type TerminalId,
} from '../../job/model/wiring';
import { openContact, touching } from '../network/disturbance';
import { isMetal } from '../../trade/standards/boxes';
import { say } from '../../base/words/faults';
import { both, disturbed, rewired, type FaultRow, type Placed, type Wired } from './fault';
import { Places } from './places';
import { atDevices, neutralScrews } from './at-devices';
import { looped } from './looped';

/** A receptacle's neutral on its own ground screw. */
const neutralToGround = (wired: Wired, needs: 'receptacle' | 'any'): Placed[] =>
  atDevices(wired, (device) => {
    const own =
      needs === 'receptacle'
        ? neutralScrews(device).slice(0, 1)
        : device.kind.terminals.flatMap(({ id, screw }) =>
            screw === 'silver' && device.used(id) ? [id] : [],
          );
    return device.used('ground')
      ? own.map((neutral) => ({
          key: neutral,
          terminals: [neutral, 'ground'],
          put: disturbed(touching(device.terminal(neutral), device.terminal('ground'))),
        }))
      : [];
  });

/** The two hots of a single-pole switch in one splice. */
const splicedPast = (wired: Wired): Placed[] =>
  atDevices(wired, (device) =>
    device.kind.equalScrews && device.used('upper') && device.used('lower')
      ? [
          {
            terminals: ['upper', 'lower'],
            put: disturbed(touching(device.terminal('upper'), device.terminal('lower'))),
          },
        ]
      : [],
  );

/** Neutrals of two circuits that meet in a box, joined there. */
function joinedNeutrals(wired: Wired): Placed[] {
  const places = new Places(wired);
  const boxes = [...new Set(places.contacts.map(({ box }) => box))].filter((box) => box !== PANEL);
  return boxes.flatMap((box) => {
    const own = new Map<string, string>();
    for (const one of places.contacts)
      if (one.box === box && one.role === 'neutral' && one.domain !== null && !isOnLoad(one.domain))
        own.set(one.domain, one.at);
    const [first, ...rest] = [...own.values()];
    return first === undefined
      ? []
      : rest.map((other) => ({
          key: `${first} ${other}`,
          box,
          points: [first, other],
          place: places.box(box),
          put: disturbed(touching(first, other)),
        }));
  });
}

/** A hot on the metal of its box, where the box is bonded. */
const hotOnBox = (wired: Wired): Placed[] => {
  const metal = new Set(wired.job.boxes.filter(({ family }) => isMetal(family)).map(({ id }) => id));
  const places = new Places(wired);
  return [
    ...new Map(
      places.contacts
        .filter(({ box, role }) => role === 'hot' && metal.has(box))
        .map((one) => [one.box, one]),
    ).values(),
  ].map(({ box, at }) => ({
    key: box,
    box,
    points: [at, boxGroundId(box)],
    place: places.box(box),
    put: disturbed(touching(at, boxGroundId(box))),
  }));
};

/** The white of a feed on the other leg instead of the neutral bar: what is left of a 240 V circuit. */
function otherLeg(wired: Wired): Placed[] {
  const places = new Places(wired);
  return wired.wiring.cables.flatMap((cable): Placed[] => {
    if (cable.from !== PANEL && cable.to !== PANEL) return [];
    const white = cable.conductors.find(({ role }) => role === 'neutral');
    const circuit = wired.job.circuits.find(({ id }) =>
      cable.conductors.some((one) => one.role === 'hot' && one.circuit === id),
    );
    if (!white || !circuit || (white.domain !== null && isShared(white.domain))) return [];
    const leg = LEG_POINTS[circuit.leg === 'A' ? 'B' : 'A'] as TerminalId;
    const end = endId(white.id, PANEL);
    return [
      {
        key: cable.id,
        box: PANEL,
        points: [end],
        place: places.end(cable, white, PANEL),
        put: rewired((wiring) => ({
          ...wiring,
          terminations: wiring.terminations.map((one) => (one.end === end ? { ...one, terminal: leg } : one)),
        })),
      },
    ];
  });
}

const byCircuit = (
  wired: Wired,
  put: (
    circuit: Wired['job']['circuits'][number],
  ) => readonly { readonly key: string; readonly put: Placed['put'] }[],
): Placed[] =>
  wired.job.circuits
    .filter(({ id }) =>
      wired.wiring.cables.some(({ conductors }) => conductors.some(({ circuit }) => circuit === id)),
    )
    .flatMap((circuit) =>
      put(circuit).map((one) => ({
        key: `${circuit.id} ${one.key}`,
        box: PANEL,
        points: [panelHotId(circuit.id)],
        place: say('places.breaker', { number: circuit.number }),
        put: one.put,
      })),
    );

export const JOIN_FAULTS: readonly FaultRow[] = [
  {
    id: 'F09',
    name: say('f09.name'),
    shows: say('f09.shows'),
    hides: say('f09.hides'),
    fix: say('f09.fix'),
    weight: 2,
    where: (wired) => neutralToGround(wired, 'receptacle'),
  },
  {
    id: 'F10',
    name: say('f10.name'),
    shows: say('f10.shows'),
    hides: say('f10.hides'),
    fix: say('f10.fix'),
    weight: 4,
    where: (wired) => neutralToGround(wired, 'any'),
  },
  {
    id: 'F12',
    name: say('f12.name'),
    shows: say('f12.shows'),
    hides: '',
    fix: say('f12.fix'),
    weight: 4,
    where: splicedPast,
  },
  {
    id: 'F14',
    name: say('f14.name'),
    shows: say('f14.shows'),
    hides: say('f14.hides'),
    fix: say('f14.fix'),
    weight: 4,
    where: joinedNeutrals,
  },
  {
    id: 'F17',
    name: say('f17.name'),
    shows: say('f17.shows'),
    hides: say('f17.hides'),
    fix: say('f17.fix'),
    weight: 2,
    where: (wired) =>
      byCircuit(wired, ({ id, multiwireWith, leg }) =>
        multiwireWith !== null && multiwireWith > id
          ? [
              {
                key: 'leg',
                put: (house) => ({
                  ...house,
                  circuits: house.circuits.map((one) => (one.id === multiwireWith ? { ...one, leg } : one)),
                }),
              },
            ]
          : [],
      ),
  },
  {
    id: 'F18',
    name: say('f18.name'),
    shows: say('f18.shows'),
    hides: '',
    fix: say('f18.fix'),
    weight: 6,
    where: (wired) =>
      byCircuit(wired, ({ id, leg }) => [
        { key: 'off', put: (house) => ({ ...house, openBreakers: [...house.openBreakers, id] }) },
        { key: 'another', put: disturbed(touching(LEG_POINTS[leg], panelHotId(id))) },
      ]),
  },
  {
    id: 'F26',
    name: say('f26.name'),
    shows: say('f26.shows'),
    hides: say('f26.hides'),
    fix: say('f26.fix'),
    weight: 1,
    where: looped,
  },
  {
    id: 'F28',
    name: say('f28.name'),
    shows: say('f28.shows'),
    hides: '',
    fix: say('f28.fix'),
    weight: 2,
    where: hotOnBox,
  },
  {
    id: 'F31',
    name: say('f31.name'),
    shows: say('f31.shows'),
    hides: '',
    fix: say('f31.fix'),
    weight: 1,
    where: otherLeg,
  },
  {
    id: 'F33',
    name: say('f33.name'),
    shows: say('f33.shows'),
    hides: say('f33.hides'),
    fix: say('f33.fix'),
    weight: 2,
    where: (wired) => {
      const places = new Places(wired);
      return atDevices(wired, (device) => {
        const [neutral] = neutralScrews(device);
        if (neutral === undefined) return [];
        const grounds = places.contacts.filter(({ at }) => at === device.terminal('ground'));
        return [
          {
            terminals: [neutral, 'ground'],
            put: both(
              disturbed(...grounds.map(({ end }) => openContact(end))),
              disturbed(touching(device.terminal(neutral), device.terminal('ground'))),
            ),
          },
        ];
      });
    },
  },
  {
    id: 'F34',
    name: say('f34.name'),
    shows: say('f34.shows'),
    hides: '',
    fix: say('f34.fix'),
    weight: 4,
    where: (wired) =>
      atDevices(wired, (device) => {
        const { protection } = device.kind;
        return protection && device.used(protection.load.neutral)
          ? [
              {
                terminals: [protection.line.neutral, protection.load.neutral],
                put: disturbed(
                  touching(
                    device.terminal(protection.line.neutral),
                    device.terminal(protection.load.neutral),
                  ),
                ),
              },
            ]
          : [];
      }),
  },
];
