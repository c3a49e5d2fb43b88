import type { Insulation } from '../../trade/standards/cables';
import { say } from '../../base/words/survey';

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
  | 'switched-second'
  | 'switched-other'
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
  hot: say('farSides.constantHot'),
  neutral: say('farSides.neutral'),
  'hot-second': say('farSides.hotAnotherCircuit'),
  'hot-other-leg': say('farSides.hotAnotherCircuitOtherLeg'),
  switched: say('farSides.hotFromSwitchUpstream'),
  'switched-2': say('farSides.hotFromSwitchUpstream'),
  'switched-second': say('farSides.hotFromSwitchAnotherCircuit'),
  'switched-other': say('farSides.hotFromSwitchAnotherCircuit'),
  lamp: say('farSides.switchedHotLightNeutral'),
  'lamp-2': say('farSides.switchedHotLightNeutral'),
  load: say('farSides.hotLoad'),
  'load-2': say('farSides.hotSecondLoad'),
  return: say('farSides.neutralLoad'),
  'switch-common': say('farSides.hotOutSwitch'),
  leg: say('farSides.switchedHotBackFromSwitch'),
  'leg-2': say('farSides.switchedHotBackFromSecond'),
  'fed-1': say('farSides.traveler'),
  'fed-2': say('farSides.traveler'),
  'fed-second-1': say('farSides.travelerAnotherCircuit'),
  'fed-second-2': say('farSides.travelerAnotherCircuit'),
  'fed-other-1': say('farSides.travelerAnotherCircuit'),
  'fed-other-2': say('farSides.travelerAnotherCircuit'),
  'lamp-second': say('farSides.switchedHotAnotherCircuit'),
  'neutral-switched': say('farSides.neutralBehindSwitchUpstream'),
  fixed: say('farSides.hotMotorHeaterStaysConnected'),
  tied: say('farSides.tiedAnotherConductorFarEnd'),
  'lit-1': say('farSides.traveler'),
  'lit-2': say('farSides.traveler'),
  'lit-return': say('farSides.neutralLoad'),
  'way-common': say('farSides.commonFar3Way'),
  'way-1': say('farSides.traveler'),
  'way-2': say('farSides.traveler'),
  open: say('farSides.spareCutOff'),
};

export interface FarSide {
  readonly id: string;
  readonly says: string;
  /** How unusual it is; 0 is everyday work. Common practice, not measured. */
  readonly odd: number;
  readonly ports: Readonly<Partial<Record<Insulation, Port>>>;
}

const idOf = (ports: readonly Port[]): string => ports.join('+');

type Row = readonly [odd: number, says: string, ...ports: Port[]];

const COLORS: Record<string, readonly Insulation[]> = {
  '2': ['black', 'white'],
  '3': ['black', 'red', 'white'],
  '4': ['black', 'red', 'blue', 'white'],
  '2-2': ['black', 'white', 'red', 'white-red'],
};

