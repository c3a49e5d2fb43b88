import { expect, test } from '@jest/globals';
import { andList, orList } from './lists';
import { runtime } from './runtime';

test('a number in a sentence is written as the platform writes it in that language', () => {
  for (const language of ['en', 'es'])
    for (const value of [...Array(1200).keys(), 12_345, 0.5, 14.25, -3, 1e6])
      expect(runtime.strictNumber(language, value, 0, 'count')).toBe(
        new Intl.NumberFormat(language).format(value),
      );
  expect(() => runtime.strictNumber('en', Number.NaN, 0, 'count')).toThrow('count');
});

/** The platform's own table of plural rules is that of the Unicode CLDR. */
test('a figure has the plural form that the platform gives it', () => {
  for (const language of ['en', 'es'] as const) {
    const platform = new Intl.PluralRules(language);
    for (const figure of [...Array(1200).keys(), 12_345, 0.5, 1.5, 14.25, -3, 999_999])
      for (const given of [figure, String(figure)])
        expect(runtime[language](given)).toBe(platform.select(figure) === 'one' ? 'one' : 'other');
  }
});

test('a list is written as the platform writes it, of none and of one too', () => {
  for (const items of [[], ['black'], ['black', 'white'], ['black', 'white', 'red']])
    for (const [list, type] of [
      [andList, 'conjunction'],
      [orList, 'disjunction'],
    ] as const)
      expect(list(items)).toBe(new Intl.ListFormat('en', { type }).format(items));
});
