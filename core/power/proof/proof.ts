import type { Told } from '../../base/words/speak';
import type { CableId, ConductorId, PartKey } from '../../job/model/wiring';
import { partKey } from '../../job/model/wiring';

/** What a verification can find wrong. */
export type FindingKind =
  | 'not as wished'
  | 'never live'
  | 'never dead'
  | 'live with the breaker off'
  | 'polarity'
  | 'no ground'
  | 'ground carries current'
  | 'ground joined'
  | 'cable does not cancel'
  | 'loop'
  | 'loose end'
  | 'white is hot'
  | 'colored neutral'
  | 'breaker trips'
  | 'protection trips'
  | 'not protected';

/** What a finding is about. */
export type FindingAt =
  | { readonly kind: 'part'; readonly device: string; readonly part: string }
  | { readonly kind: 'device'; readonly device: string }
  | { readonly kind: 'box'; readonly box: string }
  | { readonly kind: 'circuit'; readonly circuit: string }
  | { readonly kind: 'cable'; readonly cable: CableId; readonly run: string }
  | {
      readonly kind: 'conductor';
      readonly conductor: ConductorId;
      readonly run: string;
      readonly box?: string;
    };

export interface Finding extends Told {
  readonly kind: FindingKind;
  readonly at: FindingAt;
}

/** The part that a finding is about, where it is about one. */
export const partOf = ({ at }: Finding): PartKey | null =>
  at.kind === 'part' ? partKey(at.device, at.part) : null;

/** The device that a finding is about, where it is about one or a part of one. */
export const deviceOf = ({ at }: Finding): string | null =>
  at.kind === 'part' || at.kind === 'device' ? at.device : null;

/** One row of the truth table: handle positions, and for each part what it does against the wish. */
export interface ProofRow {
  readonly positions: ReadonlyMap<string, number>;
  readonly cells: readonly ProofCell[];
}

export interface ProofCell {
  readonly part: PartKey;
  readonly volts: number;
  readonly live: boolean;
  readonly wished: boolean;
}

/** The proof of the boxes that can see each other. */
export interface PartProof {
  readonly boxes: readonly string[];
  readonly switches: readonly string[];
  readonly parts: readonly PartKey[];
  readonly rows: readonly ProofRow[];
  /** False where a sample of the switch states stands for all. */
  readonly exhaustive: boolean;
}

export interface Proof {
  readonly parts: readonly PartProof[];
  /** What dies when each test button is pressed: part keys by device. */
  readonly coverage: ReadonlyMap<string, readonly PartKey[]>;
  readonly findings: readonly Finding[];
  readonly statesTried: number;
}

/** Notes a finding; the same one about the same thing is noted once. */
export type Report = (kind: FindingKind, at: FindingAt, told: Told) => void;
