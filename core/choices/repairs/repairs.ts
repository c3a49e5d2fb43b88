import { byId } from '../../base/by-id';
import { applyCommands, type DesignCommand } from '../../job/commands/command';
import type { Refusal } from '../../wiring/layout/refusal';
import type { Design } from '../../job/model/design';
import { planJob, type Plan } from '../../wiring/plan';
import { prove } from '../../power/proof/prove';
import { checkRules } from '../../code/rules/check';
import { Site } from '../../code/rules/site';
import { newCableFt, totalFt } from '../takeoff/bill';
import type { Candidate } from './candidate';
import { candidatesFor } from './candidates';

/** A change that makes a refused job compile, found by trying it. */
export interface Repair {
  readonly says: string;
  /** What of the request it gives up, in words; null where it keeps all of it. Those that give up come last. */
  readonly gives: string | null;
  readonly commands: readonly DesignCommand[];
  /** New cable it takes, ft, and how much else it disturbs; repairs come cheapest first. */
  readonly newCableFt: number;
  readonly trouble: number;
}

/** Pairs of changes tried where no single one does, and repairs offered at most. */
const PAIRS = 120;
const OFFERED = 8;

/**
 * What would make a refused job compile: single changes first, pairs where none of those keeps the request. Each is
 * applied, planned, verified in every switch state and held against the rules that can stop work; what fails is
 * dropped. Cheapest first: new cable and disturbance together; what gives up some of the request after all others.
 */
export function findRepairs(job: Design, refusals: readonly Refusal[]): Repair[] {
  const candidates = unique(refusals.flatMap((refusal) => candidatesFor(job, refusal)));
  const singles = offered(job, candidates);
  if (singles.some(({ gives }) => gives === null)) return singles;
  return [...offered(job, pairs(candidates)), ...singles].sort(byTrouble).slice(0, OFFERED);
}

/** The job after a repair. The commands were tried when it was found. */
export function applyAll(job: Design, commands: readonly DesignCommand[]): Design | null {
  const done = applyCommands(job, commands);
  return done.ok ? done.value.job : null;
}

const cost = ({ newCableFt, trouble }: Repair): number => newCableFt + trouble;
const byTrouble = (a: Repair, b: Repair): number =>
  Number(a.gives !== null) - Number(b.gives !== null) || cost(a) - cost(b);

/** Those that compile, cheapest first, each verified; as many as are worth reading. */
function offered(job: Design, candidates: readonly Candidate[]): Repair[] {
  const compiled = candidates.flatMap((candidate) => {
    const changed = applyAll(job, candidate.commands);
    const outcome = changed && planJob(changed);
    if (!outcome?.ok) return [];
    const { says, gives, commands, trouble } = candidate;
    const repair = {
      says: says(outcome.plan),
      gives,
      commands,
      trouble,
      newCableFt: moreCableFt(job, outcome.plan),
    };
    return [{ repair, plan: outcome.plan }];
  });
  compiled.sort((a, b) => byTrouble(a.repair, b.repair));
  const found: Repair[] = [];
  for (const { repair, plan } of compiled) {
    if (found.length >= OFFERED) break;
    if (isSound(job, plan)) found.push(repair);
  }
  return found;
}

/** Cable that a plan pulls and the job before it had no run for, or an old one in its place, ft. */
const moreCableFt = (job: Design, { wiring }: Plan): number =>
  totalFt(
    newCableFt(wiring, new Set(job.runs.flatMap(({ id, existing }) => (existing === null ? [id] : [])))),
  );

/**
 * Verified, and nothing that can hurt someone is added: a rule that stops work may speak only of a device that was
 * there before and stays as it was, since that is not the repair's doing.
 */
function isSound(before: Design, plan: Plan): boolean {
  const proof = prove(plan.job, plan.wiring);
  if (proof.findings.length > 0) return false;
  const old = byId(before.devices);
  return checkRules(new Site(plan.job, plan.wiring, [], proof)).every(({ severity, at }) => {
    if (severity !== 'stop') return true;
    if (at.kind !== 'device') return false;
    const [was, is] = [old.get(at.id), plan.job.devices.find(({ id }) => id === at.id)];
    return was !== undefined && is !== undefined && was.box === is.box && was.kind === is.kind;
  });
}

function unique(candidates: readonly Candidate[]): Candidate[] {
  return [...new Map(candidates.map((one) => [JSON.stringify(one.commands), one])).values()];
}

function pairs(candidates: readonly Candidate[]): Candidate[] {
  const all = candidates.flatMap((first, index) =>
    candidates.slice(index + 1).map((second): Candidate => ({
      says: (plan) => `${first.says(plan)} ${second.says(plan)}`,
      gives: [first.gives, second.gives].filter((one) => one !== null).join(' ') || null,
      commands: [...first.commands, ...second.commands],
      trouble: first.trouble + second.trouble,
    })),
  );
  const rank = (one: Candidate) => one.trouble + (one.gives === null ? 0 : 1000);
  return all.sort((a, b) => rank(a) - rank(b)).slice(0, PAIRS);
}
