import { singlePole } from './single-pole';
import { likeA } from './switch-parts';
import { threeWay } from './three-way';

/** Dimmer: one a group at most, and never between two other switches. */
export const dimmer = { ...likeA(singlePole, 'dimmer-single-pole', 'dimmer'), dims: true } as const;
export const dimmerThreeWay = { ...likeA(threeWay, 'dimmer-three-way', '3-way dimmer'), dims: true } as const;
