import { plural, select, strictNumber } from '@messageformat/runtime';
import { en, es } from './plurals';

/**
 * A whole number of up to three digits is written alike in every language that is spoken here; what formats the others is
 * slow to make, and is made for the first that needs it.
 */
const number: typeof strictNumber = (language, value, offset, name) => {
  const shown = value - offset;
  return Number.isInteger(shown) && shown >= 0 && shown < 1000
    ? String(shown)
    : strictNumber(language, value, offset, name);
};

/** What the sentences of a built catalog call (`scripts/build/markers.ts`). */
export const runtime = { plural, select, strictNumber: number, en, es };
