import { z } from 'zod';
import { WISH_KINDS } from '../../trade/devices';
import { BOX_FAMILIES } from '../../trade/standards/boxes';
import { APPLIANCE_IDS } from '../../trade/standards/appliances';
import { CABLE_TYPES, INSULATIONS } from '../../trade/standards/cables';
import { Connector, CONNECTORS } from '../../trade/standards/connectors';
import { EDITIONS } from '../../trade/standards/source';
import { Id, Line, Name } from './fields';
import { FloorPlace, Sheet } from './sheet';
import { say } from '../../base/words/model';

/** Kinds of room and place that the code speaks of. */
export const ROOM_KINDS = [
  'other',
  'bathroom',
  'kitchen',
  'dining',
  'pantry',
  'living',
  'family',
  'den',
  'library',
  'bedroom',
  'sunroom',
  'recreation',
  'closet',
  'hallway',
  'stairway',
  'laundry',
  'garage',
  'accessory building',
  'basement, finished',
  'basement, unfinished',
  'crawl space',
  'attic',
  'outdoors',
  'boathouse',
  'wet bar',
] as const;
export type RoomKind = (typeof ROOM_KINDS)[number];

/** What is printed on a device or goes over it. */
const MARKS = [
  'tamper-resistant',
  'weather-resistant',
  'in-use cover',
  'damp cover',
  'no equipment ground',
  'gfci protected',
  'listed for receptacles',
] as const;

/** The panel is a place like any other, with this id; runs may start there. */
export const PANEL = 'panel';

/** True of a run, or a cable, with an end at the panel. */
export const isHome = ({ from, to }: { readonly from: string; readonly to: string }): boolean =>
  from === PANEL || to === PANEL;

export const Circuit = z.strictObject({
  id: Id,
  number: Line.min(1).max(12).describe('As in the breaker directory'),
  breakerA: z.union([z.literal(15), z.literal(20), z.literal(30)]),
  leg: z.enum(['A', 'B']).describe('Which 120 V leg of the service'),
  existingLoadVA: z.number().min(0).max(7200).default(0).describe('What the circuit carries before this job'),
  protection: z.enum(['none', 'gfci', 'afci', 'dual']).default('none').describe('Built into the breaker'),
  multiwireWith: Id.nullable().default(null).describe('The circuit it shares its neutral with'),
  tiedWith: Id.nullable().default(null).describe('The circuit whose breaker opens together with this one'),
  serves: z
    .enum(['general', 'small appliance', 'laundry', 'bathroom', 'garage', 'individual'])
    .default('general')
    .describe('What it is there for (210.11(C))'),
  fresh: z.boolean().default(false).describe('A new circuit, not one that is extended'),
  others: z
    .strictObject({
      VA: z.number().min(0).max(1e6).default(0),
      continuousVA: z
        .number()
        .min(0)
        .max(1e6)
        .default(0)
        .describe('The part of it that is on for 3 h or more'),
    })
    .prefault({})
    .describe('What other jobs of the same house add; in a house it is worked out anew'),
});

const measured = (most: number) => z.number().min(0).max(most).nullable().default(null);

/** What was measured in a box before the wall is closed; null where it was not. */
const Rough = z.strictObject({
  freeIn: measured(60).describe('Free conductor from the sheath'),
  pastFrontIn: measured(60).describe('Conductor past the front of the box'),
  sheathIn: measured(24).describe('Sheath inside the box'),
  stapleIn: measured(120).describe('First staple from the box'),
  setBackIn: measured(12).describe('Front edge behind the finished wall'),
  combustible: z.boolean().default(false).describe('The finish burns: wood paneling, not gypsum board'),
  ring: z.boolean().default(true).describe('Ring or cover on a square box'),
});

/** What was measured along a run; null where it was not. */
const RoughRun = z.strictObject({
  holeEdgeIn: measured(12).describe('Nearest hole edge to the edge of a stud'),
  plate: z.boolean().default(false),
  besideIn: measured(12).describe('Cable along a stud: from its nearest edge'),
  supportFt: measured(100).describe('Widest gap between supports'),
  fished: z.boolean().default(false).describe('Through a finished, concealed space'),
  bundled: z
    .int()
    .min(1)
    .max(40)
    .default(1)
    .describe('NM-B cables through the same sealed hole, this one counted'),
  exposure: z.enum(['dry', 'damp', 'wet', 'buried']).default('dry'),
  spliceOutside: z.boolean().default(false).describe('A splice that lies in no box'),
});

/** What was found of a cable that is in the wall, where it is not as its jacket says. */
const Found = z.strictObject({
  ground: z
    .enum(['sound', 'none', 'open', 'not proven'])
    .default('sound')
    .describe(
      'none: no equipment ground in it; open: broken; not proven: continuous, a separate path not verified',
    ),
  reversed: z.boolean().default(false).describe('Reversed polarity at one end'),
  lost: z.array(z.enum(INSULATIONS)).max(4).default([]).describe('Conductors that are broken on the way'),
});

