import { applyCommands } from '../../job/commands/command';
import type { Device, Design } from '../../job/model/design';
import { planJob } from '../../wiring/plan';
import type { Finding } from '../../power/proof/proof';
import { prove } from '../../power/proof/prove';
import { checkRules, type RuleFinding } from '../../code/rules/check';
import { Site } from '../../code/rules/site';
import { CARDS, EVEN, ranked, withDominated, type Option, type Progress } from './option';
import { EXAMPLE_SHOP } from '../takeoff/shop';
import { figuresOf, type Prices } from './price';
import { protectedWays } from './protect';
import { carriedWay, waysFor, type Way } from './ways';
import { wishOf, withoutOutlet } from './wish';

/**
 * Tries every way for an outlet: each is applied, compiled, proved in every switch state, ruled, filled and priced;
 * what does not compile, or does not prove, is dropped. What is found wanting protection is tried with it, too. Yields
 * its progress after each, returns what is left. `prices`: the shop's own.
 */
export function* searchOptions(
  job: Design,
  outlet: Device,
  prices: Prices = EXAMPLE_SHOP,
): Generator<Progress, Option[]> {
  const base = withoutOutlet(job, outlet);
  const wish = base && wishOf(job, base, outlet);
  if (!wish) return [];
  const before = troublesOf(base);
  const ideas = waysFor(job, base, wish);
  const ways: (() => Way | null)[] = ideas.map((idea) => () => carriedWay(base, idea));
  const found: Option[] = [];
  const seen = new Set<string>();
  let best: readonly Option[] = [];
  for (const [index, wayOf] of ways.entries()) {
    const way = wayOf();
    const tried = way && tryWay(base, before, way, `way-${index + 1}`, prices);
    if (tried) {
      const { option, findings } = tried;
      const key = JSON.stringify([
        option.job.boxes,
        option.job.devices,
        option.job.runs,
        option.job.circuits,
      ]);
      if (!seen.has(key)) {
        seen.add(key);
        found.push(option);
        const now = ranked(withDominated(found), EVEN).slice(0, CARDS);
        if (now.some(({ id }, place) => id !== best[place]?.id)) best = now;
        if (index < ideas.length)
          ways.push(...protectedWays(base, way, wish, findings).map((one) => () => one));
      }
    }
    yield { tried: index + 1, of: ways.length, found: found.length, best };
  }
  return withDominated(found);
}

/** All at once, for the command line and tests. */
export function allOptions(job: Design, outlet: Device, prices?: Prices): Option[] {
  const search = searchOptions(job, outlet, prices);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

/** What the wiring has already, before anything is added: no way is stopped by it, and none is charged with it. */
interface Troubles {
  readonly proof: ReadonlySet<string>;
  readonly rules: ReadonlySet<string>;
}

const proofKey = ({ kind, at }: Finding): string => JSON.stringify([kind, at]);
const ruleKey = ({ rule, at, message }: RuleFinding): string => JSON.stringify([rule, at, message]);

function troublesOf(base: Design): Troubles {
  const outcome = planJob(base);
  if (!outcome.ok) return { proof: new Set(), rules: new Set() };
  const proof = prove(base, outcome.plan.wiring);
  const findings = checkRules(new Site(base, outcome.plan.wiring, [], proof));
  return { proof: new Set(proof.findings.map(proofKey)), rules: new Set(findings.map(ruleKey)) };
}

function tryWay(
  before: Design,
  had: Troubles,
  { way, says, commands }: Way,
  id: string,
  prices: Prices,
): { option: Option; findings: readonly RuleFinding[] } | null {
  const done = applyCommands(before, commands);
  if (!done.ok) return null;
  const { job } = done.value;
  const outcome = planJob(job);
  if (!outcome.ok) return null;
  const proof = prove(job, outcome.plan.wiring);
  if (proof.findings.some((one) => !had.proof.has(proofKey(one)))) return null;
  const all = checkRules(new Site(job, outcome.plan.wiring, [], proof));
  const findings = all.filter((one) => !had.rules.has(ruleKey(one)));
  const guessed = job.runs.some(
    ({ id, existing, route }) =>
      existing === null && route === 'given' && !before.runs.some((one) => one.id === id),
  );
  const option = {
    id,
    way,
    says,
    commands,
    job,
    figures: figuresOf(before, outcome.plan, findings, prices),
    worst: findings
      .filter(({ severity }) => severity === 'stop' || severity === 'code')
      .map(({ rule, severity, message }) => ({ severity, says: `${rule}: ${message}` })),
    guessed,
    statesTried: proof.statesTried,
    dominated: null,
  };
  // Protection is tried wherever it is asked for, also where the circuit wanted it before.
  return { option, findings: all };
}
