import type { Survey } from '../model/survey';
import type { Standing } from './evidence';
import { NOT_PROVEN } from './proofs';
import { groundEnd } from './scene';
import type { Verdict } from './verdict';
import { cableName } from './words';

/** What a verdict means for the outlet that is wanted. */
export interface Advice {
  /** One line, read at arm's length. */
  readonly answer: string;
  readonly reason: string;
  readonly waysOut: readonly string[];
  readonly cautions: readonly string[];
  /** Limits that do not hang on the wiring. */
  readonly stillToCheck: readonly string[];
}

const STILL = [
  'Room in the box (314.16)',
  'Load on the circuit (210.19, 210.23)',
  'Whether this room may be fed from this circuit (210.52)',
  'GFCI, AFCI and tamper resistance for this place (210.8, 210.12, 406.12)',
] as const;

const OUTSIDE_SAYS = {
  aluminum: 'Aluminum branch wiring needs connectors and methods of its own.',
  'cloth or rubber': 'Cloth or rubber insulation breaks when it is moved.',
  'knob-and-tube': 'Knob-and-tube wiring has no ground and is not extended.',
  scorched: 'Scorched or brittle insulation: something here has been too hot.',
  conduit: 'Conductors in conduit follow other rules for colors and fill: conduit is not planned here.',
  'armored cable': 'Armored and metal-clad cable are not planned here: their fittings and grounds differ.',
  'other wiring method': 'Split Tap plans NM-B cable only: this wiring method is not planned here.',
} as const;

const NOT_PLANNED: ReadonlySet<string> = new Set(['conduit', 'armored cable', 'other wiring method']);

/** The verdict in words, with the ways out where it is no. Sections from memory. */
export function adviceOf(survey: Survey, verdict: Verdict, standings: readonly Standing[]): Advice {
  const [out] = survey.outside;
  if (out !== undefined) {
    const method = NOT_PLANNED.has(out);
    return {
      answer: method ? 'Not planned here.' : 'Stop. This is outside of what Split Tap plans.',
      reason: `${OUTSIDE_SAYS[out]} ${method ? 'Close it, or plan it by hand.' : 'Make it safe, close it, and have it looked at before anything is added.'}`,
      waysOut: ['Feed the new outlet from sound wiring elsewhere, by a new cable.'],
      cautions: [],
      stillToCheck: [],
    };
  }
  const cautions: string[] = [];
  if (verdict.shared === 'yes')
    cautions.push(
      'Two circuits are alive here. Switch both off, and never open their neutral while one is on.',
    );
  if (verdict.shared === 'not known yet')
    cautions.push('A second circuit is not ruled out: leave spliced whites together.');
  if (verdict.conductors.some(({ is, insulation }) => insulation === 'white' && is === 'hot')) {
    cautions.push('A white here is a hot: band it with tape in every box where it shows (200.7(C)(1)).');
  }
  if (verdict.contradiction) {
    return {
      answer: 'Two readings cannot both be true.',
      reason: verdict.contradiction.says,
      waysOut: [],
      cautions,
      stillToCheck: [],
    };
  }
  if (survey.listed !== null && survey.listed !== survey.breaker) {
    cautions.push(
      `The directory gives breaker ${survey.listed}; it is breaker ${survey.breaker}: correct the directory (408.4).`,
    );
  }
  if (verdict.tap === 'yes' && verdict.from) {
    const { cable, hot, neutral } = verdict.from;
    return {
      answer: 'Yes: an always-on outlet can be tapped here.',
      reason: `Tap the ${hot} and the ${neutral} of the ${cableName(survey, cable)}, breaker ${survey.breaker}.`,
      waysOut: [],
      cautions,
      stillToCheck: STILL,
    };
  }
  if (verdict.groundUnproven) {
    return {
      answer: 'Hot and neutral are verified; the ground is not.',
      reason:
        'The ground is continuous, separate path not verified: it may be tied to the neutral here or upstream. Until a reading tells, plan as without an equipment ground.',
      waysOut: [NEAREST, ...NO_GROUND],
      cautions,
      stillToCheck: [],
    };
  }
  if (verdict.tap === 'no') {
    const { reason, waysOut } = whyNot(survey, verdict, standings);
    return {
      answer: 'No: an always-on outlet cannot be fed here as it is.',
      reason,
      waysOut,
      cautions,
      stillToCheck: [],
    };
  }
  const missing = verdict.proofs.filter(({ reading }) => reading === null).map(({ of }) => NOT_PROVEN[of]);
  return {
    answer: 'Not known yet.',
    reason:
      verdict.left === 'yes' && missing.length > 0
        ? `Nothing speaks against it, but it is ${missing.join('; ')}.`
        : 'What is seen can still be wired in ways that differ for an outlet.',
    waysOut: [],
    cautions,
    stillToCheck: [],
  };
}

