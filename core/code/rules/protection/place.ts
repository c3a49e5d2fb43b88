import type { Box } from '../../../job/model/design';
import type { Site } from '../site';
import type { Place } from './gfci-need';
import { say } from '../../../base/words/rules';

export const REACH_SAYS = {
  open: 'open',
  ceiling: 'a ceiling',
  'behind appliance': say('place.behindAppliance'),
  'above reach': 'above reach',
  'in cabinet': say('place.insideCabinet'),
} as const satisfies Record<Box['reach'], string>;

/** What of a box's place the protection rules look at. */
export const placeOf = (site: Site, box: Box): Place => ({
  kind: site.roomKind(box),
  counter: box.counter,
  waterFt: box.waterFt,
  exposure: box.exposure,
});
