/** Every order of the items, the given one first. */
export function* permutations<T>(items: readonly T[]): Generator<T[]> {
  if (items.length <= 1) {
    yield [...items];
    return;
  }
  for (const [index, item] of items.entries()) {
    for (const rest of permutations(items.toSpliced(index, 1))) yield [item, ...rest];
  }
}
