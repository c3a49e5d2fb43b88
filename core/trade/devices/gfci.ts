import { protecting } from './protecting';
import { say } from '../../base/words/devices';

/** Ground-fault receptacle: opens when 5 mA find another way back. */
export const gfci = protecting('gfci', say('gfci.gfciReceptacle'), 'gfci');