/** By make-up; ports in the order of its colors. What is over 3 is thought of where nothing plainer explains what was read. */
const ROWS: Record<string, readonly Row[]> = {
  '2': [
    [0, say('farSides.feed'), 'hot', 'neutral'],
    [0, say('farSides.lightOutlets'), 'load', 'return'],
    [0.4, say('farSides.switchLoopFromLight'), 'lamp', 'hot'],
    [1, say('farSides.switchLoopFromLightReversed'), 'hot', 'lamp'],
    [0.6, say('farSides.downSwitch'), 'leg', 'switch-common'],
    [1, say('farSides.downSwitchReversedPolarity'), 'switch-common', 'leg'],
    [0.8, say('farSides.feedFromSwitchUpstream'), 'switched', 'neutral'],
    [1, say('farSides.feedAnotherCircuit'), 'hot-second', 'neutral'],
    [1, say('farSides.feedAnotherCircuitOtherLeg'), 'hot-other-leg', 'neutral'],
    [1.2, say('farSides.travelersFromFed3Way'), 'fed-1', 'fed-2'],
    [1.2, say('farSides.travelers3WayLight'), 'lit-1', 'lit-2'],
    [0.8, say('farSides.retiredDeadCutFarEnd'), 'open', 'open'],
    [1.2, say('farSides.retiredDeadEndsTiedTogether'), 'tied', 'tied'],
    [1, say('farSides.motorHeaterStaysConnected'), 'fixed', 'return'],
    [1.2, say('farSides.switchLoopAnotherCircuit'), 'lamp-second', 'hot-second'],
    [1.4, say('farSides.switchLoopAnotherCircuitReversed'), 'hot-second', 'lamp-second'],
    [1.2, say('farSides.switchLoopAnotherCircuitOther'), 'lamp-second', 'hot-other-leg'],
    [1.4, say('farSides.foreignLoopOtherLegReversed'), 'hot-other-leg', 'lamp-second'],
    [1.6, say('farSides.travelersAnotherCircuit'), 'fed-second-1', 'fed-second-2'],
    [1.6, say('farSides.travelersAnotherCircuitOtherLeg'), 'fed-other-1', 'fed-other-2'],
    [1.8, say('farSides.constantSwitchedHotNoNeutral'), 'hot', 'switched'],
    [1.8, say('farSides.constantSwitchedHotReversedPolarity'), 'switched', 'hot'],
    [1.4, say('farSides.feedHotNeutralChangedOver'), 'neutral', 'hot'],
    [2, say('farSides.twoLegs240V'), 'hot', 'hot-other-leg'],
    [0.9, say('farSides.feedNeutralOpen'), 'hot', 'open'],
    [0.7, say('farSides.feedHotOpen'), 'open', 'neutral'],
    [1.6, say('farSides.feedWhoseNeutralSwitchedUpstream'), 'hot', 'neutral-switched'],
    [3.2, say('farSides.feedFromSwitchAnotherCircuit'), 'switched-second', 'neutral'],
  ],
  '3': [
    [0, say('farSides.constantSwitchedHotNeutral'), 'hot', 'switched', 'neutral'],
    [0.5, say('farSides.constantSwitchedHotNeutralRed'), 'switched', 'hot', 'neutral'],
    [0, say('farSides.threeWireLoopFromLight'), 'hot', 'lamp', 'neutral'],
    [0.5, say('farSides.threeWireLoopRedConstant'), 'lamp', 'hot', 'neutral'],
    [0, say('farSides.twoLoads'), 'load', 'load-2', 'return'],
    [0.3, say('farSides.loadRedSpare'), 'load', 'open', 'return'],
    [0.6, say('farSides.loadBlackSpare'), 'open', 'load', 'return'],
    [0.4, say('farSides.feedRedSpare'), 'hot', 'open', 'neutral'],
    [0.8, say('farSides.feedBlackSpare'), 'open', 'hot', 'neutral'],
    [0.5, say('farSides.multiwireFeed'), 'hot', 'hot-other-leg', 'neutral'],
    [0.5, say('farSides.multiwireFeedReversedPolarity'), 'hot-other-leg', 'hot', 'neutral'],
    [0.8, say('farSides.twoCircuitsOneNeutralSame'), 'hot', 'hot-second', 'neutral'],
    [0.8, say('farSides.sharedNeutralSameLegReversed'), 'hot-second', 'hot', 'neutral'],
    [1, say('farSides.anotherCircuitSwitchedHot'), 'hot-second', 'switched', 'neutral'],
    [0, say('farSides.fedTravelersNeutral'), 'fed-1', 'fed-2', 'neutral'],
    [0, say('farSides.travelers3WayLight'), 'lit-1', 'lit-2', 'lit-return'],
    [0.6, say('farSides.travelers3WayLightNeutral'), 'lit-1', 'lit-2', 'neutral'],
    [0.5, say('farSides.fedTravelersWhiteBack'), 'fed-1', 'fed-2', 'lamp'],
    [1, say('farSides.fedTravelersBlackBack'), 'lamp', 'fed-1', 'fed-2'],
    [1, say('farSides.fedTravelersRedBack'), 'fed-1', 'lamp', 'fed-2'],
    [1, say('farSides.travelersLightWhiteConstantHot'), 'lit-1', 'lit-2', 'hot'],
    [1, say('farSides.travelersLightBlackConstantHot'), 'hot', 'lit-1', 'lit-2'],
    [1, say('farSides.travelersLightRedConstantHot'), 'lit-1', 'hot', 'lit-2'],
    [0.5, say('farSides.down3WayWhiteCommon'), 'way-1', 'way-2', 'way-common'],
    [0.6, say('farSides.down3WayBlackCommon'), 'way-common', 'way-1', 'way-2'],
    [0.8, say('farSides.down3WayRedCommon'), 'way-1', 'way-common', 'way-2'],
    [1, say('farSides.fedTravelersWhiteSpare'), 'fed-1', 'fed-2', 'open'],
    [1, say('farSides.travelers3WayLightWhite'), 'lit-1', 'lit-2', 'open'],
    [0.4, say('farSides.downSwitchWhiteSpare'), 'switch-common', 'leg', 'open'],
    [1.2, say('farSides.downSwitchAndLight'), 'switch-common', 'leg', 'return'],
    [1.4, say('farSides.downSwitchAndLightRed'), 'leg', 'switch-common', 'return'],
    [0.5, say('farSides.downSwitchReversedPolarityWhite'), 'leg', 'switch-common', 'open'],
    [0.5, say('farSides.downTwoSwitches'), 'leg', 'leg-2', 'switch-common'],
    [0.6, say('farSides.downTwoSwitchesBlackCommon'), 'switch-common', 'leg', 'leg-2'],
    [0.8, say('farSides.downTwoSwitchesRedCommon'), 'leg', 'switch-common', 'leg-2'],
    [0.6, say('farSides.switchLoopTwoLights'), 'lamp', 'lamp-2', 'hot'],
    [0.8, say('farSides.switchLoopTwoLightsBlack'), 'hot', 'lamp', 'lamp-2'],
    [1, say('farSides.switchLoopTwoLightsRed'), 'lamp', 'hot', 'lamp-2'],
    [0.8, say('farSides.switchLoopWhiteConstantRed'), 'lamp', 'open', 'hot'],
    [1, say('farSides.switchLoopBlackConstantRed'), 'hot', 'open', 'lamp'],
    [1.2, say('farSides.switchLoopWhiteSpare'), 'hot', 'lamp', 'open'],
    [1.2, say('farSides.switchLoopRedConstantWhite'), 'lamp', 'hot', 'open'],
    [1, say('farSides.twoSwitchedHotsNeutral'), 'switched', 'switched-2', 'neutral'],
    [1, say('farSides.feedFromSwitchUpstreamRed'), 'switched', 'open', 'neutral'],
    [1.2, say('farSides.feedFromSwitchUpstreamBlack'), 'open', 'switched', 'neutral'],
    [1, say('farSides.retiredDeadCutFarEnd'), 'open', 'open', 'open'],
    [1.4, say('farSides.retiredDeadEndsTiedTogether'), 'tied', 'tied', 'tied'],
    [1.2, say('farSides.feedHotOpenRedSpare'), 'open', 'open', 'neutral'],
    [1.4, say('farSides.feedNeutralOpenRedSpare'), 'hot', 'open', 'open'],
    [1.4, say('farSides.foreignThreeWireLoop'), 'hot-second', 'lamp-second', 'neutral'],
    [1.4, say('farSides.foreignThreeWireLoopOtherLeg'), 'hot-other-leg', 'lamp-second', 'neutral'],
    [1.6, say('farSides.foreignTravelersOtherLegNeutral'), 'fed-other-1', 'fed-other-2', 'neutral'],
    [1.6, say('farSides.travelersAnotherCircuitNeutral'), 'fed-second-1', 'fed-second-2', 'neutral'],
    [2, say('farSides.constantSwitchedHotNeutralOpen'), 'hot', 'switched', 'open'],
    [3.2, say('farSides.anotherCircuitSwitchedHotRed'), 'switched', 'hot-second', 'neutral'],
    [3.2, say('farSides.constantSwitchedHotAnotherCircuit'), 'hot', 'switched-second', 'neutral'],
    [3.2, say('farSides.constantSwitchedHotOtherLeg'), 'hot', 'switched-other', 'neutral'],
    [3.4, say('farSides.constantSwitchedHotOtherLegRed'), 'switched-other', 'hot', 'neutral'],
    [3.2, say('farSides.otherLegSwitchedHot'), 'hot-other-leg', 'switched', 'neutral'],
    [3.4, say('farSides.otherLegSwitchedHotRed'), 'switched', 'hot-other-leg', 'neutral'],
    [3.4, say('farSides.constantSwitchedHotAnotherCircuitRed'), 'switched-second', 'hot', 'neutral'],
    [3.4, say('farSides.foreignThreeWireLoopFromLight'), 'hot', 'lamp-second', 'neutral'],
    [3.4, say('farSides.threeWireLoopForeignHot'), 'hot-second', 'lamp', 'neutral'],
  ],
};

