declare module 'cholesky-solve' {
  /**
   * Factors a sparse symmetric positive definite matrix given as its upper triangle, `[row, column, value]` with
   * row ≤ column, repeated places summed. Gives a solver for right-hand sides (which reuses its output array),
   * or null when a pivot is zero.
   */
  export function prepare(
    upper: readonly (readonly [number, number, number])[],
    size: number,
    permutation: null,
  ): ((rightHandSide: readonly number[] | Float64Array) => number[]) | null;
}
