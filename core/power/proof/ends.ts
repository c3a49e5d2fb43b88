import { endsOf } from '../../job/model/lookup';
import type { EndId, Wiring } from '../../job/model/wiring';

/** A conductor end that breaks the law of ends: it is nowhere, or in two places at once. */
export interface StrayEnd {
  readonly end: EndId;
  readonly times: number;
}

/**
 * The law of ends: each end of every conductor is landed, spliced or capped, once (110.14(B)); so is nothing that the
 * wiring has no conductor for. At boxes that are open, at those that stay closed, and at the panel.
 */
export function strayEnds({ cables, splices, terminations, caps }: Wiring): StrayEnd[] {
  const times = new Map<EndId, number>();
  const count = (end: EndId) => times.set(end, (times.get(end) ?? 0) + 1);
  for (const { ends } of splices) ends.forEach(count);
  for (const { end } of terminations) count(end);
  for (const { end } of caps) count(end);
  const known = endsOf({ cables, splices, terminations, caps, devices: [], tails: [] });
  const own = [...known.keys()].map((end) => ({ end, times: times.get(end) ?? 0 }));
  const strange = [...times].flatMap(([end, found]) => (known.has(end) ? [] : [{ end, times: found }]));
  return [...own.filter((one) => one.times !== 1), ...strange];
}
