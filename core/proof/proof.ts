/** What a proof can find wrong. */
export type FindingKind =
  | 'not as wished'
  | 'live with the breaker off'
  | 'polarity'
  | 'no ground'
  | 'ground carries current'
  | 'cable does not cancel'
  | 'loop'
  | 'breaker trips'
  | 'protection trips'
  | 'not protected';

export interface Finding {
  readonly kind: FindingKind;
  readonly message: string;
  /** Part key, cable id or conductor id that it is about. */
  readonly at: string;
}

/** One row of the truth table: handle positions, and for each part what it does against the wish. */
export interface ProofRow {
  readonly positions: ReadonlyMap<string, number>;
  readonly cells: readonly ProofCell[];
}

export interface ProofCell {
  readonly part: string;
  readonly volts: number;
  readonly live: boolean;
  readonly wished: boolean;
}

/** The proof of the boxes that are joined to each other by cable. */
export interface PartProof {
  readonly boxes: readonly string[];
  readonly switches: readonly string[];
  readonly parts: readonly string[];
  readonly rows: readonly ProofRow[];
  readonly exhaustive: boolean;
}

export interface Proof {
  readonly parts: readonly PartProof[];
  /** What dies when each test button is pressed: part keys by device. */
  readonly coverage: ReadonlyMap<string, readonly string[]>;
  readonly findings: readonly Finding[];
  readonly statesTried: number;
}

/** Notes a finding; the same one about the same thing is noted once. */
export type Report = (kind: FindingKind, at: string, message: string) => void;
