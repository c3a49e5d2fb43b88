import { bitsOf } from '../diagnose/narrowing';
import { CHANGES, lightsBit, NO, YES } from '../../job/seen/outcomes';

/** Bits gathered over switch positions: what stands still in all of them, and what does not. */
export class Steady {
  private readonly now: Uint8Array;
  private readonly every: Uint8Array;
  private readonly any: Uint8Array;

  constructor(size: number) {
    this.now = new Uint8Array(size);
    this.every = new Uint8Array(size).fill(255);
    this.any = new Uint8Array(size);
  }

  add(at: number, mask: number): void {
    this.now[at] = (this.now[at] ?? 0) | mask;
  }

  /** Ends one position. */
  next(finish: (mask: number) => number): void {
    this.now.forEach((mask, at) => {
      const whole = finish(mask);
      this.every[at] = (this.every[at] ?? 0) & whole;
      this.any[at] = (this.any[at] ?? 0) | whole;
    });
    this.now.fill(0);
  }

  allowed(worked: boolean): Uint8Array {
    if (!worked) return this.any;
    return this.any.map((any, at) => (this.every[at] ?? 0) | (bitsOf(any).length > 1 ? CHANGES : 0));
  }
}

/** Switches worked through in full; past that all down, all up, and each alone. */
const FULL_SWITCHES = 2;

/** The positions of the handles that are looked at. */
export function positionsOf(handles: readonly string[]): ReadonlyMap<string, number>[] {
  const all = (up: (index: number) => boolean) =>
    new Map(handles.map((id, index) => [id, up(index) ? 1 : 0]));
  if (handles.length > FULL_SWITCHES) {
    return [all(() => false), all(() => true), ...handles.map((_, at) => all((index) => index === at))];
  }
  return Array.from({ length: 1 << handles.length }, (_, code) =>
    all((index) => ((code >> index) & 1) === 1),
  );
}

/** Every pattern of three lights that the three masks allow. */
export function lightSets(options: readonly number[]): number {
  let patterns: boolean[][] = [[]];
  for (const mask of options) {
    patterns = patterns.flatMap((one) => [
      ...((mask & YES) !== 0 ? [[...one, true]] : []),
      ...((mask & NO) !== 0 ? [[...one, false]] : []),
    ]);
  }
  return patterns.reduce((sum, lights) => sum | lightsBit(lights), 0);
}
