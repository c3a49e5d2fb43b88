import { placeOf, type Change, type Choices, type Side } from '../../base/merge/three-way';
import { mergeJobs, type MergedJob } from '../../job/merge/job';
import { mergeHouses } from '../../job/merge/house';
import type { Design } from '../../job/model/design';
import type { House } from '../../job/model/house';
import type { Job } from '../../job/model/job';
import { problemText } from '../../job/model/problem';
import { standsAgainst } from '../../code/rules/against';
import { drawBox } from '../../wiring/geometry/box-drawing';
import type { BoxDrawing } from '../../wiring/geometry/drawing';
import { planJob, type PlanOutcome } from '../../wiring/plan';
import { say } from '../../base/words/crew';
import { changeWords, houseChangeWords, valueWords, whatCameIn } from './words';

/** What a copy comes to once it is planned, proved and ruled. */
export interface Effect {
  /** It can be wired, nothing that was verified fails, and no rule stops it. */
  readonly stands: boolean;
  readonly says: string;
}

/** One of both values of something that both changed. */
export interface ConflictSide {
  readonly side: Side;
  readonly says: string;
  readonly effect: Effect;
  /** The box that it is about, as it would be; null where it is about none, or cannot be wired. */
  readonly drawing: BoxDrawing | null;
}

/** Something that both changed, each otherwise, or two changes that do not go together: one of both is taken. */
export interface Conflict {
  readonly place: string;
  readonly what: string;
  readonly sides: readonly [ConflictSide, ConflictSide];
  readonly chosen: Side | null;
  readonly isClash: boolean;
  /** Where a change of ours gives way: what else is chosen with it. */
  readonly with: Readonly<Record<Side, readonly (readonly [place: string, side: Side])[]>>;
}

/** Two copies as they come together: in words, with what is still to be chosen. */
interface Met {
  /** "6 check-offs, 2 photos, one run longer": what comes in, a line each. */
  readonly came: readonly string[];
  readonly conflicts: readonly Conflict[];
  readonly effect: Effect;
  /** Nothing is left to choose, and the result is a sound file. */
  readonly whole: boolean;
}

/** Of a job, with the result as it would be kept. */
export interface Together extends Met {
  readonly job: Job;
}

/** Of a house; its jobs come together each by itself. */
export interface HouseTogether extends Met {
  readonly house: House;
}

/** How often leaving something out is tried: each is planned. */
const MOST_TRIED = 200;
/** Conflicts whose effects are worked out: each is planned twice. */
const MOST_EFFECTS = 12;

/**
 * Brings two copies of a job together and says what came of it. `choices`: by place of what both changed, or of a change that
 * does not go with another, whose is taken.
 */
export function bringTogether(base: Job | null, ours: Job, theirs: Job, choices: Choices): Together {
  const merged = mergeJobs(base, ours, theirs, choices);
  const outcome = planOf(merged);
  const open = merged.changes.filter(({ by }) => by === 'conflict');
  const clash =
    merged.open.length === 0 && !outcome?.ok ? clashOf(base, ours, theirs, choices, merged) : null;
  const told = new Teller(base, ours, theirs, choices);
  return {
    job: merged.job,
    came: whatCameIn(merged.changes, ours, theirs),
    conflicts: [
      ...open.map((change, index) => told.conflict(change, index < MOST_EFFECTS)),
      ...(clash ? [told.clash(clash)] : []),
    ],
    effect: effectOf(merged, outcome),
    whole: merged.open.length === 0 && merged.problems.length === 0,
  };
}

/** The same of a house: its panel, its people, its day. */
export function bringHouses(base: House | null, ours: House, theirs: House, choices: Choices): HouseTogether {
  const merged = mergeHouses(base, ours, theirs, choices);
  const [problem] = merged.problems;
  return {
    house: merged.house,
    came: merged.changes.flatMap((change) => (change.by === 'theirs' ? [houseChangeWords(change)] : [])),
    conflicts: merged.changes
      .filter(({ by }) => by === 'conflict')
      .map((change) => pairOf(change, houseChangeWords(change), choices, () => UNKNOWN)),
    effect: problem
      ? { stands: false, says: say('effect.unsound', { why: problemText(problem) }) }
      : { stands: true, says: '' },
    whole: merged.open.length === 0 && merged.problems.length === 0,
  };
}

const planOf = ({ job, problems }: MergedJob): PlanOutcome | null =>
  problems.length > 0 ? null : planJob(job.design);

function effectOf({ job, problems }: MergedJob, outcome: PlanOutcome | null): Effect {
  const [problem] = problems;
  if (problem) return { stands: false, says: say('effect.unsound', { why: problemText(problem) }) };
  if (!outcome?.ok)
    return { stands: false, says: say('effect.refused', { why: outcome?.refusals[0]?.message ?? '' }) };
  const { findings, rules } = standsAgainst(job, outcome.plan.wiring);
  const [finding] = findings;
  if (finding) return { stands: false, says: say('effect.notVerified', { why: finding.message }) };
  const [rule] = rules;
  return rule
    ? { stands: false, says: say('effect.against', { count: rules.length, first: rule.message }) }
    : { stands: true, says: say('effect.verified') };
}

