import { switchFamily, switchForPlace, wishKind } from '../devices';
import { UnionFind } from '../graph/union-find';
import { PANEL, type Design, type Run } from '../model/design';
import { partKey } from '../model/wiring';
import { sameFeed } from './domains';
import { bringsGround, groundedBoxes } from './grounds';
import { circuitName, placeName, runName } from './names';
import { consumers, type ControlGroup } from './nets';
import type { Refusal } from './refusal';
import { roadsOf, walk, type CircuitTree } from './trees';

type Trees = ReadonlyMap<string, CircuitTree>;

/** What can be refused before anything is routed. */
export const earlyRefusals = (job: Design, groups: readonly ControlGroup[], trees: Trees): Refusal[] => [
  ...unpowered(job, trees),
  ...groups.flatMap((group) => brokenGroup(job, group, trees)),
  ...circularProtection(job),
  ...sameLegs(job),
  ...closedBoxes(job),
  ...asFound(job),
];

function unpowered(job: Design, trees: Trees): Refusal[] {
  const told = new Set<string>();
  return consumers(job).flatMap(({ device, want }): Refusal[] => {
    const key = partKey(device.box, want.circuit);
    if (trees.get(want.circuit)?.parents.has(device.box) || told.has(key)) return [];
    told.add(key);
    const name = placeName(job, device.box);
    return [
      {
        code: 'no power',
        message: `No run leads from the panel to ${name} for ${circuitName(job, want.circuit)}.`,
        at: [
          { kind: 'box', id: device.box },
          { kind: 'circuit', id: want.circuit },
        ],
        ways: [`Add a run that joins ${name} to a box of that circuit.`],
      },
    ];
  });
}

function brokenGroup(job: Design, { group, places, loads }: ControlGroup, trees: Trees): Refusal[] {
  const [first] = loads;
  if (!first) return [];
  const at = [{ kind: 'group', id: group.id } as const];
  if (places.length === 0) {
    return [
      {
        code: 'no switch',
        message: `Nothing switches "${group.name}", which ${placeName(job, first.device.box)} waits for.`,
        at: [...at, { kind: 'box', id: first.device.box }],
        ways: ['Add a switch for it, or make what it controls always on.'],
      },
    ];
  }
  const other = loads.find(({ want }) => !sameFeed(want, first.want));
  if (other) {
    const [what, way] =
      other.want.circuit === first.want.circuit
        ? ['both sides of a protecting device', 'Feed all that it controls from the same side.']
        : [
            `two circuits (${circuitName(job, first.want.circuit)} and ${circuitName(job, other.want.circuit)})`,
            'Put what it controls on one circuit.',
          ];
    return [
      {
        code: 'two circuits',
        message: `"${group.name}" controls things on ${what}; one switch cannot control both.`,
        at: [...at, { kind: 'box', id: other.device.box }],
        ways: [way, 'Give each its own switch.'],
      },
    ];
  }
  const wrong = wrongSwitches(job, { group, places, loads });
  if (wrong.length > 0) return wrong;
  return places
    .filter(({ box }) => !trees.get(first.want.circuit)?.parents.has(box))
    .map(({ box }) => ({
      code: 'no power',
      message: `The switch at ${placeName(job, box)} is not joined to ${circuitName(job, first.want.circuit)}, which it must switch.`,
      at: [
        { kind: 'box', id: box },
        { kind: 'circuit', id: first.want.circuit },
      ],
      ways: [`Add a run that joins ${placeName(job, box)} to a box of that circuit.`],
    }));
}

