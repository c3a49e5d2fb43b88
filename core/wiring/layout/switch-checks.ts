import { tell, say } from '../../base/words/layout';
import type { Told } from '../../base/words/speak';
import { placeName, circuitName } from '../../job/model/called';
import type { Design } from '../../job/model/design';
import type { CircuitTree } from '../../job/model/trees';
import { switchFamily, wishKind, switchForPlace } from '../../trade/devices';
import { sameFeed } from './domains';
import type { ControlGroup } from './nets';
import type { Refusal } from './refusal';

export type Trees = ReadonlyMap<string, CircuitTree>;

export function brokenGroup(job: Design, { group, places, loads }: ControlGroup, trees: Trees): Refusal[] {
  const [first] = loads;
  if (!first) return [];
  const at = [{ kind: 'group', id: group.id } as const];
  if (places.length === 0) {
    return [
      {
        code: 'no switch',
        ...tell('checks.nothingSwitchesWaits', {
          group: group.name,
          placeName: placeName(job, first.device.box),
        }),
        at: [...at, { kind: 'box', id: first.device.box }],
        ways: [say('checks.noSwitch.way')],
      },
    ];
  }
  const other = loads.find(({ want }) => !sameFeed(want, first.want));
  if (other) {
    const [what, way] =
      other.want.circuit === first.want.circuit
        ? [say('checks.bothSidesProtectingDevice'), say('checks.oneSide.way')]
        : [
            say('checks.twoCircuits', {
              first: circuitName(job, first.want.circuit),
              second: circuitName(job, other.want.circuit),
            }),
            say('checks.oneCircuit.way'),
          ];
    return [
      {
        code: 'two circuits',
        ...tell('checks.cannotControlBoth', { group: group.name, what }),
        at: [...at, { kind: 'box', id: other.device.box }],
        ways: [way, say('checks.giveEachOwnSwitch')],
      },
    ];
  }
  const wrong = wrongSwitches(job, { group, places, loads });
  if (wrong.length > 0) return wrong;
  return places
    .filter(({ box }) => !trees.get(first.want.circuit)?.parents.has(box))
    .map(({ box }) => ({
      code: 'no power',
      ...tell('checks.switchUnfed', {
        placeName: placeName(job, box),
        circuitName: circuitName(job, first.want.circuit),
      }),
      at: [
        { kind: 'box', id: box },
        { kind: 'circuit', id: first.want.circuit },
      ],
      ways: [say('checks.joinToCircuit.way', { placeName: placeName(job, box) })],
    }));
}

/** Devices that cannot stand in a chain of several places, or not between two others. */
function wrongSwitches(job: Design, { group, places, loads }: ControlGroup): Refusal[] {
  const refuse = (box: string, told: Told, way: string): Refusal => ({
    code: 'wrong switch',
    ...told,
    at: [
      { kind: 'box', id: box },
      { kind: 'group', id: group.id },
    ],
    ways: [way],
  });
  if (places.length === 1) {
    const [only] = places;
    const self = loads.find(({ device, part }) => device.id === only?.id && part !== 'outlet');
    return self && only
      ? [
          refuse(
            only.box,
            tell('checks.switchWouldSwitchItself', { placeName: placeName(job, only.box) }),
            say('checks.useTwoDevices'),
          ),
        ]
      : [];
  }
  const alone = places.find(({ kind }) => switchFamily(kind) === null);
  if (alone) {
    const name = wishKind(alone.kind).name;
    return [
      refuse(
        alone.box,
        tell('checks.singlePoleShared', {
          name,
          placeName: placeName(job, alone.box),
          group: group.name,
        }),
        say('checks.sideBySide.way'),
      ),
    ];
  }
  const dimmers = places.filter(({ kind }) => wishKind(kind).dims === true);
  if (dimmers.length > 1) {
    return [
      refuse(
        dimmers[1]?.box ?? '',
        tell('checks.twoDimmersOneMost', { group: group.name }),
        say('checks.makeOnePlainSwitch'),
      ),
    ];
  }
  const ends = places.filter(({ kind }) => {
    const family = switchFamily(kind);
    return family !== null && switchForPlace(family, 1, 3) === null;
  });
  if (ends.length > 2) {
    return [
      refuse(
        ends[2]?.box ?? '',
        tell('checks.tooManyEnds', { group: group.name, endsCount: ends.length }),
        say('checks.plainBetween.way'),
      ),
    ];
  }
  return [];
}
