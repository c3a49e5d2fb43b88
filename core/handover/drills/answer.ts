import { sure } from '../../base/sure';
import { energize, type Energized } from '../../power/energize/energize';
import { readMeter, readNonContact, readTester } from '../../power/energize/instruments';
import { readOhms } from '../../power/energize/solve';
import { REST, TESTER_LIGHT_V, type State } from '../../power/energize/state';
import { isHome, PANEL, type Circuit } from '../../job/model/design';
import { endsOf } from '../../job/model/lookup';
import type { Probe, Setup, Spot, Value } from '../../job/model/survey';
import { endId, partKey, type EndId, type WiredCable, type Wiring } from '../../job/model/wiring';
import { buildNetwork, landings, type Network } from '../../power/network/network';
import { isGround, isWhite, type Insulation } from '../../trade/standards/cables';
import type { Situation } from './situation';

/** What the instrument really shows, with far switches and loads as chance has them. */
export function answer(situation: Situation, setup: Setup, probe: Probe, random: () => number): Value {
  const read = READ[probe.with] as (at: OpenedWall, probe: Probe) => Value;
  return read(new OpenedWall(situation, setup, random), probe);
}

/** What draws while a clamp is read: some 10 A. */
const CLAMPED_OHMS = 12;
const TRIPPED: Value = { is: 'tripped' };

type Read<With extends Probe['with']> = (at: OpenedWall, probe: Extract<Probe, { with: With }>) => Value;

