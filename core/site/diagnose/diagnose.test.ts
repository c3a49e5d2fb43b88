import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { weighed, WRONG_READING } from './belief';
import { bitsOf, entropy, expectedNarrowing, mostTelling, type Costed } from './narrowing';

/** Hypotheses are sets of outcomes by test; a test is an index. */
interface Toy {
  readonly masks: readonly number[];
}
const prior = () => 1;

describe('belief', () => {
  test('each independent reading that is not explained costs one factor; the same evidence costs it once', () => {
    const beliefs = weighed<number, readonly number[]>([0, 1], [[0], [0], [1]], {
      prior,
      explains:
        ([of]) =>
        (hypothesis) =>
          hypothesis === of,
      evidence: ([of]) => String(of),
    });
    // 0 is at odds with one reading, 1 with two of the same evidence: both with one.
    expect(beliefs.map(({ weightAgainst }) => weightAgainst)).toEqual([1, 1]);
    expect(beliefs.find(({ of }) => of === 1)!.against).toHaveLength(2);
    expect(beliefs.map(({ weight }) => weight)).toEqual([0.5, 0.5]);
  });
  test('weights add to 1 and come most believed first, whatever the readings', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(7), { minLength: 1, maxLength: 9 }), fc.array(fc.nat(2)), (all, read) => {
        const beliefs = weighed(all, read, {
          prior: (one) => one + 1,
          explains: (bit) => (one) => ((one >> bit) & 1) === 1,
          evidence: String,
        });
        expect(beliefs.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9);
        beliefs.slice(1).forEach(({ weight }, at) => expect(weight <= beliefs[at]!.weight).toBe(true));
      }),
    );
  });
});

describe('narrowing', () => {
  test('entropy of equal shares is the logarithm of their number (Shannon 1948)', () => {
    expect(entropy([0.25, 0.25, 0.25, 0.25])).toBeCloseTo(2, 12);
    expect(entropy([1, 0])).toBe(0);
    expect(entropy([])).toBe(0);
    expect(entropy([0, 0])).toBe(0);
    expect(entropy([3, 3, 6])).toBeCloseTo(1.5, 12);
    expect(bitsOf(0b10110)).toEqual([2, 4, 16]);
  });
  const question = (looked: readonly (Toy & { readonly weight: number })[]) => ({
    looked,
    allows: ({ masks }: Toy, { at }: { at: number }) => masks[at]!,
    uncertainty: (weights: ArrayLike<number>) => {
      const all = Array.from(weights);
      const total = all.reduce((sum, weight) => sum + weight, 0);
      return all.reduce((sum, one) => (one > 0 ? sum - (one / total) * Math.log2(one / total) : sum), 0);
    },
  });
  const costed = (at: number, effort: number, live: boolean): Costed & { at: number } => ({
    at,
    effort,
    live,
  });
  test('a test that halves four equal hypotheses tells one bit, less what wrong readings take of it', () => {
    const looked = [1, 1, 2, 2].map((mask) => ({ masks: [mask], weight: 0.25 }));
    const lost = entropy([WRONG_READING / 2, 1 - WRONG_READING / 2]);
    const told = expectedNarrowing(question(looked), { at: 0 }, 2);
    // The channel's noise is not quite symmetric in how belief is kept; it takes between half and all of that.
    expect(told).toBeLessThan(1);
    expect(told).toBeGreaterThan(1 - 2 * lost);
  });
  test('no test tells more than is unknown, and none that shows the same of all tells anything', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 15 }), fc.integer({ min: 1, max: 9 })), {
          minLength: 1,
          maxLength: 8,
        }),
        (drawn) => {
          const total = drawn.reduce((sum, [, weight]) => sum + weight, 0);
          const looked = drawn.map(([mask, weight]) => ({ masks: [mask, 1], weight: weight / total }));
          const own = question(looked);
          const before = own.uncertainty(looked.map(({ weight }) => weight));
          const told = expectedNarrowing(own, { at: 0 }, before);
          expect(told).toBeLessThanOrEqual(before + 1e-9);
          expect(told).toBeGreaterThan(-1e-9);
          expect(Math.abs(expectedNarrowing(own, { at: 1 }, before))).toBeLessThan(1e-9);
        },
      ),
    );
  });
  test('summed by what they show, hypotheses are told apart as one by one', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 31 }), fc.integer({ min: 0, max: 9 })), {
          maxLength: 12,
        }),
        (drawn) => {
          const looked = drawn.map(([mask, weight]) => ({ masks: [mask], weight }));
          const [one, summed] = [question(looked), { ...question(looked), uncertainty: entropy }];
          expect(expectedNarrowing(summed, { at: 0 }, 3)).toBeCloseTo(
            expectedNarrowing(one, { at: 0 }, 3),
            9,
          );
        },
      ),
    );
  });
  test('the best of all tests is found though most are never looked at; a telling dead one comes first', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 6, maxLength: 6 }), {
          minLength: 2,
          maxLength: 6,
        }),
        fc.array(fc.tuple(fc.integer({ min: 1, max: 9 }), fc.boolean()), { minLength: 6, maxLength: 6 }),
        (masks, costs) => {
          const own = question(masks.map((one) => ({ masks: one, weight: 1 / masks.length })));
          const tests = costs.map(([effort, live], at) => costed(at, effort, live));
          const before = own.uncertainty(own.looked.map(({ weight }) => weight));
          const all = tests
            .map((one) => ({ one, told: expectedNarrowing(own, one, before) }))
            .filter(({ told }) => told > 1e-4);
          const top = Math.max(0, ...all.map(({ told }) => told));
          const dead = all.filter(({ one, told }) => !one.live && told > Math.max(0.1, 0.25 * top));
          const best = Math.max(
            0,
            ...(dead.length > 0 ? dead : all).map(({ one, told }) => told / one.effort),
          );
          const [found] = mostTelling(own, tests, 1);
          expect(found ? found.narrowing / found.test.effort : 0).toBeCloseTo(best, 9);
        },
      ),
    );
  });
});