/** Devices that cannot stand in a chain of several places, or not between two others. */
function wrongSwitches(job: Design, { group, places, loads }: ControlGroup): Refusal[] {
  const refuse = (box: string, message: string, way: string): Refusal => ({
    code: 'wrong switch',
    message,
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
            `The switch at ${placeName(job, only.box)} would switch itself.`,
            'Use two devices.',
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
        `The ${name} at ${placeName(job, alone.box)} is single-pole and cannot share "${group.name}" with another switch.`,
        'Put a switch and a receptacle side by side there instead.',
      ),
    ];
  }
  const dimmers = places.filter(({ kind }) => wishKind(kind).dims === true);
  if (dimmers.length > 1) {
    return [
      refuse(
        dimmers[1]?.box ?? '',
        `"${group.name}" has two dimmers; one is the most.`,
        'Make one a plain switch.',
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
        `"${group.name}" has ${ends.length} places whose switch can only end the chain; two is the most.`,
        'Make those between plain 4-way switches.',
      ),
    ];
  }
  return [];
}

/** A protecting device fed from its own LOAD side, by whatever way round. */
function circularProtection(job: Design): Refusal[] {
  const viaOf = new Map<string, string[]>();
  for (const { device, want } of consumers(job)) {
    if (want.via !== null) viaOf.set(device.id, [...(viaOf.get(device.id) ?? []), want.via]);
  }
  return job.devices.flatMap((device): Refusal[] => {
    if (!wishKind(device.kind).protection) return [];
    const seen = new Set<string>();
    const queue = [...(viaOf.get(device.id) ?? [])];
    for (let via = queue.pop(); via !== undefined; via = queue.pop()) {
      if (via === device.id) {
        return [
          {
            code: 'two circuits',
            message: `The ${wishKind(device.kind).name} at ${placeName(job, device.box)} would be fed from its own LOAD side.`,
            at: [
              { kind: 'device', id: device.id },
              { kind: 'box', id: device.box },
            ],
            ways: ['Feed it from the panel side.'],
          },
        ];
      }
      if (seen.has(via)) continue;
      seen.add(via);
      queue.push(...(viaOf.get(via) ?? []));
    }
    const wrong = consumers(job).find(
      ({ want }) => want.via === device.id && want.circuit !== circuitOf(job, device.id),
    );
    if (!wrong) return [];
    return [
      {
        code: 'two circuits',
        message: `${placeName(job, wrong.device.box)} is on ${circuitName(job, wrong.want.circuit)} but asks to be fed by a device on another circuit.`,
        at: [
          { kind: 'box', id: wrong.device.box },
          { kind: 'device', id: device.id },
        ],
        ways: ['Put both on one circuit.'],
      },
    ];
  });
}

const circuitOf = (job: Design, device: string): string | undefined =>
  consumers(job).find((one) => one.device.id === device)?.want.circuit;

function sameLegs(job: Design): Refusal[] {
  return job.circuits.flatMap((circuit): Refusal[] => {
    const partner = job.circuits.find(({ id }) => id === circuit.multiwireWith);
    const isSecond = partner && job.circuits.indexOf(partner) < job.circuits.indexOf(circuit);
    if (!partner || partner.leg !== circuit.leg || isSecond) return [];
    const home = job.runs.find(
      (run) => (run.from === PANEL || run.to === PANEL) && run.circuits?.includes(circuit.id),
    );
    return [
      {
        code: 'same leg',
        message: `Circuits ${circuit.number} and ${partner.number} share a neutral but sit on the same leg: it would carry both loads.`,
        at: [{ kind: 'circuit', id: circuit.id }, ...(home ? [{ kind: 'run' as const, id: home.id }] : [])],
        ways: ['Move one breaker to the other leg.'],
      },
    ];
  });
}

