import { totalVolumeIn3 } from '@core/wiring/boxfill/boxes-that-fit';
import { boxFill, countBox } from '@core/wiring/boxfill/box-fill';
import { checkPlanLines } from '@core/code/brief/check-lines';
import { voltageDrops } from '@core/power/load/voltage-drop';
import { circuitLoad } from '@core/power/load/load';
import type { Design } from '@core/job/model/design';
import type { JobRecord } from '@core/job/model/record';
import { planJob, type Plan, type PlanOutcome, shownPlan } from '@core/wiring/plan';
import { prove } from '@core/power/proof/prove';
import { protectionNeeds } from '@core/code/protection/needs';
import { ghostOf } from '@core/choices/repairs/ghost';
import { findRepairs } from '@core/choices/repairs/repairs';
import { bySeverity, checkRules, DESIGN_RULES, RECORD_RULES } from '@core/code/rules/check';
import { Site } from '@core/code/rules/site';
import type { Judged, Planned } from '~/derived';
import { breathe } from './breathe';

/** How often something was computed, for tests: what is noted recomputes nothing of the plan. */
export const computed = { plans: 0, proofs: 0, rules: 0 };

/** Names a design among all that are asked about, on whichever page. */
export type DesignToken = string;

/** A question that a newer one replaced, and one about a design that is not held (any more). */
export type Unanswered = 'replaced' | 'not held';

/**
 * Answers for one design at a time: its plan first, so that it can be drawn, then whether it is right. Without a design
 * the question is about the one that is held under its token, and only what reads the record is done again. Throws where
 * the program is wrong.
 */
export function answers() {
  let asked = 0;
  let held: { readonly token: DesignToken; readonly own: Held } | null = null;
  return {
    answer: async (
      token: DesignToken,
      design: Design | null,
      record: JobRecord,
      planned: (planned: Planned) => void,
    ): Promise<Judged | Unanswered> => {
      const own = ++asked;
      if (design) {
        held = null;
        held = { token, own: new Held(design) };
        planned(held.own.planned);
        await breathe();
        if (own !== asked) return 'replaced';
      }
      return held?.token === token ? held.own.judged(record) : 'not held';
    },
  };
}

/** What is computed of one design. */
class Held {
  readonly planned: Planned;
  private readonly outcome: PlanOutcome;
  private ofDesign: (Omit<Judged, 'lines'> & { readonly site: Site | null }) | null = null;

  constructor(private readonly job: Design) {
    computed.plans++;
    const outcome = planJob(job);
    this.outcome = outcome;
    this.planned = {
      outcome: outcome.ok ? { ok: true, plan: shownPlan(outcome.plan) } : outcome,
      loads: job.circuits.map((circuit) => circuitLoad(job, circuit)),
      fills: outcome.ok ? fillsOf(job, outcome.plan) : new Map(),
    };
  }

  judged(record: JobRecord): Judged {
    const { site, ...own } = (this.ofDesign ??= this.judge());
    const recorded = site ? checkRules(site.withRecord(record), RECORD_RULES) : [];
    return {
      ...own,
      rules: bySeverity([...own.rules, ...recorded]),
      lines: checkPlanLines(record.brief, this.job, this.planned.outcome),
    };
  }

  private judge() {
    const { job, outcome } = this;
    if (!outcome.ok) {
      const repairs = findRepairs(job, outcome.refusals);
      return {
        site: null,
        proof: null,
        rules: [],
        needs: [],
        drops: [],
        repairs,
        ghost: ghostOf(job, outcome.refusals, repairs),
      };
    }
    const { wiring } = outcome.plan;
    computed.proofs++;
    const proof = prove(job, wiring);
    const site = new Site(job, wiring, [], proof);
    computed.rules++;
    return {
      site,
      proof,
      rules: checkRules(site, DESIGN_RULES),
      needs: protectionNeeds(site),
      drops: voltageDrops(job, wiring),
      repairs: [],
      ghost: null,
    };
  }
}

/** The first answer to each of several jobs, in their order. */
export const plannedAll = (jobs: readonly Design[]): readonly Planned[] =>
  jobs.map((job) => new Held(job).planned);

const fillsOf = ({ boxes, edition }: Design, { wiring }: Plan): Planned['fills'] =>
  new Map(boxes.map((box) => [box.id, boxFill(countBox(wiring, box), totalVolumeIn3(box), edition)]));
