import { describe, expect, test } from '@jest/globals';
import {
  WIRED_KINDS,
  deviceKind,
  powerParts,
  switchForPlace,
  WISH_KINDS,
  wishKind,
  type DeviceKind,
} from '.';
import { SWITCHES } from './switches';

/*
 * What every device of the trade has in common, and what each is known by. Screw colors: brass is the hot side, silver
 * the neutral side, green the ground (NEC 200.10(B), 250.126, from memory); dark is the common of a 3-way (common
 * practice). Front view: silver left, brass right (common practice).
 */

const KINDS: DeviceKind[] = [...new Set([...WISH_KINDS.map(wishKind), ...SWITCHES])];

describe.each(KINDS.map((kind) => [kind.id, kind] as const))('%s', (_, kind) => {
  const ids = new Set(kind.terminals.map(({ id }) => id));
  const screw = (id: string) => kind.terminals.find((one) => one.id === id)?.screw;

  test('is found by its id, and its terminals have each a name and a place of their own', () => {
    expect(deviceKind(kind.id)).toBe(kind);
    expect(ids.size).toBe(kind.terminals.length);
    const places = kind.terminals.map(({ side, height }) => `${side} ${height}`);
    expect(new Set(places).size).toBe(places.length);
    expect(new Set(kind.terminals.map(({ name }) => name)).size).toBe(kind.terminals.length);
    for (const { height } of kind.terminals) {
      expect(height).toBeGreaterThanOrEqual(0);
      expect(height).toBeLessThanOrEqual(1);
    }
  });
  test('tabs and contacts join terminals that are there, and never hot side to neutral side', () => {
    const colors = (pair: readonly [string, string]) => pair.map(screw);
    const joins = [
      ...kind.tabs.map(({ joins: pair }) => pair),
      ...Array.from({ length: Math.max(kind.positions.length, 1) }, (_, at) => kind.inner(at)).flat(),
    ];
    for (const pair of joins) {
      for (const id of pair) expect(ids).toContain(id);
      expect(pair[0]).not.toBe(pair[1]);
      expect(colors(pair)).not.toContain('green');
      expect(colors(pair).includes('silver') && colors(pair).some((one) => one !== 'silver')).toBe(false);
    }
  });
  test('what uses power has brass or dark (or a lead) for its hot, silver (or a lead) for its neutral, green for its ground', () => {
    for (const { hot, neutral, ground } of powerParts(kind)) {
      expect(['brass', 'dark', 'lead']).toContain(screw(hot));
      expect(['silver', 'lead']).toContain(screw(neutral));
      expect(['green', 'lead']).toContain(screw(ground));
    }
  });
  test('a handle has terminals toward feed and load, and a position to change', () => {
    for (const part of kind.parts) {
      if (part.does !== 'control' || kind.wireless) continue;
      for (const id of [...part.feedSide, ...part.loadSide, ...(part.neutral ? [part.neutral] : [])]) {
        expect(ids).toContain(id);
      }
      expect(kind.positions.length).toBeGreaterThanOrEqual(2);
      const ways = kind.positions.map((_, at) => JSON.stringify(kind.inner(at)));
      expect(new Set(ways).size).toBe(kind.positions.length);
    }
  });
  test('a receptacle takes a plug; a protecting one has LINE and LOAD on both poles', () => {
    expect(kind.receptacle).toBe(powerParts(kind).some(({ plug }) => plug));
    if (!kind.protection) return;
    const { line, load } = kind.protection;
    expect([line.hot, load.hot].map(screw)).not.toContain('silver');
    for (const id of [line.hot, line.neutral, load.hot, load.neutral]) expect(ids).toContain(id);
    expect(new Set([line.hot, line.neutral, load.hot, load.neutral]).size).toBe(4);
  });
});

/** Terminals that metal joins in a position, followed as far as it goes. */
const reach = (kind: DeviceKind, position: number, from: string): string[] => {
  const seen = new Set([from]);
  for (let before = 0; before !== seen.size;) {
    before = seen.size;
    for (const [a, b] of kind.inner(position)) {
      if (seen.has(a)) seen.add(b);
      if (seen.has(b)) seen.add(a);
    }
  }
  return [...seen].sort();
};

