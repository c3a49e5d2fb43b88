import { readAnyFile, writeWorkshop, type Workshop } from '@core/handover/files/workshop';
import { mergeFiles } from '@core/handover/crew/files';
import { writeHouseFile } from '@core/job/model/house-file';
import { writeJobFile } from '@core/job/model/job-file';
import { problemText } from '@core/job/model/problem';
import type { Outcome } from './with-input';

/** Bytes of a file by its name, as they were read. */
export interface NamedFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/**
 * Brings two files together, against a base where three are given: jobs, houses, zips. What came of it goes to standard output, a
 * job file or a house file as they came, or as a zip to `out`. What both changed otherwise is listed, exit 1.
 */
export function mergeReport(files: readonly NamedFile[], out?: (bytes: Uint8Array) => void): Outcome {
  const read = files.map(({ name, bytes }) => ({ name, read: readAnyFile(bytes) }));
  const errors = read.flatMap(({ name, read: one }) =>
    one.ok ? [] : one.problems.map((problem) => `${name}: ${problemText(problem)}`),
  );
  if (errors.length > 0) return { exit: 2, errors };
  const workshops = read.flatMap(({ read: one }) => (one.ok ? [one.value] : []));
  const [base, ours, theirs] = workshops.length === 3 ? workshops : [null, ...workshops];
  if (!ours || !theirs) return { exit: 2, errors: ['merge takes two files, or three with the base first'] };
  const { workshop, conflicts } = mergeFiles(base ?? null, ours, theirs);
  if (conflicts.length > 0) return { exit: 1, output: { conflicts } };
  if (out) {
    out(writeWorkshop(workshop));
    return { exit: 0, output: { jobs: workshop.jobs.length, houses: workshop.houses.length } };
  }
  const text = textOf(workshop);
  return text === null
    ? { exit: 2, errors: ['photos, several houses or a shop go into a zip: name one with --out'] }
    : { exit: 0, output: text };
}

/** A job alone, or a house with its jobs; null for what only a zip holds. */
function textOf({ houses, jobs, photos, shop }: Workshop): string | null {
  const [house, ...others] = houses;
  const [first, ...more] = jobs;
  if (photos.length > 0 || others.length > 0 || shop) return null;
  if (house) return writeHouseFile({ house, jobs: jobs.map(({ job }) => job) });
  return first && more.length === 0 ? writeJobFile(first.job) : null;
}
