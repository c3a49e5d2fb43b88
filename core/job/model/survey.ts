import { z } from 'zod';
import { INSULATIONS } from '../../trade/standards/cables';
import { Id, Line, Name } from './fields';
import { say } from '../../base/words/model';

/** Kinds of device that an opened box may hold, as wired. */
export const SEEN_KINDS = [
  'single-pole',
  'three-way',
  'four-way',
  'duplex',
  'single',
  'gfci',
  'afci',
  'dual-function',
  'combination',
  'combination-gfci',
  'luminaire',
  'dimmer-single-pole',
  'dimmer-three-way',
  'electronic-single-pole',
  'electronic-three-way',
  'illuminated-single-pole',
  'illuminated-three-way',
] as const;

/** Cables that Find sorts out: two to four insulated conductors. */
export const SEEN_CABLES = [
  '14-2',
  '14-3',
  '14-4',
  '14-2-2',
  '12-2',
  '12-3',
  '12-4',
  '12-2-2',
  '10-2',
  '10-3',
] as const;

export const ENTRIES = ['above', 'below', 'left', 'right'] as const;

/** What a yes on few readings may leave open. */
export const HAZARDS_LEFT = ['bootleg', 'borrowed neutral', 'neutrals joined', 'two cables'] as const;
export type HazardLeft = (typeof HAZARDS_LEFT)[number];

/** What puts a box outside of what Split Tap plans. */
export const OUTSIDE = [
  'aluminum',
  'cloth or rubber',
  'knob-and-tube',
  'scorched',
  'conduit',
  'armored cable',
  'other wiring method',
] as const;

export const SeenCable = z.strictObject({
  id: Id,
  type: z.enum(SEEN_CABLES),
  hasGround: z.boolean().default(true).describe('False for older cable without a bare conductor'),
  enters: z.enum(ENTRIES).default('above'),
  mark: Line.max(40).default('').describe('What is written on its jacket'),
});

export const SeenDevice = z.strictObject({
  id: Id,
  kind: z.enum(SEEN_KINDS),
  brokenTabs: z.array(z.string().max(20)).max(2).default([]),
});

/** Where the end of a conductor sits. */
export const Sits = z.discriminatedUnion('at', [
  z.strictObject({ at: z.literal('terminal'), device: Id, terminal: z.string().max(20) }),
  z.strictObject({ at: z.literal('splice'), splice: Id }),
  z.strictObject({ at: z.literal('capped') }),
  z.strictObject({ at: z.literal('loose') }),
  z.strictObject({ at: z.literal('box') }).describe('On the ground screw of a metal box'),
]);

export const SeenEnd = z.strictObject({
  cable: Id,
  insulation: z.enum(INSULATIONS),
  sits: Sits,
  taped: z.boolean().default(false).describe('A band of tape of another color'),
});

const SeenTail = z.strictObject({ splice: Id, device: Id, terminal: z.string().max(20) });

export const SeenBox = z.strictObject({
  id: Id,
  name: Name,
  metal: z.boolean().default(false),
  cables: z.array(SeenCable).max(6, say('survey.tooManyCables')),
  devices: z.array(SeenDevice).max(4),
  ends: z.array(SeenEnd).max(40),
  tails: z.array(SeenTail).max(20).default([]),
});

/** What was set before a reading was taken. */
export const Setup = z.strictObject({
  breakers: z
    .enum(['on', 'off', 'all off'])
    .describe('All on; the named one off; every breaker that feeds the box off, proved dead'),
  apart: z
    .enum(['as found', 'hots', 'all'])
    .describe(
      'Nothing touched; all but spliced whites lifted and capped; every insulated conductor on its own',
    ),
  switches: z
    .enum(['as they are', 'off here', 'on here', 'worked'])
    .describe('worked: every switch that could matter was turned while the reading was watched'),
  loadsOut: z.boolean().describe('Lamps taken out and plugs pulled'),
});

/** A place for a probe: a conductor of a cable, or the equipment ground of a box. */
export const Spot = z.discriminatedUnion('on', [
  z.strictObject({ on: z.literal('conductor'), cable: Id, insulation: z.enum(INSULATIONS) }),
  z.strictObject({ on: z.literal('ground'), box: Id }),
]);

