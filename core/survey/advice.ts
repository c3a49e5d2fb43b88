import type { Survey } from '../model/survey';
import type { Standing } from './evidence';
import { groundEnd } from './scene';
import type { Verdict } from './verdict';

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
} as const;

/** The verdict in words, with the ways out where it is no. Sections from memory. */
export function adviceOf(survey: Survey, verdict: Verdict, standings: readonly Standing[]): Advice {
  const [out] = survey.outside;
  if (out !== undefined) {
    return {
      answer: 'Stop. This is outside of what Split Tap plans.',
      reason: `${OUTSIDE_SAYS[out]} Make it safe, close it, and have it looked at before anything is added.`,
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
  if (verdict.tap === 'yes' && verdict.from) {
    const { hot, neutral } = verdict.from;
    return {
      answer: 'Yes: an always-on outlet can be tapped here.',
      reason: `Constant hot on ${hot}, its neutral on ${neutral} of the same cable, ground proven.`,
      waysOut: [],
      cautions,
      stillToCheck: STILL,
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
  return {
    answer: 'Not known yet.',
    reason: 'What is seen can still be wired in ways that differ for an outlet.',
    waysOut: [],
    cautions,
    stillToCheck: [],
  };
}

const NEAREST = 'Feed the outlet from the nearest always-on receptacle or box, by a new cable.';

function whyNot(
  survey: Survey,
  verdict: Verdict,
  standings: readonly Standing[],
): { reason: string; waysOut: string[] } {
  const box = survey.boxes.find(({ id }) => id === survey.target);
  const noGround = !box || groundEnd(survey, box) === null || verdict.ground === 'no';
  if (noGround) {
    return {
      reason: 'No equipment ground reaches this box, and a new outlet needs one.',
      waysOut: [
        NEAREST,
        'Run a separate equipment ground to the panel, the grounding electrode system or a grounded box of the same panel (250.130(C)).',
        'Only for an outlet that is there already: an ungrounded type, or GFCI protection marked "No Equipment Ground" (406.4(D)(2)).',
      ],
    };
  }
  const left = standings.filter(({ against }) => against.length === 0);
  const lacks = (what: 'hot' | 'neutral') => left.every(({ weighed }) => !weighed.facts[what]);
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
