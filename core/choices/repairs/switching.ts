import type { DesignCommand } from '../../job/commands/command';
import { switchFamily, switchForPlace, wishKind } from '../../trade/devices';
import { circuitName, partName, placeName } from '../../job/model/called';
import { consumers, controlGroups } from '../../wiring/layout/nets';
import { circuitTrees } from '../../job/model/trees';
import { type Device, type Design } from '../../job/model/design';
import { say } from '../../base/words/repairs';
import { keeps, type Candidate } from './candidate';
import { FIRST_RUN_FT, NEAREST, hasRoom } from './runs';

/** A radio switch frees the two wires of a loop for power. */
export function radios(job: Design): Candidate[] {
  return controlGroups(job).flatMap(({ group, places, loads }) => {
    const [only] = places;
    const [load] = loads;
    if (places.length !== 1 || !only || !load || switchFamily(only.kind) === null) return [];
    return [
      keeps(
        say('candidates.radioSwitch', {
          group: group.name,
          placeName: placeName(job, load.device.box),
        }),
        [{ do: 'free the pair', device: only.id }],
        40,
      ),
    ];
  });
}

export function fewerNeutrals(job: Design): Candidate[] {
  if (job.habits.neutralAtSwitches === 'where asked') return [];
  return [
    keeps(
      say('candidates.neutralWhereAsked'),
      [{ do: 'set habits', habits: { neutralAtSwitches: 'where asked' } }],
      3,
    ),
  ];
}

export function alwaysOn(job: Design, group: string): Candidate[] {
  const loads = consumers(job).filter(({ want }) => want.control === group);
  return [
    {
      says: () => say('candidates.leaveWhatControlsAlways'),
      gives: say('candidates.givesUpSwitching', {
        loads: loads.map(({ device, part }) => partName(job, device, part)).join(', '),
      }),
      commands: loads.map(({ device, part }) => ({
        do: 'set control',
        device: device.id,
        part,
        control: null,
      })),
      trouble: 2,
    },
  ];
}

/** A switch where there is a gang to spare, else in a box of its own. */
export function newSwitches(job: Design, group: string): Candidate[] {
  const [load] = consumers(job).filter(({ want }) => want.control === group);
  const own = job.boxes.find(({ id }) => id === load?.device.box);
  if (!load || !own) return [];
  const { circuit } = load.want;
  const tree = circuitTrees(job).get(circuit);
  const seats = job.boxes.filter((box) => hasRoom(job, box) && tree?.parents.has(box.id));
  return [
    ...seats
      .slice(0, NEAREST)
      .map((box) =>
        keeps(
          say('candidates.addSwitch', { box: box.name }),
          [{ do: 'add device', box: box.id, holds: 'switch', circuit, group }],
          box === own ? 12 : 15,
        ),
      ),
    keeps(
      say('candidates.switchInNewBox', { own: own.name }),
      [
        {
          do: 'add box',
          from: own.id,
          name: say('candidates.switch', { own: own.name }).slice(0, 80),
          holds: 'switch',
          circuit,
          group,
          lengthFt: FIRST_RUN_FT,
        },
      ],
      18,
    ),
  ];
}

/** A switch of its own for each circuit that one was to control, beside the first. */
export function ownSwitches(job: Design, group: string): Candidate[] {
  const { places = [], loads = [] } = controlGroups(job).find((one) => one.group.id === group) ?? {};
  const [first] = loads;
  const place = places.find(({ box }) => {
    const own = job.boxes.find(({ id }) => id === box);
    return own !== undefined && hasRoom(job, own);
  });
  const other = loads.filter(
    ({ want }) => want.circuit !== first?.want.circuit || want.via !== first.want.via,
  );
  const [strange] = other;
  if (!place || !strange) return [];
  const fresh = `${group.slice(0, 30)}-own`;
  if (job.groups.some(({ id }) => id === fresh)) return [];
  const name = placeName(job, place.box);
  return [
    keeps(
      say('candidates.addSecondSwitch', {
        name,
        other: other.map(({ device, part }) => partName(job, device, part)).join(', '),
      }),
      [
        {
          do: 'add switch',
          box: place.box,
          group: { id: fresh, name: say('candidates.secondSwitch', { name }).slice(0, 80) },
          controls: other.map(({ device, part }) => ({ device: device.id, part })),
        },
      ],
      15,
    ),
  ];
}