/** How each instrument is read. */
const READ: { readonly [With in Probe['with']]: Read<With> } = {
  'non-contact': (at, { at: spot }) => {
    const shows = readNonContact(energize(at.network, at.state), at.number(spot));
    return { is: 'glow', glows: shows === 'unsure' ? at.random() < 0.5 : shows === 'glows' };
  },
  sweep: (at, { box: id }) => {
    const { ends } = sure(
      at.situation.survey.boxes.find((box) => box.id === id),
      `box ${id}`,
    );
    const glows = at.states().some((one) => {
      const point = energize(at.network, one);
      // A ghost is decided by low impedance: what floats is not live.
      return ends.some(
        ({ cable, insulation }) =>
          !isGround(insulation) &&
          readNonContact(point, at.number({ on: 'conductor', cable, insulation })) === 'glows',
      );
    });
    return { is: 'glow', glows };
  },
  drop: (at, probe) => {
    const [hot, neutral, ground] = [at.number(probe.hot), at.number(probe.neutral), at.number(probe.ground)];
    // Whatever can be switched off is: on a shared neutral the other leg's load would hide what rises.
    const quiet = { ...at.state, loads: at.situation.fixed ?? new Map<string, number>() };
    const [empty, loaded] = [energize(at.network, quiet), at.drawing(probe, 120 / probe.loadA, quiet)];
    if (loaded.groundFaults.length > 0) return TRIPPED;
    const across = ({ point, groundFaults }: Energized, a: number, b: number) =>
      groundFaults.length > 0 ? Number.NaN : Math.abs(point.volts(a) - point.volts(b));
    const none = (v: number) => (Number.isNaN(v) ? 0 : v);
    const [before, after] = [across(empty, hot, neutral), across(loaded, hot, neutral)];
    const [still, risen] = [across(empty, neutral, ground), across(loaded, neutral, ground)];
    return {
      is: 'drop',
      sagV: Math.max(none(before) - none(after), 0),
      // What stays connected raises it before: only the change tells.
      riseV: Number.isNaN(risen) ? at.random() * 120 : Math.max(risen - none(still), 0),
    };
  },
  residual: (at, { neutral, ground }) => {
    // Every other circuit is loaded: what it brings onto a neutral that is not its own shows.
    if (at.situation.borrowed) return { is: 'volts', low: 0.5 + at.random(), high: 0.5 + at.random() + 0.5 };
    const { point } = energize(at.network, {
      ...at.state,
      openBreakers: new Set(at.circuit ? [at.circuit.id] : []),
    });
    const volts = Math.abs(point.volts(at.number(neutral)) - point.volts(at.number(ground)));
    const shown = Number.isNaN(volts) ? at.random() * 120 : volts;
    return { is: 'volts', low: shown, high: shown };
  },
  'feed clamp': (at, probe) => {
    const { point, groundFaults } = at.drawing(probe, CLAMPED_OHMS, at.state);
    if (groundFaults.length > 0) return TRIPPED;
    const sum = (at.cableOf(probe.hot)?.conductors ?? []).reduce(
      (all, { id }) => all + point.wireCurrent(id),
      0,
    );
    return { is: 'amps', amps: Math.abs(sum) };
  },
  'panel clamp': (at, probe) => {
    if (at.situation.borrowed) return { is: 'amps', amps: 8 };
    const { point, groundFaults } = at.drawing(probe, CLAMPED_OHMS, at.state);
    if (groundFaults.length > 0) return TRIPPED;
    const homes = at.situation.wiring.cables.filter(isHome);
    const sums = homes.map(({ conductors }) =>
      Math.abs(
        conductors
          .filter(({ insulation }) => !isGround(insulation))
          .reduce((sum, { id }) => sum + point.wireCurrent(id), 0),
      ),
    );
    return { is: 'amps', amps: Math.max(0, ...sums) };
  },
  'lifted neutral': (at, { neutral, ground }) => {
    // What another circuit's neutral is spliced to still leads to the bar.
    if (at.situation.borrowed) return { is: 'ohms', ohms: 0.4 };
    return at.ohms(withoutNeutral(at.situation, at.circuit?.id), neutral, ground);
  },
  continuity: (at, { from, to }) => at.ohms(at.network, from, to),
  clamp: (at, { at: spot }) => {
    const color = spot.on === 'conductor' ? spot.insulation : null;
    const id = at.cableOf(spot)?.conductors.find(({ insulation }) => insulation === color)?.id ?? '';
    return { is: 'amps', amps: Math.abs(energize(at.network, at.state).point.wireCurrent(id)) };
  },
  tester: (at, { device, part }) => {
    const key = partKey(device, part);
    const own = sure(
      at.network.parts.find((one) => one.key === key),
      `part ${key}`,
    );
    const { point } = energize(at.network, { ...at.state, testers: new Set([key]) });
    return { is: 'lights', lights: [...readTester(point, own).lights] };
  },
  meter: (at, { impedance, from, to }) => {
    const volts = at.across(impedance, from, to);
    return volts ? { is: 'volts', low: Math.min(...volts), high: Math.max(...volts) } : TRIPPED;
  },
  lamp: (at, { from, to }) => {
    const lit = at.across('lamp', from, to)?.map((v) => v >= TESTER_LIGHT_V);
    if (!lit) return TRIPPED;
    return { is: 'lamp', lit: lit.every(Boolean), changes: lit.some(Boolean) && !lit.every(Boolean) };
  },
};

/** The house during one reading: what was lifted for it, which breakers are off, what is in use, how switches stand. */
class OpenedWall {
  readonly network: Network;
  readonly state: State;
  /** The circuit of the breaker that is named; it may be another that feeds the box. */
  readonly circuit: Circuit | undefined;
  private readonly landing: ReadonlyMap<string, string>;

  constructor(
    readonly situation: Situation,
    private readonly setup: Setup,
    readonly random: () => number,
  ) {
    const { survey, plan, fixed } = situation;
    ({ network: this.network, landing: this.landing } = stageOf(situation, setup.apart));
    this.circuit = plan.job.circuits.find(({ number }) => number === survey.breaker);
    const off = plan.job.circuits.filter((one) => setup.breakers === 'all off' || one === this.circuit);
    const loads = this.network.parts.map(({ key }): [string, number] => [
      key,
      fixed?.get(key) ?? (setup.loadsOut ? 0 : random() < 0.3 ? 0 : 5 + 1000 * random() ** 3),
    ]);
    this.state = {
      ...REST,
      openBreakers: new Set(setup.breakers === 'on' ? [] : off.map(({ id }) => id)),
      loads: new Map(loads),
      positions: this.asChanceHasThem(),
    };
  }

