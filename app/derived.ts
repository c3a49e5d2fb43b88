import { totalVolumeIn3 } from '@core/boxfill/boxes-that-fit';
import { boxFill, countBox, type Fill } from '@core/boxfill/box-fill';
import { checkPlanLines, type LineCheck } from '@core/brief/check-lines';
import { findRepairs, type Repair } from '@core/repairs/repairs';
import { circuitLoad, type CircuitLoad } from '@core/load/load';
import type { Design } from '@core/model/design';
import type { JobRecord } from '@core/model/record';
import { buildNetwork, type Network } from '@core/network/network';
import { planJob, type PlanOutcome } from '@core/plan';
import { prove, type Proof } from '@core/proof/prove';
import { bySeverity, checkRules, DESIGN_RULES, RECORD_RULES, type RuleFinding } from '@core/rules/check';
import { Site } from '@core/rules/site';

/** What is computed from a design, each part on first use. Never stored. */
export interface Derived {
  readonly job: Design;
  readonly outcome: PlanOutcome;
  readonly loads: readonly CircuitLoad[];
  fill(box: string): Fill | null;
  proof(): Proof | null;
  network(): Network | null;
  /** What would make a refused job compile; empty where it does. */
  repairs(): readonly Repair[];
  /** The compiled job as rules look at it; null where it is refused. */
  site(): Site | null;
  rules(): readonly RuleFinding[];
}

/** The same with what was asked and found: how the work stands against it. */
export interface DerivedJob extends Derived {
  readonly record: JobRecord;
  readonly lines: readonly LineCheck[];
}

/** Computes a value on first use and keeps it. */
function once<T>(compute: () => T): () => T {
  let kept: { readonly value: T } | null = null;
  return () => (kept ??= { value: compute() }).value;
}

const designs = new WeakMap<Design, Derived>();
const jobs = new WeakMap<Design, { readonly record: JobRecord; readonly derived: DerivedJob }>();

/** How often something was computed, for tests: a tap recomputes only what it can reach. */
export const computed = { plans: 0, proofs: 0, rules: 0 };

/** By identity: a design that was not changed is not computed again, whatever is noted beside it. */
export function derive(job: Design, record: JobRecord): DerivedJob {
  const known = jobs.get(job);
  if (known?.record === record) return known.derived;
  const own = designs.get(job) ?? compute(job);
  designs.set(job, own);
  const recorded = once(() => {
    const site = own.site()?.withRecord(record);
    return site ? checkRules(site, RECORD_RULES) : [];
  });
  const derived: DerivedJob = {
    ...own,
    record,
    lines: checkPlanLines(record.brief, job, own.outcome),
    rules: once(() => bySeverity([...own.rules(), ...recorded()])),
  };
  jobs.set(job, { record, derived });
  return derived;
}

function compute(job: Design): Derived {
  computed.plans++;
  const outcome = planJob(job);
  const plan = outcome.ok ? outcome.plan : null;
  const proof = once((): Proof | null => {
    if (!plan) return null;
    computed.proofs++;
    return prove(job, plan.wiring);
  });
  const site = once(() => (plan ? new Site(job, plan.wiring, [], proof()) : null));
  return {
    job,
    outcome,
    repairs: once(() => (outcome.ok ? [] : findRepairs(job, outcome.refusals))),
    loads: job.circuits.map((circuit) => circuitLoad(job, circuit)),
    fill: (id) => {
      const box = job.boxes.find((one) => one.id === id);
      return plan && box ? boxFill(countBox(plan.wiring, box), totalVolumeIn3(box), job.edition) : null;
    },
    proof,
    site,
    rules: once(() => {
      const own = site();
      if (!own) return [];
      computed.rules++;
      return checkRules(own, DESIGN_RULES);
    }),
    network: once(() => (plan ? buildNetwork(plan.wiring, job.circuits) : null)),
  };
}
