import { protecting } from './protecting';
import { say } from '../../base/words/devices';

/** Arc-fault receptacle: opens on an arc. */
export const afci = protecting('afci', say('afci.afciReceptacle'), 'afci');
