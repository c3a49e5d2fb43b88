import { expect, test } from '@jest/globals';
import { canSpeak, spoken } from './speak-aloud';

test('a step is said as one says it: no arrow, no dot, a cable by its two figures', () => {
  expect(spoken('White of the 12-2 → LINE silver screw')).toBe('White of the 12 2, LINE silver screw');
  expect(spoken('5-port lever connector · strip 7/16 in')).toBe('5-port lever connector, strip 7/16 in');
  expect(spoken('3-way switch')).toBe('3-way switch');
});

test('where there is no voice nothing is said', () => {
  expect(canSpeak()).toBe(false);
});
