/** A symmetric matrix: its diagonal, and what is above it as (row, column, value) with row < column; doubles add up. */
export interface Symmetric {
  readonly diagonal: Float64Array;
  readonly rows: Int32Array;
  readonly columns: Int32Array;
  readonly values: Float64Array;
}

/**
 * Factors a sparse symmetric positive definite matrix as LDLᵀ, row by row along its elimination tree, in the order in
 * which it is numbered (T. A. Davis, "Algorithm 849", ACM TOMS 31 (4), 2005). Gives the solution for a right side, as an
 * array of its own; null where the matrix is singular or not definite.
 *
 * Every index below lies inside its array, so that no `?? 0` ever gives its 0.
 */
export function factor({
  diagonal,
  rows,
  columns,
  values,
}: Symmetric): ((right: Float64Array) => Float64Array) | null {
  const n = diagonal.length;
  // What is above the diagonal, column by column.
  const start = new Int32Array(n + 1);
  for (const column of columns) start[column + 1] = (start[column + 1] ?? 0) + 1;
  for (let j = 0; j < n; j++) start[j + 1] = (start[j + 1] ?? 0) + (start[j] ?? 0);
  const [row, value] = [new Int32Array(rows.length), new Float64Array(rows.length)];
  const next = start.slice();
  for (let k = 0; k < rows.length; k++) {
    const column = columns[k] ?? 0;
    const slot = next[column] ?? 0;
    row[slot] = rows[k] ?? 0;
    value[slot] = values[k] ?? 0;
    next[column] = slot + 1;
  }

  // The elimination tree, and how many there are in each column of L.
  const parent = new Int32Array(n).fill(-1);
  const count = new Int32Array(n);
  const flag = new Int32Array(n);
  for (let j = 0; j < n; j++) {
    flag[j] = j;
    for (let k = start[j] ?? 0; k < (start[j + 1] ?? 0); k++) {
      for (let i = row[k] ?? 0; flag[i] !== j; i = parent[i] ?? 0) {
        if (parent[i] === -1) parent[i] = j;
        count[i] = (count[i] ?? 0) + 1;
        flag[i] = j;
      }
    }
  }
  const first = new Int32Array(n + 1);
  for (let j = 0; j < n; j++) first[j + 1] = (first[j] ?? 0) + (count[j] ?? 0);

  const [lower, below] = [new Float64Array(first[n] ?? 0), new Int32Array(first[n] ?? 0)];
  const pivots = new Float64Array(n);
  const filled = first.slice(0, n);
  const [sums, pattern, path] = [new Float64Array(n), new Int32Array(n), new Int32Array(n)];
  flag.fill(-1);
  for (let j = 0; j < n; j++) {
    // The columns that row j of L reaches, each after those that it depends on.
    let top = n;
    flag[j] = j;
    for (let k = start[j] ?? 0; k < (start[j + 1] ?? 0); k++) {
      let i = row[k] ?? 0;
      sums[i] = (sums[i] ?? 0) + (value[k] ?? 0);
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

  return (right) => {
    const x = right.slice();
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
    return x;
  };
}
