import { applyPatches, type Patch } from 'immer';
import { applyCommands, note } from '@core/job/commands/command';
import type { Design } from '@core/job/model/design';
import type { Job } from '@core/job/model/job';
import { good, type Checked, type Problem } from '@core/job/model/problem';
import type { JobRecord } from '@core/job/model/record';
import { logged, steppedBack } from '@core/job/record/log';
import { measured } from '@core/job/rooms/route';
import { say } from '~/words/storage';
import { aroundOf, inside, settled, touches, type Around, type Settled } from './around';
import { whole, type HistoryEntry, type JobEntry, type SplitTapDatabase } from './database';
import { lineOf } from './line';
import { waitingOn } from './journal';
import { sorted, type JobIntent } from './intent';
import { conflictsOf, replacedBy, type Conflict } from './replaced';
import { readJob, storedDesign, storedRecord } from './sealed';

/** Changes kept for undo, per job. */
const HISTORY_LIMIT = 200;

/** What became of an intent. */
export interface Outcome {
  readonly seq: number;
  readonly problems: readonly Problem[];
  /** True where it was carried out on the very revision that the page showed. */
  readonly asShown: boolean;
}

/** Carries out what waits for a job, in order. */
export const carryOut = (db: SplitTapDatabase, id: string): Promise<readonly Outcome[]> =>
  whole(db, async () => {
    const waiting = (await waitingOn(db, id)).filter((entry) => entry.on === undefined);
    const outcomes: Outcome[] = [];
    for (const entry of waiting) {
      const done = await whole(db, () => carryOutOne(db, id, entry));
      if (done.problems.length > 0) await db.journal.put({ ...entry, refused: done.problems });
      outcomes.push({ seq: entry.seq ?? 0, ...done });
    }
    return outcomes;
  });

/** Carries one out, and takes it off the journal; what was refused stays on it. */
async function carryOutOne(
  db: SplitTapDatabase,
  id: string,
  { intent, base, replaced, seq = 0 }: JobEntry,
): Promise<Omit<Outcome, 'seq'>> {
  if (intent.intent === 'scene') {
    await db.scenes.put({ jobId: id, scene: intent.scene });
    await db.journal.delete(seq);
    return { problems: [], asShown: true };
  }
  const stored = await db.jobs.get(id);
  const noted = await db.records.get(id);
  const checked = readJob(stored, noted);
  if (!stored || !checked.ok)
    return {
      problems: checked.ok ? [{ path: id, message: say('jobs.noSuchJob') }] : checked.problems,
      asShown: false,
    };
  const { record } = checked.value;
  const around = await aroundOf(db, id, stored.house);
  const design = inside(checked.value.design, around);
  const revision = { design: stored.revision, record: noted?.revision ?? 1, house: around?.revision ?? 0 };
  const asShown =
    revision.design === base.design &&
    revision.record === base.record &&
    revision.house === (base.house ?? 0);
  const cursor = cursorOf(stored.cursor);
  /** The design is changed, and with it its house where that is the other jobs' affair too. */
  const write = ({ design: next, around: after }: Settled, moved: number) =>
    whole(db, async () => {
      await db.jobs.put({
        ...stored,
        ...storedDesign(next),
        cursor: moved,
        revision: revision.design + 1,
      });
      await db.summaries.put(lineOf(id, next, stored.house));
      if (around && after && stored.house !== undefined && touches(design, next, around, after))
        await db.houses.put({
          id: stored.house,
          house: after.house,
          revision: revision.house + 1,
          updatedAt: Date.now(),
        });
    });
  if (intent.intent !== 'commands') {
    const back = intent.intent === 'undo';
    const due = back ? cursor - 1 : cursor;
    const entry = await db.history.get([id, due]);
    // One step back or forth, if it is still the one that the page offered.
    if (due !== intent.seq || !entry) return { problems: [movedOn(intent.intent, entry)], asShown: false };
    const next = measured(applyPatches(design, [...(back ? entry.inverse : entry.patches)]));
    await write(settled(design, next, around), cursor + (back ? -1 : 1));
    const told = intent.stamp ? steppedBack(record, entry.label, back, intent.stamp) : record;
    if (told !== record) await db.records.put({ id, ...storedRecord(told), revision: revision.record + 1 });
    return { problems: [], asShown: false };
  }
  const done = carriedOut({ design, record }, intent, around);
  if (!done.ok) return { problems: done.problems, asShown };
  const conflicts = asShown ? [] : conflictsOf(replaced, done.value.replaced);
  if (conflicts.length > 0) return { problems: conflicts.map(conflictProblem), asShown };
  const { change } = done.value;
  if (change && change.patches.length > 0) {
    await whole(db, () => remember(db, id, cursor, change));
    await write({ design: done.value.job.design, around: done.value.around }, cursor + 1);
  }
  if (done.value.job.record !== record) {
    await db.records.put({ id, ...storedRecord(done.value.job.record), revision: revision.record + 1 });
    await db.summaries.update(id, { updatedAt: Date.now() });
  }
  await db.journal.delete(seq);
  return { problems: [], asShown };
}

