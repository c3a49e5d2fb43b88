import { sure } from '../../base/sure';
import { wishKind } from '../../trade/devices';
import { energize, type Energized } from '../../power/energize/energize';
import { readMeter, readNonContact, readTester } from '../../power/energize/instruments';
import { readOhms } from '../../power/energize/solve';
import { REST, TESTER_LIGHT_V, type State } from '../../power/energize/state';
import { inBox } from '../../job/model/in-box';
import {
  SEEN_CABLES,
  SEEN_KINDS,
  Survey,
  type Probe,
  type SeenEnd,
  type Setup,
  type Spot,
  type Value,
} from '../../job/model/survey';
import { endsOf, terminalsOf } from '../../job/model/lookup';
import type { Disturbance } from '../../power/network/disturbance';
import { endId, PANEL_GROUND, type EndId, type Wiring } from '../../job/model/wiring';
import { buildNetwork, landings, type Network } from '../../power/network/network';
import { partKey } from '../../job/model/wiring';
import type { Plan } from '../../wiring/plan';
import { isGround, isWhite, type Insulation } from '../../trade/standards/cables';

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
  const circuits = new Set(
    own.cables.flatMap(({ conductors }) => conductors.flatMap(({ circuit }) => circuit ?? [])),
  );
  const [circuit = plan.job.circuits[0]?.id] = circuits;
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

/** The wiring with what a setup asks for lifted and capped in the target box. */
function lifted(situation: Situation, apart: Setup['apart']): Wiring {
  if (apart === 'as found') return situation.wiring;
  const { wiring, survey } = situation;
  const box = survey.target;
  const ends = endsOf(wiring);
  const keeps = (end: EndId, spliced: boolean): boolean => {
    const own = ends.get(end);
    const color = own?.conductor.insulation;
    if (own?.box !== box || color === undefined) return true;
    return isGround(color) || (apart === 'hots' && spliced && isWhite(color));
  };
  const grounds = new Set(wiring.splices.filter(({ role }) => role === 'ground').map(({ id }) => id));
  return {
    ...wiring,
    splices: wiring.splices.map((one) => ({ ...one, ends: one.ends.filter((end) => keeps(end, true)) })),
    terminations: wiring.terminations.filter(({ end }) => keeps(end, false)),
    tails: wiring.tails.filter(
      ({ box: where, from }) => where !== box || (from.at === 'splice' && grounds.has(from.splice)),
    ),
  };
}

const networks = new WeakMap<Situation, Map<string, { network: Network; landing: Map<string, string> }>>();

function stageOf(situation: Situation, apart: Setup['apart']) {
  const own =
    networks.get(situation) ?? new Map<string, { network: Network; landing: Map<string, string> }>();
  networks.set(situation, own);
  const known = own.get(apart);
  if (known) return known;
  const wiring = lifted(situation, apart);
  const fresh = {
    network: buildNetwork(wiring, situation.plan.job.circuits, situation.faults ?? []),
    landing: landings(wiring),
  };
  own.set(apart, fresh);
  return fresh;
}

/** What draws while a clamp is read: some 10 A. */
const CLAMPED_OHMS = 12;

