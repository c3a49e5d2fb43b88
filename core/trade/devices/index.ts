import { afci } from './afci';
import { combination } from './combination';
import { combinationGfci } from './combination-gfci';
import { dualFunction } from './dual-function';
import { duplex } from './duplex';
import { exhaustFan } from './exhaust-fan';
import { fanLight } from './fan-light';
import { PLAIN_KINDS, type DeviceKind, type PowerPart, type WiredKind } from './kind';
import { luminaire } from './luminaire';

import { gfci } from './gfci';
import { radioReceiver } from './radio-receiver';
import { radioSwitch } from './radio-switch';
import { single } from './single';
import { SWITCH_FAMILIES, SWITCHES, type SwitchFamily } from './switches';
import { say } from '../../base/words/devices';

export type { ControlPart, DeviceKind, PowerPart, ProtectionKind, Tab, Terminal, WiredKind } from './kind';
export { WIRED_KINDS } from './kind';
export { SENSES } from './senses';
export { switchForPlace, type SwitchFamily } from './switches';

/** Kinds that are wired as they are asked for. */
const FIXED = [
  duplex,
  single,
  gfci,
  afci,
  dualFunction,
  combination,
  combinationGfci,
  luminaire,
  fanLight,
  exhaustFan,
  radioReceiver,
  radioSwitch,
] as const;

/**
 * Kinds a job can ask for. A switch of any family becomes single-pole, 3-way or 4-way by the number of places that
 * control the same thing.
 */
export const WISH_KINDS = [
  ...PLAIN_KINDS,
  'switch',
  'illuminated-switch',
  'electronic-switch',
  'dimmer',
] as const;
export type WishKind = (typeof WISH_KINDS)[number];

const BY_ID = Object.fromEntries([...FIXED, ...SWITCHES].map((kind) => [kind.id, kind])) as Readonly<
  Record<WiredKind, DeviceKind>
>;

/** The kind as wired. */
export const deviceKind = (id: WiredKind): DeviceKind => BY_ID[id];

const isSwitchFamily = (kind: WishKind): kind is WishKind & SwitchFamily => kind in SWITCH_FAMILIES;
export const switchFamily = (kind: WishKind): SwitchFamily | null => (isSwitchFamily(kind) ? kind : null);

/** The kind that a wish kind has before its places are counted: a switch as if it were alone. */
export function wishKind(kind: WishKind): DeviceKind {
  return isSwitchFamily(kind) ? SWITCH_FAMILIES[kind].alone : deviceKind(kind);
}

/** What people call a device that was asked for: a plain switch is a switch, whatever it becomes. */
export const wishName = (kind: WishKind): string =>
  wishKind(kind).equalScrews ? say('index.switch') : wishKind(kind).name;

export const powerParts = (kind: DeviceKind): readonly PowerPart[] =>
  kind.parts.filter((part): part is PowerPart => part.does === 'power');
