import { applyCommands, type Command } from '../commands/command';
import { switchFamily, wishKind } from '../devices';
import { circuitName, placeName } from '../layout/names';
import { consumers, controlGroups } from '../layout/nets';
import type { Refusal } from '../layout/refusal';
import { circuitTrees } from '../layout/trees';
import type { Job } from '../model/job';
import { planJob } from '../plan';
import { maxBreakerA } from '../standards/conductors';
import { cableRow } from '../standards/cables';

/** A change that makes a refused job compile, found by trying it. */
export interface Repair {
  readonly says: string;
  readonly commands: readonly Command[];
  /** New cable it takes, ft, and how much else it disturbs; repairs come cheapest first. */
  readonly newCableFt: number;
  readonly trouble: number;
}

interface Candidate {
  readonly says: string;
  readonly commands: readonly Command[];
  /** Disturbance beside the cable, in feet of cable that one would rather pull. Common practice, roughly. */
  readonly trouble: number;
}

/** Pairs of changes tried where no single one does. */
const PAIRS = 150;
const FIRST_RUN_FT = 12;

/**
 * What would make a refused job compile: single changes first, pairs where none of those does. Each is applied and
 * planned; what still does not compile is dropped. Cheapest first: new cable and disturbance together.
 */
export function findRepairs(job: Job, refusals: readonly Refusal[]): Repair[] {
  const candidates = unique(refusals.flatMap((refusal) => candidatesFor(job, refusal)));
  const before = newCableFt(job) ?? 0;
  const tried = candidates.flatMap((one) => attempt(job, one, before) ?? []);
  const found =
    tried.length > 0 ? tried : pairs(candidates).flatMap((one) => attempt(job, one, before) ?? []);
  return found.sort((a, b) => a.newCableFt + a.trouble - (b.newCableFt + b.trouble));
}

/** The job after a repair. The commands were tried when it was found. */
export function applyAll(job: Job, commands: readonly Command[]): Job | null {
  const done = applyCommands(job, commands);
  return done.ok ? done.value.job : null;
}

function attempt(job: Job, { says, commands, trouble }: Candidate, before: number): Repair | null {
  const changed = applyAll(job, commands);
  const after = changed && newCableFt(changed);
  if (changed === null || after === null) return null;
  return { says, commands, trouble, newCableFt: Math.max(after - before, 0) };
}

/** New cable of a job that compiles, ft. */
function newCableFt(job: Job): number | null {
  const outcome = planJob(job);
  if (!outcome.ok) return null;
  return outcome.plan.wiring.cables.reduce(
    (sum, { existing, lengthFt }) => sum + (existing ? 0 : lengthFt),
    0,
  );
}

function unique(candidates: readonly Candidate[]): Candidate[] {
  return [...new Map(candidates.map((one) => [JSON.stringify(one.commands), one])).values()];
}

function pairs(candidates: readonly Candidate[]): Candidate[] {
  const all = candidates.flatMap((first, index) =>
    candidates.slice(index + 1).map((second) => ({
      says: `${first.says} ${second.says}`,
      commands: [...first.commands, ...second.commands],
      trouble: first.trouble + second.trouble,
    })),
  );
  return all.sort((a, b) => a.trouble - b.trouble).slice(0, PAIRS);
}

function candidatesFor(job: Job, refusal: Refusal): Candidate[] {
  const named = (kind: Refusal['at'][number]['kind']) => refusal.at.find((place) => place.kind === kind)?.id;
  const [run, box, circuit, group] = [named('run'), named('box'), named('circuit'), named('group')];
  switch (refusal.code) {
    case 'too few conductors':
    case 'too many conductors':
      return [
        ...(run ? replaceRun(job, run) : []),
        ...moves(job, run),
        ...radios(job),
        ...fewerNeutrals(job),
      ];
    case 'conductor too small':
      return run ? [...replaceRun(job, run), ...smallerBreakers(job, run)] : [];
    case 'no power':
      return box && circuit ? newRuns(job, box, circuit) : [];
    case 'no switch':
      return group ? [...alwaysOn(job, group), ...newSwitches(job, group)] : [];
    case 'two circuits':
      return group ? oneFeed(job, group) : box ? oneFeedInBox(job, box) : [];
    case 'wrong switch':
      return box && group ? plainSwitches(job, group) : [];
    case 'loop':
      return refusal.at.map(({ id }) => ({
        says: `Remove run ${id}.`,
        commands: [{ do: 'remove run', run: id }],
        trouble: 5,
      }));
    case 'closed box':
      return box
        ? [
            {
              says: `Open ${placeName(job, box)}.`,
              commands: [{ do: 'set box', box, change: { closed: false } }],
              trouble: 10,
            },
          ]
        : [];
    case 'same leg':
      return circuit
        ? [
            {
              says: `Move the breaker of ${circuitName(job, circuit)} to the other leg.`,
              commands: [
                {
                  do: 'set circuit',
                  circuit,
                  change: { leg: job.circuits.find(({ id }) => id === circuit)?.leg === 'A' ? 'B' : 'A' },
                },
              ],
              trouble: 5,
            },
          ]
        : [];
    case 'search limit':
      return [];
  }
}

/** A new cable in place of an existing one: the planner then chooses its size. */
function replaceRun(job: Job, id: string): Candidate[] {
  const run = job.runs.find((one) => one.id === id);
  if (!run?.existing) return [];
  const changed = applyAll(job, [{ do: 'set run', run: id, change: { existing: null } }]);
  const outcome = changed && planJob(changed);
  const type = outcome?.ok ? outcome.plan.wiring.cables.find((cable) => cable.run === id)?.type : undefined;
  const words = `${placeName(job, run.from)} to ${placeName(job, run.to)}`;
  return [
    {
      says: `Replace the ${run.existing} from ${words} by ${type ? `a new ${type}` : 'a new cable'}.`,
      commands: [{ do: 'set run', run: id, change: { existing: null } }],
      trouble: 20,
    },
  ];
}

