import type { DesignCommand } from '../../job/commands/command';
import { switchFamily, switchForPlace, wishKind } from '../../trade/devices';
import { circuitName, partName, placeName } from '../../job/model/called';
import { consumers, controlGroups } from '../../wiring/layout/nets';
import type { Refusal } from '../../wiring/layout/refusal';
import { circuitTrees } from '../../job/model/trees';
import { PANEL, type Box, type Device, type Design, type Run } from '../../job/model/design';
import type { Plan } from '../../wiring/plan';
import { cableRow } from '../../trade/standards/cables';
import { maxBreakerA } from '../../trade/standards/conductors';
import { orList } from '../../base/words/lists';
import { say } from '../../base/words/repairs';

/** A change that may make a refused job compile. */
export interface Candidate {
  /** In words, once it is known what it comes to. */
  readonly says: (plan: Plan) => string;
  readonly gives: string | null;
  readonly commands: readonly DesignCommand[];
  /** Disturbance beside the cable, in feet of cable that one would rather pull. Common practice, roughly. */
  readonly trouble: number;
}

const FIRST_RUN_FT = 12;
/** Boxes that a new run is tried from, the nearest by runs first. */
const NEAREST = 6;

const keeps = (says: string, commands: readonly DesignCommand[], trouble: number): Candidate => ({
  says: () => says,
  gives: null,
  commands,
  trouble,
});

/** What is worth trying against one refusal. */
export function candidatesFor(job: Design, refusal: Refusal): Candidate[] {
  const named = (kind: Refusal['at'][number]['kind']) => refusal.at.filter((place) => place.kind === kind);
  const [run] = named('run').map(({ id }) => job.runs.find((one) => one.id === id));
  const [box] = named('box').map(({ id }) => id);
  const [circuit] = named('circuit').map(({ id }) => id);
  const [group] = named('group').map(({ id }) => id);
  switch (refusal.code) {
    case 'too few conductors':
    case 'too many conductors':
    case 'search limit':
      return [
        ...(run
          ? [...replaceRun(job, run), ...moreRuns(job, run), ...openBoxes(job, [run.from, run.to])]
          : []),
        ...radios(job),
        ...fewerNeutrals(job),
        ...moves(job, run),
      ];
    case 'conductor too small':
      return run ? [...replaceRun(job, run), ...smallerBreakers(job, run)] : [];
    case 'no power':
      return box && circuit ? newRuns(job, box, circuit) : [];
    case 'no switch':
      return group ? [...newSwitches(job, group), ...alwaysOn(job, group)] : [];
    case 'two circuits':
      return group ? [...ownSwitches(job, group), ...oneFeed(job, group)] : box ? oneFeedInBox(job, box) : [];
    case 'wrong switch':
      return box && group ? otherSwitches(job, group, box) : [];
    case 'panel splice':
      return [
        ...runsBetweenBoxes(
          job,
          named('box').map(({ id }) => id),
        ),
        ...openBoxes(
          job,
          named('box').map(({ id }) => id),
        ),
        keeps(say('candidates.splicePanelOnlyWhereRoom'), [{ do: 'allow panel splices', allowed: true }], 60),
      ];
    case 'no ground':
      return run ? [...replaceRun(job, run), ...moves(job, run)] : [];
    case 'reversed pair':
      return run ? [...corrected(job, run), ...replaceRun(job, run)] : [];
    case 'bootleg':
      return named('device').map(({ id }) =>
        keeps(
          say('candidates.removeTieBetweenGroundNeutral', {
            box: box ? placeName(job, box) : say('candidates.outlet'),
          }),
          [{ do: 'set device', device: id, change: { bootleg: false } }],
          6,
        ),
      );
    case 'closed box':
      return [
        ...openBoxes(
          job,
          named('box').map(({ id }) => id),
        ),
        ...radios(job),
      ];
    case 'same leg':
      return circuit
        ? [
            keeps(
              say('candidates.moveBreakerOtherLeg', { circuitName: circuitName(job, circuit) }),
              [
                {
                  do: 'set circuit',
                  circuit,
                  change: { leg: job.circuits.find(({ id }) => id === circuit)?.leg === 'A' ? 'B' : 'A' },
                },
              ],
              5,
            ),
          ]
        : [];
  }
}

