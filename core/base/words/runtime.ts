import { plural, select, strictNumber } from '@messageformat/runtime';
import { en, es } from './plurals';

/** What the sentences of a built catalog call (`scripts/build/markers.ts`). */
export const runtime = { plural, select, strictNumber, en, es };
