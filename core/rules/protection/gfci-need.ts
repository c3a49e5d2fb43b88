import type { Box, RoomKind } from '../../model/design';
import type { Edition } from '../../standards/source';

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
export const WATER_FT = 6;

/** Whether the receptacles of a place need GFCI protection, NEC 210.8(A) (from memory); null where they do not. */
export function gfciNeed(edition: Edition, { kind, counter, waterFt, exposure }: Place): Need | null {
  const is2023 = edition === '2023';
  const need = (reason: string): Need => ({ reason, sure: true });
  switch (kind) {
    case 'bathroom':
      return need('a bathroom needs GFCI, 210.8(A)(1)');
    case 'garage':
    case 'accessory building':
      return need('a garage or accessory building needs GFCI, 210.8(A)(2)');
    case 'outdoors':
      return need('outdoors needs GFCI, 210.8(A)(3)');
    case 'crawl space':
      return {
        ...need(
          'a crawl space needs GFCI, lights too, 210.8(A)(4), 210.8(' + (edition === '2017' ? 'E)' : 'C)'),
        ),
        lights: true,
      };
    case 'basement, unfinished':
      return need('an unfinished basement needs GFCI, 210.8(A)(5)');
    case 'basement, finished':
      if (edition !== '2017') return need('a basement needs GFCI, finished or not, 210.8(A)(5)');
      break;
    case 'kitchen':
      if (edition === '2023') return need('every receptacle of a kitchen needs GFCI, 210.8(A)(6)');
      if (counter) return need('a kitchen countertop needs GFCI, 210.8(A)(6)');
      break;
    case 'laundry':
      return need(`a laundry area needs GFCI, 210.8(A)(${is2023 ? 11 : 10})`);
    case 'boathouse':
      return need(`a boathouse needs GFCI, 210.8(A)(${is2023 ? 9 : 8})`);
    case 'wet bar':
      if (edition === '2023') return need('a place with a sink for food or drink needs GFCI, 210.8(A)(7)');
      break;
    default:
      break;
  }
  if (waterFt !== null && waterFt <= WATER_FT)
    return need(
      `${waterFt} ft from water: within 6 ft it needs GFCI, 210.8(A)(${is2023 ? '8), (10' : '7), (9'})`,
    );
  if (exposure !== 'dry' && edition !== '2017')
    return need(`an indoor damp or wet place needs GFCI, 210.8(A)(${is2023 ? 12 : 11})`);
  if ((kind === 'kitchen' || kind === 'wet bar') && waterFt === null) {
    return {
      reason: 'how far is the sink? Within 6 ft it needs GFCI, 210.8(A)(' + (is2023 ? '8)' : '7)'),
      sure: false,
    };
  }
  return null;
}
