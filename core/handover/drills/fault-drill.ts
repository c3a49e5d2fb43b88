import { dice, oneOf } from '../../base/dice';
import { housed, type Fault, type House, type Wired } from '../../power/faults';
import { outcomes, type Study } from '../../site/script/script';
import type { Outcome } from '../../site/script/field-test';
import { bestTester, type BestTester, type Told } from './best-tester';
import type { Level } from './code';

/** A house with one or two mistakes that the player does not know. */
export interface FaultDrill {
  readonly hidden: readonly Fault[];
  readonly house: House;
  /** What every test of the script's list shows in it. */
  readonly shows: readonly Outcome[];
  readonly best: BestTester;
}

/** Tests that a mistake of the first level shows at the least: it is hard to miss. */
const PLAIN_TESTS = 3;
/** Mistakes that a best tester of two pairs up with: enough to be led astray. */
const PAIRED = 12;

/**
 * A drill by its seed: at level 1 a mistake that shows in several tests, at 2 any that some test shows, at 3 two of
 * different kinds of which neither hides the other. Null where the job has none.
 */
export function faultDrill(wired: Wired, study: Study, level: Level, seed: number): FaultDrill | null {
  const random = dice(seed);
  const seen = study.faults.flatMap((fault, index) => {
    const shows = study.shows[index] ?? [];
    const changes = shows.filter((one, test) => one !== study.sound[test]).length;
    return changes > 0 && !fault.row.look ? [{ fault, shows, changes }] : [];
  });
  const plain = seen.filter(({ changes }) => changes >= PLAIN_TESTS);
  const pool = level === 1 && plain.length > 0 ? plain : seen;
  // A kind first, then its place: else the kind with the most places would come up every time.
  const draw = () => {
    const kinds = [...new Set(pool.map(({ fault }) => fault.row))];
    const row = oneOf(kinds, random);
    return oneOf(
      pool.filter(({ fault }) => fault.row === row),
      random,
    );
  };
  const first = draw();
  if (!first) return null;
  const singles: Told[] = seen.map(({ fault, shows }) => ({ shows, weight: fault.row.weight }));
  if (level < 3) {
    const shows = first.shows;
    return {
      hidden: [first.fault],
      house: housed(wired, [first.fault]),
      shows,
      best: bestTester(singles, shows),
    };
  }
  for (let tries = 0; tries < 40; tries++) {
    const second = draw();
    if (!second || second.fault.row === first.fault.row) continue;
    const hidden = [first.fault, second.fault].sort(
      (a, b) => study.faults.indexOf(a) - study.faults.indexOf(b),
    );
    const house = housed(wired, hidden);
    const shows = outcomes(house, study.tests);
    const key = shows.join('|');
    if (key === first.shows.join('|') || key === second.shows.join('|')) continue;
    const others = Array.from({ length: PAIRED }, () => oneOf(seen, random)).flatMap((one) =>
      one ? [one.fault] : [],
    );
    const pairs = hidden.flatMap((one) =>
      others
        .filter(({ row }) => row !== one.row)
        .map((other): Told => ({
          shows: outcomes(housed(wired, [one, other]), study.tests),
          weight: (one.row.weight * other.row.weight) / 10,
        })),
    );
    const told = [...singles, ...pairs, { shows, weight: first.fault.row.weight }];
    return { hidden, house, shows, best: { ...bestTester(told, shows), optimal: false } };
  }
  return faultDrill(wired, study, 2, seed);
}

/** True where the mistakes that were named do what the hidden ones do: no test tells them apart. */
export function isFound(wired: Wired, study: Study, drill: FaultDrill, named: readonly string[]): boolean {
  const faults = study.faults.filter(({ id }) => named.includes(id));
  if (faults.length !== drill.hidden.length) return false;
  return outcomes(housed(wired, faults), study.tests).join('|') === drill.shows.join('|');
}
