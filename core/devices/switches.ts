import { green, type DeviceKind, type Terminal } from './kind';

const screw = (
  id: string,
  name: string,
  finish: Terminal['screw'],
  side: Terminal['side'],
  height: number,
) => ({
  id,
  name,
  screw: finish,
  side,
  height,
});

const handle = (feedSide: readonly string[], loadSide: readonly string[]) =>
  [{ does: 'control', id: 'handle', name: 'handle', feedSide, loadSide }] as const;

/** Single-pole switch: two equal brass screws, joined when the handle is on. */
export const singlePole: DeviceKind = {
  id: 'single-pole',
  name: 'single-pole switch',
  receptacle: false,
  terminals: [
    screw('upper', 'brass, upper', 'brass', 'right', 0.25),
    screw('lower', 'brass, lower', 'brass', 'right', 0.75),
    green,
  ],
  tabs: [],
  parts: handle(['lower'], ['upper']),
  positions: ['off', 'on'],
  inner: (position) => (position === 1 ? [['lower', 'upper']] : []),
};

/** 3-way switch: the dark common meets one traveler or the other. */
export const threeWay: DeviceKind = {
  id: 'three-way',
  name: '3-way switch',
  receptacle: false,
  terminals: [
    screw('common', 'dark, common', 'dark', 'right', 0.75),
    screw('traveler-1', 'brass, left', 'brass', 'left', 0.25),
    screw('traveler-2', 'brass, right', 'brass', 'right', 0.25),
    green,
  ],
  tabs: [],
  parts: handle(['common'], ['traveler-1', 'traveler-2']),
  positions: ['down', 'up'],
  inner: (position) => [['common', position === 0 ? 'traveler-1' : 'traveler-2']],
};

/** 4-way switch: one pair in, one pair out, straight through or crossed. */
export const fourWay: DeviceKind = {
  id: 'four-way',
  name: '4-way switch',
  receptacle: false,
  terminals: [
    screw('in-1', 'brass, lower left', 'brass', 'left', 0.75),
    screw('in-2', 'brass, lower right', 'brass', 'right', 0.75),
    screw('out-1', 'dark, upper left', 'dark', 'left', 0.25),
    screw('out-2', 'dark, upper right', 'dark', 'right', 0.25),
    green,
  ],
  tabs: [],
  parts: handle(['in-1', 'in-2'], ['out-1', 'out-2']),
  positions: ['down', 'up'],
  inner: (position) =>
    position === 0
      ? [
          ['in-1', 'out-1'],
          ['in-2', 'out-2'],
        ]
      : [
          ['in-1', 'out-2'],
          ['in-2', 'out-1'],
        ],
};

/** The switch a place needs, by its rank in the chain of places that control one thing. */
export function switchForPlace(rank: number, places: number): DeviceKind {
  if (places === 1) return singlePole;
  return rank === 0 || rank === places - 1 ? threeWay : fourWay;
}
