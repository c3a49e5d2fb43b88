import { say } from '../../base/words/standards';

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
  row('led-lamp', say('appliances.ledLamp'), 10, span(17, 23)),
  row('lamp', say('appliances.filamentLamp'), 60, span(17, 23)),
  row('grow-light', say('appliances.growLight'), 120, span(6, 20), { continuous: true }),
  row('humidifier', say('appliances.humidifier'), 40, span(0, 24), { continuous: true }),
  row('television', say('appliances.television'), 150, span(18, 23)),
  row('computer', say('appliances.desktopComputer'), 250, span(8, 18), { continuous: true }),
  row('router', say('appliances.networkBox'), 15, span(0, 24), { continuous: true }),
  row('refrigerator', say('appliances.refrigerator'), 180, span(0, 24), { motor: true }),
  row('freezer', say('appliances.freezer'), 200, span(0, 24), { motor: true }),
  row('microwave', say('appliances.microwaveOven'), 1200, [7, 12, 18]),
  row('toaster', say('appliances.toaster'), 1100, [7, 8]),
  row('kettle', say('appliances.kettle'), 1500, [7, 16]),
  row('coffee-maker', say('appliances.coffeeMaker'), 900, [7, 8, 15]),
  row('hair-dryer', say('appliances.hairDryer'), 1500, [7, 22]),
  row('iron', say('appliances.iron'), 1200, [19]),
  row('vacuum', say('appliances.vacuumCleaner'), 1000, [10], { motor: true }),
  row('heater', say('appliances.spaceHeater'), 1500, span(18, 22), { continuous: true }),
  row('window-ac', say('appliances.windowAirConditioner'), 900, span(13, 22), {
    continuous: true,
    motor: true,
  }),
  row('fan', say('appliances.fan'), 60, span(12, 23), { motor: true, continuous: true }),
  row('washer', say('appliances.washingMachine'), 500, [10, 11], { motor: true }),
  row('disposer', say('appliances.foodWasteDisposer'), 700, [19], { fixed: true, motor: true }),
  row('dishwasher', say('appliances.dishwasher'), 1200, [20, 21], { fixed: true, motor: true }),
  row('bath-heater', say('appliances.bathroomWallHeater'), 1000, [6, 7], { fixed: true }),
  row('garage-opener', say('appliances.garageDoorOpener'), 550, [8, 18], { fixed: true, motor: true }),
  row('sump-pump', say('appliances.sumpPump'), 800, [3, 15], { motor: true }),
];

/** The appliance of that id. */
export const applianceOf = (id: ApplianceId | undefined): Appliance | undefined =>
  APPLIANCES.find((one) => one.id === id);