/** A new cable in place of an existing one: the planner then chooses its size. */
function replaceRun(job: Design, run: Run): Candidate[] {
  const { existing } = run;
  if (!existing) return [];
  const where = say('candidates.from', {
    placeName: placeName(job, run.from),
    placeName2: placeName(job, run.to),
  });
  return [
    {
      says: ({ wiring }) => {
        const types = wiring.cables.flatMap((cable) => (cable.run === run.id ? [cable.type] : []));
        return types.length === 0
          ? say('candidates.doWithout', { existing, where })
          : say('candidates.replaceNew', { existing, where, types: types.join(' and a ') });
      },
      gives: null,
      commands: [{ do: 'set run', run: run.id, change: { existing: null } }],
      trouble: 20,
    },
  ];
}

/** What was changed over put right at the end where the box can be opened. */
function corrected(job: Design, run: Run): Candidate[] {
  const at = [run.from, run.to].map((place) => placeName(job, place));
  return [
    keeps(
      say('candidates.correctEndWhereReversedBlack', { at: orList(at) }),
      [{ do: 'set run', run: run.id, change: { found: { ...run.found, reversed: false } } }],
      6,
    ),
  ];
}

/** A second cable beside a run, or one to either of its ends from elsewhere. */
function moreRuns(job: Design, run: Run): Candidate[] {
  const [from, to] = run.from === PANEL ? [run.to, run.from] : [run.from, run.to];
  const pulled = (a: string, b: string) => (plan: Plan) => {
    const added = plan.wiring.cables.filter(
      (cable) =>
        !job.runs.some(({ id }) => id === cable.run) &&
        [cable.from, cable.to].includes(a) &&
        [cable.from, cable.to].includes(b),
    );
    return say('candidates.pullFromTrueOther', {
      addedCount:
        added.length === 0 ? say('candidates.newRun') : `a ${added.map(({ type }) => type).join(' and a ')}`,
      placeName: placeName(job, a),
      placeName2: placeName(job, b),
      a: a === from && b === to,
    });
  };
  const add = (a: string, b: string, lengthFt: number, trouble: number): Candidate => ({
    says: pulled(a, b),
    gives: null,
    commands: [
      {
        do: 'add run',
        from: b === PANEL ? b : a,
        to: b === PANEL ? a : b,
        lengthFt,
        ...(run.circuits ? { circuits: run.circuits } : {}),
      },
    ],
    trouble,
  });
  const ends = [from, to].filter((end) => end !== PANEL);
  const others = job.boxes.filter(({ id, closed }) => !closed && id !== run.from && id !== run.to);
  return [
    add(from, to, run.lengthFt, 12),
    ...ends.flatMap((end) =>
      others.slice(0, NEAREST).map(({ id }): Candidate => ({
        says: pulled(id, end),
        gives: null,
        commands: [{ do: 'add run', from: id, to: end, lengthFt: FIRST_RUN_FT }],
        trouble: 18,
      })),
    ),
  ];
}

const openBoxes = (job: Design, boxes: readonly string[]): Candidate[] =>
  job.boxes
    .filter(
      ({ id, closed }) => closed && (boxes.includes(id) || boxes.some((box) => areNeighbors(job, id, box))),
    )
    .map(({ id, name }) =>
      keeps(say('candidates.open', { name }), [{ do: 'set box', box: id, change: { closed: false } }], 10),
    );

const areNeighbors = (job: Design, a: string, b: string): boolean =>
  job.runs.some(({ from, to }) => (from === a && to === b) || (from === b && to === a));

/** A box that an outlet can go into without changing it: open, on a wall, with a gang to spare. */
function hasRoom(job: Design, box: Box): boolean {
  const own = job.devices.filter((device) => device.box === box.id);
  const yokes = own.filter(({ kind }) => wishKind(kind).yoke).length;
  return !box.closed && box.family !== 'ceiling' && own.length === yokes && yokes < box.gangs;
}

/** The receptacle at another box, one that its circuit reaches. It is then not where it was asked for. */
function moves(job: Design, run: Run | undefined): Candidate[] {
  const trees = circuitTrees(job);
  return job.devices
    .filter(
      ({ kind, box, was }) =>
        wishKind(kind).receptacle && !was && (run === undefined || run.from === box || run.to === box),
    )
    .flatMap((device) => {
      const want = Object.values(device.wants).find((one) => one.does === 'power');
      const tree = want?.does === 'power' ? trees.get(want.circuit) : undefined;
      return job.boxes
        .filter((box) => box.id !== device.box && hasRoom(job, box) && tree?.parents.has(box.id))
        .map((box): Candidate => ({
          says: () => say('candidates.putInstead', { wishKind: wishKind(device.kind).name, box: box.name }),
          gives: say('candidates.givesUpOutlet', { placeName: placeName(job, device.box) }),
          commands: [{ do: 'move device', device: device.id, box: box.id }],
          trouble: 25,
        }));
    });
}

