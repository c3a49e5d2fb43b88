import { inSpineOrder } from './layout/canonical';
import { layOut, type Layout } from './layout/layout';
import type { Refusal } from './layout/refusal';
import { makeUp } from './makeup/make-up';
import type { Design } from '../job/model/design';
import type { Wiring } from '../job/model/wiring';

/** A job whose wishes could be wired: its layout and the wiring of every box. */
export interface Plan {
  readonly job: Design;
  readonly layout: Layout;
  readonly wiring: Wiring;
}

/** What is shown of a plan: all of it but what only planning needs. It can be sent from a worker. */
export type ShownPlan = Omit<Plan, 'layout'> & { readonly layout: Pick<Layout, 'trees' | 'notes'> };

/** Of a plan what is shown of it. */
export const shownPlan = ({ layout: { trees, notes }, ...plan }: Plan): ShownPlan => ({
  ...plan,
  layout: { trees, notes },
});

export type ShownOutcome = { ok: true; plan: ShownPlan } | { ok: false; refusals: readonly Refusal[] };

/** As much of a plan as naming and drawing need: what was found in a wall has it too. */
export type Drawable = Pick<Plan, 'job' | 'wiring'> & { readonly layout: Pick<Layout, 'trees'> };

export type PlanOutcome = { ok: true; plan: Plan } | { ok: false; refusals: readonly Refusal[] };

/** From wishes to wiring. Total and deterministic: every valid job is planned, or refused with reasons. */
export function planJob(job: Design): PlanOutcome {
  const ordered = inSpineOrder(job);
  const outcome = layOut(ordered);
  if (!outcome.ok) return outcome;
  return { ok: true, plan: { job, layout: outcome.layout, wiring: makeUp(ordered, outcome.layout) } };
}
