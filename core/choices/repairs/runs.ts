import { wishKind } from '../../trade/devices';
import { circuitName, placeName } from '../../job/model/called';
import { circuitTrees } from '../../job/model/trees';
import { PANEL, type Box, type Design, type Run } from '../../job/model/design';
import type { Plan } from '../../wiring/plan';
import { cableRow } from '../../trade/standards/cables';
import { maxBreakerA } from '../../trade/standards/conductors';
import { orList } from '../../base/words/lists';
import { say } from '../../base/words/repairs';
import { keeps, type Candidate } from './candidate';

export const FIRST_RUN_FT = 12;

/** Boxes that a new run is tried from, the nearest by runs first. */
export const NEAREST = 6;

/** A new cable in place of an existing one: the planner then chooses its size. */
export function replaceRun(job: Design, run: Run): Candidate[] {
  const { existing } = run;
  if (!existing) return [];
  const where = say('candidates.between', {
    from: placeName(job, run.from),
    to: placeName(job, run.to),
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
export function corrected(job: Design, run: Run): Candidate[] {
  const at = [run.from, run.to].map((place) => placeName(job, place));
  return [
    keeps(
      say('candidates.correctPolarity', { at: orList(at) }),
      [{ do: 'set run', run: run.id, change: { found: { ...run.found, reversed: false } } }],
      6,
    ),
  ];
}

/** A second cable beside a run, or one to either of its ends from elsewhere. */
export function moreRuns(job: Design, run: Run): Candidate[] {
  const [from, to] = run.from === PANEL ? [run.to, run.from] : [run.from, run.to];
  const pulled = (a: string, b: string) => (plan: Plan) => {
    const added = plan.wiring.cables.filter(
      (cable) =>
        !job.runs.some(({ id }) => id === cable.run) &&
        [cable.from, cable.to].includes(a) &&
        [cable.from, cable.to].includes(b),
    );
    return say('candidates.pullCable', {
      addedCount:
        added.length === 0 ? say('candidates.newRun') : `a ${added.map(({ type }) => type).join(' and a ')}`,
      from: placeName(job, a),
      to: placeName(job, b),
      beside: a === from && b === to,
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

export const openBoxes = (job: Design, boxes: readonly string[]): Candidate[] =>
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
export function hasRoom(job: Design, box: Box): boolean {
  const own = job.devices.filter((device) => device.box === box.id);
  const yokes = own.filter(({ kind }) => wishKind(kind).yoke).length;
  return !box.closed && box.family !== 'ceiling' && own.length === yokes && yokes < box.gangs;
}

/** The receptacle at another box, one that its circuit reaches. It is then not where it was asked for. */
export function moves(job: Design, run: Run | undefined): Candidate[] {
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

export function smallerBreakers(job: Design, run: Run): Candidate[] {
  if (!run.existing) return [];
  const most = maxBreakerA(cableRow(run.existing).gauge);
  const breakerA = most === 15 ? 15 : 20;
  return job.circuits
    .filter((circuit) => circuit.breakerA > most && (run.circuits?.includes(circuit.id) ?? true))
    .map(({ id: circuit, number, breakerA: was }) =>
      keeps(
        say('candidates.otherBreaker', { number, breakerA, was }),
        [{ do: 'set circuit', circuit, change: { breakerA } }],
        10,
      ),
    );
}

export function newRuns(job: Design, box: string, circuit: string): Candidate[] {
  const tree = circuitTrees(job).get(circuit);
  const reached = job.boxes.filter(({ id, closed }) => id !== box && !closed && tree?.parents.has(id));
  const home = tree?.parents.size
    ? []
    : [
        keeps(
          say('candidates.newFeed', {
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
export function runsBetweenBoxes(job: Design, boxes: readonly string[]): Candidate[] {
  const open = boxes.filter((id) => job.boxes.some((box) => box.id === id && !box.closed));
  return open.flatMap((from, index) =>
    open
      .slice(index + 1)
      .filter((to) => to !== from && !areNeighbors(job, from, to))
      .map((to) =>
        keeps(
          say('candidates.pullRun', { from: placeName(job, from), to: placeName(job, to) }),
          [{ do: 'add run', from, to, lengthFt: FIRST_RUN_FT }],
          15,
        ),
      ),
  );
}
