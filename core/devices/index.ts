import { duplex } from './duplex';
import type { DeviceKind, PowerPart } from './kind';
import { luminaire } from './luminaire';
import { single } from './single';
import { fourWay, singlePole, threeWay } from './switches';

export type { ControlPart, DeviceKind, Part, PowerPart, Tab, Terminal } from './kind';
export { switchForPlace } from './switches';

/** Kinds a job can ask for. A `switch` becomes single-pole, 3-way or 4-way by the number of places it shares. */
export const WISH_KINDS = ['duplex', 'single', 'luminaire', 'switch'] as const;
export type WishKind = (typeof WISH_KINDS)[number];

const KINDS = [duplex, single, luminaire, singlePole, threeWay, fourWay] as const;
const BY_ID = new Map<string, DeviceKind>(KINDS.map((kind) => [kind.id, kind]));

/** The kind as wired. Throws on an id that no file in this folder defines: that is a bug, not bad input. */
export function deviceKind(id: string): DeviceKind {
  const kind = BY_ID.get(id);
  if (!kind) throw new Error(`No device kind "${id}"`);
  return kind;
}

/** Parts that a job's device of this kind must have wants for. */
export const wishParts = (kind: WishKind) => (kind === 'switch' ? singlePole.parts : deviceKind(kind).parts);

export const powerParts = (kind: DeviceKind): readonly PowerPart[] =>
  kind.parts.filter((part): part is PowerPart => part.does === 'power');
