import type { Design } from '../../job/model/design';
import { bad, good, type Checked } from '../../job/model/problem';
import { say } from '../../base/words/drills';

export const DRILL_KINDS = ['fault', 'wall', 'make-up'] as const;
export type DrillKind = (typeof DRILL_KINDS)[number];
export const LEVELS = [1, 2, 3] as const;
export type Level = (typeof LEVELS)[number];

/** What makes a drill: the same code makes the same one wherever the same job is. */
export interface DrillCode {
  readonly kind: DrillKind;
  readonly level: Level;
  readonly seed: number;
  readonly job: string;
  /** Tells a job from the same one changed. */
  readonly mark: string;
}

/** Seeds are short to say: under 36⁴. */
export const SEEDS = 36 ** 4;
const CODE = /^(fault|wall|make-up)-([123])-([0-9a-z]{1,4})-([0-9a-z]{4})-([a-z0-9][a-z0-9-]{0,79})$/;

/** `fault-2-k3f9-1a2b-stair` */
export const writeCode = ({ kind, level, seed, job, mark }: DrillCode): string =>
  [kind, level, seed.toString(36), mark, job].join('-');

/** Reads a code as it was shared; blanks around it and capitals do not matter. */
export function readCode(text: string): Checked<DrillCode> {
  const found = CODE.exec(text.trim().toLowerCase());
  const [, kind, level, seed, mark, job] = found ?? [];
  const own = DRILL_KINDS.find((one) => one === kind);
  const stage = LEVELS.find((one) => String(one) === level);
  if (!own || !stage || seed === undefined || mark === undefined || job === undefined)
    return bad({
      path: 'code',
      message: say('code.unreadable', { text: text.trim().slice(0, 80) }),
      wayOut: say('code.wayOut'),
    });
  return good({ kind: own, level: stage, seed: parseInt(seed, 36), mark, job });
}

/** Four signs that go with what a job holds, its id and name left out (FNV-1a). */
export function markOf({ id: _id, name: _name, ...rest }: Design): string {
  let hash = 0x811c9dc5;
  for (const sign of JSON.stringify(rest))
    hash = Math.imul(hash ^ (sign.codePointAt(0) ?? 0), 0x01000193) >>> 0;
  return (hash % SEEDS).toString(36).padStart(4, '0');
}

/** The code against the job that is here under its name. */
export function checkedAgainst(code: DrillCode, job: Design | null): Checked<Design> {
  if (job === null)
    return bad({
      path: 'code',
      message: say('code.noJob', { job: code.job }),
      wayOut: say('code.noJobWayOut'),
    });
  if (markOf(job) !== code.mark)
    return bad({
      path: 'code',
      message: say('code.otherJob', { job: job.name }),
      wayOut: say('code.otherJobWayOut'),
    });
  return good(job);
}
