import { wishKind } from '../../trade/devices';
import { UnionFind } from '../../base/graph/union-find';
import { isHome, PANEL, type Design, type Run } from '../../job/model/design';
import { partKey } from '../../job/model/wiring';
import { bringsGround, groundedBoxes } from './grounds';
import { circuitName, placeName, runName } from '../../job/model/called';
import { consumers, type ControlGroup } from './nets';
import type { Refusal } from './refusal';
import { roadsOf, walk } from '../../job/model/trees';
import { say, tell } from '../../base/words/layout';
import { type Trees, brokenGroup } from './switch-checks';

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
        ...tell('checks.noFeed', { name, circuitName: circuitName(job, want.circuit) }),
        at: [
          { kind: 'box', id: device.box },
          { kind: 'circuit', id: want.circuit },
        ],
        ways: [say('checks.noFeed.way', { name })],
      },
    ];
  });
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
            ...tell('checks.ownLoad', {
              wishKind: wishKind(device.kind).name,
              placeName: placeName(job, device.box),
            }),
            at: [
              { kind: 'device', id: device.id },
              { kind: 'box', id: device.box },
            ],
            ways: [say('checks.feedFromPanelSide')],
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
        ...tell('checks.fedByOtherCircuit', {
          placeName: placeName(job, wrong.device.box),
          circuitName: circuitName(job, wrong.want.circuit),
        }),
        at: [
          { kind: 'box', id: wrong.device.box },
          { kind: 'device', id: device.id },
        ],
        ways: [say('checks.putBothOneCircuit')],
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
    const home = job.runs.find((run) => isHome(run) && run.circuits?.includes(circuit.id));
    return [
      {
        code: 'same leg',
        ...tell('checks.sameLeg', {
          first: circuit.number,
          second: partner.number,
        }),
        at: [{ kind: 'circuit', id: circuit.id }, ...(home ? [{ kind: 'run' as const, id: home.id }] : [])],
        ways: [say('checks.otherLeg.way')],
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
      ...tell('checks.reversed', { runName: runName(job, run) }),
      at: [{ kind: 'run', id: run.id }],
      ways: [say('checks.reversed.way')],
    })),
    ...bootlegs.map(({ id, box, kind }): Refusal => ({
      code: 'bootleg',
      ...tell('checks.tiedGround', {
        wishKind: wishKind(kind).name,
        placeName: placeName(job, box),
      }),
      at: [
        { kind: 'device', id },
        { kind: 'box', id: box },
      ],
      ways: [say('checks.tiedGround.way')],
    })),
    ...bare.map(({ id, box, kind }): Refusal => {
      const run = withoutGround(job, box);
      return {
        code: 'no ground',
        ...tell('checks.noGround', {
          wishKind: wishKind(kind).name,
          placeName: placeName(job, box),
          run: run ? `: ${runName(job, run).replace(/^The/, 'the')} ${GROUND_WORDS[run.found.ground]}` : '',
        }),
        at: [
          { kind: 'device', id },
          { kind: 'box', id: box },
          ...(run ? [{ kind: 'run' as const, id: run.id }] : []),
        ],
        ways: [
          say('checks.replaceCable'),
          say('checks.noGround.addOne'),
          say('checks.noGround.replacementOnly'),
        ],
      };
    }),
  ];
}

const GROUND_WORDS = {
  sound: say('checks.one'),
  none: say('checks.none'),
  open: say('checks.openOne'),
  'not proven': say('checks.groundNotVerified'),
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
        ...tell('checks.closedRing', {
          first: placeName(job, ring.from),
          second: placeName(job, ring.to),
        }),
        at: [
          { kind: 'box', id: ring.from },
          { kind: 'run', id: ring.id },
        ],
        ways: [say('checks.allowOneThemOpened')],
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
          ...tell('checks.closed', { box: box.name, device: Boolean(device) }),
          at: [{ kind: 'box', id: box.id }],
          ways: [say('checks.allowOpened'), say('checks.startFromAnotherBox')],
        },
      ];
    });
}
