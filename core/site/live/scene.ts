import { z } from 'zod';
import { PLUG_INS } from '../../trade/standards/loads';

const PlugInIds = PLUG_INS.map(({ id }) => id);
const Points = z.object({ from: z.string().nullable(), to: z.string().nullable() });
const NO_POINTS = { from: null, to: null };
/** What opened, and the longest that it may take, s; null where no standard says. */
const Opener = z
  .object({ at: z.string(), by: z.enum(['device', 'breaker']), withinS: z.number().nullable() })
  .nullable();
export type Opener = NonNullable<z.infer<typeof Opener>>;

/** Where a conductor end or the free end of a pigtail was put by hand. */
export const Placement = z.discriminatedUnion('at', [
  z.object({ at: z.literal('bare') }),
  z.object({ at: z.literal('cap') }),
  z.object({ at: z.literal('terminal'), terminal: z.string() }),
  /** A splice of the plan, or one made by hand, by its number in the box. */
  z.object({ at: z.literal('splice'), splice: z.string() }),
  z.object({ at: z.literal('by hand'), number: z.int().min(1).max(99) }),
  /** Bare, and against the metal of its box. */
  z.object({ at: z.literal('metal') }),
]);
export type Placement = z.infer<typeof Placement>;

/** What was changed by hand beside the plan: by end where it is now, by tab what it is, by contact its ohms. */
export const Rewiring = z.object({
  ends: z.record(z.string(), Placement).default({}),
  tabs: z.record(z.string(), z.enum(['whole', 'broken'])).default({}),
  /** Loose contacts by end, Ω. */
  loose: z.record(z.string(), z.number().positive().max(1e4)).default({}),
});
export type Rewiring = z.infer<typeof Rewiring>;
export const AS_PLANNED: Rewiring = Rewiring.parse({});

/** What happened when something was operated. Amperes and seconds. */
export const Happening = z.discriminatedUnion('what', [
  z.object({ what: z.literal('short'), circuit: z.string(), amps: z.number(), times: z.number() }),
  z.object({ what: z.literal('overload'), circuit: z.string(), amps: z.number(), afterS: z.number() }),
  z.object({
    what: z.literal('ground fault'),
    at: z.string(),
    by: z.enum(['device', 'breaker']),
    reason: z.enum(['imbalance', 'grounded neutral']),
    amps: z.number(),
  }),
  z.object({ what: z.literal('tested'), at: z.string(), by: z.enum(['device', 'breaker']) }),
  z.object({ what: z.literal('no test'), at: z.string() }),
  z.object({ what: z.literal('no reset'), at: z.string() }),
  /** A hand on a conductor that was live. */
  z.object({ what: z.literal('worked live'), end: z.string() }),
  /** A hand in the open panel, whose lugs and bars no breaker of it takes the voltage from. */
  z.object({ what: z.literal('worked in panel'), end: z.string() }),
  /** A cover taken off with something live behind it, or put on over an end that hangs bare. */
  z.object({ what: z.enum(['opened live', 'covered bare']), box: z.string() }),
  z.object({ what: z.literal('touched'), amps: z.number(), opened: Opener }),
  z.object({
    what: z.literal('arc'),
    amps: z.number(),
    opened: Opener,
    /** Why nothing opened. */
    why: z.enum(['none there', 'too small', 'no current']).nullable(),
  }),
]);
export type Happening = z.infer<typeof Happening>;

/** What is set on the bench: breakers, handles, plugs, instruments, what was rewired by hand. Kept beside the job. */
export const Scene = z.object({
  openBreakers: z.array(z.string()).default([]),
  /** Breakers that opened by themselves or by their TEST, and are not reset. */
  trippedBreakers: z.array(z.string()).default([]),
  positions: z.record(z.string(), z.number()).default({}),
  plugged: z.record(z.string(), z.enum(['tester', ...PlugInIds])).default({}),
  tripped: z.array(z.string()).default([]),
  meter: Points.extend({ impedance: z.enum(['high', 'low', 'ohms']) }).default({
    impedance: 'high',
    ...NO_POINTS,
  }),
  /** The cable or conductor that the clamp is round. */
  clamp: z.string().nullable().default(null),
  /** Where the tip of the non-contact tester is. */
  tip: z.string().nullable().default(null),
  /** The two points that a person has a hand on. */
  touch: Points.default(NO_POINTS),
  /** Protecting devices of the older generation: they close without line power, wherever the feed lands. */
  older: z.array(z.string()).default([]),
  /** AFCI breakers and devices that have a ground-fault element of 30 mA. */
  groundFaultShare: z.array(z.string()).default([]),
  rewired: Rewiring.default(AS_PLANNED),
  /** Boxes, and the panel, whose cover is on. */
  covered: z.array(z.string()).default([]),
  /** Seconds that were let pass, and by breaker the share of its longest time at what it carried. */
  clock: z
    .object({ seconds: z.number().min(0), heat: z.record(z.string(), z.number()) })
    .default({ seconds: 0, heat: {} }),
  happened: z.array(Happening).max(50).default([]),
});
export type Scene = z.infer<typeof Scene>;

export const EMPTY_SCENE: Scene = Scene.parse({});
