import { expect, test } from '@jest/globals';
import { beginsAt } from './clock';

test('what is left begins at the last check-off of today, and at its hour on any other day', () => {
  const now = new Date(2026, 4, 29, 10, 45);
  const checked = [new Date(2026, 4, 29, 9, 5), new Date(2026, 4, 29, 10, 30)].map((at) => at.toISOString());
  const begins = (date: string | null, at = checked) => beginsAt({ from: '08:00', date }, at, now);
  expect(begins(null)).toBe(10 * 60 + 30);
  expect(begins('2026-05-29')).toBe(10 * 60 + 30);
  expect(begins('2026-06-02')).toBe(8 * 60);
  expect(begins(null, [])).toBe(8 * 60);
  expect(begins(null, [new Date(2026, 4, 28, 15, 0).toISOString()])).toBe(8 * 60);
});
