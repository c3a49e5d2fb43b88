import type { Insulation } from '../standards/cables';

/**
 * Where a conductor of a cable may lead, out of sight. Ports that carry a number belong together with the plain one
 * of their name: `load` and `load-2` share `return`, `leg` and `leg-2` share `switch-common`.
 */
export type Port =
  | 'hot'
  | 'neutral'
  | 'hot-second'
  | 'hot-other-leg'
  | 'switched'
  | 'switched-2'
  | 'lamp'
  | 'lamp-2'
  | 'load'
  | 'load-2'
  | 'return'
  | 'switch-common'
  | 'leg'
  | 'leg-2'
  | 'fed-1'
  | 'fed-2'
  | 'fed-second-1'
  | 'fed-second-2'
  | 'fed-other-1'
  | 'fed-other-2'
  | 'lamp-second'
  | 'neutral-switched'
  | 'fixed'
  | 'tied'
  | 'lit-1'
  | 'lit-2'
  | 'lit-return'
  | 'way-common'
  | 'way-1'
  | 'way-2'
  | 'open';

/** What a port makes of its conductor, in the trade's words. */
export const PORT_SAYS: Record<Port, string> = {
  hot: 'constant hot',
  neutral: 'neutral',
  'hot-second': 'hot of another circuit',
  'hot-other-leg': 'hot of another circuit, on the other leg',
  switched: 'hot from a switch upstream',
  'switched-2': 'hot from a switch upstream',
  lamp: 'switched hot to a light that has its neutral there',
  'lamp-2': 'switched hot to a light that has its neutral there',
  load: 'hot on to the load',
  'load-2': 'hot on to a second load',
  return: 'neutral on to the load',
  'switch-common': 'hot out to a switch',
  leg: 'switched hot back from a switch',
  'leg-2': 'switched hot back from a second switch',
  'fed-1': 'traveler',
  'fed-2': 'traveler',
  'fed-second-1': 'traveler of another circuit',
  'fed-second-2': 'traveler of another circuit',
  'fed-other-1': 'traveler of another circuit',
  'fed-other-2': 'traveler of another circuit',
  'lamp-second': 'switched hot of another circuit',
  'neutral-switched': 'neutral behind a switch upstream',
  fixed: 'hot on to a motor or heater that stays connected',
  tied: 'tied to another conductor at its far end, and to nothing else',
  'lit-1': 'traveler',
  'lit-2': 'traveler',
  'lit-return': 'neutral on to the load',
  'way-common': 'common of a far 3-way',
  'way-1': 'traveler',
  'way-2': 'traveler',
  open: 'spare or cut off',
};

export interface FarSide {
  readonly id: string;
  readonly says: string;
  /** How unusual it is; 0 is everyday work. Common practice, not measured. */
  readonly odd: number;
  readonly ports: Readonly<Partial<Record<Insulation, Port>>>;
}

type Row = readonly [odd: number, says: string, ...ports: Port[]];

const COLORS: Record<string, readonly Insulation[]> = {
  '2': ['black', 'white'],
  '3': ['black', 'red', 'white'],
  '4': ['black', 'red', 'blue', 'white'],
  '2-2': ['black', 'white', 'red', 'white-red'],
};