/** Changes of one and of the other that do not go together: as few of each as do when the others are left out. */
interface Clash {
  readonly ours: readonly Change[];
  readonly theirs: readonly Change[];
}

const other = (side: Side): Side => (side === 'ours' ? 'theirs' : 'ours');

/** What of either has to be left out so that the rest stands; null where leaving out is no way. */
function clashOf(
  base: Job | null,
  ours: Job,
  theirs: Job,
  choices: Choices,
  { changes }: MergedJob,
): Clash | null {
  let tried = 0;
  const standsWithout = (left: readonly Change[], side: Side): boolean => {
    if (++tried > MOST_TRIED) return false;
    const merged = mergeJobs(
      base,
      ours,
      theirs,
      new Map([...choices, ...left.map(({ path }) => [placeOf(path), other(side)] as const)]),
    );
    return merged.problems.length === 0 && planJob(merged.job.design).ok;
  };
  const least = (side: Side): readonly Change[] => {
    // Of what both changed, that too which was chosen to be as this side has it.
    let left: readonly Change[] = changes.filter(
      ({ by, path }) =>
        path[0] === 'design' && (by === side || (by === 'conflict' && choices.get(placeOf(path)) === side)),
    );
    if (!standsWithout(left, side)) return [];
    for (const one of left) {
      const fewer = left.filter((kept) => kept !== one);
      if (standsWithout(fewer, side)) left = fewer;
    }
    return left;
  };
  const [own, coming] = [least('ours'), least('theirs')];
  return own.length > 0 && coming.length > 0 ? { ours: own, theirs: coming } : null;
}

/** What both changed, each otherwise, as a pair; each value with what it leads to. */
function pairOf(
  change: Change,
  what: string,
  choices: Choices,
  leadsTo: (side: Side) => Pick<ConflictSide, 'effect' | 'drawing'>,
): Conflict {
  const place = placeOf(change.path);
  const side = (one: Side): ConflictSide => ({
    side: one,
    says: valueWords(change[one]),
    ...leadsTo(one),
  });
  return {
    place,
    what,
    sides: [side('ours'), side('theirs')],
    chosen: choices.get(place) ?? null,
    isClash: false,
    with: { ours: [[place, 'ours']], theirs: [[place, 'theirs']] },
  };
}

class Teller {
  constructor(
    private readonly base: Job | null,
    private readonly ours: Job,
    private readonly theirs: Job,
    private readonly choices: Choices,
  ) {}

  conflict(change: Change, worked: boolean): Conflict {
    const place = placeOf(change.path);
    return pairOf(change, changeWords(change, this.ours, this.theirs), this.choices, (side) =>
      worked ? this.with(new Map([[place, side]]), boxOf(change.path, this.jobOf(side).design)) : UNKNOWN,
    );
  }

  clash({ ours, theirs }: Clash): Conflict {
    const places = (changes: readonly Change[], side: Side) =>
      changes.map(({ path }) => [placeOf(path), side] as const);
    // Ours is taken by leaving theirs out, and the other way round.
    const left = { ours: places(theirs, 'ours'), theirs: places(ours, 'theirs') };
    const side = (one: Side, changes: readonly Change[]): ConflictSide => ({
      side: one,
      says: changes
        .slice(0, 4)
        .map((change) => changeWords(change, this.ours, this.theirs))
        .join(' · '),
      ...this.with(new Map(left[one]), boxOf(changes[0]?.path ?? [], this.jobOf(one).design)),
    });
    return {
      place: JSON.stringify([places(ours, 'ours'), places(theirs, 'theirs')]),
      what: say('clash.notTogether'),
      sides: [side('ours', ours), side('theirs', theirs)],
      chosen: null,
      isClash: true,
      with: left,
    };
  }

  private jobOf = (side: Side): Job => (side === 'ours' ? this.ours : this.theirs);

  private with(more: Choices, box: string | null): Pick<ConflictSide, 'effect' | 'drawing'> {
    const merged = mergeJobs(this.base, this.ours, this.theirs, new Map([...this.choices, ...more]));
    const outcome = planOf(merged);
    const isThere = box !== null && merged.job.design.boxes.some(({ id }) => id === box);
    return {
      effect: effectOf(merged, outcome),
      drawing: outcome?.ok && isThere ? drawBox(outcome.plan, box, { side: 'front' }) : null,
    };
  }
}

const UNKNOWN = { effect: { stands: false, says: '' }, drawing: null } as const;

/** The box that a change is about. */
function boxOf(path: readonly string[], design: Design): string | null {
  const [, list, id] = path;
  if (list === 'boxes') return id ?? null;
  if (list === 'devices') return design.devices.find((one) => one.id === id)?.box ?? null;
  if (list === 'runs') return design.runs.find((one) => one.id === id)?.to ?? null;
  return null;
}
