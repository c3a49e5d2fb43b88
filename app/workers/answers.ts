import { totalVolumeIn3 } from '@core/boxfill/boxes-that-fit';
import { boxFill, countBox } from '@core/boxfill/box-fill';
import { checkPlanLines } from '@core/brief/check-lines';
import { voltageDrops } from '@core/load/voltage-drop';
import { circuitLoad } from '@core/load/load';
import type { Design } from '@core/model/design';
import type { JobRecord } from '@core/model/record';
import { planJob, type Plan } from '@core/plan';
import { prove } from '@core/proof/prove';
import { protectionNeeds } from '@core/protection/needs';
import { findRepairs } from '@core/repairs/repairs';
import { bySeverity, checkRules, DESIGN_RULES, RECORD_RULES } from '@core/rules/check';
import { Site } from '@core/rules/site';
import type { Judged, Planned } from '~/derived';

/** How often something was computed, for tests: what is noted recomputes nothing of the plan. */
export const computed = { plans: 0, proofs: 0, rules: 0 };

/** Lets a newer question be heard. */
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve));

/** A question that a newer one replaced, and one about a design that is not held (any more). */
export type Unanswered = 'replaced' | 'not held';

/**
 * Answers for one design at a time: its plan first, so that it can be drawn, then whether it is right. Without a design
 * the question is about the one before, and only what reads the record is done again. Throws where the program is wrong.
 */
export function answers() {
  let asked = 0;
  let held: Held | null = null;
  return {
    answer: async (
      design: Design | null,
      record: JobRecord,
      planned: (planned: Planned) => void,
    ): Promise<Judged | Unanswered> => {
      const own = ++asked;
      if (design) {
        held = null;
        const next = new Held(design);
        held = next;
        planned(next.planned);
        await breathe();
        if (own !== asked) return 'replaced';
      }
      return held ? held.judged(record) : 'not held';
    },
  };
}

/** What is computed of one design. */
class Held {
  readonly planned: Planned;
  private readonly plan: Plan | null;
  private ofDesign: (Omit<Judged, 'lines'> & { readonly site: Site | null }) | null = null;

  constructor(private readonly job: Design) {
    computed.plans++;
    const outcome = planJob(job);
    this.plan = outcome.ok ? outcome.plan : null;
    const { plan } = this;
    this.planned = {
      outcome:
        outcome.ok && plan
          ? {
              ok: true,
              plan: { ...plan, layout: { trees: plan.layout.trees, notes: plan.layout.notes } },
            }
          : { ok: false, refusals: outcome.ok ? [] : outcome.refusals },
      loads: job.circuits.map((circuit) => circuitLoad(job, circuit)),
      fills: new Map(
        plan
          ? job.boxes.map((box) => [
              box.id,
              boxFill(countBox(plan.wiring, box), totalVolumeIn3(box), job.edition),
            ])
          : [],
      ),
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
    const { job, plan } = this;
    const { outcome } = this.planned;
    if (!plan)
      return {
        site: null,
        proof: null,
        rules: [],
        needs: [],
        drops: [],
        repairs: outcome.ok ? [] : findRepairs(job, outcome.refusals),
      };
    computed.proofs++;
    const proof = prove(job, plan.wiring);
    const site = new Site(job, plan.wiring, [], proof);
    computed.rules++;
    return {
      site,
      proof,
      rules: checkRules(site, DESIGN_RULES),
      needs: protectionNeeds(site),
      drops: voltageDrops(job, plan.wiring),
      repairs: [],
    };
  }
}