export const Box = z.strictObject({
  id: Id,
  name: Name,
  family: z.enum(BOX_FAMILIES),
  gangs: z.int().min(1).max(4),
  volumeIn3: z.number().positive().max(200).describe('Stamped or tabled volume of the box, in³'),
  ringIn3: z.number().min(0).max(60).default(0).describe('Marked volume of rings and extensions on it, in³'),
  internalClamps: z.boolean().default(false),
  existing: z.boolean().default(false),
  closed: z.boolean().default(false).describe('Not to be opened: its cables stay spliced color to color'),
  doorSide: z.enum(['left', 'right']).nullable().default(null).describe('On which side the door is'),
  heightIn: z.number().min(0).max(240).nullable().default(null).describe('Center of the box above the floor'),
  spot: z
    .strictObject({ room: Id, wall: z.int().min(0).max(23), alongFt: z.number().min(0).max(200) })
    .nullable()
    .default(null)
    .describe("Where it is on a wall, from the wall's left end seen from inside; null where not said"),
  room: Id.nullable().default(null).describe('Its room, where no spot on a wall says it'),
  at: FloorPlace.nullable()
    .default(null)
    .describe('Where it was tapped on a sheet, where no spot on a wall says it'),
  exposure: z.enum(['dry', 'damp', 'wet']).default('dry'),
  waterFt: z.number().min(0).max(200).nullable().default(null).describe('To the nearest sink, tub or shower'),
  counter: z.boolean().default(false).describe('Serves a countertop'),
  reach: z.enum(['open', 'ceiling', 'behind appliance', 'above reach', 'in cabinet']).default('open'),
  faces: z.enum(['wall', 'up in a counter', 'in a floor', 'listed floor or counter box']).default('wall'),
  fanListed: z.boolean().nullable().default(null).describe('Listed to carry a fan; null where not known'),
  concealed: z
    .boolean()
    .default(false)
    .describe('Behind a finish or structure that would have to be broken to reach it'),
  inTubSpace: z.boolean().default(false).describe('Inside the space of a tub or shower'),
  storageIn: z
    .number()
    .min(0)
    .max(240)
    .nullable()
    .default(null)
    .describe('In a closet: from the luminaire to the nearest storage space'),
  rough: Rough.prefault({}),
});

export const Run = z.strictObject({
  id: Id,
  from: Id.describe('Box id, or "panel"'),
  to: Id,
  lengthFt: z
    .number()
    .positive()
    .max(1000)
    .default(10)
    .describe('As entered; a run that is measured along its route leaves it out'),
  existing: z
    .enum(CABLE_TYPES)
    .nullable()
    .default(null)
    .describe('The cable in the wall, or null for a new one'),
  cord: z
    .boolean()
    .default(false)
    .describe('A flexible cord; where it leaves the panel it has a plug, for a receptacle of its circuit'),
  circuits: z.array(Id).min(1).optional().describe('Only these circuits; needed on a run from the panel'),
  route: z
    .enum(['given', 'over', 'along'])
    .default('given')
    .describe('Length as given, or measured: up to the plate and over, or along the wall through the studs'),
  rough: RoughRun.prefault({}),
  found: Found.prefault({}),
});

/** What a part of a device must do. */
export const Want = z.discriminatedUnion('does', [
  z.strictObject({
    does: z.literal('power'),
    circuit: Id,
    control: Id.nullable().describe('Control group that switches it, or null for always on'),
    via: Id.nullable().default(null).describe('The protecting device whose LOAD side feeds it, or null'),
    watts: z.number().min(0).max(7200).optional().describe('Built-in or expected load'),
    appliance: z.enum(APPLIANCE_IDS).optional().describe('What is in use there, where it is a known one'),
    continuous: z.boolean().optional().describe('On for three hours or more'),
    fixed: z.boolean().optional().describe('Fastened in place'),
    motor: z.boolean().optional(),
  }),
  z.strictObject({ does: z.literal('control'), group: Id }),
]);

/** The colors that devices and plates are sold in. Common practice. */
export const DEVICE_COLORS = ['white', 'light almond', 'ivory', 'almond', 'gray', 'brown', 'black'] as const;

export const Device = z.strictObject({
  id: Id,
  box: Id,
  gang: z.int().min(0).max(3).describe('Position in the box, 0 at the left'),
  kind: z.enum(WISH_KINDS),
  ratingA: z.union([z.literal(15), z.literal(20)]).default(15),
  wants: z.record(z.string(), Want).describe('By part of the device: upper, lower, outlet, lamp, handle'),
  marks: z.array(z.enum(MARKS)).max(7).default(['tamper-resistant']),
  color: z
    .enum(DEVICE_COLORS)
    .nullable()
    .default(null)
    .describe('Color of the device and its plate; null for that of the house'),
  replaces: z.boolean().default(false).describe('Stands where a device was before'),
  was: z.boolean().default(false).describe('Was there before this job and stays'),
  bootleg: z
    .boolean()
    .default(false)
    .describe('Found with its ground screw tied to its neutral, instead of to an equipment ground'),
});

export const Group = z.strictObject({ id: Id, name: Name });

