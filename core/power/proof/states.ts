/** Switch places of one part of the house beyond which not every combination is tried. */
const EXHAUSTIVE_PLACES = 10;

export interface SwitchStates {
  /** Handle positions by device, one entry a state; the first has every handle at rest. */
  readonly states: readonly ReadonlyMap<string, number>[];
  /** False where a sample stands for all combinations. */
  readonly exhaustive: boolean;
}

/**
 * The switch states to try: every combination up to ten places; beyond, all at rest, all thrown, each alone, each
 * pair, each alone at rest among all thrown, and for each part those in which all switches ahead of it are on,
 * whichever way up each group of several is (`ahead`: the switch places of a part, group by group).
 */
export function switchStates(
  devices: readonly string[],
  ahead: readonly (readonly (readonly string[])[])[] = [],
): SwitchStates {
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
  const tried = new Set(states.map(stateKey));
  for (const groups of ahead) {
    const several = groups.filter((places) => places.length > 1).slice(0, MOST_GROUPS);
    for (let bits = 0; bits < 2 ** several.length; bits++) {
      const thrown = new Set(
        groups.flatMap(([first, ...rest]) => {
          if (first === undefined) return [];
          const at = several.findIndex(([one]) => one === first);
          return rest.length === 0 || (at >= 0 && ((bits >> at) & 1) === 1) ? [first] : [];
        }),
      );
      const own = state((index) => thrown.has(devices[index] ?? ''));
      if (tried.has(stateKey(own))) continue;
      tried.add(stateKey(own));
      states.push(own);
    }
  }
  return { states, exhaustive: false };
}

/** Groups of several places ahead of one part beyond which not each way up is tried. */
const MOST_GROUPS = 4;

const stateKey = (state: ReadonlyMap<string, number>): string => [...state.values()].join('');
