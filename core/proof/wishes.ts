import type { PowerWant } from '../model/job';
import { partKey } from '../network/network';

/** What the wishes expect of each part in each switch state. */
export class Wishes {
  /** What each group of several places was found to be with all its handles down: which way up is on is free. */
  private readonly atRest = new Map<string, boolean>();

  constructor(
    private readonly wants: ReadonlyMap<string, PowerWant>,
    private readonly places: ReadonlyMap<string, readonly string[]>,
  ) {}

  /** Live if its own control says so, and whatever protecting device feeds it is live too. */
  isOn(key: string, positions: ReadonlyMap<string, number>, live: boolean): boolean {
    const want = this.wants.get(key);
    return want === undefined || this.wantIsOn(want, positions, live, 0);
  }

  private wantIsOn(
    want: PowerWant,
    positions: ReadonlyMap<string, number>,
    live: boolean,
    depth: number,
  ): boolean {
    const source = want.via === null ? undefined : this.wants.get(partKey(want.via, 'outlet'));
    // Protection in a circle is refused long before; the depth only keeps bad wiring from recursing.
    const fed = source === undefined || depth > 20 || this.wantIsOn(source, positions, live, depth + 1);
    return fed && (want.control === null || this.isThrown(want.control, positions, live));
  }

  /** A group with several switch places must change with every handle. */
  private isThrown(control: string, positions: ReadonlyMap<string, number>, live: boolean): boolean {
    const own = this.places.get(control) ?? [];
    const thrown = own.filter((device) => positions.get(device) === 1).length;
    if (own.length <= 1) return thrown === 1;
    const base = this.atRest.get(control) ?? live;
    this.atRest.set(control, base);
    return (thrown % 2 === 1) !== base;
  }

  /** True where the part hangs on the LOAD side of a device, or is its own outlet. */
  isBehind(key: string, device: string): boolean {
    if (key === partKey(device, 'outlet')) return true;
    for (let via = this.wants.get(key)?.via ?? null, depth = 0; via !== null && depth < 20; depth++) {
      if (via === device) return true;
      via = this.wants.get(partKey(via, 'outlet'))?.via ?? null;
    }
    return false;
  }
}
