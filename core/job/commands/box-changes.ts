import type { Draft } from 'immer';
import { Box, PANEL, Run, type Design } from '../model/design';
import { dropUnused, dropVia, find } from './upkeep';
import { freshId } from '../model/fresh-id';

/** A new one-gang box as it comes out of the bag; a round one for what hangs. */
export function freshBox(id: string, name: string, hangs: boolean): Box {
  return Box.parse({
    id,
    name,
    family: hangs ? 'ceiling' : 'nail-on',
    gangs: 1,
    volumeIn3: hangs ? 22.5 : 20.3,
  });
}

/** A box goes with its devices; what was fed through it is fed from the box before it. */
export function removeBox(job: Draft<Design>, box: string): void {
  const arriving = job.runs.find((run) => run.to === box) ?? job.runs.find((run) => run.from === box);
  const before = arriving && (arriving.to === box ? arriving.from : arriving.to);
  job.boxes = job.boxes.filter(({ id }) => id !== box);
  for (const device of job.devices.filter((one) => one.box === box)) dropVia(job, device.id);
  job.devices = job.devices.filter((device) => device.box !== box);
  job.runs = job.runs.filter((run) => run !== arriving);
  for (const run of job.runs) {
    for (const end of ['from', 'to'] as const) {
      if (run[end] !== box || before === undefined) continue;
      run[end] = before;
      if (before === PANEL && arriving?.circuits) run.circuits = arriving.circuits;
    }
  }
  dropUnused(job);
}

/** A box in the middle of a run: two runs of half the length. */
export function splitRun(job: Draft<Design>, id: string, name: string): void {
  const run = find(job.runs, id);
  const box = freshId(job.boxes, name);
  job.boxes.push(freshBox(box, name, false));
  const half = Math.max(Math.round(run.lengthFt / 2), 0.5);
  job.runs.push(
    Run.parse({
      id: freshId(job.runs, `${box} on`),
      from: box,
      to: run.to,
      lengthFt: half,
      existing: run.existing,
    }),
  );
  run.to = box;
  run.lengthFt = half;
}
