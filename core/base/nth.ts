/** What stands at a place of a list that is known to be there. */
export function nth<T>(list: readonly T[], index: number): T {
  const item = list[index];
  if (item === undefined) throw new Error(`Nothing at ${index} of ${list.length}`);
  return item;
}
