import { wishKind } from '../../trade/devices';
import { circuitsOf, inBox } from '../../job/model/in-box';
import { SEEN_CABLES, SEEN_KINDS, Survey, type SeenEnd } from '../../job/model/survey';
import { terminalsOf } from '../../job/model/lookup';
import type { Disturbance } from '../../power/network/disturbance';
import { endId, PANEL_GROUND, type Wiring } from '../../job/model/wiring';
import { landings } from '../../power/network/network';
import type { Plan } from '../../wiring/plan';
import { isGround } from '../../trade/standards/cables';

/** How the equipment ground of a situation really is. */
export type Grounding = 'sound' | 'cut' | 'absent';

/** An opened box of a house whose wiring is known to the test, and not to the finder. */
export interface Situation {
  readonly name: string;
  readonly survey: Survey;
  readonly plan: Plan;
  readonly wiring: Wiring;
  /** Contacts that are open and points that touch, out of sight. */
  readonly faults?: readonly Disturbance[];
  /** The neutral upstream is spliced with that of another circuit, which is loaded. */
  readonly borrowed?: boolean;
  /** Loads that cannot be taken out, W at 120 V by part. */
  readonly fixed?: ReadonlyMap<string, number>;
  /** From the nets of the compiled plan, not from energizing it. */
  readonly truth: {
    readonly tap: boolean;
    readonly hot: boolean;
    readonly neutral: boolean;
    readonly ground: boolean;
  };
}

const ID = /^[a-z0-9][a-z0-9-]{0,39}$/;

/** What is seen in a box of a compiled plan; null where it holds what Find does not take in. */
export function situationOf(
  plan: Plan,
  box: string,
  options: { grounding?: Grounding; tape?: boolean; name?: string } = {},
): Situation | null {
  const { grounding = 'sound', tape = true } = options;
  const own = inBox(plan.wiring, box);
  if (own.cables.length === 0 || own.cables.length > 4) return null;
  if (own.cables.some(({ id, type }) => !ID.test(id) || !SEEN_CABLES.some((known) => known === type)))
    return null;
  if (own.devices.some(({ kind }) => !SEEN_KINDS.some((known) => known === kind))) return null;
  if (own.tails.some(({ from }) => from.at === 'terminal')) return null;
  // What hangs on the LOAD side of a device that is itself switched is no constant hot, whatever its net is called.
  const switchedOff = plan.job.devices.some(
    ({ kind, wants }) =>
      wishKind(kind).protection &&
      Object.values(wants).some((want) => want.does === 'power' && want.control !== null),
  );
  if (switchedOff) return null;
  const splices = new Map<string, string>(own.splices.map(({ id }, index) => [id, `s${index}`]));
  const landing = landings(plan.wiring);
  const terminals = terminalsOf(plan.wiring);
  const device = (id: string) => {
    const own = [...terminals].find(([one]) => one === id)?.[1];
    return { device: own?.device.id ?? '', terminal: own?.terminal.id ?? '' };
  };
  const known = new Set(own.devices.map(({ id }) => id));
  const ends = own.cables.flatMap((cable) =>
    cable.conductors.flatMap(({ id, insulation, reidentified }): SeenEnd[] => {
      if (isGround(insulation) && grounding === 'absent') return [];
      const at = landing.get(endId(id, box));
      const splice = at === undefined ? undefined : splices.get(at);
      const on = at === undefined ? null : device(at);
      const sits =
        splice !== undefined
          ? ({ at: 'splice', splice } as const)
          : on === null
            ? ({ at: 'capped' } as const)
            : known.has(on.device)
              ? ({ at: 'terminal', ...on } as const)
              : ({ at: 'box' } as const);
      return [{ cable: cable.id, insulation, sits, taped: tape && reidentified }];
    }),
  );
  const [circuit = plan.job.circuits[0]?.id] = circuitsOf(own.cables);
  const survey = Survey.parse({
    id: 'found',
    name: options.name ?? box,
    breaker: plan.job.circuits.find(({ id }) => id === circuit)?.number ?? '1',
    boxes: [
      {
        id: box,
        name: options.name ?? box,
        cables: own.cables.map(({ id, type }) => ({ id, type, hasGround: grounding !== 'absent' })),
        devices: own.devices.map(({ id, kind, brokenTabs }) => ({ id, kind, brokenTabs: [...brokenTabs] })),
        ends,
        tails: own.tails.flatMap(({ from, to }) => {
          const splice = from.at === 'splice' ? splices.get(from.splice) : undefined;
          const on = device(to);
          return splice !== undefined && known.has(on.device) ? [{ splice, ...on }] : [];
        }),
      },
    ],
    target: box,
  });
  const wiring: Wiring =
    grounding === 'sound'
      ? plan.wiring
      : {
          ...plan.wiring,
          terminations: plan.wiring.terminations.filter(({ terminal }) => terminal !== PANEL_GROUND),
        };
  const hot = own.cables.some(({ conductors }) => conductors.some(({ role }) => role === 'hot'));
  const neutral = own.cables.some(({ conductors }) => conductors.some(({ role }) => role === 'neutral'));
  const ground = grounding === 'sound';
  const pair = own.cables.some(({ conductors }) =>
    conductors.some(
      ({ role, domain }) =>
        role === 'hot' && conductors.some((other) => other.role === 'neutral' && other.domain === domain),
    ),
  );
  return {
    name: options.name ?? box,
    survey,
    plan,
    wiring,
    truth: { tap: ground && pair, hot, neutral, ground },
  };
}
