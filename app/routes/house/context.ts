import { useOutletContext } from 'react-router';
import type { HouseCommand } from '@core/job/commands/house';
import type { OpenHouse } from '~/storage/houses';

/** The open house and what its pages can do with it. */
export interface HouseContext extends OpenHouse {
  readonly run: (command: HouseCommand) => void;
  /** The same, for what other jobs may feel: what it does to them is seen first. */
  readonly ask: (command: HouseCommand) => void;
}

export const useHouse = (): HouseContext => useOutletContext<HouseContext>();