/** Everything that a group controls on the feed of the first. */
export function oneFeed(job: Design, group: string): Candidate[] {
  const loads = consumers(job).filter(({ want }) => want.control === group);
  const circuits = [...new Set(loads.map(({ want }) => want.circuit))];
  const feeds = circuits.flatMap((circuit) =>
    [...new Set(loads.filter(({ want }) => want.circuit === circuit).map(({ want }) => want.via))].map(
      (via) => ({
        circuit,
        via,
      }),
    ),
  );
  return feeds.map(({ circuit, via }): Candidate => {
    const moved = loads.filter(({ want }) => want.circuit !== circuit || want.via !== via);
    const names = moved.map(({ device, part }) => partName(job, device, part)).join(', ');
    const behind = job.devices.find(({ id }) => id === via);
    return {
      says: () =>
        say('candidates.feedFromToo', {
          names,
          circuitName: circuitName(job, circuit),
          behind: behind
            ? say('candidates.load', {
                wishKind: wishKind(behind.kind).name,
                placeName: placeName(job, behind.box),
              })
            : '',
        }),
      gives: moved.some(({ want }) => want.circuit !== circuit)
        ? say('candidates.givesUpCircuitRequested', { names })
        : null,
      commands: loads.map(({ device, part }) => ({
        do: 'set want',
        device: device.id,
        part,
        change: { circuit, via },
      })),
      trouble: 5,
    };
  });
}

/** All parts in a box on one feed, none behind a LOAD side. */
export function oneFeedInBox(job: Design, box: string): Candidate[] {
  const own = consumers(job).filter(({ device }) => device.box === box);
  return [...new Set(own.map(({ want }) => want.circuit))].map((circuit): Candidate => ({
    says: () =>
      say('candidates.oneCircuit', {
        placeName: placeName(job, box),
        circuitName: circuitName(job, circuit),
      }),
    gives: own.some(({ want }) => want.circuit !== circuit)
      ? say('candidates.givesUpSecondCircuit', { placeName: placeName(job, box) })
      : null,
    commands: own.map(({ device, part }) => ({
      do: 'set want' as const,
      device: device.id,
      part,
      change: { circuit, via: null },
    })),
    trouble: 5,
  }));
}

/** Plain switches for what cannot share a group, but for as many special ones as may stay. */
export function otherSwitches(job: Design, group: string, box: string): Candidate[] {
  const places = controlGroups(job).find((one) => one.group.id === group)?.places ?? [];
  const name = (device: Device) =>
    say('candidates.at', { wishKind: wishKind(device.kind).name, placeName: placeName(job, device.box) });
  const plain = (devices: readonly Device[]): DesignCommand[] =>
    devices.map(({ id }) => ({ do: 'set kind', device: id, kind: 'switch' }));
  const make = (kept: readonly Device[], changed: readonly Device[], trouble: number): Candidate => ({
    says: () =>
      say('candidates.plainOneOther', {
        keptCount:
          kept.length > 0
            ? say('candidates.keepMake', { kept: kept.map(name).join(' and the ') })
            : say('candidates.make'),
        changed: changed.map(name).join(' and the '),
        changedCount: changed.length,
      }),
    gives: null,
    commands: plain(changed),
    trouble,
  });
  const dimmers = places.filter(({ kind }) => wishKind(kind).dims);
  const ends = places.filter(({ kind }) => {
    const family = switchFamily(kind);
    return family !== null && switchForPlace(family, 1, 3) === null;
  });
  const oneDimmer = dimmers.length > 1 ? dimmers : [];
  const atEnds = ends.length > 2 ? ends : [];
  const single = places.filter((one) => switchFamily(one.kind) === null && one.box === box);
  return [
    ...oneDimmer.map((kept) =>
      make(
        [kept],
        dimmers.filter((one) => one !== kept),
        8,
      ),
    ),
    ...atEnds.flatMap((first, index) =>
      atEnds.slice(index + 1).map((second) =>
        make(
          [first, second],
          atEnds.filter((one) => one !== first && one !== second),
          8,
        ),
      ),
    ),
    // A combination device is single-pole: a switch and a receptacle side by side do what it was to do.
    ...single.flatMap((device): Candidate[] => {
      const want = Object.values(device.wants).find((one) => one.does === 'power');
      if (want?.does !== 'power' || !wishKind(device.kind).yoke) return [];
      const own = job.boxes.find(({ id }) => id === device.box);
      return [
        keeps(
          say('candidates.sideBySide', {
            name: name(device),
            own: Boolean(own && own.gangs < 2),
          }),
          [
            { do: 'set kind', device: device.id, kind: 'switch' },
            {
              do: 'add device',
              box: device.box,
              holds: 'outlet',
              circuit: want.circuit,
              group: want.control,
            },
          ],
          own && own.gangs < 2 ? 30 : 12,
        ),
      ];
    }),
  ];
}