async function remember(
  db: SplitTapDatabase,
  id: string,
  cursor: number,
  { label, patches, inverse }: { label: string; patches: readonly Patch[]; inverse: readonly Patch[] },
): Promise<void> {
  await db.history
    .where('jobId')
    .equals(id)
    .filter(({ seq }) => seq >= cursor || seq < cursor - HISTORY_LIMIT)
    .delete();
  await db.history.put({ jobId: id, seq: cursor, label, patches, inverse });
}

const movedOn = (asked: 'undo' | 'redo', entry: HistoryEntry | undefined): Problem => ({
  path: asked,
  message: say('jobs.jobChangedAnotherTab', {
    entry: entry ? say('jobs.lastChangeNow', { entry: entry.label }) : say('jobs.nothingLeftTakeBack'),
  }),
  wayOut: say('jobs.undoAgain'),
});

/** A cursor of whatever is stored. */
export const cursorOf = (cursor: unknown): number =>
  typeof cursor === 'number' && Number.isInteger(cursor) && cursor >= 0 ? cursor : 0;

export interface CarriedOut {
  readonly job: { readonly design: Design; readonly record: JobRecord };
  readonly change: { label: string; patches: readonly Patch[]; inverse: readonly Patch[] } | null;
  /** The house as it is after it; null where the job stands alone. */
  readonly around: Around | null;
  /** Old values of what it replaces, by place. */
  readonly replaced: Readonly<Record<string, unknown>>;
}

/** Commands on a job: all of them, or none. Pure: the page and the store come to the same. */
export function carriedOut(
  job: Job,
  { commands, stamp }: Extract<JobIntent, { intent: 'commands' }>,
  house: Around | null,
): Checked<CarriedOut> {
  const { design: ofDesign, record: ofRecord } = sorted(commands);
  const changed = ofDesign.length > 0 ? applyCommands(job.design, ofDesign) : null;
  if (changed && !changed.ok) return changed;
  let { record } = job;
  let replaced: Record<string, unknown> = changed ? replacedBy(job.design, changed.value.inverse) : {};
  for (const command of ofRecord) {
    const done = note(record, command);
    if (!done.ok) return done;
    replaced = { ...replacedBy(record, done.value.inverse), ...replaced };
    ({ record } = done.value);
  }
  if (stamp) record = logged(commands, job, record, changed ? changed.value.label : null, stamp);
  const { design, around } = changed
    ? settled(job.design, changed.value.job, house)
    : { design: job.design, around: house };
  return good({ job: { design, record }, change: changed?.value ?? null, around, replaced });
}

const conflictProblem = ({ place, shown, stored }: Conflict): Problem => ({
  path: place,
  message: say('jobs.changedInAnotherTab', {
    now: JSON.stringify(stored),
    shown: JSON.stringify(shown),
  }),
  wayOut: say('jobs.otherTabKept'),
  again: true,
});
