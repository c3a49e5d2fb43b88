/** Switch places of one part of the house beyond which not every combination is tried. */
export const EXHAUSTIVE_PLACES = 10;

export interface SwitchStates {
  /** Handle positions by device, one entry a state; the first has every handle at rest. */
  readonly states: readonly ReadonlyMap<string, number>[];
  /** False where a sample stands for all combinations. */
  readonly exhaustive: boolean;
}

/**
 * The switch states to prove: every combination up to ten places; beyond, all at rest, all thrown, each alone,
 * each pair, and each alone at rest among all thrown.
 */
export function switchStates(devices: readonly string[]): SwitchStates {
  const n = devices.length;
  const state = (thrown: (index: number) => boolean) =>
    new Map(devices.map((device, index) => [device, thrown(index) ? 1 : 0]));
  if (n <= EXHAUSTIVE_PLACES) {
    return {
      states: Array.from({ length: 2 ** n }, (_, bits) => state((index) => ((bits >> index) & 1) === 1)),
      exhaustive: true,
    };
  }
  const states = [state(() => false), state(() => true)];
  for (let one = 0; one < n; one++) {
    states.push(
      state((index) => index === one),
      state((index) => index !== one),
    );
    for (let two = one + 1; two < n; two++) states.push(state((index) => index === one || index === two));
  }
  return { states, exhaustive: false };
}
