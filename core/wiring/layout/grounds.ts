import { PANEL, type Design, type Run } from '../../job/model/design';
import { roadsOf, walk } from '../../job/model/trees';

/** True where a run brings an equipment ground that may be relied on. A new cable does. */
export const bringsGround = ({ existing, found }: Run): boolean =>
  existing === null || found.ground === 'sound';

/** Boxes that some way of sound equipment grounds joins with the panel. Grounds of all circuits are one (250.148). */
export const groundedBoxes = (job: Design): ReadonlySet<string> =>
  new Set(walk(PANEL, roadsOf(job.runs), bringsGround).keys());
