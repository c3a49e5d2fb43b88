import fc from 'fast-check';
import { dice } from '../base/dice';
import {
  applyCommands,
  isDesignCommand,
  note,
  type Command,
  type DesignCommand,
  type RecordCommand,
} from '../job/commands/command';
import { DESIGN_COMMANDS } from '../job/commands/design-table';
import { RECORD_COMMANDS } from '../job/commands/record-table';
import type { Job } from '../job/model/job';
import { checkJob } from '../job/model/job-file';
import { logged, type Stamp } from '../job/record/log';
import { withoutMeasured } from '../job/rooms/route';
import { fromSchema, type Pools } from './from-schema';

/** The ids of a job, by the fields of commands that name them. */
export function jobPools({ design, record }: Job): Pools {
  const ids = (list: readonly { readonly id: string }[]) => list.map(({ id }) => id);
  const own = {
    box: [...ids(design.boxes), 'nowhere'],
    from: ids(design.boxes),
    to: ids(design.boxes),
    run: ids(design.runs),
    device: ids(design.devices),
    circuit: ids(design.circuits),
    circuits: ids(design.circuits),
    group: ids(design.groups),
    control: ids(design.groups),
    room: ids(design.rooms),
    connector: ids(design.connectors),
    sheet: ids(design.sheets),
    opening: design.rooms.flatMap(({ openings }) => ids(openings)),
    line: ids(record.brief.lines),
    survey: ids(record.surveys),
    reading: record.surveys.flatMap(({ readings }) => ids(readings)),
    photo: ids(record.photos),
    part: ['upper', 'lower', 'outlet', 'lamp', 'handle'],
  };
  return { ...own, id: ['fresh', ...own.circuit], '': ['fresh', ...new Set(Object.values(own).flat())] };
}

/** Every row of the tables of commands, so that a law draws from whatever is added to them. */
export const COMMAND_ROWS = [...DESIGN_COMMANDS, ...RECORD_COMMANDS] as readonly {
  readonly schema: (typeof DESIGN_COMMANDS)[number]['schema'];
}[];

/**
 * A job after some commands of the tables themselves, each by its own schema; commands that it does not take are left out.
 * `by`: who works with the device.
 */
export function worked(job: Job, by: string, seed: number, count: number): Job {
  const random = dice(seed);
  let { design, record } = job;
  for (let done = 0, tried = 0; done < count && tried < count * 30; tried++) {
    const row = COMMAND_ROWS[Math.floor(random() * COMMAND_ROWS.length)];
    if (!row) break;
    const [command] = fc.sample(fromSchema<Command>(row.schema, jobPools({ design, record })), {
      numRuns: 1,
      seed: Math.floor(random() * 1e9),
    });
    if (!command) continue;
    const before = { design, record };
    const stamp = { at: new Date(1.75e12 + seed * 1000 + tried * 60_000).toISOString(), by };
    const next = isDesignCommand(command) ? planned(before, command, stamp) : noted(before, command, stamp);
    // As it comes out of a file.
    const read = next && checkJob(withoutMeasured(next.design), next.record);
    if (!read?.ok) continue;
    ({ design, record } = read.value);
    done++;
  }
  return { design, record };
}

function planned(job: Job, command: DesignCommand, stamp: Stamp): Job | null {
  const after = applyCommands(job.design, [command]);
  return after.ok && after.value.patches.length > 0
    ? {
        design: after.value.job,
        record: logged([command], job, job.record, after.value.label, stamp),
      }
    : null;
}

function noted(job: Job, command: RecordCommand, stamp: Stamp): Job | null {
  const after = note(job.record, command);
  return after.ok && after.value.record !== job.record
    ? { design: job.design, record: logged([command], job, after.value.record, null, stamp) }
    : null;
}