  /** Switches in the box stand as the setup says, all others as they happen to. */
  private asChanceHasThem(): ReadonlyMap<string, number> {
    const here = new Set(this.situation.survey.boxes.flatMap(({ devices }) => devices.map(({ id }) => id)));
    const { switches } = this.setup;
    const fixed = switches === 'off here' ? 0 : switches === 'on here' ? 1 : null;
    return new Map(
      this.network.devices.map(({ wired, kind }) => {
        const free = Math.floor(this.random() * Math.max(kind.positions.length, 1));
        return [wired.id, fixed !== null && here.has(wired.id) ? fixed : free] as const;
      }),
    );
  }

  /** The state as it is, and every other where all switches are worked. */
  states = (): readonly State[] =>
    this.setup.switches === 'worked'
      ? [this.state, ...allPositions(this.network).map((at) => ({ ...this.state, positions: at }))]
      : [this.state];

  cableOf = (spot: Spot): WiredCable | undefined =>
    this.situation.wiring.cables.find(({ id }) => spot.on === 'conductor' && id === spot.cable);

  pointOf(spot: Spot): string {
    const { survey, wiring } = this.situation;
    const bare = sure(survey.boxes[0], 'opened box').ends.filter(({ insulation }) => isGround(insulation));
    // One touches what the others are joined to.
    const ground = bare.find(({ sits }) => sits.at === 'splice') ?? bare[0];
    const [cable, insulation]: [string, Insulation] =
      spot.on === 'conductor'
        ? [spot.cable, spot.insulation]
        : [ground?.cable ?? '', ground?.insulation ?? 'bare'];
    const wired = wiring.cables.find(({ id }) => id === cable);
    const conductor = wired?.conductors.find((one) => one.insulation === insulation);
    const end = endId(conductor?.id ?? '', survey.target);
    return this.landing.get(end) ?? end;
  }
  number = (spot: Spot): number => this.network.point(this.pointOf(spot)) ?? 0;

  /** With a known load on a pair. */
  drawing(pair: { readonly hot: Spot; readonly neutral: Spot }, ohms: number, of: State): Energized {
    const load = { id: 'known load', a: this.number(pair.hot), b: this.number(pair.neutral), ohms };
    return energize({ ...this.network, wires: [...this.network.wires, load] }, of);
  }

  ohms(network: Network, from: Spot, to: Spot): Value {
    const point = (spot: Spot) => network.point(this.pointOf(spot)) ?? 0;
    const ohms = readOhms(network, this.state, point(from), point(to));
    return { is: 'ohms', ohms: Number.isFinite(ohms) ? ohms : null };
  }

  /** Volts in each state; null where something opens by the instrument's own load. */
  across(impedance: 'high' | 'low' | 'lamp', from: Spot, to: Spot): readonly number[] | null {
    const meter = { impedance, from: this.pointOf(from), to: this.pointOf(to) } as const;
    const volts: number[] = [];
    for (const one of this.states()) {
      if (energize(this.network, { ...one, meter }).groundFaults.length > 0) return null;
      const shown = readMeter(this.network, one, meter);
      volts.push(shown === null ? 0 : shown.kind === 'ghost' ? this.random() * 120 : shown.volts);
    }
    return volts;
  }
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

/** The house with the neutral of a circuit off its bar. */
function withoutNeutral({ wiring, plan, faults }: Situation, circuit: string | undefined): Network {
  const own = new Set(
    wiring.cables.flatMap((cable) =>
      cable.conductors.some((one) => one.circuit === circuit)
        ? cable.conductors.filter(({ role }) => role === 'neutral').map(({ id }) => endId(id, PANEL))
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