const NEAREST = 'Feed the outlet from the nearest always-on receptacle or box, by a new cable.';

const NO_GROUND = [
  'Run a separate equipment ground to the panel, the grounding electrode system or a grounded box of the same panel (250.130(C)).',
  'Only for an outlet that is there already: an ungrounded type, or GFCI protection marked "No Equipment Ground" (406.4(D)(2)).',
] as const;

/** Share of the belief from which something is called what it is. */
const MOSTLY = 0.6;

interface Reason {
  readonly reason: string;
  readonly waysOut: readonly string[];
}

/** What stands against an outlet, called what it is: the first that fits most of what is believed. */
function whyNot(survey: Survey, verdict: Verdict, standings: readonly Standing[]): Reason {
  const box = survey.boxes.find(({ id }) => id === survey.target);
  const left = standings.filter(({ against }) => against.length === 0);
  const total = left.reduce((sum, { weight }) => sum + weight, 0);
  const mostly = (holds: (one: Standing['weighed']) => boolean): boolean =>
    total > 0 && left.reduce((sum, one) => sum + (holds(one.weighed) ? one.weight : 0), 0) >= MOSTLY * total;
  const ports = ({ guess }: Standing['weighed']) =>
    [...guess.sides.values()].map((side) => Object.values(side.ports));
  const barred = (why: NonNullable<Standing['weighed']['facts']['barred']>) =>
    mostly(({ facts }) => facts.barred === why);
  const feedBox = 'Open the box before this one on the circuit and look at its splices.';

  if (barred('reversed')) {
    return {
      reason:
        'Reversed polarity of the feed, upstream. Correct it there: a black neutral cannot be re-identified (200.6).',
      waysOut: [feedBox, NEAREST, 'Correct it upstream, then take the readings again.'],
    };
  }
  if (barred('two cables')) {
    return {
      reason:
        'The hot comes by one cable and its neutral by another: their currents would not cancel (300.3(B)).',
      waysOut: ['Find where the two cables meet upstream and bring hot and neutral on together.', NEAREST],
    };
  }
  if (barred('another circuit')) {
    return {
      reason: `What is live here is not on breaker ${survey.breaker}: another breaker feeds it, and the directory is wrong.`,
      waysOut: [
        'Switch breakers off one at a time until it goes dead; enter that one as the breaker of this box.',
        'Correct the directory (408.4).',
        NEAREST,
      ],
    };
  }
  if (barred('neutrals joined') || barred('borrowed neutral')) {
    return {
      reason:
        'The neutral here is, or is spliced with, that of another circuit: a hot never returns on it (200.4, 300.3(B)).',
      waysOut: [
        'Separate the neutrals of the two circuits, with both breakers off, before anything is added.',
        feedBox,
        NEAREST,
      ],
    };
  }
  const everyOpen = mostly((one) => ports(one).every((list) => list.every((port) => port === 'open')));
  const everyDead = mostly((one) =>
    ports(one).every((list) => list.every((port) => port === 'open' || port === 'tied')),
  );
  if (everyOpen || everyDead) {
    return {
      reason: everyOpen
        ? 'This cable is retired: it is dead, and cut off at its far end.'
        : 'This cable is retired: it is dead, its conductors tied together at the far end.',
      waysOut: [
        'Cap it and mark it as abandoned, or remove it.',
        NEAREST,
        'Look for a live cable in the next box.',
      ],
    };
  }
  if (
    mostly(({ guess }) =>
      [...guess.sides.values()].some(({ ports: own }) => Object.values(own).includes('neutral-switched')),
    )
  ) {
    return {
      reason: 'A switch upstream opens the neutral (404.2(B)): what is off stays live here.',
      waysOut: ['Correct it upstream: the switch belongs in the hot.', feedBox, NEAREST],
    };
  }
  const has = (one: Standing['weighed'], words: string) =>
    [...one.guess.sides.values()].some(({ says }) => says.includes(words));
  if (mostly((one) => has(one, 'neutral open'))) {
    return {
      reason: 'The neutral of the feed is open upstream: nothing here has a way back.',
      waysOut: [feedBox, 'Repair the open neutral, then take the readings again.', NEAREST],
    };
  }
  if (mostly((one) => has(one, 'hot open') && !one.facts.hot)) {
    return {
      reason:
        'The hot of the feed is open upstream: the neutral is there, and nothing is live. This is a dead outlet or switch, not a place to tap.',
      waysOut: [
        feedBox,
        'Look for a tripped GFCI, a loose screw or splice, or a switch upstream, then take the readings again.',
        NEAREST,
      ],
    };
  }
  const noGround = !box || groundEnd(survey, box) === null || verdict.ground === 'no';
  if (noGround && mostly(({ facts }) => facts.groundCapped)) {
    return {
      reason:
        'A ground that leads to the panel is capped here, and the others are joined to nothing: join them all (250.148).',
      waysOut: [
        'Splice the capped ground with the others, then take the readings again.',
        NEAREST,
        NO_GROUND[0],
      ],
    };
  }
  if (noGround && mostly(({ grounding }) => grounding === 'over a neutral')) {
    return {
      reason:
        'The ground here is tied to a neutral (a bootleg): with that neutral open every metal part would be live (250.142(B)).',
      waysOut: ['Find the tie and remove it.', NEAREST, ...NO_GROUND],
    };
  }
  if (noGround) {
    return {
      reason: 'No equipment ground reaches this box, and a new outlet needs one.',
      waysOut: [NEAREST, ...NO_GROUND],
    };
  }
  const lacks = (what: 'hot' | 'neutral') => mostly(({ facts }) => !facts[what]);
  const missing = lacks('neutral')
    ? 'neutral'
    : lacks('hot')
      ? 'constant hot'
      : 'pair of constant hot and its neutral';
  const likeliest = [...(left[0]?.weighed.facts.roles.values() ?? [])];
  const loop = likeliest.includes('lamp') && likeliest.every((port) => /^(hot|lamp|open)/.test(port));
  if (missing === 'neutral' && loop) {
    return {
      reason: 'This is a switch loop: both conductors are hots of the switch, and no neutral comes here.',
      waysOut: [
        'Pull a new 3-wire cable between the light and this box: hot, switched and neutral.',
        'Fit a radio-controlled switch with its receiver at the light: the freed pair becomes constant hot and neutral.',
        NEAREST,
      ],
    };
  }
  return {
    reason: `There is no ${missing} here.`,
    waysOut: [
      'Pull a new 3-wire cable from the box where the circuit arrives, so that hot and neutral come along.',
      missing === 'constant hot'
        ? 'Tap the box on the feed side instead, ahead of the switch.'
        : 'Fit a radio-controlled switch: the pair that it frees becomes constant hot and neutral.',
      NEAREST,
    ],
  };
}
