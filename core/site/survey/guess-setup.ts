import { REST, type State } from '../../power/energize/state';
import type { Circuit } from '../../job/model/design';
import type { Setup, Spot, Survey } from '../../job/model/survey';
import type { Network } from '../../power/network/network';
import { partKey, type EndId, type PartKey } from '../../job/model/wiring';
import { endOfSpot, spotEnd, surveyCircuits } from './scene';
import { FIXED, OWN, restOf } from './far-side-wiring';

/** Loads of unknown size, W: a small lamp, and a heater's worth. */
const SMALL_W = 6;
const LARGE_W = 600;

/** A guess set up for a test: what is apart, in the positions that its switches can have. */
export interface Stage {
  /** With the resistance of its wires, and without. */
  readonly wired: Network;
  readonly network: Network;
  readonly positions: readonly ReadonlyMap<string, number>[];
  /** The points of the seen ends, by end, as indexes into `points`. */
  readonly indexOf: ReadonlyMap<string, number>;
  readonly points: readonly number[];
  /** Something in it can be pulled out. */
  readonly plugged: boolean;
}

/** Positions that a setup leaves to chance, with the load states for each. */
export function statesOf(
  { circuits, here }: SeenWhole,
  stage: Stage,
  setup: Setup,
  dead: boolean,
): State[][] {
  const fixed = setup.switches === 'off here' ? 0 : setup.switches === 'on here' ? 1 : null;
  const open = setup.breakers === 'on' ? [] : setup.breakers === 'off' ? [OWN] : circuits.map(({ id }) => id);
  const openBreakers = new Set(open);
  const loads = loadStates(stage.network, setup, dead);
  return stage.positions.flatMap((positions) =>
    fixed !== null && [...positions].some(([id, at]) => here.has(id) && at !== fixed)
      ? []
      : [loads.map((load) => ({ ...REST, openBreakers, positions, loads: load }))],
  );
}

/** What may be in use: nothing, all small, all large, or by turns, since nothing is known of far loads. */
function loadStates(network: Network, setup: Setup, dead: boolean): ReadonlyMap<PartKey, number>[] {
  const keys = network.parts.map(({ key }) => key);
  const fixed = keys.filter(isFixed);
  const parts = keys
    .filter((key) => !isFixed(key))
    .filter((key) => (REST_KEYS.has(key) ? dead : !setup.loadsOut || !isPlugged(key)));
  const all = (watts: (index: number) => number) =>
    new Map(parts.map((key, index) => [key, watts(index)] as const));
  const same =
    parts.length === 0
      ? [new Map<PartKey, number>()]
      : [all(() => 0), all(() => SMALL_W), all(() => LARGE_W)];
  const turns =
    parts.length < 2
      ? []
      : [
          [0, LARGE_W],
          [LARGE_W, 0],
        ].map(([even = 0, odd = 0]) => all((index) => (index % 2 === 0 ? even : odd)));
  const states = [...same, ...turns];
  if (fixed.length === 0) return states;
  // What stays connected is there whatever is pulled: as strong and as weak as such things are.
  return states.flatMap((state) =>
    FIXED_W.map((watts) => new Map([...state, ...fixed.map((key) => [key, watts] as const)])),
  );
}

/** One name for setups between which a guess shows no difference: no plug is pulled where there is none. */
export const keyOf = ({ plugged }: Stage, { apart, breakers, switches, loadsOut }: Setup): string =>
  `${apart}/${breakers}/${switches}/${loadsOut && plugged}`;

/** What a setup with the loads out surely pulls: plugs of this box. A lamp at the far end of a cable may have stayed in. */
export const isPlugged = (key: PartKey): boolean => !key.includes('!');
const REST_KEYS: ReadonlySet<PartKey> = new Set(
  [OWN, 'second', 'other'].map((one) => partKey(restOf(one), 'lamp')),
);
/** A motor or heater that cannot be unplugged: 2 to 40 Ω (common practice). */
const isFixed = (key: PartKey): boolean => key.endsWith(`!${FIXED}/lamp`);
const FIXED_W = [7200, 360] as const;

/** Current that leaves one cable and comes back by another, or by ground, opens a protecting device upstream. */
export const mayTrip = (from: Spot, to: Spot): boolean =>
  from.on === 'ground' || to.on === 'ground' || from.cable !== to.cable;

/** What all guesses of a survey share. */
/** The same test is held against hundreds of guesses: what its spots name is found once. */
function remembered(find: (spot: Spot) => EndId | null): (spot: Spot) => EndId | null {
  const known = new WeakMap<Spot, EndId | null>();
  return (spot) => {
    const own = known.get(spot);
    if (own !== undefined) return own;
    const found = find(spot);
    known.set(spot, found);
    return found;
  };
}

export interface SeenWhole {
  readonly survey: Survey;
  readonly circuits: readonly Circuit[];
  /** Devices that are seen, whose handles are at hand. */
  readonly here: ReadonlySet<string>;
  /** Every seen conductor end. */
  readonly ends: readonly string[];
  /** The end that a spot names; null where there is none. */
  readonly endOf: (spot: Spot) => EndId | null;
}

export const seenWhole = (survey: Survey): SeenWhole => ({
  survey,
  endOf: remembered((spot) => endOfSpot(survey, spot)),
  circuits: surveyCircuits(survey),
  here: new Set(survey.boxes.flatMap(({ devices }) => devices.map(({ id }) => id))),
  ends: survey.boxes.flatMap(({ ends }) =>
    ends.map(({ cable, insulation }) => spotEnd(survey, cable, insulation)),
  ),
});
