import type { Told } from '../../base/words/speak';
import { wishKind } from '../../trade/devices';
import { UnionFind } from '../../base/graph/union-find';
import { groupBy } from '../../base/group-by';
import { isHome, PANEL, type Device, type Design, type Run } from '../../job/model/design';
import { placeName, runName } from '../../job/model/called';
import type { ControlGroup } from './nets';
import type { Place } from './refusal';
import { tell } from '../../base/words/layout';

/** Something that was planned as asked, and that its reader may not expect. */
export interface PlanNote extends Told {
  readonly code: 'unused run' | 'controls nothing' | 'no radio switch' | 'separate neutrals' | 'panel splice';
  readonly at: readonly Place[];
}

interface CarriedRun {
  readonly run: Run;
  readonly strands: readonly { readonly net: { readonly role: string; readonly circuit: string } }[];
}

/** What to say beside a plan. */
export const notesOf = (
  job: Design,
  groups: readonly ControlGroup[],
  runs: readonly CarriedRun[],
): PlanNote[] => [
  ...unusedRuns(job, runs).map((run): PlanNote => ({
    code: 'unused run',
    ...tell('notes.notNeededTrueOther', { runName: runName(job, run), existing: run.existing === null }),
    at: [{ kind: 'run', id: run.id }],
  })),
  ...idleSwitches(job, groups),
  ...separateNeutrals(job, runs),
];

/** Runs that carry nothing and close a loop: without them everything is still reached. */
function unusedRuns(job: Design, runs: readonly CarriedRun[]): Run[] {
  const numbers = new Map([PANEL, ...job.boxes.map(({ id }) => id)].map((id, index) => [id, index]));
  const joined = new UnionFind(numbers.size);
  const joins = ({ from, to }: Run): boolean => {
    const [a, b] = [numbers.get(from), numbers.get(to)];
    return a !== undefined && b !== undefined && joined.join(a, b);
  };
  for (const { run, strands } of runs) if (strands.length > 0) joins(run);
  return runs.flatMap(({ run, strands }) => (strands.length > 0 || joins(run) ? [] : [run]));
}

function idleSwitches(job: Design, groups: readonly ControlGroup[]): PlanNote[] {
  const handles = groupBy(job.devices, ({ wants }) =>
    Object.values(wants).flatMap((want) => (want.does === 'control' ? [want.group] : [])),
  );
  return groups.flatMap((group) => idleIn(job, group, handles.get(group.group.id) ?? []));
}

function idleIn(job: Design, { places, loads }: ControlGroup, handles: readonly Device[]): PlanNote[] {
  const notes: PlanNote[] = [];
  if (loads.length === 0) {
    for (const { id, box, kind } of handles) {
      notes.push({
        code: 'controls nothing',
        ...tell('notes.controlsNothing', {
          wishKind: wishKind(kind).name,
          placeName: placeName(job, box),
        }),
        at: [
          { kind: 'device', id },
          { kind: 'box', id: box },
        ],
      });
    }
  }
  const receiver = places.find(({ kind }) => wishKind(kind).radio === 'receiver');
  if (receiver && !handles.some(({ kind }) => wishKind(kind).radio === 'switch')) {
    notes.push({
      code: 'no radio switch',
      ...tell('notes.unpairedReceiver', { placeName: placeName(job, receiver.box) }),
      at: [
        { kind: 'device', id: receiver.id },
        { kind: 'box', id: receiver.box },
      ],
    });
  }
  return notes;
}

/** Two circuits that are said to share a neutral, and that leave the panel by two cables. */
function separateNeutrals(job: Design, runs: readonly CarriedRun[]): PlanNote[] {
  return job.circuits.flatMap((circuit): PlanNote[] => {
    const partner = job.circuits.find(({ id }) => id === circuit.multiwireWith);
    if (!partner || job.circuits.indexOf(partner) < job.circuits.indexOf(circuit)) return [];
    const homes = (id: string) =>
      runs.filter(
        ({ run, strands }) =>
          isHome(run) && strands.some(({ net }) => net.role === 'hot' && net.circuit === id),
      );
    const [own, other] = [homes(circuit.id), homes(partner.id)];
    const apart = own.length > 0 && other.length > 0 && !own.some((one) => other.includes(one));
    if (!apart) return [];
    return [
      {
        code: 'separate neutrals',
        ...tell('notes.sharedInName', {
          first: circuit.number,
          second: partner.number,
        }),
        at: [
          { kind: 'circuit', id: circuit.id },
          { kind: 'circuit', id: partner.id },
        ],
      },
    ];
  });
}
