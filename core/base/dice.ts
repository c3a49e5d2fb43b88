/** A source of random numbers from 0 to 1 that a seed repeats (mulberry32). */
export function dice(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** One of a list, by a throw. */
export const oneOf = <T>(list: readonly T[], random: () => number): T | undefined =>
  list[Math.floor(random() * list.length)];
