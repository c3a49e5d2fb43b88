/** Things by their id. */
export const byId = <T extends { readonly id: string }>(all: readonly T[]): ReadonlyMap<string, T> =>
  new Map(all.map((one) => [one.id, one]));
