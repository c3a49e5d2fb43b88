import type { Shop } from '../takeoff/shop';

/** What is done. `mount`: devices landed and folded in; `cover`: a blank cover over splices alone. */
export type Does =
  | 'off'
  | 'open'
  | 'set'
  | 'drill'
  | 'cable'
  | 'make up'
  | 'mount'
  | 'cover'
  | 'land'
  | 'breaker'
  | 'dead test'
  | 'on'
  | 'live test'
  | 'plate'
  | 'label';

/** Rows of the labor table, each how many times. */
export type Labor = Readonly<Partial<Record<keyof Shop['minutes'], number>>>;

export interface Task {
  /** What is done, to what: the same as long as the plan has it. */
  readonly id: string;
  readonly does: Does;
  /** The box, or the panel. */
  readonly place: string;
  /** Of one person, whole minutes, 1 or more. */
  readonly minutes: number;
  readonly labor: Labor;
  /** How many would do it together where there are as many. */
  readonly hands: 1 | 2;
  /** Only by a qualified person: at the panel, or live (NFPA 70E 110.4(A), from memory). */
  readonly qualified: boolean;
  /** The first visit is 1. */
  readonly visit: 1 | 2 | 3;
  readonly after: readonly string[];
  /** Numbers of the circuits that are off while it is done: their breakers are locked, and they were proved dead. */
  readonly dead: readonly string[];
  /** Numbers of the circuits that it is about: breaker off, on, tests, landing. */
  readonly circuits: readonly string[];
  /** The cable, where it is one. */
  readonly run: string | null;
}
