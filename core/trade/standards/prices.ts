import type { WishKind } from '../devices';
import type { BoxFamily } from './boxes';
import { cableRow, type CableType } from './cables';
import type { Gauge } from './conductors';

/*
 * An example of a shop's list, to be replaced by its own: US dollars and minutes. Invented figures; only their order
 * (a combination device with protection costs several times a plain receptacle) is common practice.
 */

/** Null: lights and fans are the customer's, until the shop has a price for them. */
export const DEVICE_USD: Record<WishKind, number | null> = {
  duplex: 3,
  single: 5,
  gfci: 24,
  afci: 38,
  'dual-function': 45,
  combination: 14,
  'combination-gfci': 36,
  luminaire: null,
  'fan-light': null,
  'exhaust-fan': null,
  'radio-receiver': 32,
  'radio-switch': 28,
  switch: 3,
  'illuminated-switch': 9,
  'electronic-switch': 35,
  dimmer: 25,
};

export const BOX_USD: Record<BoxFamily, number> = {
  'nail-on': 3,
  'cut-in': 5,
  'metal device': 4,
  'metal square': 6,
  'metal octagon': 5,
  ceiling: 5,
};

/** Of one conductor by the foot, for pigtails. */
export const WIRE_USD_PER_FT: Record<Gauge, number> = { 14: 0.2, 12: 0.3, 10: 0.45 };

export const BREAKER_USD = { none: 0, gfci: 48, afci: 52, dual: 58 } as const;
export const TIE_USD = 8;

/** Of the plain cable of a gauge, and what one with more insulated conductors costs more. */
const CABLE_USD_PER_FT: Record<Gauge, number> = { 14: 0.45, 12: 0.65, 10: 1 };
const MORE_CONDUCTORS: Readonly<Record<number, number>> = { 2: 1, 3: 1.45, 4: 2 };

/** A cord of hard service costs about three times the cable. */
const CORD = 3;

/** Of a cable or a cord, by the foot. */
export function cableUsdPerFt({
  type,
  cord = false,
}: {
  readonly type: CableType;
  readonly cord?: boolean;
}): number {
  const { gauge, insulated } = cableRow(type);
  return (
    (cord ? CORD : 1) * CABLE_USD_PER_FT[gauge] * (MORE_CONDUCTORS[insulated.length] ?? insulated.length / 2)
  );
}

/** Minutes of work. */
export const MINUTES = {
  deviceChanged: 12,
  deviceNew: 15,
  boxCutIn: 20,
  boxEnlarged: 30,
  boxOpened: 8,
  cablePerFt: 1.2,
  cableStart: 15,
  breaker: 20,
  splice: 2,
  plate: 1,
  panelLanding: 10,
  breakerOff: 5,
  breakerOn: 1,
  deadTest: 3,
  liveTest: 2,
  label: 2,
  wayBox: 1,
  wayRoom: 2,
  wayPanel: 3,
} as const;

/** Small things, one of each; `breaker`: one that protects against nothing more than overload. */
export const PIECE_USD = {
  ring: 3,
  plate: 0.85,
  connector: 0.45,
  staple: 0.06,
  nailPlate: 0.06,
  tape: 3.5,
  cableConnector: 0.9,
  cordConnector: 2.5,
  plug: 7,
  groundScrew: 0.35,
  inUseCover: 9,
  dampCover: 5,
  breaker: 12,
} as const;

/** Plates, connectors and staples for each box touched. */
export const SMALL_PARTS_USD = 2;
export const LABOR_USD_PER_HOUR = 90;
