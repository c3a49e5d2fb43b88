import type { Room } from './room';

/**
 * A symmetric matrix of `size` rows: its diagonal, and what is above it column by column: those of column j lie from `start[j]` on, each
 * with its row (< j) and its value; doubles add up.
 */
export interface Symmetric {
  readonly size: number;
  readonly diagonal: Float64Array;
  readonly start: Int32Array;
  readonly rows: Int32Array;
  readonly values: Float64Array;
}

/**
 * Factors a sparse symmetric positive definite matrix as LDLᵀ, row by row along its elimination tree, in the order in
 * which it is numbered (T. A. Davis, "Algorithm 849", ACM TOMS 31 (4), 2005). Gives what turns a right side into the
 * solution, in place, as long as the room is not cleared; null where the matrix is singular or not definite.
 *
 * Every index below lies inside its array, so that no `?? 0` ever gives its 0.
 */
export function factor(
  { size: n, diagonal, start, rows, values }: Symmetric,
  room: Room,
): ((x: Float64Array) => void) | null {
  // The elimination tree, and how many there are in each column of L.
  const [parent, count, flag] = [room.ints(n), room.ints(n), room.ints(n)];
  parent.fill(-1, 0, n);
  for (let j = 0; j < n; j++) {
    flag[j] = j;
    for (let k = start[j] ?? 0; k < (start[j + 1] ?? 0); k++) {
      for (let i = rows[k] ?? 0; flag[i] !== j; i = parent[i] ?? 0) {
        if (parent[i] === -1) parent[i] = j;
        count[i] = (count[i] ?? 0) + 1;
        flag[i] = j;
      }
    }
  }
  const first = room.ints(n + 1);
  for (let j = 0; j < n; j++) first[j + 1] = (first[j] ?? 0) + (count[j] ?? 0);

  const [lower, below] = [room.floats(first[n] ?? 0), room.ints(first[n] ?? 0)];
  const [pivots, sums] = [room.floats(n), room.floats(n)];
  const [filled, pattern, path] = [room.ints(n), room.ints(n), room.ints(n)];
  filled.set(first.subarray(0, n));
  flag.fill(-1, 0, n);
  for (let j = 0; j < n; j++) {
    // The columns that row j of L reaches, each after those that it depends on.
    let top = n;
    flag[j] = j;
    for (let k = start[j] ?? 0; k < (start[j + 1] ?? 0); k++) {
      let i = rows[k] ?? 0;
      sums[i] = (sums[i] ?? 0) + (values[k] ?? 0);
      let length = 0;
      for (; flag[i] !== j; i = parent[i] ?? 0) {
        path[length++] = i;
        flag[i] = j;
      }
      while (length > 0) pattern[--top] = path[--length] ?? 0;
    }
    let pivot = diagonal[j] ?? 0;
    for (; top < n; top++) {
      const i = pattern[top] ?? 0;
      const sum = sums[i] ?? 0;
      sums[i] = 0;
      const end = filled[i] ?? 0;
      for (let k = first[i] ?? 0; k < end; k++) {
        const at = below[k] ?? 0;
        sums[at] = (sums[at] ?? 0) - (lower[k] ?? 0) * sum;
      }
      const share = sum / (pivots[i] ?? 0);
      pivot -= share * sum;
      below[end] = j;
      lower[end] = share;
      filled[i] = end + 1;
    }
    if (!(pivot > 0)) return null;
    pivots[j] = pivot;
  }

  return (x) => {
    for (let j = 0; j < n; j++) {
      const own = x[j] ?? 0;
      for (let k = first[j] ?? 0; k < (first[j + 1] ?? 0); k++) {
        const at = below[k] ?? 0;
        x[at] = (x[at] ?? 0) - (lower[k] ?? 0) * own;
      }
    }
    for (let j = n - 1; j >= 0; j--) {
      let own = (x[j] ?? 0) / (pivots[j] ?? 0);
      for (let k = first[j] ?? 0; k < (first[j + 1] ?? 0); k++)
        own -= (lower[k] ?? 0) * (x[below[k] ?? 0] ?? 0);
      x[j] = own;
    }
  };
}