/** By make-up; ports in the order of its colors. */
const ROWS: Record<string, readonly Row[]> = {
  '2': [
    [0, 'feed', 'hot', 'neutral'],
    [0, 'on to a light or outlets', 'load', 'return'],
    [0.4, 'switch loop from a light', 'lamp', 'hot'],
    [1, 'switch loop from a light, reversed polarity', 'hot', 'lamp'],
    [0.6, 'down to a switch', 'leg', 'switch-common'],
    [1, 'down to a switch, reversed polarity', 'switch-common', 'leg'],
    [0.8, 'feed from a switch upstream', 'switched', 'neutral'],
    [1, 'feed of another circuit', 'hot-second', 'neutral'],
    [1, 'feed of another circuit, other leg', 'hot-other-leg', 'neutral'],
    [1.2, 'travelers from a fed 3-way', 'fed-1', 'fed-2'],
    [1.2, 'travelers to a 3-way with the light', 'lit-1', 'lit-2'],
    [0.8, 'retired: dead, cut at its far end', 'open', 'open'],
    [1.2, 'retired: dead, its ends tied together', 'tied', 'tied'],
    [1, 'on to a motor or heater that stays connected', 'fixed', 'return'],
    [1.2, 'switch loop of another circuit', 'lamp-second', 'hot-second'],
    [1.4, 'switch loop of another circuit, reversed polarity', 'hot-second', 'lamp-second'],
    [1.2, 'switch loop of another circuit, other leg', 'lamp-second', 'hot-other-leg'],
    [1.4, 'switch loop of another circuit, other leg, reversed polarity', 'hot-other-leg', 'lamp-second'],
    [1.6, 'travelers of another circuit', 'fed-second-1', 'fed-second-2'],
    [1.6, 'travelers of another circuit, other leg', 'fed-other-1', 'fed-other-2'],
    [1.8, 'constant and switched hot, no neutral', 'hot', 'switched'],
    [1.8, 'constant and switched hot, reversed polarity', 'switched', 'hot'],
    [1.4, 'feed with hot and neutral changed over', 'neutral', 'hot'],
    [2, 'two legs, 240 V', 'hot', 'hot-other-leg'],
    [0.9, 'feed with its neutral open', 'hot', 'open'],
    [0.7, 'feed with its hot open', 'open', 'neutral'],
    [1.6, 'feed whose neutral is switched upstream', 'hot', 'neutral-switched'],
  ],
  '3': [
    [0, 'constant and switched hot with neutral', 'hot', 'switched', 'neutral'],
    [0.5, 'constant and switched hot with neutral, red constant', 'switched', 'hot', 'neutral'],
    [0, '3-wire switch loop from a light', 'hot', 'lamp', 'neutral'],
    [0.5, '3-wire switch loop, red constant', 'lamp', 'hot', 'neutral'],
    [0, 'on to two loads', 'load', 'load-2', 'return'],
    [0.3, 'on to a load, red spare', 'load', 'open', 'return'],
    [0.6, 'on to a load, black spare', 'open', 'load', 'return'],
    [0.4, 'feed, red spare', 'hot', 'open', 'neutral'],
    [0.8, 'feed, black spare', 'open', 'hot', 'neutral'],
    [0.5, 'multiwire feed', 'hot', 'hot-other-leg', 'neutral'],
    [0.5, 'multiwire feed, reversed polarity', 'hot-other-leg', 'hot', 'neutral'],
    [0.8, 'two circuits with one neutral, same leg', 'hot', 'hot-second', 'neutral'],
    [0.8, 'two circuits with one neutral, same leg, reversed polarity', 'hot-second', 'hot', 'neutral'],
    [1, 'another circuit with a switched hot', 'hot-second', 'switched', 'neutral'],
    [0, 'travelers from a fed 3-way, with neutral', 'fed-1', 'fed-2', 'neutral'],
    [0, 'travelers to a 3-way with the light', 'lit-1', 'lit-2', 'lit-return'],
    [0.6, 'travelers to a 3-way with the light, neutral from there', 'lit-1', 'lit-2', 'neutral'],
    [0.5, 'travelers from a fed 3-way, white back to the light', 'fed-1', 'fed-2', 'lamp'],
    [1, 'travelers from a fed 3-way, black back to the light', 'lamp', 'fed-1', 'fed-2'],
    [1, 'travelers from a fed 3-way, red back to the light', 'fed-1', 'lamp', 'fed-2'],
    [1, 'travelers to the light, white constant hot', 'lit-1', 'lit-2', 'hot'],
    [1, 'travelers to the light, black constant hot', 'hot', 'lit-1', 'lit-2'],
    [1, 'travelers to the light, red constant hot', 'lit-1', 'hot', 'lit-2'],
    [0.5, 'down to a 3-way, white on its common', 'way-1', 'way-2', 'way-common'],
    [0.6, 'down to a 3-way, black on its common', 'way-common', 'way-1', 'way-2'],
    [0.8, 'down to a 3-way, red on its common', 'way-1', 'way-common', 'way-2'],
    [1, 'travelers from a fed 3-way, white spare', 'fed-1', 'fed-2', 'open'],
    [1, 'travelers to a 3-way with the light there, white spare', 'lit-1', 'lit-2', 'open'],
    [0.4, 'down to a switch, white spare', 'switch-common', 'leg', 'open'],
    [0.5, 'down to a switch, reversed polarity, white spare', 'leg', 'switch-common', 'open'],
    [0.5, 'down to two switches', 'leg', 'leg-2', 'switch-common'],
    [0.6, 'down to two switches, black common', 'switch-common', 'leg', 'leg-2'],
    [0.8, 'down to two switches, red common', 'leg', 'switch-common', 'leg-2'],
    [0.6, 'switch loop of two lights', 'lamp', 'lamp-2', 'hot'],
    [0.8, 'switch loop of two lights, black constant', 'hot', 'lamp', 'lamp-2'],
    [1, 'switch loop of two lights, red constant', 'lamp', 'hot', 'lamp-2'],
    [0.8, 'switch loop, white constant, red spare', 'lamp', 'open', 'hot'],
    [1, 'switch loop, black constant, red spare', 'hot', 'open', 'lamp'],
    [1.2, 'switch loop, white spare', 'hot', 'lamp', 'open'],
    [1.2, 'switch loop, red constant, white spare', 'lamp', 'hot', 'open'],
    [1, 'two switched hots with neutral', 'switched', 'switched-2', 'neutral'],
    [1, 'feed from a switch upstream, red spare', 'switched', 'open', 'neutral'],
    [1.2, 'feed from a switch upstream, black spare', 'open', 'switched', 'neutral'],
    [1, 'retired: dead, cut at its far end', 'open', 'open', 'open'],
    [1.4, 'retired: dead, its ends tied together', 'tied', 'tied', 'tied'],
    [1.2, 'feed with its hot open, red spare', 'open', 'open', 'neutral'],
    [1.4, 'feed with its neutral open, red spare', 'hot', 'open', 'open'],
    [1.4, '3-wire switch loop of another circuit', 'hot-second', 'lamp-second', 'neutral'],
    [1.4, '3-wire switch loop of another circuit, other leg', 'hot-other-leg', 'lamp-second', 'neutral'],
    [
      1.6,
      'travelers of another circuit, other leg, with its neutral',
      'fed-other-1',
      'fed-other-2',
      'neutral',
    ],
    [1.6, 'travelers of another circuit, with its neutral', 'fed-second-1', 'fed-second-2', 'neutral'],
    [2, 'constant and switched hot, neutral open', 'hot', 'switched', 'open'],
  ],
};

