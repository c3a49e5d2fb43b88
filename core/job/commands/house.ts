import { checkHouse, House } from '../model/house';
import { good, type Checked } from '../model/problem';
import { carry, oneOf, rows, type CommandOf } from './carry';
import { HOUSE_COMMANDS } from './house-table';

/** A change of a house: of all its jobs. */
export type HouseCommand = CommandOf<typeof HOUSE_COMMANDS>;
export const HouseCommand = oneOf<HouseCommand>(HOUSE_COMMANDS);

const HOUSE_ROWS = rows<House>(HOUSE_COMMANDS);

export interface HouseChange {
  readonly house: House;
  readonly label: string;
}

/** Applies a command to a house. Bad input gives problems and changes nothing. */
export function changeHouse(house: House, command: HouseCommand): Checked<HouseChange> {
  const done = carry(HOUSE_ROWS, { person: house.people }, House, checkHouse, house, command);
  return done.ok ? good({ house: done.value.next, label: done.value.label }) : done;
}
