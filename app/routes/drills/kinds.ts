import type { DrillKind } from '@core/handover/drills/code';
import { say } from '~/words/drills';

/** What each kind of drill is called, and what it asks. */
export const KIND_SAYS: Readonly<Record<DrillKind, readonly [name: string, says: string]>> = {
  fault: [say('route.fault'), say('route.faultSays')],
  wall: [say('route.wall'), say('route.wallSays')],
  'make-up': [say('route.makeUp'), say('route.makeUpSays')],
};
