import type { Gauge } from './conductors';

/** Insulation colors met in cable; `bare` is the equipment ground, `white-red` the striped second white of x-2-2. */
export const INSULATIONS = ['black', 'red', 'blue', 'white', 'white-red', 'bare', 'green'] as const;
export type Insulation = (typeof INSULATIONS)[number];

/** NM-B make-ups: insulated conductors beside the bare ground. 12-2-2 carries two hots and two whites. */
export const CABLE_TYPES = [
  '14-2',
  '14-3',
  '14-4',
  '14-2-2',
  '12-2',
  '12-3',
  '12-4',
  '12-2-2',
  '10-2',
  '10-3',
] as const;
export type CableType = (typeof CABLE_TYPES)[number];

const MAKE_UP = {
  '2': ['black', 'white'],
  '3': ['black', 'red', 'white'],
  '4': ['black', 'red', 'blue', 'white'],
  '2-2': ['black', 'white', 'red', 'white-red'],
} as const satisfies Record<string, readonly Insulation[]>;
type MakeUp = keyof typeof MAKE_UP;

export interface CableRow {
  readonly type: CableType;
  readonly gauge: Gauge;
  readonly insulated: readonly Insulation[];
  readonly jacket: 'white' | 'yellow' | 'orange';
}

const JACKETS = { 14: 'white', 12: 'yellow', 10: 'orange' } as const;

const row = (type: CableType): CableRow => {
  const gauge = Number(type.slice(0, 2)) as Gauge;
  return { type, gauge, insulated: MAKE_UP[type.slice(3) as MakeUp], jacket: JACKETS[gauge] };
};

const ROWS = new Map(CABLE_TYPES.map((type) => [type, row(type)]));

/** Gauge, insulated conductors and jacket color (common practice) of a cable make-up. */
export function cableRow(type: CableType): CableRow {
  return ROWS.get(type) ?? row(type);
}

/** Cable make-ups of one gauge, smallest first; equal counts put the plain cable before x-2-2. */
export const cablesOfGauge = (gauge: Gauge): readonly CableRow[] =>
  [...ROWS.values()].filter((candidate) => candidate.gauge === gauge);

export const isWhite = (insulation: Insulation): boolean =>
  insulation === 'white' || insulation === 'white-red';

/** An equipment ground, bare or green. */
export const isGround = (insulation: Insulation): boolean => insulation === 'bare' || insulation === 'green';

/** The letter drawn on a conductor so that color is never the only sign. */
export const LETTERS: Record<Insulation, string> = {
  black: 'B',
  red: 'R',
  blue: 'U',
  white: 'W',
  'white-red': 'W2',
  bare: 'G',
  green: 'G',
};
