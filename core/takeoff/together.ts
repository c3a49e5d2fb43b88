import { say } from '../words/takeoff';
import { AISLES, type TakeOffLine } from './list';

/** The take-off of several jobs as one: like things counted together, each reason with its job. */
export function together(
  lists: readonly { readonly job: string; readonly lines: readonly TakeOffLine[] }[],
): TakeOffLine[] {
  const sums = new Map<string, TakeOffLine>();
  for (const { job, lines } of lists)
    for (const line of lines) {
      const because = line.because.map((reason) => say('together.of', { job, reason }));
      const known = sums.get(line.key);
      sums.set(
        line.key,
        known
          ? { ...known, need: known.need + line.need, because: [...known.because, ...because] }
          : { ...line, because },
      );
    }
  return [...sums.values()].sort((a, b) => AISLES.indexOf(a.aisle) - AISLES.indexOf(b.aisle));
}
