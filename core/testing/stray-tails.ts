import { terminalsOf } from '../job/model/lookup';
import { boxGroundId, tailId, type Wiring } from '../job/model/wiring';

/** Pigtails that lead from or to something the wiring does not have, or two that lead to one screw. */
export function strayTails(wiring: Wiring): string[] {
  const splices = new Set(wiring.splices.map(({ id }) => id));
  const terminals = terminalsOf(wiring);
  const screws = new Set(wiring.splices.map(({ box }) => boxGroundId(box)));
  const seen = new Set<string>();
  return wiring.tails.flatMap(({ id, from, to }) => {
    const starts = from.at === 'splice' ? splices.has(from.splice) : terminals.has(from.terminal);
    const leads = [...splices, ...terminals.keys(), ...screws].some((one) => one === to);
    const twice = seen.has(to);
    seen.add(to);
    return starts && leads && !twice && id === tailId(to) ? [] : [id];
  });
}
