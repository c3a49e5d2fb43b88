import { dimmer, dimmerThreeWay } from './dimmer';
import { electronic, electronicThreeWay } from './electronic';
import { fourWay } from './four-way';
import { illuminated, illuminatedThreeWay } from './illuminated';
import type { DeviceKind } from './kind';
import { singlePole } from './single-pole';
import { threeWay } from './three-way';

export const SWITCHES = [
  singlePole,
  threeWay,
  fourWay,
  illuminated,
  illuminatedThreeWay,
  electronic,
  electronicThreeWay,
  dimmer,
  dimmerThreeWay,
] as const;

/** Kinds of switch that a job can ask for: which device stands at an only place, and at the end of a chain. */
export const SWITCH_FAMILIES = {
  switch: { alone: singlePole, end: threeWay, between: fourWay },
  'illuminated-switch': { alone: illuminated, end: illuminatedThreeWay, between: null },
  'electronic-switch': { alone: electronic, end: electronicThreeWay, between: null },
  dimmer: { alone: dimmer, end: dimmerThreeWay, between: null },
} as const satisfies Record<string, { alone: DeviceKind; end: DeviceKind; between: DeviceKind | null }>;
export type SwitchFamily = keyof typeof SWITCH_FAMILIES;

/**
 * The switch a place needs, by its rank in the chain of places that control one thing; `null` where that kind
 * cannot stand between two others.
 */
export function switchForPlace(family: SwitchFamily, rank: number, places: number): DeviceKind | null {
  const { alone, end, between } = SWITCH_FAMILIES[family];
  if (places === 1) return alone;
  return rank === 0 || rank === places - 1 ? end : between;
}
