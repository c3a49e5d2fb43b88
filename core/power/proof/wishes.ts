import type { PowerWant } from '../../job/model/design';
import { partKey, type PartKey } from '../../job/model/wiring';

/** What one part was found to be in one switch state. */
export interface Seen {
  readonly key: PartKey;
  readonly positions: ReadonlyMap<string, number>;
  readonly live: boolean;
}

/** What the wishes expect of each part in each switch state. */
export class Wishes {
  /** What each group of several places is with all its handles down: which way up is on is free, so it is seen. */
  private readonly atRest = new Map<string, boolean>();

  private readonly aheadOf = new Map<PartKey, readonly string[]>();

  constructor(
    private readonly wants: ReadonlyMap<PartKey, PowerWant>,
    private readonly places: ReadonlyMap<string, readonly string[]>,
  ) {}

  /**
   * Learns which way up is on. What is live has every switch ahead of it on; what is dead with but one of them
   * unknown and the others on has that one off. What nothing tells is taken as off at rest.
   */
  learn(seen: readonly Seen[]): void {
    for (let before = -1; before !== this.atRest.size;) {
      before = this.atRest.size;
      for (const { key, positions, live } of seen) {
        const ahead = this.ahead(key);
        const open = ahead.filter((group) => this.isSeveral(group) && !this.atRest.has(group));
        const [only] = open;
        if (only === undefined) continue;
        const rest = (group: string, on: boolean) =>
          this.atRest.set(group, this.thrown(group, positions) % 2 === 0 ? on : !on);
        if (live) open.forEach((group) => rest(group, true));
        else if (
          open.length === 1 &&
          ahead.every((group) => group === only || this.isThrown(group, positions))
        )
          rest(only, false);
      }
    }
  }

  /** True where some switch is to turn it on and off. */
  isSwitched = (key: PartKey): boolean => this.ahead(key).length > 0;

  /** The switch places ahead of a part, group by group. */
  switchesAhead = (key: PartKey): readonly (readonly string[])[] =>
    this.ahead(key).map((group) => this.places.get(group) ?? []);

  /** Live if its own control says so, and whatever protecting device feeds it is live too. */
  isOn(key: PartKey, positions: ReadonlyMap<string, number>): boolean {
    return this.ahead(key).every((group) => this.isThrown(group, positions));
  }

  /** The groups that a part is behind: its own, and those of the protecting devices that feed it. */
  private ahead(key: PartKey): readonly string[] {
    const known = this.aheadOf.get(key);
    if (known) return known;
    const groups: string[] = [];
    const walked = new Set<string>();
    for (let at = this.wants.get(key); at;) {
      if (at.control !== null) groups.push(at.control);
      // Protection in a circle is refused long before; that none is walked twice only guards against bad wiring.
      if (at.via === null || walked.has(at.via)) break;
      walked.add(at.via);
      at = this.wants.get(partKey(at.via, 'outlet'));
    }
    const own = [...new Set(groups)];
    this.aheadOf.set(key, own);
    return own;
  }

  private thrown(group: string, positions: ReadonlyMap<string, number>): number {
    return (this.places.get(group) ?? []).filter((device) => positions.get(device) === 1).length;
  }

  private isSeveral = (group: string): boolean => (this.places.get(group) ?? []).length > 1;

  /** A group with several switch places must change with every handle. */
  private isThrown(group: string, positions: ReadonlyMap<string, number>): boolean {
    const thrown = this.thrown(group, positions);
    if (!this.isSeveral(group)) return thrown === 1;
    return (thrown % 2 === 1) !== (this.atRest.get(group) ?? false);
  }

  /** True where the part hangs on the LOAD side of a device, or is its own outlet. */
  isBehind(key: PartKey, device: string): boolean {
    if (key === partKey(device, 'outlet')) return true;
    for (let via = this.wants.get(key)?.via ?? null, depth = 0; via !== null && depth < 20; depth++) {
      if (via === device) return true;
      via = this.wants.get(partKey(via, 'outlet'))?.via ?? null;
    }
    return false;
  }
}