/** An instrument where it was put. */
export const Probe = z.discriminatedUnion('with', [
  z.strictObject({ with: z.literal('non-contact'), at: Spot }),
  z.strictObject({ with: z.literal('meter'), impedance: z.enum(['high', 'low']), from: Spot, to: Spot }),
  z.strictObject({ with: z.literal('lamp'), from: Spot, to: Spot }),
  z.strictObject({ with: z.literal('continuity'), from: Spot, to: Spot }),
  z.strictObject({ with: z.literal('tester'), device: Id, part: z.string().max(20) }),
  z.strictObject({ with: z.literal('clamp'), at: Spot }),
  z
    .strictObject({ with: z.literal('sweep'), box: Id })
    .describe(
      'Low-impedance meter from every conductor of the box, one after the other: whether any is live',
    ),
  z
    .strictObject({
      with: z.literal('drop'),
      hot: Spot,
      neutral: Spot,
      ground: Spot,
      loadA: z.union([z.literal(8), z.literal(12)]),
    })
    .describe(
      'A known load between hot and neutral: how far the two sag, how far the neutral rises over ground',
    ),
  z
    .strictObject({ with: z.literal('residual'), neutral: Spot, ground: Spot })
    .describe('The named breaker off, loads on every other circuit: volts from neutral to ground'),
  z
    .strictObject({ with: z.literal('panel clamp'), hot: Spot, neutral: Spot })
    .describe('A known load here, the clamp at the panel round the whole cable that feeds it'),
  z
    .strictObject({ with: z.literal('feed clamp'), hot: Spot, neutral: Spot })
    .describe('A known load here, the clamp round the whole cable that brings the pair'),
  z
    .strictObject({ with: z.literal('lifted neutral'), neutral: Spot, ground: Spot })
    .describe(
      'All breakers off, the neutral of the circuit lifted from its bar: ohms from neutral to ground',
    ),
]);

/** What the instrument showed. */
export const Value = z.discriminatedUnion('is', [
  z
    .strictObject({
      is: z.literal('volts'),
      low: z.number().min(0).max(600),
      high: z.number().min(0).max(600),
    })
    .describe('The smallest and the largest that was seen; equal when it stood still'),
  z.strictObject({ is: z.literal('ohms'), ohms: z.number().min(0).nullable().describe('null: open') }),
  z.strictObject({ is: z.literal('glow'), glows: z.boolean() }),
  z.strictObject({ is: z.literal('lamp'), lit: z.boolean(), changes: z.boolean().default(false) }),
  z.strictObject({ is: z.literal('lights'), lights: z.tuple([z.boolean(), z.boolean(), z.boolean()]) }),
  z.strictObject({ is: z.literal('amps'), amps: z.number().min(0).max(400) }),
  z
    .strictObject({
      is: z.literal('drop'),
      sagV: z.number().min(0).max(600),
      riseV: z.number().min(0).max(600),
    })
    .describe(
      'Hot to neutral, how much it falls when the load comes on; neutral to ground, how much it rises',
    ),
  z.strictObject({ is: z.literal('tripped') }).describe('Measuring made a protecting device open'),
]);

export const Reading = z.strictObject({
  id: Id,
  setup: Setup,
  probe: Probe,
  value: Value,
  times: z.int().min(1).max(20).default(1).describe('How often it was taken and showed the same'),
});

/** One or several opened boxes, what is seen in them and what was read there. */
export const Survey = z.strictObject({
  id: Id,
  name: Name,
  breaker: Line.min(1).max(12).describe('The breaker that is taken to feed it, as in the directory'),
  breakerA: z.union([z.literal(15), z.literal(20), z.literal(30)]).default(15),
  listed: Line.max(12)
    .nullable()
    .default(null)
    .describe('The breaker that the directory gives, where another one turned out to feed it'),
  others: z
    .array(Line.min(1).max(12))
    .max(6)
    .default([])
    .describe('Further breakers that were found to feed this box'),
  boxes: z.array(SeenBox).min(1).max(4),
  target: Id.describe('The box that is to get an outlet'),
  same: z
    .array(z.strictObject({ a: Id, b: Id }))
    .max(8)
    .default([])
    .describe('Cables seen in two boxes that are one and the same'),
  outside: z.array(z.enum(OUTSIDE)).default([]),
  proveAll: z
    .boolean()
    .default(false)
    .describe('True where each proof is to be read at the opened box, not only what a yes on readings needs'),
  readings: z.array(Reading).max(200).default([]),
  laidOut: z
    .strictObject({
      pair: z.strictObject({ cable: Id, hot: z.enum(INSULATIONS), neutral: z.enum(INSULATIONS) }),
      left: z
        .array(z.enum(HAZARDS_LEFT))
        .max(HAZARDS_LEFT.length)
        .describe('What the readings left open: read at the new outlet, before its cover goes on'),
    })
    .nullable()
    .default(null)
    .describe('The pair that was tapped, once it was taken as the layout'),
});

export type SeenCable = z.infer<typeof SeenCable>;
export type SeenDevice = z.infer<typeof SeenDevice>;
export type SeenEnd = z.infer<typeof SeenEnd>;
export type SeenBox = z.infer<typeof SeenBox>;
export type Sits = z.infer<typeof Sits>;
export type Setup = z.infer<typeof Setup>;
export type Spot = z.infer<typeof Spot>;
export type Probe = z.infer<typeof Probe>;
export type Value = z.infer<typeof Value>;
export type Reading = z.infer<typeof Reading>;
export type Survey = z.infer<typeof Survey>;

/** Every field of a test in one order: however a setup was put together, it has one name. */
const FIELDS = [
  ...new Set([Setup, ...Probe.options, ...Spot.options].flatMap(({ shape }) => Object.keys(shape))),
];

/** Names a way of testing: the setup and where the instrument is. */
export const testKey = ({ setup, probe }: { setup: Setup; probe: Probe }): string =>
  JSON.stringify({ ...setup, ...probe }, FIELDS);
