import { mergeThree, placeOf, type Change, type Choices } from '../../base/merge/three-way';
import { zodProblems } from '../model/job-file';
import { checkHouse, House } from '../model/house';
import type { Problem } from '../model/problem';
import { RULES } from './rules';

/** Two copies of a house brought together; its jobs come together each by itself. */
export interface MergedHouse {
  readonly house: House;
  readonly changes: readonly Change[];
  readonly open: readonly Change[];
  readonly problems: readonly Problem[];
}

/** Brings two copies of a house together against what both grew from; null where nothing is known of it. */
export function mergeHouses(
  base: House | null,
  ours: House,
  theirs: House,
  choices: Choices = new Map(),
): MergedHouse {
  const { value, changes } = mergeThree(base, ours, theirs, RULES, choices);
  const read = House.safeParse(value);
  return {
    house: read.success ? read.data : ours,
    changes,
    open: changes.filter(({ by, path }) => by === 'conflict' && !choices.has(placeOf(path))),
    problems: read.success ? checkHouse(read.data) : zodProblems(read.error),
  };
}