/** What four insulated conductors are in everyday work; the rest Find does not know. */
const FOUR: readonly Row[] = [
  [0, say('farSides.constantHotTwoSwitchedHots'), 'hot', 'switched', 'switched-2', 'neutral'],
  [0.3, say('farSides.switchLoopTwoLightsNeutral'), 'hot', 'lamp', 'lamp-2', 'neutral'],
  [0.3, say('farSides.fedTravelersHotNeutral'), 'hot', 'fed-1', 'fed-2', 'neutral'],
  [0.5, say('farSides.travelers3WayLightConstant'), 'hot', 'lit-1', 'lit-2', 'neutral'],
  [0.4, say('farSides.twoLoadsBlueSpare'), 'load', 'load-2', 'open', 'return'],
  [0.6, say('farSides.feedRedBlueSpare'), 'hot', 'open', 'open', 'neutral'],
  [0.8, say('farSides.multiwireFeedBlueSpare'), 'hot', 'hot-other-leg', 'open', 'neutral'],
  [0.8, say('farSides.constantSwitchedHotNeutralBlue'), 'hot', 'switched', 'open', 'neutral'],
  [1, say('farSides.retiredDeadCutFarEnd'), 'open', 'open', 'open', 'open'],
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
        say('farSides.blackWhiteRedStripedWhite', { says, otherSays }),
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

/** What can be wrong with any feed, out of sight: what it makes of a port, how much odder that is, and its name. */
type Spoil = 'neutral open' | 'hot open' | 'reversed' | 'another circuit';
const SPOILS: Record<
  Spoil,
  readonly [more: number, port: (port: Port) => Port, says: (feed: string) => string]
> = {
  'neutral open': [
    1.4,
    (port) => (port === 'neutral' ? 'open' : port),
    (feed) => say('farSides.neutralOpen', { feed }),
  ],
  'hot open': [1.2, (port) => (port === 'hot' ? 'open' : port), (feed) => say('farSides.hotOpen', { feed })],
  reversed: [
    1.6,
    (port) => (port === 'neutral' ? 'hot' : port === 'hot' ? 'neutral' : port),
    (feed) => say('farSides.changedOver', { feed }),
  ],
  'another circuit': [1, (port) => OF_ANOTHER[port] ?? port, (feed) => say('farSides.ofAnother', { feed })],
};
const OF_ANOTHER: Partial<Record<Port, Port>> = {
  hot: 'hot-second',
  switched: 'switched-second',
  lamp: 'lamp-second',
};
/** Feeds up to here are thought of as spoiled, too. */
const SPOILED_ODD = 0.8;

/** Everyday feeds of a make-up with one thing wrong; what looks like another row is that row. */
function spoiled(rows: readonly Row[]): (readonly [Spoil, Row])[] {
  const known = new Set(rows.map(([, , ...ports]) => idOf(ports)));
  return rows
    .filter(([odd, , ...ports]) => odd <= SPOILED_ODD && ports.includes('hot') && ports.includes('neutral'))
    .flatMap(([odd, says, ...ports]) =>
      (Object.keys(SPOILS) as Spoil[]).flatMap((spoil) => {
        const [more, change, named] = SPOILS[spoil];
        const own = ports.map(change);
        if (known.has(idOf(own))) return [];
        known.add(idOf(own));
        return [[spoil, [odd + more, named(says), ...own]] as const];
      }),
    );
}
const SPOILED: Readonly<Record<string, ReturnType<typeof spoiled>>> = {
  '3': spoiled(ROWS['3'] ?? []),
  '4': spoiled(FOUR),
  '2-2': spoiled(pairs()),
};
const spoiledBy = (spoil: Spoil): string[] =>
  Object.values(SPOILED).flatMap((rows) =>
    rows.flatMap(([own, [, , ...ports]]) => (own === spoil ? [idOf(ports)] : [])),
  );

/** Far sides of a feed whose neutral, or whose hot, is broken upstream, by their ids. */
export const NEUTRAL_OPEN: ReadonlySet<string> = new Set([
  ...(
    [
      ['hot', 'open'],
      ['hot', 'open', 'open'],
      ['hot', 'switched', 'open'],
    ] as const
  ).map(idOf),
  ...spoiledBy('neutral open'),
]);
export const HOT_OPEN: ReadonlySet<string> = new Set([
  ...(
    [
      ['open', 'neutral'],
      ['open', 'open', 'neutral'],
    ] as const
  ).map(idOf),
  ...spoiledBy('hot open'),
]);

/**
 * Far sides that hurt where they are taken for a plain feed: they stay among the guesses, one at a time beside plain
 * ones, however full the box is.
 */
export const HURTS: ReadonlySet<string> = new Set([
  ...NEUTRAL_OPEN,
  ...HOT_OPEN,
  ...spoiledBy('reversed'),
  ...spoiledBy('another circuit'),
  ...(
    [
      ['neutral', 'hot'],
      ['hot-second', 'neutral'],
      ['hot-other-leg', 'neutral'],
      ['hot', 'neutral-switched'],
    ] as const
  ).map(idOf),
]);

function rowsOf(makeUp: string): readonly Row[] {
  const plain = makeUp === '2-2' ? pairs() : makeUp === '4' ? FOUR : (ROWS[makeUp] ?? []);
  return [...plain, ...(SPOILED[makeUp] ?? []).map(([, row]) => row)];
}

/** The far sides that a cable make-up (`14-2`, `12-3`…) may have, plainest first. */
export function farSides(type: string): readonly FarSide[] {
  const makeUp = type.slice(3);
  const known = CACHE.get(makeUp);
  if (known) return known;
  const colors = COLORS[makeUp] ?? [];
  const sides = rowsOf(makeUp)
    .map(([odd, says, ...ports]): FarSide => ({
      id: idOf(ports),
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
  'switched-second': 'second',
  'switched-other': 'other',
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
