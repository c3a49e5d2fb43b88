import { singlePole } from './single-pole';
import { likeA, withNeutral } from './switch-parts';
import { threeWay } from './three-way';
import { say } from '../../base/words/devices';

/** Electronic switch, such as a timer or sensor: it needs the neutral of what it controls (404.22). */
export const electronic = {
  ...withNeutral(likeA(singlePole, 'electronic-single-pole', say('electronic.electronicSwitch'))),
  electronic: true,
} as const;
export const electronicThreeWay = {
  ...withNeutral(likeA(threeWay, 'electronic-three-way', say('electronic.electronic3WaySwitch'))),
  electronic: true,
} as const;