/** The ways of the house, where good electricians differ. */
export const Habits = z.strictObject({
  runColors: z
    .enum(['red switched', 'red constant'])
    .default('red switched')
    .describe('Which hot is red on a 3-wire run to a switch'),
  midRun: z
    .enum(['pigtail', 'feed-through'])
    .default('pigtail')
    .describe('How hot and neutral pass a receptacle in the middle of a run'),
  quad: z
    .enum(['pigtails', 'jumpers'])
    .default('pigtails')
    .describe('How the second of two duplexes in one box is fed'),
  grounds: z
    .enum(['tails', 'folded'])
    .default('tails')
    .describe('A pigtail for each, or the longest left whole'),
  switchedHalf: z.enum(['bottom', 'top']).default('bottom'),
  groundPin: z.enum(['down', 'up']).default('down'),
  neutralAtSwitches: z.enum(['always', 'where asked']).default('always'),
  lineScrew: z.enum(['lower', 'upper']).default('lower'),
  connectors: z.enum(['lever', 'twist-on']).default('lever'),
  pushIn: z.enum(['never', 'allowed']).default('never').describe('Rear push-in terminals'),
});

/** A countertop: along a wall of the room, or standing free. */
const Counter = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('wall'),
    wall: z.int().min(0).max(23),
    fromFt: z.number().min(0).max(200),
    toFt: z.number().min(0).max(200),
  }),
  z.strictObject({
    kind: z.enum(['island', 'peninsula']),
    longFt: z.number().min(0.5).max(60),
    shortFt: z.number().min(0.5).max(60),
  }),
]);

/** What stands in a wall: it breaks the wall space where one walks through, and does not where one looks out. */
export const OPENINGS = ['door', 'opening', 'window'] as const;
export const Opening = z.strictObject({
  id: Id,
  kind: z.enum(OPENINGS).describe('opening: without a door, or a fireplace, or a cabinet that is built in'),
  wall: z.int().min(0).max(23),
  fromFt: z.number().min(0).max(200),
  toFt: z.number().min(0).max(200),
});

/** A wall of a room, in the order in which one walks round it. */
export const Room = z.strictObject({
  id: Id,
  name: Name,
  kind: z.enum(ROOM_KINDS).default('other'),
  ceilingFt: z.number().min(6).max(30).default(8),
  wallsFt: z.array(z.number().min(0.5).max(200)).min(1).max(24).describe('Wall lengths, clockwise'),
  spacing: z
    .enum(['ask', 'judge', 'leave'])
    .default('ask')
    .describe('judge: all its receptacles are in the job; leave: its spacing stays unjudged'),
  risers: z.int().min(0).max(60).nullable().default(null).describe('Of a stairway, between its floors'),
  bays: z.int().min(1).max(12).nullable().default(null).describe('Of a garage, for vehicles'),
  counters: z.array(Counter).max(12).default([]),
  openings: z.array(Opening).max(48).default([]),
  turnsDeg: z
    .array(z.number().min(-180).max(180))
    .max(24)
    .nullable()
    .default(null)
    .describe('How far each wall turns into the next, clockwise; null where all turn alike'),
  plan: z
    .strictObject({ ...FloorPlace.shape, headingDeg: z.number().min(-180).max(180) })
    .nullable()
    .default(null)
    .describe('Where its first corner is on a sheet, and which way its first wall leads'),
});

/** All that planning and rules read: what is to be, and what is known of the house. */
export const Design = z.strictObject({
  id: Id,
  name: Name,
  site: Line.max(120).default(''),
  edition: z.enum(EDITIONS),
  circuits: z.array(Circuit).min(1).max(60),
  boxes: z.array(Box).min(1).max(400),
  runs: z.array(Run).max(600),
  devices: z.array(Device).max(800),
  groups: z.array(Group).max(400),
  habits: Habits.prefault({}),
  rooms: z.array(Room).max(60).default([]),
  sheets: z.array(Sheet).max(12).default([]),
  panelAt: FloorPlace.nullable().default(null).describe('Where the panel is on a sheet'),
  connectors: z
    .array(Connector)
    .min(1)
    .max(40)
    .prefault([...CONNECTORS]),
  amendments: z
    .array(
      z.strictObject({
        rule: z.string().regex(/^[A-Z]\d\d$/),
        reason: Line.min(3, say('design.sayWhyWhoAllows')).max(300),
      }),
    )
    .max(80)
    .default([])
    .describe('Rules that the local authority sets aside, each with its reason'),
  panelSplices: z
    .boolean()
    .default(false)
    .describe('This panel may hold splices: there is room, and the authority agrees (312.8)'),
});

export type Design = z.infer<typeof Design>;
export type Circuit = z.infer<typeof Circuit>;
export type Box = z.infer<typeof Box>;
export type Run = z.infer<typeof Run>;
export type Device = z.infer<typeof Device>;
export type Want = z.infer<typeof Want>;
export type PowerWant = Extract<Want, { does: 'power' }>;
/** What a box can be given at once. */
export type Holds = 'switch' | 'outlet' | 'light';
export type Group = z.infer<typeof Group>;
export type Habits = z.infer<typeof Habits>;
export type Room = z.infer<typeof Room>;
export type Opening = z.infer<typeof Opening>;
