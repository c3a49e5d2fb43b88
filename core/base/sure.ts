/**
 * The value, which is there. Its absence is a bug, and is told as one: it must not pass for the first of a list or for
 * an empty text.
 */
export function sure<T>(value: T | null | undefined, what: string): T {
  if (value === undefined || value === null) throw new Error(`There is no ${what}`);
  return value;
}
