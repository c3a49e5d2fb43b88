import type { ProtectionKind } from '../../trade/devices';

/** The one kind that gives what is asked for; null where nothing is. */
export const kindThatGives = (gfci: boolean, afci: boolean): ProtectionKind | null =>
  gfci && afci ? 'dual' : afci ? 'afci' : gfci ? 'gfci' : null;

/** What a breaker or device that gave one kind must be to give another too. */
export function grownBy(before: ProtectionKind | 'none' | undefined, kind: ProtectionKind): ProtectionKind {
  return before === undefined || before === 'none' || before === kind ? kind : 'dual';
}

/** True where the one gives all that the other asks for. */
export const gives = (kind: ProtectionKind | 'none' | undefined, asked: ProtectionKind): boolean =>
  kind === asked || kind === 'dual';

/** The receptacle of each kind. */
export const RECEPTACLE = { gfci: 'gfci', afci: 'afci', dual: 'dual-function' } as const;
