import { describe, expect, test } from '@jest/globals';
import type { RoomKind } from '../../../job/model/design';
import { EDITIONS } from '../../../trade/standards/source';
import { ownCircuit } from '../../../power/load/own-circuit';
import { afciRoom } from './afci-room';
import { gfciNeed, type Place } from './gfci-need';

const at = (kind: RoomKind, change: Partial<Place> = {}): Place => ({
  kind,
  counter: false,
  waterFt: 30,
  exposure: 'dry',
  ...change,
});

/*
 * Truth table written by hand from NEC 210.8(A) of the three editions (from memory): place, then whether a 125 V
 * receptacle there needs GFCI in 2017, 2020 and 2023, and where it says so.
 */
const GFCI: readonly (readonly [string, Place, string, string])[] = [
  ['bathroom', at('bathroom'), 'YYY', '210.8(A)(1)'],
  ['garage', at('garage'), 'YYY', '210.8(A)(2)'],
  ['accessory building, floor at grade', at('accessory building'), 'YYY', '210.8(A)(2)'],
  ['outdoors', at('outdoors'), 'YYY', '210.8(A)(3)'],
  ['crawl space', at('crawl space'), 'YYY', '210.8(A)(4)'],
  ['basement, unfinished', at('basement, unfinished'), 'YYY', '210.8(A)(5)'],
  ['basement, finished', at('basement, finished'), 'nYY', '210.8(A)(5): 2017 unfinished parts only'],
  ['kitchen countertop', at('kitchen', { counter: true }), 'YYY', '210.8(A)(6)'],
  [
    'kitchen, refrigerator far from the sink',
    at('kitchen'),
    'nnY',
    '210.8(A)(6): all of the kitchen from 2023',
  ],
  ['kitchen, 5 ft from the sink', at('kitchen', { waterFt: 5 }), 'YYY', '210.8(A)(7)'],
  ['laundry', at('laundry'), 'YYY', '210.8(A)(10)'],
  ['boathouse', at('boathouse'), 'YYY', '210.8(A)(8)'],
  ['wet bar, 10 ft from its sink', at('wet bar', { waterFt: 10 }), 'nnY', '210.8(A)(7) in 2023'],
  ['wet bar, 4 ft from its sink', at('wet bar', { waterFt: 4 }), 'YYY', '210.8(A)(7)'],
  ['bedroom', at('bedroom'), 'nnn', 'not listed'],
  ['bedroom, 6 ft from a basin', at('bedroom', { waterFt: 6 }), 'YYY', '210.8(A)(7)'],
  ['bedroom, 7 ft from a basin', at('bedroom', { waterFt: 7 }), 'nnn', '210.8(A)(7)'],
  ['living room', at('living'), 'nnn', 'not listed'],
  ['dining room', at('dining'), 'nnn', 'not listed'],
  ['hallway', at('hallway'), 'nnn', 'not listed'],
  ['closet', at('closet'), 'nnn', 'not listed'],
  ['indoors, damp', at('other', { exposure: 'damp' }), 'nYY', '210.8(A)(11) from 2020'],
  ['indoors, wet', at('other', { exposure: 'wet' }), 'nYY', '210.8(A)(11) from 2020'],
];

describe('GFCI by place and edition (NEC 210.8(A), from memory)', () => {
  test.each(GFCI)('%s', (_, place, expected) => {
    const found = EDITIONS.map((edition) => (gfciNeed(edition, place)?.sure ? 'Y' : 'n')).join('');
    expect(found).toBe(expected);
  });
  test('a kitchen whose sink is not said to be near or far is asked about, until 2023 asks for all', () => {
    const place = at('kitchen', { waterFt: null });
    expect(EDITIONS.map((edition) => gfciNeed(edition, place)?.sure)).toEqual([false, false, true]);
  });
  test('in a crawl space lights are protected too (210.8(C))', () => {
    expect(gfciNeed('2017', at('crawl space'))?.lights).toBe(true);
    expect(gfciNeed('2017', at('garage'))?.lights).toBeUndefined();
  });
});

/* NEC 210.12(A) lists the same rooms in 2017, 2020 and 2023 (from memory). */
test.each([
  ['kitchen', true],
  ['family', true],
  ['dining', true],
  ['living', true],
  ['library', true],
  ['den', true],
  ['bedroom', true],
  ['sunroom', true],
  ['recreation', true],
  ['closet', true],
  ['hallway', true],
  ['laundry', true],
  ['bathroom', false],
  ['garage', false],
  ['outdoors', false],
  ['basement, unfinished', false],
  ['crawl space', false],
  ['attic', false],
] as const)('AFCI in a %s: %s', (kind, needed) => expect(afciRoom(kind)).toBe(needed));

/* Circuits of their own, NEC 210.11(C) (from memory). */
test.each([
  ['kitchen', 'small appliance'],
  ['dining', 'small appliance'],
  ['pantry', 'small appliance'],
  ['laundry', 'laundry'],
  ['bathroom', 'bathroom'],
  ['garage', 'garage'],
  ['bedroom', null],
  ['outdoors', null],
] as const)('receptacles of a %s belong on a circuit of kind %s', (kind, serves) =>
  expect(ownCircuit(kind)).toBe(serves),
);
