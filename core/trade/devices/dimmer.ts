import { singlePole } from './single-pole';
import { likeA } from './switch-parts';
import { threeWay } from './three-way';
import { say } from '../../base/words/devices';

/** Dimmer: one a group at most, and never between two other switches. */
export const dimmer = {
  ...likeA(singlePole, 'dimmer-single-pole', say('dimmer.dimmer')),
  dims: true,
} as const;
export const dimmerThreeWay = {
  ...likeA(threeWay, 'dimmer-three-way', say('dimmer.n3WayDimmer')),
  dims: true,
} as const;
