import { PANEL } from '../../job/model/design';
import type { Carried } from './fit';
import { say } from '../../base/words/layout';

const ROLE_WORDS = {
  ground: 'ground',
  neutral: 'neutral',
  hot: say('names.constantHot'),
  switched: say('names.switchedHot'),
  traveler: 'traveler',
} as const;

const netWords = (net: Carried): string =>
  say('names.trueOther', { source: net.source === PANEL || net.group !== null, role: ROLE_WORDS[net.role] });

export const listNets = (nets: readonly Carried[]): string => nets.map(netWords).join(', ');
