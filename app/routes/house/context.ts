import { useOutletContext } from 'react-router';
import type { HouseCommand } from '@core/commands/house';
import type { OpenHouse } from '~/storage/houses';

/** The open house and what its pages can do with it. */
export interface HouseContext extends OpenHouse {
  readonly run: (command: HouseCommand) => void;
}

export const useHouse = (): HouseContext => useOutletContext<HouseContext>();
