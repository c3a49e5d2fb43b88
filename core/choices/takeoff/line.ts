import { ALLOWANCE_IN, WASTE_PERCENT } from '../../trade/standards/cable-run';

export const AISLES = ['cable', 'boxes', 'devices', 'plates', 'connectors', 'fastening', 'breakers'] as const;
export type Aisle = (typeof AISLES)[number];

/** What is bought of one thing, with the arithmetic behind it. */
export interface TakeOffLine {
  /** Tells it from every other thing that is bought; the same in every job. */
  readonly key: string;
  readonly aisle: Aisle;
  readonly name: string;
  readonly unit: 'ft' | 'each';
  readonly need: number;
  /**
   * Dollars for one until the shop says its own, as written: an example. Invented figures. Null for lights and fans, which are
   * the customer's until the shop has a price for them.
   */
  readonly example: string | null;
  /** The key of the same thing in the color of the house, whose price holds for it until it has its own; null where it is of no color. */
  readonly like: string | null;
  readonly because: readonly string[];
}

/** How much more cable is cut than lies along the route. Common practice; a shop has its own. */
export interface Allowances {
  /** Inside the box and as slack before it, at each end, in. */
  readonly boxIn: number;
  readonly slackIn: number;
  /** At the panel, in place of both: along its side to the farthest breaker and the bars, in. */
  readonly panelIn: number;
  readonly wastePercent: number;
  readonly rollFt: number;
}
export const ALLOWANCES: Allowances = {
  boxIn: ALLOWANCE_IN.inside,
  slackIn: ALLOWANCE_IN.slack,
  panelIn: ALLOWANCE_IN.panel,
  wastePercent: WASTE_PERCENT,
  rollFt: 250,
};

/** What one place takes of a thing: it is added to what the others take. */
export interface Taken extends Pick<TakeOffLine, 'key' | 'aisle' | 'name'> {
  readonly unit?: TakeOffLine['unit'];
  readonly like?: string | null;
  /** Dollars for one, an example; null where it is the customer's. */
  readonly usd: number | null;
  readonly need?: number;
  readonly because: string | readonly string[];
}
