import { z } from 'zod';
import { WISH_KINDS } from '../devices';
import { BOX_FAMILIES } from '../standards/boxes';
import { CABLE_TYPES } from '../standards/cables';
import { Connector, CONNECTORS } from '../standards/connectors';
import { EDITIONS } from '../standards/source';

/** Symbols of switches and receptacles on a plan. */
export const PLAN_SYMBOLS = ['S', 'S3', 'S4', 'duplex', 'half-switched', 'receptacle'] as const;
export type PlanSymbol = (typeof PLAN_SYMBOLS)[number];

/** The panel is a place like any other, with this id; runs may start there. */
export const PANEL = 'panel';

const Id = z
  .string()
  .regex(/^[a-z0-9][a-z0-9-]{0,39}$/, 'an id is lower-case letters, digits and dashes, at most 40')
  .describe('Unique within its list');
const Name = z.string().trim().min(1, 'a name is needed').max(80, 'a name has at most 80 characters');

export const Circuit = z.strictObject({
  id: Id,
  number: z.string().trim().min(1).max(12).describe('As in the breaker directory'),
  breakerA: z.union([z.literal(15), z.literal(20), z.literal(30)]),
  leg: z.enum(['A', 'B']).describe('Which 120 V leg of the service'),
  existingLoadVA: z.number().min(0).max(7200).default(0).describe('What the circuit carries before this job'),
  protection: z.enum(['none', 'gfci', 'afci', 'dual']).default('none').describe('Built into the breaker'),
  multiwireWith: Id.nullable().default(null).describe('The circuit it shares its neutral with'),
  tiedWith: Id.nullable().default(null).describe('The circuit whose breaker opens together with this one'),
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
});

export const Run = z.strictObject({
  id: Id,
  from: Id.describe('Box id, or "panel"'),
  to: Id,
  lengthFt: z.number().positive().max(1000),
  existing: z
    .enum(CABLE_TYPES)
    .nullable()
    .default(null)
    .describe('The cable in the wall, or null for a new one'),
  circuits: z.array(Id).min(1).optional().describe('Only these circuits; needed on a run from the panel'),
  route: z
    .enum(['given', 'over', 'along'])
    .default('given')
    .describe('Length as given, or measured: up to the plate and over, or along the wall through the studs'),
});

/** What a part of a device must do. */
export const Want = z.discriminatedUnion('does', [
  z.strictObject({
    does: z.literal('power'),
    circuit: Id,
    control: Id.nullable().describe('Control group that switches it, or null for always on'),
    via: Id.nullable().default(null).describe('The protecting device whose LOAD side feeds it, or null'),
    watts: z.number().min(0).max(7200).optional().describe('Built-in or expected load'),
    continuous: z.boolean().optional().describe('On for three hours or more'),
  }),
  z.strictObject({ does: z.literal('control'), group: Id }),
]);

export const Device = z.strictObject({
  id: Id,
  box: Id,
  gang: z.int().min(0).max(3).describe('Position in the box, 0 at the left'),
  kind: z.enum(WISH_KINDS),
  ratingA: z.union([z.literal(15), z.literal(20)]).default(15),
  wants: z.record(z.string(), Want).describe('By part of the device: upper, lower, outlet, lamp, handle'),
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
  grounds: z
    .enum(['tails', 'folded'])
    .default('tails')
    .describe('A tail for each, or the longest left whole'),
  switchedHalf: z.enum(['bottom', 'top']).default('bottom'),
  groundPin: z.enum(['down', 'up']).default('down'),
  neutralAtSwitches: z.enum(['always', 'where asked']).default('always'),
  lineScrew: z.enum(['lower', 'upper']).default('lower'),
  connectors: z.enum(['lever', 'twist-on']).default('lever'),
});

/** A line of the plan that the work is checked against. */
export const PlanLine = z.strictObject({
  id: Id,
  says: z.string().trim().min(1).max(200).describe('As it stands on the plan'),
  about: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('cable'), run: Id, type: z.enum(CABLE_TYPES) }),
    z.strictObject({
      kind: z.literal('box'),
      box: Id,
      family: z.enum(BOX_FAMILIES),
      volumeIn3: z.number().positive().max(200).nullable().default(null),
    }),
    z.strictObject({
      kind: z.literal('order'),
      box: Id,
      symbols: z.array(z.enum(PLAN_SYMBOLS)).min(1).max(4).describe('Left to right'),
    }),
    z.strictObject({ kind: z.literal('ground pin'), pin: z.enum(['up', 'down']) }),
    z.strictObject({ kind: z.literal('height'), box: Id, heightIn: z.number().positive().max(240) }),
    z.strictObject({ kind: z.literal('note'), met: z.boolean().nullable().default(null) }),
  ]),
});

/** The wish in words and what binds the work beside it. */
export const Brief = z.strictObject({
  wish: z.string().max(2000).default(''),
  facts: z.string().max(2000).default('').describe('What is known of the site'),
  amendments: z.string().max(2000).default('').describe('Local amendments, in words'),
  lines: z.array(PlanLine).max(300).default([]),
});

/** A wall of a room, in the order in which one walks round it. */
export const Room = z.strictObject({
  id: Id,
  name: Name,
  ceilingFt: z.number().min(6).max(30).default(8),
  wallsFt: z.array(z.number().min(0.5).max(200)).min(1).max(24).describe('Wall lengths, clockwise'),
});

/** A step of the make-up that was done. */
export const Tick = z.strictObject({
  box: Id,
  step: z.string().min(1).max(200),
  says: z.string().max(500).describe('The step as it stood when it was ticked'),
  at: z.iso.datetime().describe('When, UTC'),
});

export const Job = z.strictObject({
  id: Id,
  name: Name,
  site: z.string().trim().max(120).default(''),
  edition: z.enum(EDITIONS),
  circuits: z.array(Circuit).min(1).max(60),
  boxes: z.array(Box).min(1).max(400),
  runs: z.array(Run).max(600),
  devices: z.array(Device).max(800),
  groups: z.array(Group).max(400),
  habits: Habits.prefault({}),
  brief: Brief.prefault({}),
  rooms: z.array(Room).max(60).default([]),
  connectors: z
    .array(Connector)
    .min(1)
    .max(40)
    .prefault([...CONNECTORS]),
  ticks: z.array(Tick).max(5000).default([]),
});

export type Job = z.infer<typeof Job>;
export type Circuit = z.infer<typeof Circuit>;
export type Box = z.infer<typeof Box>;
export type Run = z.infer<typeof Run>;
export type Device = z.infer<typeof Device>;
export type Want = z.infer<typeof Want>;
export type PowerWant = Extract<Want, { does: 'power' }>;
export type Group = z.infer<typeof Group>;
export type Habits = z.infer<typeof Habits>;
export type PlanLine = z.infer<typeof PlanLine>;
export type Brief = z.infer<typeof Brief>;
export type Room = z.infer<typeof Room>;
export type Tick = z.infer<typeof Tick>;
