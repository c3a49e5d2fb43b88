import type { Box, RoomKind } from '../../../job/model/design';
import type { Edition } from '../../../trade/standards/source';
import { say } from '../../../base/words/rules';

export interface Place {
  readonly kind: RoomKind;
  /** Serves a countertop. */
  readonly counter: boolean;
  /** To the nearest sink, tub or shower, ft; null where not said. */
  readonly waterFt: number | null;
  readonly exposure: Box['exposure'];
}

export interface Need {
  readonly reason: string;
  /** False where it hangs on a fact that was not entered. */
  readonly sure: boolean;
  /** 120 V lighting outlets too. */
  readonly lights?: boolean;
}

/** Receptacles this near to water are protected in every edition, ft. */
const WATER_FT = 6;

/** Whether the receptacles of a place need GFCI protection, NEC 210.8(A) (from memory); null where they do not. */
export function gfciNeed(edition: Edition, { kind, counter, waterFt, exposure }: Place): Need | null {
  const is2023 = edition === '2023';
  const need = (reason: string): Need => ({ reason, sure: true });
  switch (kind) {
    case 'bathroom':
      return need(say('gfciNeed.bathroom'));
    case 'garage':
    case 'accessory building':
      return need(say('gfciNeed.garage'));
    case 'outdoors':
      return need(say('gfciNeed.outdoors'));
    case 'crawl space':
      return {
        ...need(say('gfciNeed.crawlSpace') + (edition === '2017' ? 'E)' : 'C)')),
        lights: true,
      };
    case 'basement, unfinished':
      return need(say('gfciNeed.basement'));
    case 'basement, finished':
      if (edition !== '2017') return need(say('gfciNeed.anyBasement'));
      break;
    case 'kitchen':
      if (edition === '2023') return need(say('gfciNeed.kitchen'));
      if (counter) return need(say('gfciNeed.countertop'));
      break;
    case 'laundry':
      return need(say('gfciNeed.laundry', { is2023: is2023 ? 11 : 10 }));
    case 'boathouse':
      return need(say('gfciNeed.boathouse', { is2023: is2023 ? 9 : 8 }));
    case 'wet bar':
      if (edition === '2023') return need(say('gfciNeed.foodSink'));
      break;
    default:
      break;
  }
  if (waterFt !== null && waterFt <= WATER_FT) return need(say('gfciNeed.nearWater', { waterFt, is2023 }));
  if (exposure !== 'dry' && edition !== '2017')
    return need(say('gfciNeed.indoorDamp', { is2023: is2023 ? 12 : 11 }));
  if ((kind === 'kitchen' || kind === 'wet bar') && waterFt === null) {
    return {
      reason: say('gfciNeed.askSink') + (is2023 ? '8)' : '7)'),
      sure: false,
    };
  }
  return null;
}
