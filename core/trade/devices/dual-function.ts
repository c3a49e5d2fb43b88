import { protecting } from './protecting';
import { say } from '../../base/words/devices';

/** Receptacle that protects against both. */
export const dualFunction = protecting('dual-function', say('dualFunction.dualFunctionReceptacle'), 'dual');
