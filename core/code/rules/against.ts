import type { Job } from '../../job/model/job';
import type { Wiring } from '../../job/model/wiring';
import type { Finding } from '../../power/proof/proof';
import { prove } from '../../power/proof/prove';
import { checkRules, DESIGN_RULES, RECORD_RULES, type RuleFinding } from './check';
import { Site } from './site';

/** What stands against a job as it is wired: what its proof finds, and the rules that stop it or that the code has. */
export function standsAgainst(
  { design, record }: Job,
  wiring: Wiring,
): { readonly findings: readonly Finding[]; readonly rules: readonly RuleFinding[] } {
  const proof = prove(design, wiring);
  const site = new Site(design, wiring, [], proof).withRecord(record);
  const rules = checkRules(site, [...DESIGN_RULES, ...RECORD_RULES]).filter(
    ({ severity }) => severity === 'stop' || severity === 'code',
  );
  return { findings: proof.findings, rules };
}
