import type { PartKey } from '../../../job/model/wiring';
import type { Site } from '../site';

/** True where a part is dead in some switch state in which it is meant to be: its polarity fails by a switch. */
export function opensNeutral(site: Site, key: PartKey | null): boolean {
  const group = site.users.find((user) => user.key === key)?.want.control ?? null;
  if (group === null) return false;
  return site.proof.parts.some(({ rows }) =>
    rows.some(({ cells }) => cells.some(({ part, live, wished }) => part === key && !wished && !live)),
  );
}
