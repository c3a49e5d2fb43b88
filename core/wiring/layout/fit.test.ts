import { describe, expect, test } from '@jest/globals';
import { Habits } from '../../job/model/design';
import { cableRow, type CableType, type Insulation } from '../../trade/standards/cables';
import { domainKey } from '../../job/model/wiring';
import { fitCable, smallestCable, type Carried } from './fit';

const habits = Habits.parse({});
const net = (role: Carried['role'], name: string = role, domain = 'c'): Carried => ({
  id: name,
  role,
  circuit: 'c',
  domain: domainKey([domain], null),
  group: null,
  source: 'panel',
});
const [H, N, S] = [net('hot'), net('neutral'), net('switched')];
const [T1, T2] = [net('traveler', 'traveler-1'), net('traveler', 'traveler-2')];

/** Which net is on which insulation: "black hot, white neutral". */
const placed = (type: CableType, nets: readonly Carried[], own = habits): string | null => {
  const fit = fitCable(type, nets, own);
  if (!fit) return null;
  return cableRow(type)
    .insulated.map((insulation: Insulation, slot) => `${insulation} ${fit.nets[slot] ?? 'spare'}`)
    .join(', ');
};

/* Colors of a cable (common practice), and 200.7(C)(1) on white as a hot (from memory). */
describe('which conductor is what', () => {
  test.each([
    ['14-2', [H, N], 'black hot, white neutral'],
    ['14-2', [S, N], 'black switched, white neutral'],
    ['14-2', [H, S], 'black switched, white hot'],
    ['14-2', [H], 'black hot, white spare'],
    ['14-3', [H, S, N], 'black hot, red switched, white neutral'],
    ['14-3', [T1, T2, N], 'black traveler-1, red traveler-2, white neutral'],
    ['14-3', [H, S], 'black hot, red switched, white spare'],
    ['14-4', [H, T1, T2, N], 'black hot, red traveler-1, blue traveler-2, white neutral'],
  ] as const)('case %#: what a %s carries', (type, nets, expected) => {
    expect(placed(type, nets)).toBe(expected);
  });

  test.each([
    ['14-2', [S, net('switched', 'other')], 'the white would be a return'],
    ['14-2', [S], null],
    ['14-3', [S, net('switched', 'b'), net('switched', 'c')], 'the white would be a return'],
    ['14-2', [H, N, S], 'too many'],
    ['14-3', [H, N, net('neutral', 'other')], 'two neutrals, one white'],
    ['14-4', [H, N, net('neutral', 'other')], 'two neutrals, one white'],
  ] as const)('case %#: what a %s cannot carry', (type, nets, refused) => {
    expect(placed(type, nets) === null).toBe(refused !== null);
  });

  test('travelers to a dead-end 3-way: the feed keeps its black, a traveler goes on the taped white', () => {
    expect(placed('14-3', [T1, T2, H])).toMatch(/^black hot, red traveler-., white traveler-.$/);
  });

  test('two domains in x-2-2 keep to their pairs', () => {
    const [h2, n2] = [net('hot', 'hot-2', 'd'), net('neutral', 'neutral-2', 'd')];
    const fit = placed('12-2-2', [H, N, h2, n2])!;
    const on = Object.fromEntries(fit.split(', ').map((pair) => pair.split(' ') as [string, string]));
    const pairs = [
      [on['black'], on['white']],
      [on['red'], on['white-red']],
    ].map((pair) => pair.sort().join(' '));
    expect(pairs.sort()).toEqual(['hot neutral', 'hot-2 neutral-2']);
  });

  test('red constant, where that is the habit, on 3-wire runs only', () => {
    const red = Habits.parse({ runColors: 'red constant' });
    expect(placed('14-3', [H, S, N], red)).toBe('black switched, red hot, white neutral');
    expect(placed('14-2', [H, N], red)).toBe('black hot, white neutral');
  });

  test('a cable that stays spliced to a smaller one uses only the colors they share', () => {
    const only = new Set<Insulation>(['black', 'white']);
    expect(fitCable('14-3', [H, N], habits, only)!.nets).toEqual(['hot', null, 'neutral']);
    expect(fitCable('14-3', [H, S, N], habits, only)).toBeNull();
  });
});

describe('the smallest cable', () => {
  test.each([
    [[H, N], '12-2'],
    [[H, S], '12-2'],
    [[H, S, N], '12-3'],
    [[T1, T2, H, N], '12-4'],
    [[H, N, net('hot', 'hot-2', 'd'), net('neutral', 'neutral-2', 'd')], '12-2-2'],
    [[], '12-2'],
  ] as const)('case %#', (nets, type) => {
    expect(smallestCable(12, nets, habits)?.type).toBe(type);
  });
  test('five that belong together take none', () => {
    expect(smallestCable(12, [H, N, S, T1, T2], habits)).toBeNull();
  });
});
