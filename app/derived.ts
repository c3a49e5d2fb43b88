import { totalVolumeIn3 } from '@core/boxfill/boxes-that-fit';
import { boxFill, countBox, type Fill } from '@core/boxfill/box-fill';
import { checkPlanLines, type LineCheck } from '@core/brief/check-lines';
import { findRepairs, type Repair } from '@core/repairs/repairs';
import { circuitLoad, type CircuitLoad } from '@core/load/load';
import type { Job } from '@core/model/job';
import { buildNetwork, type Network } from '@core/network/network';
import { planJob, type Plan, type PlanOutcome } from '@core/plan';
import { prove, type Proof } from '@core/proof/prove';
import { checkRules, type RuleFinding } from '@core/rules/check';
import { Site } from '@core/rules/site';

/** What is computed from a job, each part on first use. Never stored. */
export interface Derived {
  readonly job: Job;
  readonly outcome: PlanOutcome;
  readonly loads: readonly CircuitLoad[];
  fill(box: string): Fill | null;
  proof(): Proof | null;
  network(): Network | null;
  /** What would make a refused job compile; empty where it does. */
  repairs(): readonly Repair[];
  readonly lines: readonly LineCheck[];
  /** The compiled job as rules look at it; null where it is refused. */
  site(): Site | null;
  rules(): readonly RuleFinding[];
}

const cache = new Map<string, Derived>();
/** Jobs kept computed: the one on screen and the last few steps of undo. */
const CACHED = 12;

/** By content: the same job computed twice is computed once. */
export function derive(job: Job): Derived {
  const key = JSON.stringify(job);
  const known = cache.get(key);
  if (known) return known;
  const fresh = compute(job);
  cache.set(key, fresh);
  for (const old of [...cache.keys()].slice(0, Math.max(cache.size - CACHED, 0))) cache.delete(old);
  return fresh;
}

function compute(job: Job): Derived {
  const outcome = planJob(job);
  const plan: Plan | null = outcome.ok ? outcome.plan : null;
  let proof: Proof | null = null;
  let network: Network | null = null;
  let repairs: readonly Repair[] | null = null;
  let site: Site | null = null;
  let rules: readonly RuleFinding[] | null = null;
  const proved = () => (plan ? (proof ??= prove(job, plan.wiring)) : null);
  const asSite = () => (plan ? (site ??= new Site(job, plan.wiring, [], proved())) : null);
  return {
    job,
    outcome,
    lines: checkPlanLines(job, outcome),
    repairs: () => (repairs ??= outcome.ok ? [] : findRepairs(job, outcome.refusals)),
    loads: job.circuits.map((circuit) => circuitLoad(job, circuit)),
    fill: (id) => {
      const box = job.boxes.find((one) => one.id === id);
      return plan && box ? boxFill(countBox(plan.wiring, box), totalVolumeIn3(box), job.edition) : null;
    },
    proof: proved,
    site: asSite,
    rules: () => {
      const own = asSite();
      return own ? (rules ??= checkRules(own)) : [];
    },
    network: () => (plan ? (network ??= buildNetwork(plan.wiring, job.circuits)) : null),
  };
}
