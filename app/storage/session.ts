import { liveQuery } from 'dexie';
import { zodProblems } from '@core/job/model/job-file';
import type { Problem } from '@core/job/model/problem';
import { JobIntent } from './intent';
import { touches } from './around';
import { carriedOut } from './carry-out';
import type { JobStore, OpenJob } from './jobs';
import { notStored } from './not-stored';
import { whoWorks } from './who-works';

/** Names this page among the tabs. */
const TAB = Math.random().toString(36).slice(2);

/**
 * A job that is open on this page: what is shown is written down before it is drawn, carried out on what is stored, and
 * read anew where another tab changed it.
 */
export class JobSession {
  private state: OpenJob;
  private readonly listeners = new Set<() => void>();
  private pending = 0;
  private working: Promise<void> = Promise.resolve();
  private watching: { unsubscribe: () => void } | null = null;

  constructor(
    opened: OpenJob,
    private readonly store: JobStore,
  ) {
    this.state = opened;
  }

  /** Follows what other tabs store, until it is closed. */
  watch(): void {
    this.watching ??= liveQuery(() => this.store.revision(this.state.id)).subscribe({
      next: () => void this.catchUp(),
      error: () => undefined,
    });
  }

  snapshot = (): OpenJob => this.state;
  /** True while something tapped is not carried out yet. */
  busy = (): boolean => this.pending > 0;
  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };
  close(): void {
    this.watching?.unsubscribe();
    this.watching = null;
  }

  /**
   * Carries an intent out. It is checked, shown and sent to the store before this returns. Gives what was wrong with it;
   * nothing where it was done.
   */
  send(asked: unknown): Promise<readonly Problem[]> {
    const read = JobIntent.safeParse(asked);
    if (!read.success) return Promise.resolve(zodProblems(read.error));
    const intent =
      read.data.intent === 'scene'
        ? read.data
        : { ...read.data, stamp: { at: new Date().toISOString(), by: whoWorks() } };
    const base = this.state.revision;
    let replaced: Readonly<Record<string, unknown>> = {};
    let next: OpenJob | null = null;
    if (intent.intent === 'commands') {
      const done = carriedOut(this.state, intent, this.state.around);
      if (!done.ok) return Promise.resolve(done.problems);
      const { job, change, around } = done.value;
      const { around: was } = this.state;
      const shared = was && around ? touches(this.state.design, job.design, was, around) : false;
      const changed = change !== null && change.patches.length > 0;
      const noted = job.record !== this.state.record;
      if (!changed && !noted) return Promise.resolve([]);
      ({ replaced } = done.value);
      next = {
        ...this.state,
        ...job,
        around,
        undo: changed ? { seq: (this.state.undo?.seq ?? -1) + 1, label: change.label } : this.state.undo,
        redo: changed ? null : this.state.redo,
        revision: {
          design: base.design + (changed ? 1 : 0),
          record: base.record + (noted ? 1 : 0),
          house: base.house + (shared ? 1 : 0),
        },
      };
    } else if (intent.intent === 'scene') {
      next = { ...this.state, scene: intent.scene };
    }
    const written = this.store.writeDown({ jobId: this.state.id, tab: TAB, intent, base, replaced });
    this.pending++;
    if (next) this.state = next;
    this.announce();
    return this.settle(written, next === null);
  }

  private settle(written: Promise<number>, unseen: boolean): Promise<readonly Problem[]> {
    const work = this.working.then(async (): Promise<readonly Problem[]> => {
      try {
        const seq = await written;
        const outcomes = await this.store.carryOutAll(this.state.id);
        const own = outcomes.find((one) => one.seq === seq);
        const problems = own ? own.problems : await this.store.refusalOf(seq);
        if (problems.length > 0) await this.store.told(seq);
        // What this page shows is what is stored, unless another tab had a hand in it.
        if (problems.length > 0 || (!unseen && !own?.asShown)) await this.reload(false);
        else if (unseen) await this.reload(true);
        return problems;
      } catch (error) {
        await this.reload(false).catch(() => undefined);
        return [notStored(this.state.id, error)];
      } finally {
        this.pending--;
        this.announce();
        void this.catchUp();
      }
    });
    this.working = work.then(
      () => undefined,
      () => undefined,
    );
    return work;
  }

  /** Shows what is stored now. */
  async refresh(): Promise<void> {
    await this.reload(false);
    this.announce();
  }

  /** Another tab may have stored something. */
  private async catchUp(): Promise<void> {
    if (this.pending > 0) return;
    // A store that is closed has no news.
    const stored = await this.store.revision(this.state.id).catch(() => null);
    const { design, record, house } = this.state.revision;
    if (!stored || this.pending > 0) return;
    if (stored.design === design && stored.record === record && stored.house === house) return;
    await this.reload(true);
    this.announce();
  }

  /** Shows what is stored. `same`: what has the revision that is shown is that very thing, and nothing is computed anew. */
  private async reload(same: boolean): Promise<void> {
    const opened = await this.store.open(this.state.id);
    if (!opened.ok) return;
    const { design, record, revision } = this.state;
    const next = opened.value;
    this.state = {
      ...next,
      design:
        same && next.revision.design === revision.design && next.revision.house === revision.house
          ? design
          : next.design,
      record: same && next.revision.record === revision.record ? record : next.record,
    };
  }

  private announce(): void {
    for (const listener of this.listeners) listener();
  }
}
