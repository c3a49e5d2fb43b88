import { expect, test } from '@jest/globals';
import { runtime } from './runtime';

test('a number in a sentence is written as the platform writes it in that language', () => {
  for (const language of ['en', 'es'])
    for (const value of [...Array(1200).keys(), 12_345, 0.5, 14.25, -3, 1e6])
      expect(runtime.strictNumber(language, value, 0, 'count')).toBe(
        new Intl.NumberFormat(language).format(value),
      );
  expect(() => runtime.strictNumber('en', Number.NaN, 0, 'count')).toThrow('count');
});
