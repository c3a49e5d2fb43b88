import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { inText } from './in-text';
import { TERMS } from './terms';

const text = (pieces: ReturnType<typeof inText>): string =>
  pieces.map((piece) => (typeof piece === 'string' ? piece : piece.text)).join('');

describe('words of the trade in a text', () => {
  test('nothing of a text is lost or added, whatever it is', () => {
    const words = fc.constantFrom(
      ...TERMS.flatMap(({ forms }) => forms.split('|')),
      'line',
      'load',
      'detached',
      'tabs,',
      '12-3',
      '·',
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(words).map((all) => all.join(' ')),
        ),
        (one) => {
          expect(text(inText(one))).toBe(one);
        },
      ),
    );
  });

  test('each term is found in its own name, whole words only, each once', () => {
    const found = (one: string) =>
      inText(one).flatMap((piece) => (typeof piece === 'string' ? [] : [piece.term.id]));
    for (const { id, name } of TERMS) expect(found(`The ${name} here`)).toContain(id);
    expect(found('Break the brass tab. All tabs stay whole.')).toEqual(['tab']);
    expect(found('a table, a stable, detached')).toEqual([]);
    // The mark on a device, not the plain word.
    expect(found('everything in line with the load')).toEqual([]);
    expect(found('on its LOAD side')).toEqual(['load-side']);
  });

  test('every term says two lines and has a picture inside its field', () => {
    for (const { says, picture } of TERMS) {
      expect(says.length).toBeGreaterThan(20);
      expect(says.length).toBeLessThanOrEqual(150);
      expect(picture.length).toBeGreaterThan(0);
      for (const mark of picture) {
        const figures = 'd' in mark ? (mark.d.match(/-?\d+/g) ?? []).map(Number) : mark.at;
        for (const figure of figures) expect(Math.abs(figure)).toBeLessThanOrEqual(90);
      }
    }
    expect(new Set(TERMS.map(({ id }) => id)).size).toBe(TERMS.length);
  });
});

test('a word is explained as it is meant: "common practice" is no terminal, "the common" is', () => {
  const explained = (text: string) =>
    inText(text).flatMap((piece) => (typeof piece === 'string' ? [] : [piece.term.id]));
  expect(explained('Common practice, from memory')).not.toContain('common');
  expect(explained('They have nothing in common')).not.toContain('common');
  expect(explained('The hot goes on the common, as is common practice')).toEqual(
    expect.arrayContaining(['common']),
  );
});
