import { singlePole } from './single-pole';
import { likeA, withNeutral } from './switch-parts';
import { threeWay } from './three-way';
import { say } from '../../base/words/devices';

/** Illuminated switch: its lamp returns on the neutral of what it controls. */
export const illuminated = withNeutral(
  likeA(singlePole, 'illuminated-single-pole', say('illuminated.illuminatedSwitch')),
);
export const illuminatedThreeWay = withNeutral(
  likeA(threeWay, 'illuminated-three-way', say('illuminated.illuminated3WaySwitch')),
);
