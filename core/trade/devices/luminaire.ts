import { say } from '../../base/words/devices';
import { hung } from './hung';

/** A luminaire on its box: the screw shell is the neutral, the center contact the hot. */
export const luminaire = hung(
  { id: 'luminaire', name: say('luminaire.luminaire'), serves: 'light' },
  { id: 'lamp', name: say('luminaire.lamp') },
);
