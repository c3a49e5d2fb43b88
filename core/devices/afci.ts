import { protecting } from './protecting';

/** Arc-fault receptacle: opens on an arc. */
export const afci = protecting('afci', 'AFCI receptacle', 'afci');
