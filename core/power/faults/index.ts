import { FAULT_IDS, type Fault, type FaultRow, type Wired } from './fault';
import { JOIN_FAULTS } from './joined';
import { LINE_LOAD_FAULTS } from './line-load';
import { LOOK_FAULTS } from './look';
import { OPEN_FAULTS } from './open';
import { SWAP_FAULTS } from './swapped';
import { TAB_FAULTS } from './tabs';

export * from './fault';

/** The mistakes of the trade, in the order of their numbers. Common practice. */
const FAULTS: readonly FaultRow[] = [
  ...TAB_FAULTS,
  ...SWAP_FAULTS,
  ...LINE_LOAD_FAULTS,
  ...OPEN_FAULTS,
  ...JOIN_FAULTS,
  ...LOOK_FAULTS,
].sort((a, b) => FAULT_IDS.indexOf(a.id) - FAULT_IDS.indexOf(b.id));

/** Every fault in every place of a job where it can be. */
export const faultsOf = (wired: Wired): Fault[] =>
  FAULTS.flatMap((row) =>
    row.where(wired).map((placed) => ({ ...placed, row, id: `${row.id} ${placed.key}` })),
  );
