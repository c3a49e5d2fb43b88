import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draws } from '../../testing/draws';
import { Line, Name } from './fields';

/** What turns text round, or is not seen, by the names of Unicode (UAX #9, UAX #44). */
const TURNS = ['\u202e', '\u202d', '\u202a', '\u2066', '\u2067', '\u2068', '\u2069', '\u200f', '\u061c'];
const HIDDEN = ['\u0000', '\u0007', '\u001b', '\u007f', '\u0085', '\n', '\t'];

test('a name is what one reads: what turns it round, or is not seen, is taken out; all else stays', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.oneof(fc.constantFrom(...TURNS, ...HIDDEN), fc.constantFrom('Hall', ' 2', 'ñ', '½', '–', '한')),
        {
          maxLength: 12,
        },
      ),
      (parts) => {
        const plain = parts.filter((one) => ![...TURNS, ...HIDDEN].includes(one)).join('');
        expect(Line.parse(parts.join(''))).toBe(plain.trim());
      },
    ),
    { numRuns: draws(200, 5000) },
  );
});

test('a name that is nothing but such characters is no name', () => {
  expect(Name.safeParse('\u202e\u2066').success).toBe(false);
});
