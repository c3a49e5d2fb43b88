import { applyCommands } from '../commands/command';
import type { Device, Job } from '../model/job';
import { planJob } from '../plan';
import { prove } from '../proof/prove';
import { checkRules } from '../rules/check';
import { Site } from '../rules/site';
import { withDominated, type Option, type Progress } from './option';
import { figuresOf } from './price';
import { waysFor, withoutOutlet } from './ways';

/**
 * Tries every way for an outlet: each is applied, compiled, proved in every switch state, ruled, filled and priced;
 * what does not compile, or does not prove, is dropped. Yields its progress after each, returns what is left.
 */
export function* searchOptions(job: Job, outlet: Device): Generator<Progress, Option[]> {
  const before = withoutOutlet(job, outlet);
  const ways = waysFor(job, outlet);
  const found: Option[] = [];
  const seen = new Set<string>();
  for (const [index, way] of ways.entries()) {
    const option = tryWay(before, way, `way-${index + 1}`);
    const key =
      option && JSON.stringify([option.job.boxes, option.job.devices, option.job.runs, option.job.circuits]);
    if (option && key !== null && !seen.has(key)) {
      seen.add(key);
      found.push(option);
    }
    yield { tried: index + 1, of: ways.length, found: found.length };
  }
  return withDominated(found);
}

/** All at once, for the command line and tests. */
export function allOptions(job: Job, outlet: Device): Option[] {
  const search = searchOptions(job, outlet);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

function tryWay(
  before: Job,
  { way, says, commands }: ReturnType<typeof waysFor>[number],
  id: string,
): Option | null {
  const done = applyCommands(before, commands);
  if (!done.ok) return null;
  const { job } = done.value;
  const outcome = planJob(job);
  if (!outcome.ok) return null;
  const proof = prove(job, outcome.plan.wiring);
  if (proof.findings.length > 0) return null;
  const findings = checkRules(new Site(job, outcome.plan.wiring, [], proof));
  return {
    id,
    way,
    says,
    commands,
    job,
    figures: figuresOf(before, outcome.plan, findings),
    worst: findings
      .filter(({ severity }) => severity === 'stop' || severity === 'code')
      .map(({ rule, message }) => `${rule}: ${message}`),
    statesTried: proof.statesTried,
    dominated: null,
  };
}
