import type { NetRole } from '../../job/model/wiring';

/** One thing to do at the open box. */
export interface Step {
  readonly id: string;
  readonly stage: 'mark' | 'strip' | NetRole | 'cap' | 'tab' | 'tape' | 'land' | 'fold';
  readonly title: string;
  /** Numbers and where: "5-port lever connector, 2 spare". */
  readonly detail: string;
  /** Why, with its section (from memory) or "common practice". */
  readonly why: string;
  /** Ids of what it handles, to light up in the drawing: splices, tails, ends, terminals, tabs. */
  readonly touches: readonly string[];
}

/** A step with the fingerprint of what it joins with what: a tick holds by that, not by the words. */
export interface NamedStep extends Step {
  readonly does: string;
}
