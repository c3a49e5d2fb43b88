import type { Design } from '../../job/model/design';
import type { House } from '../../job/model/house';
import { planJob } from '../../wiring/plan';
import { checkRules } from '../../code/rules/check';
import { siteOf } from '../../code/rules/site';
import { inHouse } from './panel';

/** What a change of the panel does to a job. */
export interface Effect {
  readonly job: string;
  readonly name: string;
  /** Why it can no longer be wired, in words; null where it can, or could not before. */
  readonly refused: string | null;
  /** True where it could not be wired before and can now. */
  readonly mended: boolean;
  /** Hazards and code violations that come, and that go. */
  readonly comes: readonly string[];
  readonly goes: readonly string[];
}

interface Judged {
  readonly refused: string | null;
  readonly against: ReadonlySet<string>;
}

function judged(job: Design): Judged {
  const outcome = planJob(job);
  if (!outcome.ok) return { refused: outcome.refusals[0]?.message ?? '', against: new Set() };
  const against = checkRules(siteOf(outcome.plan)).filter(
    ({ severity }) => severity === 'stop' || severity === 'code',
  );
  return { refused: null, against: new Set(against.map(({ rule, message }) => `${rule}: ${message}`)) };
}

/**
 * What changing a house's panel does to its jobs: each is planned and judged before and after. Jobs whose circuits stay
 * as they were are left out; what is left may still have no effect that counts.
 */
export function effectsOf(before: House, after: House, jobs: readonly Design[]): Effect[] {
  const [old, next] = [inHouse(before, jobs), inHouse(after, jobs)];
  return jobs.flatMap((job, index) => {
    const [was, is] = [old[index] ?? job, next[index] ?? job];
    if (JSON.stringify(was.circuits) === JSON.stringify(is.circuits)) return [];
    const [then, now] = [judged(was), judged(is)];
    return [
      {
        job: job.id,
        name: job.name,
        refused: then.refused === null ? now.refused : null,
        mended: then.refused !== null && now.refused === null,
        comes:
          now.refused === null && then.refused === null
            ? [...now.against].filter((one) => !then.against.has(one))
            : [],
        goes:
          now.refused === null && then.refused === null
            ? [...then.against].filter((one) => !now.against.has(one))
            : [],
      },
    ];
  });
}
