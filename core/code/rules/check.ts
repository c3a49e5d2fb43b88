import type { Told } from '../../base/words/speak';
import { RULES } from '.';
import type { At, Fix, Rule, Severity } from './rule';
import type { Site } from './site';

/** What a rule found, ready to show. */
export interface RuleFinding extends Told {
  readonly rule: string;
  readonly title: string;
  readonly severity: Severity;
  /** In the job's edition, from memory; "" where it follows from the wish or the trade. */
  readonly section: string;
  readonly at: At;
  readonly fix: Fix | null;
}

export const SEVERITIES: readonly Severity[] = ['stop', 'code', 'ask', 'craft'];

/** Rules that look at the design alone, and those that look at what was asked and found as well. */
export const DESIGN_RULES: readonly Rule[] = RULES.filter(({ reads }) => reads !== 'record');
export const RECORD_RULES: readonly Rule[] = RULES.filter(({ reads }) => reads === 'record');

/** Worst first. */
export const bySeverity = (findings: readonly RuleFinding[]): RuleFinding[] =>
  [...findings].sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity));

/** Findings of all rules that the job has not set aside, worst first. */
export function checkRules(site: Site, rules: readonly Rule[] = RULES): RuleFinding[] {
  const aside = new Set(site.job.amendments.map(({ rule }) => rule));
  const findings = rules
    .filter(({ id }) => !aside.has(id))
    .flatMap((rule) =>
      rule
        .check(site)
        .filter(({ at }) => !(rule.newWork && site.stands(at)))
        .map(({ at, message, says, severity, fix }): RuleFinding => ({
          rule: rule.id,
          title: rule.title,
          severity: severity ?? rule.severity,
          section: rule.section[site.edition],
          at,
          message,
          says,
          fix: fix ?? null,
        })),
    );
  return bySeverity(findings);
}
