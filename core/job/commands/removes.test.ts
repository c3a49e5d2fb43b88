import { expect, test } from '@jest/globals';
import { DESIGN_COMMANDS } from './design-table';
import { HOUSE_COMMANDS } from './house-table';
import { RECORD_COMMANDS } from './record-table';
import { removes } from './removes';

/**
 * A reading tapped away is tapped again at once: a switch of two states, and nothing comes up in its place. Photos whose day
 * is over go without a tap.
 */
const UNGUARDED = ['remove test', 'drop photos'];

test('every row of the tables that takes something out is guarded against a second tap, and no other', () => {
  const rows = [...DESIGN_COMMANDS, ...RECORD_COMMANDS, ...HOUSE_COMMANDS].map(
    ({ schema }) => schema.shape.do.value,
  );
  expect(rows.length).toBeGreaterThan(60);
  const guarded = rows.filter((name) => removes([{ do: name, change: { what: 'name' } } as never]));
  expect(guarded.filter((name) => !/^(remove|drop) /.test(name))).toEqual([]);
  expect(rows.filter((name) => /^(remove|drop) /.test(name) && !guarded.includes(name))).toEqual(UNGUARDED);
});

test('of what is seen in an opened box, cables and devices that are taken out', () => {
  const guards = (what: string) => removes([{ do: 'note seen', change: { what } } as never]);
  expect(['cable out', 'device out', 'name', 'cable', 'device'].filter(guards)).toEqual([
    'cable out',
    'device out',
  ]);
});