/** What four insulated conductors are in everyday work; the rest Find does not know. */
const FOUR: readonly Row[] = [
  [0, 'constant hot, two switched hots, neutral', 'hot', 'switched', 'switched-2', 'neutral'],
  [0.3, 'switch loop of two lights with neutral', 'hot', 'lamp', 'lamp-2', 'neutral'],
  [0.3, 'travelers from a fed 3-way, constant hot, neutral', 'hot', 'fed-1', 'fed-2', 'neutral'],
  [0.5, 'travelers to a 3-way with the light, constant hot, neutral', 'hot', 'lit-1', 'lit-2', 'neutral'],
  [0.4, 'on to two loads, blue spare', 'load', 'load-2', 'open', 'return'],
  [0.6, 'feed, red and blue spare', 'hot', 'open', 'open', 'neutral'],
  [0.8, 'multiwire feed, blue spare', 'hot', 'hot-other-leg', 'open', 'neutral'],
  [0.8, 'constant and switched hot with neutral, blue spare', 'hot', 'switched', 'open', 'neutral'],
  [1, 'retired: dead, cut at its far end', 'open', 'open', 'open', 'open'],
];

/** Two pairs in one jacket: each what a 2-wire cable may be, the plainest of them. */
const PAIR_ODD = 0.9;
const pairs = (): Row[] => {
  const plain = (ROWS['2'] ?? []).filter(([odd]) => odd <= PAIR_ODD);
  return plain.flatMap(([odd, says, ...ports]) =>
    plain
      .filter(
        ([other, , ...theirs]) =>
          odd + other <= PAIR_ODD + 0.1 && !theirs.some((port) => ALONE.has(port) && ports.includes(port)),
      )
      .map(([other, otherSays, ...otherPorts]): Row => [
        odd + other,
        `black and white: ${says}; red and striped white: ${otherSays}`,
        ...ports,
        ...otherPorts.map((port): Port => SECOND_PAIR[port] ?? port),
      ]),
  );
};
/** Ports that stand for one thing at the far end: two pairs do not share it. */
const ALONE: ReadonlySet<Port> = new Set<Port>([
  'load',
  'leg',
  'switch-common',
  'fixed',
  'tied',
  'fed-1',
  'lit-1',
]);
/** The second pair's own light, load or switch is not the first one's. */
const SECOND_PAIR: Partial<Record<Port, Port>> = { lamp: 'lamp-2', switched: 'switched-2' };
const rowsOf = (makeUp: string): readonly Row[] =>
  makeUp === '4' ? FOUR : makeUp === '2-2' ? pairs() : (ROWS[makeUp] ?? []);

/** The far sides that a cable make-up (`14-2`, `12-3`…) may have, plainest first. */
export function farSides(type: string): readonly FarSide[] {
  const makeUp = type.slice(3);
  const known = CACHE.get(makeUp);
  if (known) return known;
  const colors = COLORS[makeUp] ?? [];
  const sides = rowsOf(makeUp)
    .map(([odd, says, ...ports]): FarSide => ({
      id: ports.join('+'),
      says,
      odd,
      ports: Object.fromEntries(
        ports.flatMap((port, index) => {
          const color = colors[index];
          return color ? [[color, port] as const] : [];
        }),
      ),
    }))
    .sort((a, b) => a.odd - b.odd);
  CACHE.set(makeUp, sides);
  return sides;
}
const CACHE = new Map<string, readonly FarSide[]>();

/** Ports that are stiffly at a voltage to the neutral in some switch position, and so are a short with one at 0 V. */
const STIFF: Partial<Record<Port, string>> = {
  hot: 'own',
  switched: 'own',
  'switched-2': 'own',
  'fed-1': 'own',
  'fed-2': 'own',
  'hot-second': 'second',
  'fed-second-1': 'second',
  'fed-second-2': 'second',
  'fed-other-1': 'other',
  'fed-other-2': 'other',
  'neutral-switched': 'neutral',
  'hot-other-leg': 'other',
  neutral: 'neutral',
};

/** The source that a port ties its conductor to, by metal, in some switch position; undefined where none. */
export const stiffTo = (port: Port): string | undefined => STIFF[port];

const LEADS_ON: ReadonlySet<Port> = new Set<Port>(['lamp', 'lamp-2', 'lamp-second', 'lit-1', 'lit-2']);

/** True where the far side leads on to the panel, and its ground with it. */
export const leadsToPanel = (side: FarSide): boolean =>
  Object.values(side.ports).some((port) => stiffTo(port) !== undefined || LEADS_ON.has(port));
