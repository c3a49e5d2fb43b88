/*
 * A judge of wirings that shares no code with what it judges: not the compiler, not the network, not the solver, not
 * the verification, not the device files. It knows the devices from the table below, reads a wiring as plain lists, and
 * works with sets that it joins itself. Currents are counted, not solved: on wiring without two paths each load's
 * current has one way out and one way back, and each conductor carries it or does not.
 */
export interface Known {
  /** Terminals that metal joins, by handle position (0 and 1); tabs apart. */
  readonly inner?: readonly (readonly (readonly [string, string])[])[];
  readonly tabs?: Readonly<Record<string, readonly [string, string]>>;

  /** LINE to LOAD contacts. */
  readonly contacts?: readonly (readonly [string, string])[];

  /** Where each part takes power. */
  readonly parts?: Readonly<Record<string, readonly [hot: string, neutral: string]>>;
  readonly ground?: boolean;
}
const pole = [[], [['lower', 'upper']]] as const;
const three = [[['common', 'traveler-1']], [['common', 'traveler-2']]] as const;
const contacts = [
  ['line-hot', 'load-hot'],
  ['line-neutral', 'load-neutral'],
] as const;
const guarded: Known = { contacts, parts: { outlet: ['load-hot', 'load-neutral'] }, ground: true };

/** What the devices are, as any trade book says (common practice). */
export const DEVICES: Readonly<Record<string, Known>> = {
  duplex: {
    tabs: { 'hot-tab': ['hot-upper', 'hot-lower'], 'neutral-tab': ['neutral-upper', 'neutral-lower'] },
    parts: { upper: ['hot-upper', 'neutral-upper'], lower: ['hot-lower', 'neutral-lower'] },
    ground: true,
  },
  single: { parts: { outlet: ['hot', 'neutral'] }, ground: true },
  luminaire: { parts: { lamp: ['hot', 'neutral'] }, ground: true },
  'fan-light': { parts: { fan: ['hot-fan', 'neutral'], light: ['hot-light', 'neutral'] }, ground: true },
  'exhaust-fan': { parts: { fan: ['hot', 'neutral'] }, ground: true },
  gfci: guarded,
  afci: guarded,
  'dual-function': guarded,
  combination: {
    inner: [[], [['common-switch', 'switched']]],
    tabs: { jumper: ['common-switch', 'common-outlet'] },
    parts: { outlet: ['common-outlet', 'neutral'] },
    ground: true,
  },
  'combination-gfci': { ...guarded, inner: [[], [['lead-1', 'lead-2']]] },
  'single-pole': { inner: pole, ground: true },
  'illuminated-single-pole': { inner: pole, ground: true },
  'electronic-single-pole': { inner: pole, ground: true },
  'dimmer-single-pole': { inner: pole, ground: true },
  'three-way': { inner: three, ground: true },
  'illuminated-three-way': { inner: three, ground: true },
  'electronic-three-way': { inner: three, ground: true },
  'dimmer-three-way': { inner: three, ground: true },
  'four-way': {
    inner: [
      [
        ['in-1', 'out-1'],
        ['in-2', 'out-2'],
      ],
      [
        ['in-1', 'out-2'],
        ['in-2', 'out-1'],
      ],
    ],
    ground: true,
  },
  'radio-receiver': { inner: [[], [['line', 'load']]], ground: true },
  'radio-switch': {},
};
