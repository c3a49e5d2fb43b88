import type { Fill } from '@core/wiring/boxfill/box-fill';
import type { LineCheck } from '@core/code/brief/check-lines';
import type { CircuitLoad } from '@core/power/load/load';
import type { Drop } from '@core/power/load/voltage-drop';
import type { Design } from '@core/job/model/design';
import type { JobRecord } from '@core/job/model/record';
import type { ShownOutcome } from '@core/wiring/plan';
import type { Proof } from '@core/power/proof/prove';
import type { OutletNeeds } from '@core/code/protection/needs';
import type { Ghost } from '@core/choices/repairs/ghost';
import type { Repair } from '@core/choices/repairs/repairs';
import type { RuleFinding } from '@core/code/rules/check';

/** What is computed from a design first: it can be drawn. Never stored. */
export interface Planned {
  readonly outcome: ShownOutcome;
  readonly loads: readonly CircuitLoad[];
  /** How full each box is; none where the job is refused. */
  readonly fills: ReadonlyMap<string, Fill>;
}

/** What is computed after that: whether it is right. */
export interface Judged {
  /** Null where the job is refused. */
  readonly proof: Proof | null;
  readonly rules: readonly RuleFinding[];
  readonly needs: readonly OutletNeeds[];
  /** What each loaded outlet and light loses on the way. */
  readonly drops: readonly Drop[];
  /** What would make a refused job compile; empty where it does. */
  readonly repairs: readonly Repair[];
  /** What a refused job lacks, where that is a conductor. */
  readonly ghost: Ghost | null;
  /** How the work stands against each line of the plan. */
  readonly lines: readonly LineCheck[];
}

/** A plan with the design it is of: the one on screen, or the one before the last change. */
export interface PlannedJob extends Planned {
  readonly job: Design;
}

/** The last answer to a job. It stands on screen while the next is worked out. */
export interface Derived {
  /** The same object as long as the plan is the same. */
  readonly plan: PlannedJob;
  readonly record: JobRecord;
  /** The last judgement; null until there is one. */
  readonly judged: Judged | null;
  /** True while it is the judgement of an earlier plan. */
  readonly judging: boolean;
}
