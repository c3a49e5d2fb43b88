import { protecting } from './protecting';

/** Ground-fault receptacle: opens when 5 mA find another way back. */
export const gfci = protecting('gfci', 'GFCI receptacle', 'gfci');
