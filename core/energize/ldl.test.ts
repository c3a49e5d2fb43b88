import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { factor, type Symmetric } from './ldl';

/** Entries above the diagonal; the diagonal makes the matrix dominant, as conductances to a reference do. */
const matrix = (n: number, above: readonly (readonly [number, number, number])[], more = 0.1): Symmetric => {
  const diagonal = new Float64Array(n).fill(more);
  for (const [i, j, siemens] of above) {
    diagonal[i]! += siemens;
    diagonal[j]! += siemens;
  }
  return {
    diagonal,
    rows: Int32Array.from(above, ([i, j]) => Math.min(i, j)),
    columns: Int32Array.from(above, ([i, j]) => Math.max(i, j)),
    values: Float64Array.from(above, ([, , siemens]) => -siemens),
  };
};
/** The matrix times a vector, straight from its entries. */
const times = ({ diagonal, rows, columns, values }: Symmetric, x: Float64Array): Float64Array => {
  const product = diagonal.map((own, i) => own * x[i]!);
  rows.forEach((i, k) => {
    product[i]! += values[k]! * x[columns[k]!]!;
    product[columns[k]!]! += values[k]! * x[i]!;
  });
  return product;
};

describe('LDLᵀ', () => {
  test('what it solves gives back the right side, on random sparse networks', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }).chain((n) =>
          fc.record({
            n: fc.constant(n),
            links: fc.array(fc.tuple(fc.nat(n - 1), fc.nat(n - 1), fc.integer({ min: 1, max: 1000 })), {
              maxLength: 80,
            }),
            right: fc.array(fc.integer({ min: -50, max: 50 }), { minLength: n, maxLength: n }),
          }),
        ),
        ({ n, links, right }) => {
          const own = matrix(
            n,
            links.filter(([i, j]) => i !== j),
          );
          const solution = factor(own)!(Float64Array.from(right));
          times(own, solution).forEach((value, i) => expect(value).toBeCloseTo(right[i]!, 6));
        },
      ),
    );
  });
  test('two resistors from 1 A to the reference: the volts of Ohm’s law', () => {
    // 4 S to the reference at the first, 2 S between the two, 1 A into the second.
    const own: Symmetric = {
      diagonal: Float64Array.of(6, 2),
      rows: Int32Array.of(0),
      columns: Int32Array.of(1),
      values: Float64Array.of(-2),
    };
    const volts = factor(own)!(Float64Array.of(0, 1));
    expect(volts[0]).toBeCloseTo(0.25, 12);
    expect(volts[1]).toBeCloseTo(0.75, 12);
  });
  test('each answer is an array of its own, and the right side is left as it was', () => {
    const solve = factor(matrix(2, [[0, 1, 1]]))!;
    const right = Float64Array.of(1, 0);
    const [a, b] = [solve(right), solve(right)];
    expect(a).not.toBe(b);
    expect([...right]).toEqual([1, 0]);
  });
  test('a singular matrix, and one that is not definite, give none', () => {
    expect(factor(matrix(2, [[0, 1, 1]], 0))).toBeNull();
    expect(factor({ ...matrix(2, []), diagonal: Float64Array.of(1, -1) })).toBeNull();
    expect(factor(matrix(0, []))!(new Float64Array(0))).toHaveLength(0);
  });
});
