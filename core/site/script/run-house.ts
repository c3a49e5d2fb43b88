import { energize, type Energized } from '../../power/energize/energize';
import { hasLinePower } from '../../power/energize/ground-fault';
import { REST, TESTER_LIGHT_V, type State } from '../../power/energize/state';
import { BRIGHT_V, GLOW_V, LIT_V } from '../../power/energize/instruments';
import { networkOf, stateIn, type House } from '../../power/faults';
import { UnionFind } from '../../base/graph/union-find';
import { endId } from '../../job/model/wiring';
import { isHome, PANEL } from '../../job/model/design';
import { openContact } from '../../power/network/disturbance';
import type { Network, NetworkPart } from '../../power/network/network';
import { tripsOf, voltsRead, type FieldTest, type Outcome, type Probe } from './field-test';
import type { Stimulus } from './stimuli';

/** Amperes that a clamp round a cable shows. Common practice. */
const CLAMP_A = 0.2;

/** A house that is tried: what every test shows in it. Each state is solved once, and only when it is asked for. */
export class HouseRun {
  private readonly network: Network;
  private readonly points = new Map<string, Energized>();
  private readonly parts: ReadonlyMap<string, NetworkPart>;
  /** Nothing plugged in or thrown; asked for by every button. */
  private resting: Energized | null = null;
  private metal: { readonly whole: UnionFind; readonly lifted: UnionFind } | null = null;

  /** @param keyOf stimuli with the same key come to the same state in this house */
  constructor(
    private readonly house: House,
    private readonly keyOf: (stimulus: Stimulus) => string = ({ key }) => key,
  ) {
    this.network = networkOf(house);
    this.parts = new Map(this.network.parts.map((part) => [part.key, part]));
  }

  outcome({ probe, stimulus }: Pick<FieldTest, 'probe' | 'stimulus'>): Outcome {
    if (probe.read === 'joined') return this.joined(probe) ? 'joined' : 'open';
    const energized = this.at(stimulus);
    return this.read(probe, energized, stimulus);
  }

  private at(stimulus: Stimulus): Energized {
    const key = this.keyOf(stimulus);
    const known = this.points.get(key);
    if (known) return known;
    const fresh = energize(this.network, stateIn(this.house, this.pressed(stimulus)));
    this.points.set(key, fresh);
    return fresh;
  }

  /** A button opens only what has line power and works. */
  private pressed({ is, state }: Stimulus): State {
    if (is !== 'buttons') return state;
    return { ...state, tripped: new Set([...state.tripped].filter((device) => this.alive(device))) };
  }

  private alive(device: string): boolean {
    const own = this.network.protecting.find((one) => one.device === device);
    if (!own) return false;
    this.resting ??= energize(this.network, stateIn(this.house, REST));
    return hasLinePower(this.resting.point, own);
  }

  private read(probe: Exclude<Probe, { read: 'joined' }>, energized: Energized, stimulus: Stimulus): Outcome {
    const { point } = energized;
    switch (probe.read) {
      case 'trips':
        return tripsOf({
          breakers: [
            ...energized.trips.map(({ circuit }) => circuit),
            ...energized.groundFaults.flatMap(({ by, at }) => (by === 'breaker' ? [at] : [])),
          ],
          devices: energized.groundFaults.flatMap(({ by, at }) => (by === 'device' ? [at] : [])),
        });
      case 'lit': {
        const volts = this.across(probe.part, energized);
        return Number.isNaN(volts) || volts < LIT_V ? 'dark' : volts > BRIGHT_V ? 'far too bright' : 'lit';
      }
      case 'lights':
        return this.lights(probe.part, energized);
      case 'volts': {
        const [from, to] = [
          this.network.point(probe.from),
          probe.to === null ? this.network.reference : this.network.point(probe.to),
        ];
        if (from === undefined || to === undefined) return 'no such point';
        return voltsRead(Math.abs(point.volts(from) - point.volts(to)), stimulus.is === 'load');
      }
      case 'glow': {
        const at = this.network.point(probe.at);
        const own = at === undefined ? Number.NaN : point.volts(at);
        return Number.isNaN(own) ? 'inconclusive' : Math.abs(own) >= GLOW_V ? 'lights' : 'no light';
      }
      case 'net amps': {
        const cable = this.house.wiring.cables.find(({ id }) => id === probe.cable);
        const net = Math.abs(
          (cable?.conductors ?? []).reduce(
            (sum, { id, role }) => (role === 'ground' ? sum : sum + point.wireCurrent(id)),
            0,
          ),
        );
        return net < CLAMP_A ? '0 A' : 'current';
      }
      case 'opens':
        return this.alive(probe.device) ? 'trips' : 'does nothing';
    }
  }

  private across(key: string, { point }: Energized): number {
    const part = this.parts.get(key);
    return part ? Math.abs(point.volts(part.hot) - point.volts(part.neutral)) : Number.NaN;
  }

  /** The three lights of a tester, its own draw included where a conductor floats. */
  private lights(key: string, { point }: Energized): Outcome {
    const part = this.parts.get(key);
    if (!part) return 'no such point';
    const own = [part.hot, part.neutral, part.ground] as const;
    const [hot, neutral, ground] = settled(own.map((at) => point.volts(at)));
    const lit = (a = 0, b = 0): string => (Math.abs(a - b) >= TESTER_LIGHT_V ? '1' : '0');
    return lit(hot, neutral) + lit(hot, ground) + lit(neutral, ground);
  }

  private joined({ from, to, lifted }: Extract<Probe, { read: 'joined' }>): boolean {
    this.metal ??= { whole: metalOf(this.network), lifted: metalOf(this.liftedNetwork()) };
    const [a, b] = [this.network.point(from), this.network.point(to)];
    if (a === undefined || b === undefined) return false;
    const own = lifted ? this.metal.lifted : this.metal.whole;
    return own.find(a) === own.find(b);
  }

  /** Every neutral off its bar. */
  private liftedNetwork(): Network {
    const { wiring } = this.house;
    const lifted = wiring.cables.flatMap((cable) =>
      isHome(cable)
        ? cable.conductors
            .filter(
              ({ role, insulation }) => role === 'neutral' || (role !== 'ground' && insulation === 'white'),
            )
            .map(({ id }) => openContact(endId(id, PANEL)))
        : [],
    );
    return networkOf({ ...this.house, disturbances: [...this.house.disturbances, ...lifted] });
  }
}

/** Everything that wires and metal join, handles at rest, breakers off, devices reset. */
function metalOf(network: Network): UnionFind {
  const joined = network.metal.copy();
  for (const { kind, point } of network.devices)
    if (kind.positions.length > 0) for (const [a, b] of kind.inner(0)) joined.join(point(a), point(b));
  for (const { line, load } of network.protecting) {
    joined.join(line.hot, load.hot);
    joined.join(line.neutral, load.neutral);
  }
  for (const { a, b } of network.wires) joined.join(a, b);
  return joined;
}

/** What three equal lights make of conductors that float: one settles between the other two, two are drawn to the third. */
function settled(read: readonly number[]): number[] {
  const known = read.filter((one) => !Number.isNaN(one));
  const mean = known.length === 0 ? 0 : known.reduce((sum, one) => sum + one, 0) / known.length;
  return read.map((one) => (Number.isNaN(one) ? mean : one));
}