/** What the instrument really shows, with far switches and loads as chance has them. */
export function answer(situation: Situation, setup: Setup, probe: Probe, random: () => number): Value {
  const { network, landing } = stageOf(situation, setup.apart);
  const { survey, plan } = situation;
  const here = new Set(survey.boxes.flatMap(({ devices }) => devices.map(({ id }) => id)));
  const own = plan.job.circuits.find(({ number }) => number === survey.breaker);
  const openBreakers = new Set(
    setup.breakers === 'on'
      ? []
      : plan.job.circuits.filter((one) => setup.breakers === 'all off' || one === own).map(({ id }) => id),
  );
  const loads = new Map(
    network.parts.map(({ key }): [string, number] => [
      key,
      situation.fixed?.get(key) ?? (setup.loadsOut ? 0 : random() < 0.3 ? 0 : 5 + 1000 * random() ** 3),
    ]),
  );
  const positions = () =>
    new Map(
      network.devices.map(({ wired, kind }) => {
        const free = Math.floor(random() * Math.max(kind.positions.length, 1));
        const fixed = setup.switches === 'off here' ? 0 : setup.switches === 'on here' ? 1 : null;
        return [wired.id, fixed !== null && here.has(wired.id) ? fixed : free] as const;
      }),
    );
  const start = positions();
  const state: State = { ...REST, openBreakers, loads, positions: start };
  const pointOf = (spot: Spot): string => {
    const bare = sure(situation.survey.boxes[0], 'opened box').ends.filter(({ insulation }) =>
      isGround(insulation),
    );
    // One touches what the others are joined to.
    const ground = bare.find(({ sits }) => sits.at === 'splice') ?? bare[0];
    const [cable, insulation]: [string, Insulation] =
      spot.on === 'conductor'
        ? [spot.cable, spot.insulation]
        : [ground?.cable ?? '', ground?.insulation ?? 'bare'];
    const wired = situation.wiring.cables.find(({ id }) => id === cable);
    const conductor = wired?.conductors.find((one) => one.insulation === insulation);
    const end = endId(conductor?.id ?? '', survey.target);
    return landing.get(end) ?? end;
  };
  const number = (spot: Spot): number => network.point(pointOf(spot)) ?? 0;
  /** With a known load on a pair. */
  const drawing = (pair: { readonly hot: Spot; readonly neutral: Spot }, ohms: number, of: State) => {
    const load = { id: 'known load', a: number(pair.hot), b: number(pair.neutral), ohms };
    return energize({ ...network, wires: [...network.wires, load] }, of);
  };
  switch (probe.with) {
    case 'non-contact': {
      const shows = readNonContact(energize(network, state), number(probe.at));
      return { is: 'glow', glows: shows === 'unsure' ? random() < 0.5 : shows === 'glows' };
    }
    case 'sweep': {
      const box = sure(
        survey.boxes.find(({ id }) => id === probe.box),
        `box ${probe.box}`,
      );
      const states =
        setup.switches === 'worked'
          ? [state, ...allPositions(network).map((at) => ({ ...state, positions: at }))]
          : [state];
      const glows = states.some((one) => {
        const point = energize(network, one);
        return box.ends.some(({ cable, insulation }) => {
          if (isGround(insulation)) return false;
          // A ghost is decided by low impedance: what floats is not live.
          return readNonContact(point, number({ on: 'conductor', cable, insulation })) === 'glows';
        });
      });
      return { is: 'glow', glows };
    }
    case 'drop': {
      const [hot, neutral, ground] = [number(probe.hot), number(probe.neutral), number(probe.ground)];
      // Whatever can be switched off is: on a shared neutral the other leg's load would hide what rises.
      const quiet = { ...state, loads: situation.fixed ?? new Map<string, number>() };
      const [empty, loaded] = [energize(network, quiet), drawing(probe, 120 / probe.loadA, quiet)];
      if (loaded.groundFaults.length > 0) return { is: 'tripped' };
      const across = ({ point, groundFaults }: Energized, a: number, b: number) =>
        groundFaults.length > 0 ? Number.NaN : Math.abs(point.volts(a) - point.volts(b));
      const [before, after, still, risen] = [
        across(empty, hot, neutral),
        across(loaded, hot, neutral),
        across(empty, neutral, ground),
        across(loaded, neutral, ground),
      ];
      const none = (v: number) => (Number.isNaN(v) ? 0 : v);
      return {
        is: 'drop',
        sagV: Math.max(none(before) - none(after), 0),
        // What stays connected raises it before: only the change tells.
        riseV: Number.isNaN(risen) ? random() * 120 : Math.max(risen - none(still), 0),
      };
    }
    case 'residual': {
      // Every other circuit is loaded: what it brings onto a neutral that is not its own shows.
      if (situation.borrowed) return { is: 'volts', low: 0.5 + random(), high: 0.5 + random() + 0.5 };
      const { point } = energize(network, { ...state, openBreakers: new Set(own ? [own.id] : []) });
      const volts = Math.abs(point.volts(number(probe.neutral)) - point.volts(number(probe.ground)));
      const shown = Number.isNaN(volts) ? random() * 120 : volts;
      return { is: 'volts', low: shown, high: shown };
    }
    case 'feed clamp': {
      const { point, groundFaults } = drawing(probe, CLAMPED_OHMS, state);
      if (groundFaults.length > 0) return { is: 'tripped' };
      const feed = situation.wiring.cables.find(
        ({ id }) => probe.hot.on === 'conductor' && id === probe.hot.cable,
      );
      const sum = (feed?.conductors ?? []).reduce((all, { id }) => all + point.wireCurrent(id), 0);
      return { is: 'amps', amps: Math.abs(sum) };
    }
    case 'panel clamp': {
      if (situation.borrowed) return { is: 'amps', amps: 8 };
      const { point, groundFaults } = drawing(probe, CLAMPED_OHMS, state);
      if (groundFaults.length > 0) return { is: 'tripped' };
      const homes = situation.wiring.cables.filter(({ from, to }) => from === 'panel' || to === 'panel');
      const sums = homes.map(({ conductors }) =>
        Math.abs(
          conductors
            .filter(({ insulation }) => !isGround(insulation))
            .reduce((sum, { id }) => sum + point.wireCurrent(id), 0),
        ),
      );
      return { is: 'amps', amps: Math.max(0, ...sums) };
    }
    case 'lifted neutral': {
      // What another circuit's neutral is spliced to still leads to the bar.
      if (situation.borrowed) return { is: 'ohms', ohms: 0.4 };
      const lifted = withoutNeutral(situation, own?.id);
      const point = (spot: Spot) => lifted.point(pointOf(spot)) ?? 0;
      const ohms = readOhms(lifted, state, point(probe.neutral), point(probe.ground));
      return { is: 'ohms', ohms: Number.isFinite(ohms) ? ohms : null };
    }
    case 'continuity': {
      const ohms = readOhms(network, state, number(probe.from), number(probe.to));
      return { is: 'ohms', ohms: Number.isFinite(ohms) ? ohms : null };
    }
    case 'clamp': {
      const end = probe.at.on === 'conductor' ? probe.at : null;
      const wired = situation.wiring.cables.find(({ id }) => id === end?.cable);
      const id = wired?.conductors.find((one) => one.insulation === end?.insulation)?.id ?? '';
      return { is: 'amps', amps: Math.abs(energize(network, state).point.wireCurrent(id)) };
    }
    case 'tester': {
      const key = partKey(probe.device, probe.part);
      const part = sure(
        network.parts.find((one) => one.key === key),
        `part ${key}`,
      );
      const { point } = energize(network, { ...state, testers: new Set([key]) });
      return { is: 'lights', lights: [...readTester(point, part).lights] };
    }
    case 'meter':
    case 'lamp': {
      const impedance = probe.with === 'lamp' ? 'lamp' : probe.impedance;
      const meter = { impedance, from: pointOf(probe.from), to: pointOf(probe.to) } as const;
      const states =
        setup.switches === 'worked'
          ? [state, ...allPositions(network).map((at) => ({ ...state, positions: at }))]
          : [state];
      const volts: number[] = [];
      for (const one of states) {
        const { groundFaults } = energize(network, { ...one, meter });
        if (groundFaults.length > 0) return { is: 'tripped' };
        const shown = readMeter(network, one, meter);
        volts.push(shown === null ? 0 : shown.kind === 'ghost' ? random() * 120 : shown.volts);
      }
      if (probe.with === 'meter') return { is: 'volts', low: Math.min(...volts), high: Math.max(...volts) };
      const lit = volts.map((v) => v >= TESTER_LIGHT_V);
      return { is: 'lamp', lit: lit.every(Boolean), changes: lit.some(Boolean) && !lit.every(Boolean) };
    }
  }
}

/** The house with the neutral of a circuit off its bar. */
function withoutNeutral({ wiring, plan, faults }: Situation, circuit: string | undefined): Network {
  const own = new Set(
    wiring.cables.flatMap((cable) =>
      cable.conductors.some((one) => one.circuit === circuit)
        ? cable.conductors.filter(({ role }) => role === 'neutral').map(({ id }) => endId(id, 'panel'))
        : [],
    ),
  );
  const terminations = wiring.terminations.filter(({ end }) => !own.has(end));
  return buildNetwork({ ...wiring, terminations }, plan.job.circuits, faults ?? []);
}

/** Every switch of the house worked: all ways together where few, a good spread where many. */
function allPositions(network: Network): ReadonlyMap<string, number>[] {
  const handles = network.devices
    .filter(({ kind }) => kind.positions.length > 1)
    .map(({ wired }) => wired.id);
  const ways = Math.min(1 << Math.min(handles.length, 5), 32);
  return Array.from(
    { length: ways },
    (_, code) => new Map(handles.map((id, index) => [id, (code >> (index % 5)) & 1])),
  );
}
