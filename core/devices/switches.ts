import { green, still, terminal, type ControlPart, type DeviceKind } from './kind';

const handle = (
  feedSide: readonly string[],
  loadSide: readonly string[],
  neutral?: string,
): readonly [ControlPart] => [
  {
    does: 'control',
    id: 'handle',
    name: 'handle',
    feedSide,
    loadSide,
    ...(neutral === undefined ? {} : { neutral }),
  },
];
const base = { ...still, receptacle: false, yoke: true } as const;
const neutralLead = terminal('neutral', 'silver (switch neutral)', 'silver', 'left', 0.5);

/** Single-pole switch: two equal brass screws, joined when the handle is on. */
export const singlePole: DeviceKind = {
  ...base,
  id: 'single-pole',
  name: 'single-pole switch',
  terminals: [
    terminal('upper', 'brass, upper', 'brass', 'right', 0.25),
    terminal('lower', 'brass, lower', 'brass', 'right', 0.75),
    green,
  ],
  parts: handle(['lower'], ['upper']),
  positions: ['off', 'on'],
  inner: (position) => (position === 1 ? [['lower', 'upper']] : []),
};

/** 3-way switch: the dark common meets one traveler or the other. */
export const threeWay: DeviceKind = {
  ...base,
  id: 'three-way',
  name: '3-way switch',
  terminals: [
    terminal('common', 'dark, common', 'dark', 'right', 0.75),
    terminal('traveler-1', 'brass, left', 'brass', 'left', 0.25),
    terminal('traveler-2', 'brass, right', 'brass', 'right', 0.25),
    green,
  ],
  parts: handle(['common'], ['traveler-1', 'traveler-2']),
  positions: ['down', 'up'],
  inner: (position) => [['common', position === 0 ? 'traveler-1' : 'traveler-2']],
};

/** 4-way switch: one pair in, one pair out, straight through or crossed. */
export const fourWay: DeviceKind = {
  ...base,
  id: 'four-way',
  name: '4-way switch',
  terminals: [
    terminal('in-1', 'brass, lower left', 'brass', 'left', 0.75),
    terminal('in-2', 'brass, lower right', 'brass', 'right', 0.75),
    terminal('out-1', 'dark, upper left', 'dark', 'left', 0.25),
    terminal('out-2', 'dark, upper right', 'dark', 'right', 0.25),
    green,
  ],
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

/** A switch that is only one among several when it ends the chain: its common and travelers are a 3-way's. */
const variant = (plain: DeviceKind, id: string, name: string, neutral: boolean): DeviceKind => ({
  ...plain,
  id,
  name,
  terminals: neutral ? [...plain.terminals, neutralLead] : plain.terminals,
  parts: plain.parts.map((part) =>
    part.does === 'control' && neutral ? { ...part, neutral: 'neutral' } : part,
  ),
});

export const illuminated = variant(singlePole, 'illuminated-single-pole', 'illuminated switch', true);
export const illuminatedThreeWay = variant(
  threeWay,
  'illuminated-three-way',
  'illuminated 3-way switch',
  true,
);
export const electronic = variant(singlePole, 'electronic-single-pole', 'electronic switch', true);
export const electronicThreeWay = variant(threeWay, 'electronic-three-way', 'electronic 3-way switch', true);
export const dimmer = variant(singlePole, 'dimmer-single-pole', 'dimmer', false);
export const dimmerThreeWay = variant(threeWay, 'dimmer-three-way', '3-way dimmer', false);

export const SWITCHES = [
  singlePole,
  threeWay,
  fourWay,
  illuminated,
  illuminatedThreeWay,
  electronic,
  electronicThreeWay,
  dimmer,
  dimmerThreeWay,
] as const;

/** Kinds of switch that a job can ask for: which device stands at an only place, and at the end of a chain. */
export const SWITCH_FAMILIES = {
  switch: { alone: singlePole, end: threeWay, between: fourWay },
  'illuminated-switch': { alone: illuminated, end: illuminatedThreeWay, between: null },
  'electronic-switch': { alone: electronic, end: electronicThreeWay, between: null },
  dimmer: { alone: dimmer, end: dimmerThreeWay, between: null },
} as const satisfies Record<string, { alone: DeviceKind; end: DeviceKind; between: DeviceKind | null }>;
export type SwitchFamily = keyof typeof SWITCH_FAMILIES;

/**
 * The switch a place needs, by its rank in the chain of places that control one thing; `null` where that kind
 * cannot stand between two others.
 */
export function switchForPlace(family: SwitchFamily, rank: number, places: number): DeviceKind | null {
  const { alone, end, between } = SWITCH_FAMILIES[family];
  if (places === 1) return alone;
  return rank === 0 || rank === places - 1 ? end : between;
}
