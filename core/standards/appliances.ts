import { commonPractice } from './source';

/** Ids of what is commonly in use at home. */
export const APPLIANCE_IDS = [
  'led-lamp',
  'lamp',
  'grow-light',
  'humidifier',
  'television',
  'computer',
  'router',
  'refrigerator',
  'freezer',
  'microwave',
  'toaster',
  'kettle',
  'coffee-maker',
  'hair-dryer',
  'iron',
  'vacuum',
  'heater',
  'window-ac',
  'fan',
  'washer',
  'disposer',
  'dishwasher',
  'bath-heater',
  'garage-opener',
  'sump-pump',
] as const;
export type ApplianceId = (typeof APPLIANCE_IDS)[number];

export interface Appliance {
  readonly id: ApplianceId;
  readonly name: string;
  /** Typical draw, W at 120 V. */
  readonly watts: number;
  /** On for three hours or more. */
  readonly continuous: boolean;
  readonly fixed: boolean;
  readonly motor: boolean;
  /** Hours of a day in which it commonly runs, each from 0 to 23. */
  readonly hours: readonly number[];
}

const span = (from: number, to: number): number[] =>
  Array.from({ length: to - from }, (_, index) => from + index);
const row = (
  id: ApplianceId,
  name: string,
  watts: number,
  hours: readonly number[],
  kind: Partial<Pick<Appliance, 'continuous' | 'fixed' | 'motor'>> = {},
): Appliance => ({ id, name, watts, hours, continuous: false, fixed: false, motor: false, ...kind });

/** Typical draw of what is plugged in at home. Typical figures, not a maker's: the nameplate comes first. */
export const APPLIANCES: readonly Appliance[] = [
  row('led-lamp', 'LED lamp', 10, span(17, 23)),
  row('lamp', 'Filament lamp', 60, span(17, 23)),
  row('grow-light', 'Grow light', 120, span(6, 20), { continuous: true }),
  row('humidifier', 'Humidifier', 40, span(0, 24), { continuous: true }),
  row('television', 'Television', 150, span(18, 23)),
  row('computer', 'Desktop computer', 250, span(8, 18), { continuous: true }),
  row('router', 'Network box', 15, span(0, 24), { continuous: true }),
  row('refrigerator', 'Refrigerator', 180, span(0, 24), { motor: true }),
  row('freezer', 'Freezer', 200, span(0, 24), { motor: true }),
  row('microwave', 'Microwave oven', 1200, [7, 12, 18]),
  row('toaster', 'Toaster', 1100, [7, 8]),
  row('kettle', 'Kettle', 1500, [7, 16]),
  row('coffee-maker', 'Coffee maker', 900, [7, 8, 15]),
  row('hair-dryer', 'Hair dryer', 1500, [7, 22]),
  row('iron', 'Iron', 1200, [19]),
  row('vacuum', 'Vacuum cleaner', 1000, [10], { motor: true }),
  row('heater', 'Space heater', 1500, span(18, 22), { continuous: true }),
  row('window-ac', 'Window air conditioner', 900, span(13, 22), { continuous: true, motor: true }),
  row('fan', 'Fan', 60, span(12, 23), { motor: true, continuous: true }),
  row('washer', 'Washing machine', 500, [10, 11], { motor: true }),
  row('disposer', 'Food waste disposer', 700, [19], { fixed: true, motor: true }),
  row('dishwasher', 'Dishwasher', 1200, [20, 21], { fixed: true, motor: true }),
  row('bath-heater', 'Bathroom wall heater', 1000, [6, 7], { fixed: true }),
  row('garage-opener', 'Garage door opener', 550, [8, 18], { fixed: true, motor: true }),
  row('sump-pump', 'Sump pump', 800, [3, 15], { motor: true }),
];

/** The appliance of that id. */
export const applianceOf = (id: ApplianceId | undefined): Appliance | undefined =>
  APPLIANCES.find((one) => one.id === id);

export const APPLIANCE_SOURCE = commonPractice;
