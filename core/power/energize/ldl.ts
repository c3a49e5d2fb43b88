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
  // The elimination tree: the parent of a column is the first row below that it reaches.
  const [parent, flag] = [room.ints(n), room.ints(n)];
  parent.fill(-1, 0, n);
  flag.fill(-1, 0, n);
  // L, column by column, each a chain of slots from its last row up to its first; slot 0 ends a chain.
  const last = room.ints(n);
  let most = 4 * (n + (start[n] ?? 0)) + 1;
  let [lower, below, before] = [room.floats(most), room.ints(most), room.ints(most)];
  let slots = 0;
  const [pivots, sums] = [room.floats(n), room.floats(n)];
  const [pattern, path] = [room.ints(n), room.ints(n)];
  for (let j = 0; j < n; j++) {
    // The columns that row j of L reaches, each after those that it depends on.
    let top = n;
    flag[j] = j;
    const end = start[j + 1] ?? 0;
    for (let k = start[j] ?? 0; k < end; k++) {
      let i = rows[k] ?? 0;
      sums[i] = (sums[i] ?? 0) + (values[k] ?? 0);
      let length = 0;
      while (flag[i] !== j) {
        path[length++] = i;
        flag[i] = j;
        if (parent[i] === -1) parent[i] = j;
        i = parent[i] ?? 0;
      }
      while (length > 0) pattern[--top] = path[--length] ?? 0;
    }
    if (slots + n - top >= most) {
      most *= 2;
      [lower, below, before] = [
        copied(lower, room.floats(most)),
        copied(below, room.ints(most)),
        copied(before, room.ints(most)),
      ];
    }
    let pivot = diagonal[j] ?? 0;
    for (; top < n; top++) {
      const i = pattern[top] ?? 0;
      const sum = sums[i] ?? 0;
      sums[i] = 0;
      for (let slot = last[i] ?? 0; slot > 0; slot = before[slot] ?? 0) {
        const at = below[slot] ?? 0;
        sums[at] = (sums[at] ?? 0) - (lower[slot] ?? 0) * sum;
      }
      const share = sum / (pivots[i] ?? 0);
      pivot -= share * sum;
      slots++;
      below[slots] = j;
      lower[slots] = share;
      before[slots] = last[i] ?? 0;
      last[i] = slots;
    }
    if (!(pivot > 0)) return null;
    pivots[j] = pivot;
  }

  return (x) => {
    for (let j = 0; j < n; j++) {
      const own = x[j] ?? 0;
      if (own === 0) continue;
      for (let slot = last[j] ?? 0; slot > 0; slot = before[slot] ?? 0) {
        const at = below[slot] ?? 0;
        x[at] = (x[at] ?? 0) - (lower[slot] ?? 0) * own;
      }
    }
    for (let j = n - 1; j >= 0; j--) {
      let own = (x[j] ?? 0) / (pivots[j] ?? 0);
      for (let slot = last[j] ?? 0; slot > 0; slot = before[slot] ?? 0)
        own -= (lower[slot] ?? 0) * (x[below[slot] ?? 0] ?? 0);
      x[j] = own;
    }
  };
}

function copied<A extends Int32Array | Float64Array>(from: A, to: A): A {
  to.set(from);
  return to;
}
