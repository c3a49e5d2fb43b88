import { applyCommands, type Command } from '../commands/command';
import { switchFamily, wishKind } from '../devices';
import { placeName } from '../layout/names';
import { PANEL, type Box, type Device, type Job } from '../model/job';

/** A way to try: commands on the job without the outlet that is wished for. */
export interface Way {
  readonly way: string;
  readonly says: string;
  readonly commands: readonly Command[];
}

/** Receptacles that the Options stage can look for another way for. */
export const outletsOf = (job: Job): Device[] => job.devices.filter(({ kind }) => wishKind(kind).receptacle);

/** Typical lengths of a short run, ft: to a box beside or below, and to the nearest box. Common practice, roughly. */
const BESIDE_FT = 4;
const NEAR_FT = 14;
const PANEL_FT = 45;

/** What takes an outlet out of a job: with it a new box and run that serve nothing else. */
export function removalOf(job: Job, outlet: Device): Command[] {
  const box = job.boxes.find(({ id }) => id === outlet.box);
  const alone = job.devices.every((one) => one === outlet || one.box !== outlet.box);
  const runs = job.runs.filter(({ from, to }) => from === outlet.box || to === outlet.box);
  return box && !box.existing && alone && runs.length === 1
    ? [{ do: 'remove box', box: box.id }]
    : [{ do: 'remove device', device: outlet.id }];
}

/** The job as it stands before the outlet is there. */
export function withoutOutlet(job: Job, outlet: Device): Job {
  const done = applyCommands(job, removalOf(job, outlet));
  return done.ok ? done.value.job : job;
}

/**
 * Every way to think of for an outlet that keeps its wish: which box it hangs on, in what kind of device or box, by
 * which cable, with what protection. What compiles and what is worth anything is found by trying, not here.
 */
export function waysFor(job: Job, outlet: Device): Way[] {
  const base = withoutOutlet(job, outlet);
  const want = Object.values(outlet.wants).find((one) => one.does === 'power');
  const circuit = want?.does === 'power' ? want.circuit : (job.circuits[0]?.id ?? '');
  const group =
    Object.values(outlet.wants).flatMap((one) =>
      one.does === 'power' && one.control !== null ? [one.control] : [],
    )[0] ?? null;
  const lengthFt =
    job.runs.find(({ from, to }) => from === outlet.box || to === outlet.box)?.lengthFt ?? NEAR_FT;
  const ways: Way[] = [];
  const seats = base.boxes.filter(({ closed }) => !closed);
  for (const box of seats)
    ways.push(...inBox(base, box, circuit, group), ...nearBox(base, box, outlet, circuit, group, lengthFt));
  ways.push({
    way: 'from the panel',
    says: `A new box, fed straight from the panel`,
    commands: newBox(PANEL, circuit, group, PANEL_FT),
  });
  return ways.flatMap((way) => withProtection(base, withLoads(base, way, outlet), circuit, group));
}

const newBox = (from: string, circuit: string, group: string | null, lengthFt: number): Command[] => [
  { do: 'add box', from, name: 'New outlet', holds: 'outlet', circuit, group, lengthFt },
];

function inBox(job: Job, box: Box, circuit: string, group: string | null): Way[] {
  const own = job.devices.filter((one) => one.box === box.id);
  const name = placeName(job, box.id);
  const ways: Way[] = [];
  const yokes = own.filter(({ kind }) => wishKind(kind).yoke);
  const [only] = yokes;
  const handle = only && Object.values(only.wants).find((want) => want.does === 'control');
  if (only && yokes.length === 1 && switchFamily(only.kind) !== null && handle && group === null) {
    for (const kind of ['combination', 'combination-gfci'] as const) {
      ways.push({
        way: 'combination device',
        says: `Combination device${kind === 'combination' ? '' : ' with GFCI'} in the ${name} box`,
        commands: [
          { do: 'set kind', device: only.id, kind },
          { do: 'set want', device: only.id, part: 'outlet', change: { circuit, control: null } },
        ],
      });
    }
  }
  if (yokes.length > 0 && yokes.length < 4 && !own.some(({ kind }) => kind === 'luminaire')) {
    const gangs = Math.min(yokes.length + 1, 4);
    const larger: Command[] =
      box.gangs >= gangs
        ? []
        : [
            {
              do: 'set box',
              box: box.id,
              change: {
                gangs,
                family: box.existing ? 'cut-in' : box.family,
                volumeIn3: gangs === 2 ? 34 : gangs === 3 ? 48 : 62,
              },
            },
          ];
    ways.push({
      way: gangs === 2 ? 'two-gang' : 'one gang more',
      says: `${gangs === 2 ? 'Two-gang' : `${gangs}-gang`} box at ${name}, switch and receptacle side by side`,
      commands: [...larger, { do: 'add device', box: box.id, holds: 'outlet', circuit, group }],
    });
  }
  return ways;
}

