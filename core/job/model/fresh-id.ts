import { PANEL } from './design';

/** A readable id that is not taken: "Garden door" gives `garden-door`, then `garden-door-2`. */
export function freshId(list: readonly { id: string }[], name: string): string {
  const words = name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 34);
  const base = words || 'item';
  const taken = (id: string) => id === PANEL || list.some((one) => one.id === id);
  if (!taken(base)) return base;
  let number = 2;
  while (taken(`${base}-${number}`)) number++;
  return `${base}-${number}`;
}
