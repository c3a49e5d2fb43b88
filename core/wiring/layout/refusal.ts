import type { Told } from '../../base/words/speak';
/** A thing of the job that a message points at. */
export interface Place {
  readonly kind: 'run' | 'box' | 'circuit' | 'group' | 'device';
  readonly id: string;
}

/** Why a job cannot be wired as wished. An expected outcome, so a value and not an exception. */
export interface Refusal extends Told {
  readonly code:
    | 'panel splice'
    | 'no ground'
    | 'reversed pair'
    | 'bootleg'
    | 'no power'
    | 'too few conductors'
    | 'too many conductors'
    | 'conductor too small'
    | 'two circuits'
    | 'no switch'
    | 'wrong switch'
    | 'closed box'
    | 'same leg'
    | 'search limit';
  readonly at: readonly Place[];
  /** What to do instead where no search finds it; `repairs` gives what does. */
  readonly ways: readonly string[];
}
