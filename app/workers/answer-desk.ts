import { proxy } from 'comlink';
import type { Design } from '@core/job/model/design';
import type { JobRecord } from '@core/job/model/record';
import type { Derived, Judged, Planned, PlannedJob } from '~/derived';
import type { DesignToken, Unanswered } from './answers';
import { answerWorker, type CoreAsk } from './core';
import { NoAnswer, reasonOf } from './no-answer';

type Answering = (
  token: DesignToken,
  design: Design | null,
  record: JobRecord,
  planned: (planned: Planned) => void,
) => Promise<Judged | Unanswered>;

/** Desks of one page share a worker: each names its designs apart from those of the others. */
let tokens = 0;

interface Question {
  readonly job: Design;
  readonly record: JobRecord;
}

/** What the page knows of its job. */
export interface Answered {
  /** Null until the first answer has come, or where it failed. */
  readonly derived: Derived | null;
  /** Why the last question has no answer, in words; a fault of the program. */
  readonly failed: string | null;
}

/**
 * The answers to the job on screen, worked out beside the page. The last one stands until the next has come; of
 * questions that come faster than answers only the newest is asked. Where no worker can be loaded the page works them
 * out itself.
 */
export class AnswerDesk {
  private state: Answered = { derived: null, failed: null };
  private newest: Question | null = null;
  /** The question that is being answered, and the design that the other side holds. */
  private asking: Question | null = null;
  private planning = false;
  private held: Design | null = null;
  private token: DesignToken = '';
  private answering: Answering;
  private readonly listeners = new Set<() => void>();

  constructor(private readonly core: CoreAsk = answerWorker) {
    this.answering = this.byWorker;
  }

  snapshot = (): Answered => this.state;
  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  /** Asks about a design and what is noted beside it, both by identity: what was asked already is not asked again. */
  ask(job: Design, record: JobRecord): void {
    if (this.newest?.job === job && this.newest.record === record) return;
    this.newest = { job, record };
    if (!this.planning) void this.work();
  }

  /** Asks the newest question again. */
  retry = (): void => {
    this.answering = this.byWorker;
    this.held = null;
    this.state = { ...this.state, failed: null };
    void this.work();
  };

  /** Resolves once there is an answer, or none to be had. */
  first(): Promise<void> {
    return new Promise((resolve) => {
      const stop = this.subscribe(() => {
        stop();
        resolve();
      });
    });
  }

  private readonly byWorker: Answering = (token, design, record, planned) =>
    this.core.ask<Judged | Unanswered>((worker) => worker.answer(token, design, record, proxy(planned)));

  private async work(): Promise<void> {
    const own = this.newest;
    if (!own) return;
    this.asking = own;
    const { job, record } = own;
    const anew = this.held !== job;
    this.planning = anew;
    if (anew) this.token = String(++tokens);
    const planned = (first: Planned): void => {
      if (this.asking !== own) return;
      this.planning = false;
      this.held = job;
      const judged = this.state.derived?.judged ?? null;
      this.show({ plan: ofPage(first, job), record, judged, judging: true });
      if (this.newest !== own) void this.work();
    };
    try {
      const judged = await this.answering(this.token, anew ? job : null, record, planned);
      if (this.asking !== own || judged === 'replaced') return;
      if (judged === 'not held') {
        this.held = null;
        return void this.work();
      }
      const { derived } = this.state;
      if (derived?.plan.job === job) this.show({ ...derived, record, judged, judging: false });
    } catch (error) {
      if (this.asking !== own) return;
      this.planning = false;
      this.held = null;
      // What was asked meanwhile, such as an undo, may well have an answer.
      if (this.newest !== own) return void this.work();
      if (this.answering === this.byWorker && error instanceof NoAnswer && error.code === 'not loaded') {
        this.answering = await here();
        return void this.work();
      }
      this.state = { ...this.state, failed: reasonOf(error) };
      this.tell();
    }
  }

  private show(derived: Derived): void {
    this.state = { derived, failed: null };
    this.tell();
  }

  private tell(): void {
    for (const listener of [...this.listeners]) listener();
  }
}

/** The design of the page, not the copy that was sent and came back. */
const ofPage = (planned: Planned, job: Design): PlannedJob => ({
  ...planned,
  ...(planned.outcome.ok ? { outcome: { ok: true as const, plan: { ...planned.outcome.plan, job } } } : {}),
  job,
});

/** The same answers worked out on the page. */
async function here(): Promise<Answering> {
  const { answers } = await import('./answers');
  return answers().answer;
}