/** What was found wrong in old wiring, and must be put right before anything hangs on it. */
function asFound(job: Design): Refusal[] {
  const grounded = groundedBoxes(job);
  const reversed = job.runs.filter(({ existing, found }) => existing !== null && found.reversed);
  const bootlegs = job.devices.filter(({ bootleg }) => bootleg);
  const bare = job.devices.filter(
    ({ box, kind, was, replaces }) =>
      !grounded.has(box) &&
      !was &&
      !replaces &&
      wishKind(kind).terminals.some(({ screw }) => screw === 'green') &&
      job.runs.some(({ from, to }) => from === box || to === box),
  );
  return [
    ...reversed.map((run): Refusal => ({
      code: 'reversed pair',
      message: `${runName(job, run)}: reversed polarity at one end. The black is the neutral here, and cannot be re-identified (200.6).`,
      at: [{ kind: 'run', id: run.id }],
      ways: [`Correct it at the other end, and take the readings again.`],
    })),
    ...bootlegs.map(({ id, box, kind }): Refusal => ({
      code: 'bootleg',
      message: `The ${wishKind(kind).name} at ${placeName(job, box)} has its ground tied to its neutral: with the neutral open, every metal part plugged in would be live (250.142(B)).`,
      at: [
        { kind: 'device', id },
        { kind: 'box', id: box },
      ],
      ways: ['Remove the tie; without an equipment ground it is a replacement as 406.4(D)(2) allows.'],
    })),
    ...bare.map(({ id, box, kind }): Refusal => {
      const run = withoutGround(job, box);
      return {
        code: 'no ground',
        message: `The ${wishKind(kind).name} at ${placeName(job, box)} would have no equipment ground${run ? `: ${runName(job, run).replace(/^The/, 'the')} ${GROUND_WORDS[run.found.ground]}` : ''}.`,
        at: [
          { kind: 'device', id },
          { kind: 'box', id: box },
          ...(run ? [{ kind: 'run' as const, id: run.id }] : []),
        ],
        ways: [
          'Replace that cable.',
          'Add an equipment ground as 250.130(C) allows.',
          'Only where it replaces a receptacle that was there: 406.4(D)(2).',
        ],
      };
    }),
  ];
}

const GROUND_WORDS = {
  sound: 'has one',
  none: 'has none',
  open: 'has an open one',
  'not proven': 'has one that is continuous, but not verified to be a separate path',
} as const;

/** The run on the way from the panel that brings no ground to a box. */
function withoutGround(job: Design, box: string): Run | undefined {
  const parents = walk(PANEL, roadsOf(job.runs), () => true);
  let found: Run | undefined;
  for (let step = parents.get(box); step; step = parents.get(step.from))
    if (!bringsGround(step.run)) found = step.run;
  return found;
}

/** Boxes that stay closed: nothing is wired in them, no new cable enters, and they form no ring. */
function closedBoxes(job: Design): Refusal[] {
  const closed = new Set(job.boxes.filter((box) => box.closed).map(({ id }) => id));
  const numbers = new Map([...closed].map((id, index) => [id, index]));
  const joined = new UnionFind(numbers.size);
  const ring = job.runs.find(({ from, to }) => {
    const [a, b] = [numbers.get(from), numbers.get(to)];
    return a !== undefined && b !== undefined && !joined.join(a, b);
  });
  if (ring) {
    return [
      {
        code: 'closed box',
        message: `${placeName(job, ring.from)} and ${placeName(job, ring.to)} stay closed, and their cables form a ring: every net in it would have two paths.`,
        at: [
          { kind: 'box', id: ring.from },
          { kind: 'run', id: ring.id },
        ],
        ways: ['Allow one of them to be opened.'],
      },
    ];
  }
  return job.boxes
    .filter((box) => box.closed)
    .flatMap((box): Refusal[] => {
      const device = job.devices.find((one) => one.box === box.id);
      const fresh = job.runs.find(
        (run) => run.existing === null && (run.from === box.id || run.to === box.id),
      );
      if (!device && !fresh) return [];
      return [
        {
          code: 'closed box',
          message: `${box.name} stays closed, so ${device ? 'nothing can be wired in it' : 'no new cable can enter it'}.`,
          at: [{ kind: 'box', id: box.id }],
          ways: ['Allow it to be opened.', 'Start from another box.'],
        },
      ];
    });
}
