import { protecting } from './protecting';

/** Receptacle that protects against both. */
export const dualFunction = protecting('dual-function', 'dual-function receptacle', 'dual');
