import { nec } from './source';
import { say } from '../../base/words/standards';

/** Nominal voltage leg to neutral that load arithmetic uses, V. */
export const NOMINAL_V = 120;

/** Share of a breaker that continuous load may use: it counts at 125 %. */
export const CONTINUOUS_FACTOR = 1.25;
export const CONTINUOUS_SOURCE = nec('210.20(A)');

/** Share of a switch's rating that a motor may take (NEC 404.14, from memory). */
export const MOTOR_SHARE = 0.8;

/** Share of a circuit that one cord-and-plug appliance may take. */
export const CORD_AND_PLUG_SHARE = 0.8;
export const CORD_AND_PLUG_SOURCE = nec(say('loads.cordSource'));

/**
 * Largest plug-in load on one receptacle, A (NEC Table 210.21(B)(2), from memory). A 20 A receptacle on a 15 A
 * circuit is not allowed (Table 210.21(B)(3)) and gives `undefined`.
 */
export function maxPlugInA(circuitA: number, receptacleA: 15 | 20): number | undefined {
  if (receptacleA === 15) return circuitA === 15 || circuitA === 20 ? 12 : undefined;
  return circuitA === 20 ? 16 : undefined;
}

/** Things to plug in, with typical draw (typical figures, not a maker's). */
export const PLUG_INS = [
  { id: 'lamp', name: say('loads.lamp'), short: say('loads.lampShort'), watts: 60 },
  { id: 'grow-light', name: say('loads.growLight'), short: say('loads.growLightShort'), watts: 120 },
  { id: 'humidifier', name: say('loads.humidifier'), short: say('loads.humidifierShort'), watts: 40 },
  { id: 'vacuum', name: say('loads.vacuumCleaner'), short: say('loads.vacuumShort'), watts: 1000 },
  { id: 'heater', name: say('loads.spaceHeater'), short: say('loads.heaterShort'), watts: 1500 },
] as const;
export type PlugInId = (typeof PLUG_INS)[number]['id'];

export const plugIn = (id: PlugInId): (typeof PLUG_INS)[number] =>
  PLUG_INS.find((entry) => entry.id === id) ?? PLUG_INS[0];