/** The receptacle at another box, one that its circuit reaches. */
function moves(job: Job, run: string | undefined): Candidate[] {
  const { trees } = circuitTrees(job);
  const beyond = new Set(job.runs.filter(({ id }) => id === run).flatMap(({ from, to }) => [from, to]));
  return job.devices
    .filter(({ kind, box }) => wishKind(kind).receptacle && (run === undefined || beyond.has(box)))
    .flatMap((device) => {
      const want = Object.values(device.wants).find((one) => one.does === 'power');
      const tree = want?.does === 'power' ? trees.get(want.circuit) : undefined;
      return job.boxes
        .filter(({ id, closed }) => id !== device.box && !closed && tree?.parents.has(id))
        .map(({ id, name }) => ({
          says: `Feed the ${wishKind(device.kind).name} from ${name} instead of ${placeName(job, device.box)}.`,
          commands: [{ do: 'move device' as const, device: device.id, box: id }],
          trouble: 25,
        }));
    });
}

/** A radio switch frees the two wires of a loop for power. */
function radios(job: Job): Candidate[] {
  return controlGroups(job).flatMap(({ group, places, loads }) => {
    const [only] = places;
    if (places.length !== 1 || !only || loads.length === 0 || switchFamily(only.kind) === null) return [];
    return [
      {
        says: `Make ${group.name} a radio switch, its receiver at ${placeName(job, loads[0]?.device.box ?? '')}: that frees the pair.`,
        commands: [{ do: 'free the pair' as const, device: only.id }],
        trouble: 40,
      },
    ];
  });
}

function fewerNeutrals(job: Job): Candidate[] {
  if (job.habits.neutralAtSwitches === 'where asked') return [];
  return [
    {
      says: 'Take the neutral only to the switch boxes where the code asks for it.',
      commands: [{ do: 'set habits', habits: { neutralAtSwitches: 'where asked' } }],
      trouble: 3,
    },
  ];
}

function smallerBreakers(job: Job, id: string): Candidate[] {
  const run = job.runs.find((one) => one.id === id);
  if (!run?.existing) return [];
  const most = maxBreakerA(cableRow(run.existing).gauge);
  const breakerA = most === 15 ? 15 : 20;
  return job.circuits
    .filter((circuit) => circuit.breakerA > most)
    .map(({ id: circuit, number }) => ({
      says: `Put circuit ${number} on a ${breakerA} A breaker.`,
      commands: [{ do: 'set circuit' as const, circuit, change: { breakerA } }],
      trouble: 10,
    }));
}

function newRuns(job: Job, box: string, circuit: string): Candidate[] {
  const tree = circuitTrees(job).trees.get(circuit);
  return job.boxes
    .filter(({ id, closed }) => id !== box && !closed && tree?.parents.has(id))
    .map(({ id, name }) => ({
      says: `Pull a new run from ${name} to ${placeName(job, box)}.`,
      commands: [{ do: 'add run' as const, from: id, to: box, lengthFt: FIRST_RUN_FT }],
      trouble: 15,
    }));
}

function alwaysOn(job: Job, group: string): Candidate[] {
  const loads = consumers(job).filter(({ want }) => want.control === group);
  return [
    {
      says: 'Leave what it controls always on.',
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

function newSwitches(job: Job, group: string): Candidate[] {
  return consumers(job)
    .filter(({ want }) => want.control === group)
    .slice(0, 1)
    .map(({ device, want }) => ({
      says: `Add a switch at ${placeName(job, device.box)}.`,
      commands: [
        {
          do: 'add device' as const,
          box: device.box,
          holds: 'switch' as const,
          circuit: want.circuit,
          group,
        },
      ],
      trouble: 15,
    }));
}

/** Everything that a group controls on the feed of the first. */
function oneFeed(job: Job, group: string): Candidate[] {
  const loads = consumers(job).filter(({ want }) => want.control === group);
  const feeds = new Map(loads.map(({ want }) => [`${want.circuit} ${want.via ?? ''}`, want]));
  return [...feeds.values()].map(({ circuit, via }) => ({
    says: `Put all that it controls on ${circuitName(job, circuit)}${via === null ? '' : ', behind the same device'}.`,
    commands: loads.map(({ device, part }) => ({
      do: 'set want' as const,
      device: device.id,
      part,
      change: { circuit, via },
    })),
    trouble: 5,
  }));
}

/** All parts in a box on one feed, none behind a LOAD side. */
function oneFeedInBox(job: Job, box: string): Candidate[] {
  const own = consumers(job).filter(({ device }) => device.box === box);
  return [...new Set(own.map(({ want }) => want.circuit))].map((circuit) => ({
    says: `Put all of ${placeName(job, box)} on ${circuitName(job, circuit)}, fed from the panel side.`,
    commands: own.map(({ device, part }) => ({
      do: 'set want' as const,
      device: device.id,
      part,
      change: { circuit, via: null },
    })),
    trouble: 5,
  }));
}

/** Plain switches, which stand anywhere in a chain. */
function plainSwitches(job: Job, group: string): Candidate[] {
  const places = controlGroups(job).find((one) => one.group.id === group)?.places ?? [];
  const special = places.filter(({ kind }) => kind !== 'switch');
  return [
    {
      says: 'Make its switches plain ones.',
      commands: special.map(({ id }) => ({ do: 'set kind', device: id, kind: 'switch' })),
      trouble: 8,
    },
  ];
}
