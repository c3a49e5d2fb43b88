import { singlePole } from './single-pole';
import { likeA, withNeutral } from './switch-parts';
import { threeWay } from './three-way';

/** Illuminated switch: its lamp returns on the neutral of what it controls. */
export const illuminated = withNeutral(likeA(singlePole, 'illuminated-single-pole', 'illuminated switch'));
export const illuminatedThreeWay = withNeutral(
  likeA(threeWay, 'illuminated-three-way', 'illuminated 3-way switch'),
);