describe('what a switch does (common practice)', () => {
  test('single-pole: open, closed', () => {
    const kind = wishKind('switch');
    const [handle] = kind.parts.filter((part) => part.does === 'control');
    const [feed, load] = [handle!.feedSide[0]!, handle!.loadSide[0]!];
    expect(kind.positions.map((_, at) => reach(kind, at, feed).includes(load))).toEqual([false, true]);
  });
  test('3-way: the common meets one traveler or the other, never both, never none', () => {
    const kind = deviceKind('three-way');
    expect(reach(kind, 0, 'common')).toEqual(['common', 'traveler-1']);
    expect(reach(kind, 1, 'common')).toEqual(['common', 'traveler-2']);
  });
  test('4-way: the pairs go straight or crossed', () => {
    const kind = deviceKind('four-way');
    const [handle] = kind.parts.filter((part) => part.does === 'control');
    const [first = '', second = ''] = handle!.feedSide;
    const met = (at: number) =>
      [first, second].map((from) => reach(kind, at, from).find((id) => id !== from));
    expect([...met(0)].sort()).toEqual([...handle!.loadSide].sort());
    expect(met(1)).toEqual([...met(0)].reverse());
  });
  test('one place takes a single-pole, two take 3-ways, those between take 4-ways', () => {
    const names = (places: number) =>
      Array.from({ length: places }, (_, rank) => switchForPlace('switch', rank, places)?.id);
    expect(names(1)).toEqual(['single-pole']);
    expect(names(2)).toEqual(['three-way', 'three-way']);
    expect(names(4)).toEqual(['three-way', 'four-way', 'four-way', 'three-way']);
  });
  test.each(['dimmer', 'electronic-switch', 'illuminated-switch'] as const)(
    'no %s stands between two others',
    (family) => {
      expect(switchForPlace(family, 1, 3)).toBeNull();
      expect(switchForPlace(family, 0, 3)).not.toBeNull();
    },
  );
});

describe('outlets (common practice)', () => {
  test('a duplex has a tab on each side; a single, a GFCI and a luminaire have none', () => {
    expect(deviceKind('duplex').tabs.map(({ joins }) => joins)).toEqual([
      ['hot-upper', 'hot-lower'],
      ['neutral-upper', 'neutral-lower'],
    ]);
    for (const id of ['single', 'gfci', 'luminaire'] as const) expect(deviceKind(id).tabs).toEqual([]);
  });
  test('seen from the front the silver side of a receptacle is left and the brass side right', () => {
    for (const id of ['duplex', 'single', 'gfci', 'afci', 'dual-function'] as const) {
      for (const { screw, side } of deviceKind(id).terminals) {
        if (screw === 'silver') expect(side).toBe('left');
        if (screw === 'brass') expect(side).toBe('right');
      }
    }
  });
  test('a combination device has one break-off jumper, between its commons', () => {
    const [jumper, ...others] = deviceKind('combination').tabs;
    expect(others).toEqual([]);
    expect(jumper!.joins).toEqual(['common-switch', 'common-outlet']);
  });
  test('with a GFCI, its switch does not hang on its contacts: tripping does not turn the light off', () => {
    const kind = deviceKind('combination-gfci');
    const [handle] = kind.parts.filter((part) => part.does === 'control');
    const { line, load } = kind.protection!;
    for (const id of [...handle!.feedSide, ...handle!.loadSide]) {
      expect(Object.values(load)).not.toContain(id);
      expect(Object.values(line)).not.toContain(id);
    }
  });
  test('the face of a GFCI receptacle is behind its contacts', () => {
    for (const id of ['gfci', 'afci', 'dual-function', 'combination-gfci'] as const) {
      const [outlet] = powerParts(deviceKind(id));
      expect(outlet!.face).toEqual(deviceKind(id).protection!.load);
    }
  });
  test('every kind that can be wired has its file, under its own name', () => {
    expect(WIRED_KINDS.map((id) => deviceKind(id).id)).toEqual([...WIRED_KINDS]);
  });
});
