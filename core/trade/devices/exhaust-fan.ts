import { say } from '../../base/words/devices';
import { hung } from './hung';

/** An exhaust fan with its own housing, as over a bath. */
export const exhaustFan = hung(
  { id: 'exhaust-fan', name: say('exhaustFan.exhaustFan'), serves: 'fan' },
  { id: 'fan', name: say('exhaustFan.fan') },
);
