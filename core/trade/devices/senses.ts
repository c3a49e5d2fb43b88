import type { ProtectionKind } from './kind';

/** What a protecting breaker or device senses. */
export interface Senses {
  /** Ground faults of 5 mA: it guards people. */
  readonly people: boolean;
  readonly arcs: boolean;
  /** True where some of the kind also sense ground faults of 30 mA: they guard wiring. */
  readonly share: boolean;
}

/** By what is built in. Common practice: a ground-fault element is the maker's choice in an AFCI. */
export const SENSES: Readonly<Record<ProtectionKind | 'none', Senses>> = {
  none: { people: false, arcs: false, share: false },
  gfci: { people: true, arcs: false, share: false },
  afci: { people: false, arcs: true, share: true },
  dual: { people: true, arcs: true, share: false },
};
