import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { figureProblem, readFigure } from './figure';

describe('numbers as they are said on site (common practice)', () => {
  test.each([
    [`18'6"`, 'ft', 18.5],
    ['18 ft 6 in', 'ft', 18.5],
    [`18’ 6”`, 'ft', 18.5],
    ['18 1/2', 'ft', 18.5],
    ['18-1/2', 'ft', 18.5],
    ['18½', 'ft', 18.5],
    ['18 ½ ft', 'ft', 18.5],
    ['½', 'in', 0.5],
    ['7/16', 'in', 7 / 16],
    ['7/16 in', 'in', 7 / 16],
    [`5'6"`, 'in', 66],
    ['4 ft', 'in', 48],
    ['66 in', 'ft', 5.5],
    ['1500 W', 'W', 1500],
    ['1500 watts', 'W', 1500],
    ['1.5 kW', 'W', 1500],
    ['1,500', 'W', 1500],
    ['20.3 in³', 'in³', 20.3],
    ['.5', 'Ω', 0.5],
    ['  40  ', 'ft', 40],
  ])('%s in a field of %s', (text, unit, value) => {
    expect(readFigure(text, unit)).toBeCloseTo(value, 9);
    expect(figureProblem(text, unit, 0, 1e6)).toBeNull();
  });
  test.each([
    ['', 'ft'],
    ['about ten', 'ft'],
    ['18 W', 'ft'],
    ['1/0', 'in'],
    ['1e3', 'W'],
    ['12,34', 'W'],
    ['--4', 'ft'],
    ['Infinity', 'ft'],
    ['0x10', 'ft'],
  ])('"%s" in a field of %s is none, and it is said how to write one', (text, unit) => {
    expect(readFigure(text, unit)).toBeNaN();
    expect(figureProblem(text, unit, 0, 100)).toContain('Write it like');
  });
  test('too small and too large are said with the limit', () => {
    expect(figureProblem('0', 'ft', 0.5, 100)).toBe('At least 0.5 ft.');
    expect(figureProblem('101', 'ft', 0.5, 100)).toBe('At most 100 ft.');
  });
  test('any number that is written out is read back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 9999, noNaN: true }),
        fc.constantFrom('ft', 'W', 'in³'),
        (value, unit) => {
          expect(readFigure(String(value), unit)).toBe(value);
        },
      ),
    );
    fc.assert(
      fc.property(fc.nat(200), fc.integer({ min: 0, max: 11 }), (feet, inches) => {
        expect(readFigure(`${feet}' ${inches}"`, 'ft')).toBeCloseTo(feet + inches / 12, 9);
      }),
    );
  });
});