/** A radio switch frees the two wires of a loop for power. */
function radios(job: Design): Candidate[] {
  return controlGroups(job).flatMap(({ group, places, loads }) => {
    const [only] = places;
    const [load] = loads;
    if (places.length !== 1 || !only || !load || switchFamily(only.kind) === null) return [];
    return [
      keeps(
        say('candidates.putRadioSwitchPlaceReceiver', {
          group: group.name,
          placeName: placeName(job, load.device.box),
        }),
        [{ do: 'free the pair', device: only.id }],
        40,
      ),
    ];
  });
}

function fewerNeutrals(job: Design): Candidate[] {
  if (job.habits.neutralAtSwitches === 'where asked') return [];
  return [
    keeps(
      say('candidates.bringNeutralOnlySwitchBoxes'),
      [{ do: 'set habits', habits: { neutralAtSwitches: 'where asked' } }],
      3,
    ),
  ];
}

function smallerBreakers(job: Design, run: Run): Candidate[] {
  if (!run.existing) return [];
  const most = maxBreakerA(cableRow(run.existing).gauge);
  const breakerA = most === 15 ? 15 : 20;
  return job.circuits
    .filter((circuit) => circuit.breakerA > most && (run.circuits?.includes(circuit.id) ?? true))
    .map(({ id: circuit, number, breakerA: was }) =>
      keeps(
        say('candidates.putCircuitBreakerPlaceOne', { number, breakerA, was }),
        [{ do: 'set circuit', circuit, change: { breakerA } }],
        10,
      ),
    );
}

function newRuns(job: Design, box: string, circuit: string): Candidate[] {
  const tree = circuitTrees(job).get(circuit);
  const reached = job.boxes.filter(({ id, closed }) => id !== box && !closed && tree?.parents.has(id));
  const home = tree?.parents.size
    ? []
    : [
        keeps(
          say('candidates.pullNewRunFromPanel', {
            placeName: placeName(job, box),
            circuitName: circuitName(job, circuit),
          }),
          [{ do: 'add run', from: PANEL, to: box, lengthFt: 45, circuits: [circuit] }],
          30,
        ),
      ];
  return [
    ...home,
    ...reached
      .slice(0, 2 * NEAREST)
      .map(({ id, name }) =>
        keeps(
          say('candidates.pullNewRunFrom', { name, placeName: placeName(job, box) }),
          [{ do: 'add run', from: id, to: box, lengthFt: FIRST_RUN_FT }],
          15,
        ),
      ),
  ];
}

/** A run between boxes that meet only in the panel. */
function runsBetweenBoxes(job: Design, boxes: readonly string[]): Candidate[] {
  const open = boxes.filter((id) => job.boxes.some((box) => box.id === id && !box.closed));
  return open.flatMap((from, index) =>
    open
      .slice(index + 1)
      .filter((to) => to !== from && !areNeighbors(job, from, to))
      .map((to) =>
        keeps(
          say('candidates.pullRunFrom', { placeName: placeName(job, from), placeName2: placeName(job, to) }),
          [{ do: 'add run', from, to, lengthFt: FIRST_RUN_FT }],
          15,
        ),
      ),
  );
}

function alwaysOn(job: Design, group: string): Candidate[] {
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
function newSwitches(job: Design, group: string): Candidate[] {
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
      say('candidates.addSwitchNewBoxFed', { own: own.name }),
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
function ownSwitches(job: Design, group: string): Candidate[] {
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
function oneFeed(job: Design, group: string): Candidate[] {
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
function oneFeedInBox(job: Design, box: string): Candidate[] {
  const own = consumers(job).filter(({ device }) => device.box === box);
  return [...new Set(own.map(({ want }) => want.circuit))].map((circuit): Candidate => ({
    says: () =>
      say('candidates.putAllFedFromPanel', {
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
function otherSwitches(job: Design, group: string, box: string): Candidate[] {
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
          say('candidates.placeSwitchReceptacleSideSide', {
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
