import { andList } from '../../base/words/lists';
import { printOf } from '../../base/merge/same';
import { say } from '../../base/words/crew';
import type { Job } from '../../job/model/job';
import type { Stamp } from '../../job/record/log';

/** A job with a line in its log of what came in, and from whom; as it is where nothing did. */
export function withCameIn(job: Job, from: string, came: readonly string[], stamp: Stamp): Job {
  if (came.length === 0) return job;
  const what = andList(came.slice(0, 12));
  const says = (from === '' ? say('log.came', { what }) : say('log.cameFrom', { name: from, what })).slice(
    0,
    2000,
  );
  const entry = { ...stamp, kind: 'note' as const, box: null, says, corrects: null };
  const id = `entry-${printOf(entry).replaceAll('.', '-')}`.slice(0, 40);
  return { ...job, record: { ...job.record, log: [...job.record.log, { id, ...entry }] } };
}
