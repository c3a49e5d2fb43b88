import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { factor, type Symmetric } from './ldl';
import { Room } from './room';

/** Entries above the diagonal; the diagonal makes the matrix dominant, as conductances to a reference do. */
const matrix = (n: number, above: readonly (readonly [number, number, number])[], more = 0.1): Symmetric => {
  const diagonal = new Float64Array(n).fill(more);
  for (const [i, j, siemens] of above) {
    diagonal[i]! += siemens;
    diagonal[j]! += siemens;
  }
  const columns = Array.from({ length: n }, (_, j) => above.filter(([a, b]) => Math.max(a, b) === j));
  return {
    size: n,
    diagonal,
    start: Int32Array.of(0, ...columns.map((_, j) => columns.slice(0, j + 1).flat().length)),
    rows: Int32Array.from(columns.flat(), ([i, j]) => Math.min(i, j)),
    values: Float64Array.from(columns.flat(), ([, , siemens]) => -siemens),
  };
};
/** The matrix times a vector, straight from its entries. */
const times = ({ diagonal, start, rows, values }: Symmetric, x: Float64Array): Float64Array => {
  const product = diagonal.map((own, i) => own * x[i]!);
  diagonal.forEach((_, j) => {
    for (let k = start[j]!; k < start[j + 1]!; k++) {
      const i = rows[k]!;
      product[i]! += values[k]! * x[j]!;
      product[j]! += values[k]! * x[i]!;
    }
  });
  return product;
};

/** The room of all: what is left in it of another matrix must not be seen. */
const room = new Room();
const solved = (own: Symmetric, right: readonly number[]): Float64Array => {
  const x = Float64Array.from(right);
  factor(own, room.clear())!(x);
  return x;
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
          const solution = solved(own, right);
          times(own, solution).forEach((value, i) => expect(value).toBeCloseTo(right[i]!, 6));
        },
      ),
    );
  });
  test('two resistors from 1 A to the reference: the volts of Ohm’s law', () => {
    // 4 S to the reference at the first, 2 S between the two, 1 A into the second.
    const own: Symmetric = {
      size: 2,
      diagonal: Float64Array.of(6, 2),
      start: Int32Array.of(0, 0, 1),
      rows: Int32Array.of(0),
      values: Float64Array.of(-2),
    };
    const volts = solved(own, [0, 1]);
    expect(volts[0]).toBeCloseTo(0.25, 12);
    expect(volts[1]).toBeCloseTo(0.75, 12);
  });
  test('one right side after the other, until the room is cleared', () => {
    const solve = factor(matrix(2, [[0, 1, 1]]), room.clear())!;
    const [a, b] = [Float64Array.of(1, 0), Float64Array.of(1, 0)];
    solve(a);
    solve(b);
    expect([...a]).toEqual([...b]);
    expect(a[0]).toBeGreaterThan(a[1]!);
  });
  test('a singular matrix, and one that is not definite, give none', () => {
    expect(factor(matrix(2, [[0, 1, 1]], 0), room.clear())).toBeNull();
    expect(factor({ ...matrix(2, []), diagonal: Float64Array.of(1, -1) }, room.clear())).toBeNull();
    expect(solved(matrix(0, []), [])).toHaveLength(0);
  });
});