function nearBox(
  job: Job,
  box: Box,
  outlet: Device,
  circuit: string,
  group: string | null,
  lengthFt: number,
): Way[] {
  const own = job.devices.filter((one) => one.box === box.id);
  const name = placeName(job, box.id);
  const hasOutlet = own.some(({ kind }) => wishKind(kind).receptacle);
  const hasSwitch = own.some(({ kind }) => switchFamily(kind) !== null);
  const feet = box.id === outlet.box ? BESIDE_FT : hasSwitch ? lengthFt : hasOutlet ? NEAR_FT : lengthFt;
  const way = hasOutlet ? 'from the nearest receptacle' : hasSwitch ? 'new box beside' : 'from another box';
  const plain: Way = {
    way,
    says: `New box ${way === 'new box beside' ? 'beside or below' : 'fed from'} ${name}`,
    commands: newBox(box.id, circuit, group, feet),
  };
  const ways = [plain];
  // Where the cable in the wall does not do: a new one in its place, or a radio switch that frees the pair.
  const loop = job.runs.find(
    ({ existing, from, to }) =>
      existing !== null && from !== PANEL && to !== PANEL && (from === box.id || to === box.id),
  );
  const inPlace = inBox(job, box, circuit, group);
  if (loop && hasSwitch) {
    for (const one of [...inPlace, plain]) {
      ways.push({
        way: '3-wire from the feed',
        says: `New cable between ${placeName(job, loop.from)} and ${placeName(job, loop.to)}; ${lower(one.says)}`,
        commands: [{ do: 'set run', run: loop.id, change: { existing: null } }, ...one.commands],
      });
    }
    const handle = own.find(({ kind }) => switchFamily(kind) !== null);
    if (handle) {
      for (const one of [...inPlace.filter(({ way: kind }) => kind !== 'combination device'), plain]) {
        ways.push({
          way: 'radio-controlled switch',
          says: `Radio switch at ${name}, its receiver at the light; ${lower(one.says)}`,
          commands: [{ do: 'free the pair', device: handle.id }, ...one.commands],
        });
      }
    }
  }
  return ways;
}

const lower = (says: string): string => says.charAt(0).toLowerCase() + says.slice(1);

/** What the outlet is to carry goes with it, whatever it hangs on. */
function withLoads(base: Job, way: Way, outlet: Device): Way {
  const combination = way.commands.find((one) => one.do === 'set kind' && one.kind.startsWith('combination'));
  const added = combination?.do === 'set kind' ? combination.device : addedOutlet(base, way);
  const own = Object.entries(outlet.wants).flatMap(([part, want]) =>
    want.does === 'power' && (want.watts ?? 0) > 0
      ? [{ part, watts: want.watts ?? 0, continuous: want.continuous ?? false }]
      : [],
  );
  if (added === null || own.length === 0) return way;
  const sum = own.reduce((total, { watts }) => total + watts, 0);
  const loads = combination
    ? [{ part: 'outlet', watts: Math.min(sum, 7200), continuous: own.some(({ continuous }) => continuous) }]
    : own.filter(({ part }) => part === 'upper' || part === 'lower');
  return {
    ...way,
    commands: [...way.commands, ...loads.map((one): Command => ({ do: 'set load', device: added, ...one }))],
  };
}

/** The way as it is, and with protection in the breaker or at the outlet. */
function withProtection(base: Job, way: Way, circuit: string, group: string | null): Way[] {
  const now = base.circuits.find(({ id }) => id === circuit)?.protection ?? 'none';
  const breaker = (protection: 'gfci' | 'afci' | 'dual', says: string): Way[] =>
    now === protection || now === 'dual'
      ? []
      : [
          {
            ...way,
            says: `${way.says}; ${says}`,
            commands: [...way.commands, { do: 'set circuit', circuit, change: { protection } }],
          },
        ];
  const device: Way[] = [];
  if (group === null && !way.commands.some((one) => one.do === 'set kind')) {
    const added = addedOutlet(base, way);
    if (added !== null)
      device.push({
        ...way,
        says: `${way.says}; GFCI receptacle`,
        commands: [...way.commands, { do: 'set kind', device: added, kind: 'gfci' }],
      });
  }
  return [way, ...device, ...breaker('afci', 'AFCI breaker'), ...breaker('dual', 'dual-function breaker')];
}

/** The id that the outlet of a way gets, which follows from the job it is added to. */
function addedOutlet(base: Job, way: Way): string | null {
  const done = applyCommands(base, way.commands);
  if (!done.ok) return null;
  return (
    done.value.job.devices.find(
      ({ id, kind }) => kind === 'duplex' && !base.devices.some((one) => one.id === id),
    )?.id ?? null
  );
}
