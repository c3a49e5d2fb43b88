import { energize } from '../energize/energize';
import type { OperatingPoint } from '../energize/solve';
import { REST, type State } from '../energize/state';
import { UnionFind } from '../../base/graph/union-find';
import { bringsGround, groundedBoxes } from '../../wiring/layout/grounds';
import { PANEL, type Design, type PowerWant } from '../../job/model/design';
import type { Wiring } from '../../job/model/wiring';
import {
  boxGroundId,
  contactWire,
  endId,
  type EndId,
  type PartKey,
  type WiredCable,
  type WiredConductor,
  type WiredDevice,
} from '../../job/model/wiring';
import { breakerImbalance } from '../energize/ground-fault';
import { landings, type Network, type NetworkPart } from '../network/network';
import { isMetal } from '../../trade/standards/boxes';
import { isGround, isWhite } from '../../trade/standards/cables';
import type { Names } from './names';
import type { FindingAt, PartProof, ProofCell, ProofRow, Report } from './proof';
import { switchStates } from './states';
import type { Wishes } from './wishes';
import { INSULATION_NAME } from '../../trade/standards/names';
import { say, tell } from '../../base/words/proof';

/**
 * A part counts as live from this voltage and as dead up to the other, V. Between the two lies nothing that sound
 * wiring can show: the test loads below draw 0.2 A together, which loses 12 V over 10,000 ft of 14 AWG copper, longer
 * than any branch circuit; a part behind two others in series shows 60 V or less.
 */
const LIVE_V = 100;
const DEAD_V = 5;
/** All loads of one verification together, W: it judges wiring. What a circuit carries is Load's to judge. */
const TEST_W = 24;
/** Currents under this are rounding, A: a thousandth of the least that one of 400 loads draws. */
const NO_CURRENT_A = 2e-7;

/** Loads all different, so that two that share a conductor by mistake cannot cancel. */
const testLoads = (parts: readonly NetworkPart[]): Map<PartKey, number> =>
  new Map(parts.map((part, index) => [part.key, (TEST_W / parts.length) * (1 + index / (2 * parts.length))]));

/** A part in one state: its hot and neutral to the panel's neutral, and what is between them, V. */
interface Measured {
  readonly part: NetworkPart;
  readonly hotV: number;
  readonly neutralV: number;
  readonly volts: number;
}

/** One part of the house on the bench. */
export class Bench {
  statesTried = 0;
  readonly coverage = new Map<string, readonly PartKey[]>();

  constructor(
    private readonly job: Design,
    private readonly wiring: Wiring,
    private readonly network: Network,
    private readonly wants: ReadonlyMap<PartKey, PowerWant>,
    private readonly wishes: Wishes,
    private readonly names: Names,
    private readonly find: Report,
  ) {}

  run(): PartProof {
    const { network } = this;
    const switches = network.devices
      .filter(({ kind }) => kind.positions.length > 0)
      .map(({ wired }) => wired.id);
    const parts = network.parts.filter(({ key }) => this.wants.has(key));
    const { states, exhaustive } = switchStates(
      switches,
      parts.map(({ key }) => this.wishes.switchesAhead(key)),
    );
    const all = testLoads(parts);
    const measured = states.map((positions) => {
      const point = this.solve({ ...REST, positions, loads: all });
      this.currents(point, say('bench.everyLoad'));
      this.whites(point);
      return { positions, at: parts.map((part) => this.measure(part, point)) };
    });
    this.wishes.learn(
      measured.flatMap(({ positions, at }) =>
        at.map(({ part, volts }) => ({ key: part.key, positions, live: volts >= LIVE_V })),
      ),
    );
    const rows = measured.map(({ positions, at }): ProofRow => ({
      positions,
      cells: at.map((one) => this.cell(one, positions)),
    }));
    this.everTurned(rows);
    this.testButtons(rows, parts, all);
    for (const row of rows) this.oneAtATime(row);
    this.breakersOff(parts, states.at(-1) ?? new Map(), all);
    this.grounds(parts);
    this.coloredNeutrals();
    return {
      boxes: [...new Set(this.wiring.devices.map(({ box }) => box))],
      switches,
      parts: parts.map(({ key }) => key),
      rows,
      exhaustive,
    };
  }

  private solve(state: State): OperatingPoint {
    this.statesTried++;
    const { point, trips, groundFaults } = energize(this.network, state);
    for (const { at, by, reason, amps } of groundFaults) {
      const why =
        reason === 'imbalance'
          ? say('bench.maGroundFaultCurrent', { amps: (amps * 1000).toFixed(0) })
          : say('bench.loadNeutralGrounded');
      const [where, what] = this.protection(by, at);
      this.find('protection trips', where, tell('bench.trips', { what, why }));
    }
    for (const { circuit, amps } of trips) {
      this.find(
        'breaker trips',
        { kind: 'circuit', circuit },
        tell('bench.breakerTrips', { circuit: this.names.circuit(circuit), amps: amps.toFixed(0) }),
      );
    }
    return point;
  }

  private protection(by: 'device' | 'breaker', id: string): [FindingAt, string] {
    return by === 'device'
      ? [{ kind: 'device', device: id }, say('bench.the', { device: this.names.device(id) })]
      : [{ kind: 'circuit', circuit: id }, say('bench.breaker', { circuit: this.names.circuit(id) })];
  }

  private measure(part: NetworkPart, point: OperatingPoint): Measured {
    const [hotV, neutralV] = [point.volts(part.hot), point.volts(part.neutral)];
    return { part, hotV, neutralV, volts: this.across(part, point) };
  }

  private cell({ part, hotV, neutralV, volts }: Measured, positions: ReadonlyMap<string, number>): ProofCell {
    const live = volts >= LIVE_V;
    const wished = this.wishes.isOn(part.key, positions);
    const right = wished ? live : volts <= DEAD_V;
    if (!right) {
      const state = [...positions]
        .map(([device, position]) => this.positionText(device, position))
        .join(', ');
      this.find(
        'not as wished',
        this.names.partAt(part.key),
        tell('bench.butShouldTrueOther', {
          part: this.names.part(part.key),
          live: live
            ? say('bench.live')
            : volts <= DEAD_V
              ? say('bench.dead')
              : say('bench.v', { volts: volts.toFixed(0) }),
          wished,
          state: state && say('bench.with', { state }),
        }),
      );
    }
    const toGround = (volts: number) => (Number.isNaN(volts) ? 0 : Math.abs(volts));
    if (toGround(neutralV) > LIVE_V || (!wished && !live && toGround(hotV) > LIVE_V)) {
      this.find(
        'polarity',
        this.names.partAt(part.key),
        tell('bench.hotOnSilver', { part: this.names.part(part.key) }),
      );
    }
    return { part: part.key, volts, live, wished };
  }

  /** What is live in no state, or dead in none though it is switched, is wrong whatever else is said of it. */
  private everTurned(rows: readonly ProofRow[]) {
    for (const [index, cell] of (rows[0]?.cells ?? []).entries()) {
      const own = rows.flatMap(({ cells }) => cells[index] ?? []);
      const [at, name] = [this.names.partAt(cell.part), this.names.part(cell.part)];
      if (own.every(({ live }) => !live))
        this.find('never live', at, tell('bench.liveNoSwitchPosition', { name }));
      if (this.wishes.isSwitched(cell.part) && own.every(({ volts }) => volts > DEAD_V))
        this.find('never dead', at, tell('bench.neverLive', { name }));
    }
  }

  /** Presses each test button in a state that lights as much as any: what it protects dies, the rest stays. */
  private testButtons(
    rows: readonly ProofRow[],
    parts: readonly NetworkPart[],
    loads: ReadonlyMap<PartKey, number>,
  ) {
    const lit = (row: ProofRow) => row.cells.filter(({ live }) => live).length;
    const brightest = rows.reduce<ProofRow | undefined>(
      (best, row) => (!best || lit(row) > lit(best) ? row : best),
      undefined,
    );
    if (!brightest) return;
    for (const { device } of this.network.protecting) {
      const point = this.solve({
        ...REST,
        positions: brightest.positions,
        loads,
        tripped: new Set([device]),
      });
      const dead = parts.filter(
        (part, index) => brightest.cells[index]?.live && !(this.across(part, point) > DEAD_V),
      );
      this.coverage.set(
        device,
        dead.map(({ key }) => key),
      );
      for (const [index, part] of parts.entries()) {
        if (!brightest.cells[index]?.live) continue;
        const protectedByIt = this.wishes.isBehind(part.key, device);
        if (protectedByIt === dead.includes(part)) continue;
        this.find(
          'not protected',
          this.names.partAt(part.key),
          tell('bench.testPressed', {
            part: this.names.part(part.key),
            protectedByIt,
            device: this.names.device(device),
          }),
        );
      }
    }
  }

  private across(part: NetworkPart, point: OperatingPoint): number {
    const volts = Math.abs(point.volts(part.hot) - point.volts(part.neutral));
    return Number.isNaN(volts) ? 0 : volts;
  }

  private oneAtATime(row: ProofRow) {
    const live = row.cells.filter((cell) => cell.live);
    if (live.length < 2) return;
    for (const { part } of live) {
      const point = this.solve({
        ...REST,
        positions: row.positions,
        loads: new Map([[part, TEST_W]]),
      });
      this.currents(point, say('bench.only', { part: this.names.part(part) }));
    }
  }

  private currents(point: OperatingPoint, when: string) {
    for (const cable of this.wiring.cables) {
      const at = { kind: 'cable', cable: cable.id, run: cable.run } as const;
      const sums: [domain: string, amps: number][] = [];
      for (const conductor of cable.conductors) {
        const amps = point.wireCurrent(conductor.id);
        if (conductor.role === 'ground' || isGround(conductor.insulation)) {
          if (Math.abs(amps) > NO_CURRENT_A) {
            this.find(
              'ground carries current',
              at,
              tell('bench.groundCarries', {
                cable: this.names.cable(cable),
                milliamps: milliamps(amps),
                when,
              }),
            );
          }
          continue;
        }
        // A conductor that is said to carry nothing stands alone: it must carry nothing.
        const domain = conductor.domain ?? conductor.id;
        const sum = sums.find(([one]) => one === domain);
        if (sum) sum[1] += amps;
        else sums.push([domain, amps]);
      }
      for (const [, amps] of sums) {
        if (Math.abs(amps) > NO_CURRENT_A) {
          this.find(
            'cable does not cancel',
            at,
            tell('bench.notBalanced', {
              cable: this.names.cable(cable),
              milliamps: milliamps(amps),
              when,
            }),
          );
        }
      }
    }
    for (const { device } of this.network.protecting) {
      const amps =
        point.wireCurrent(contactWire(device, 'hot')) + point.wireCurrent(contactWire(device, 'neutral'));
      this.imbalance('device', device, amps, when);
    }
    for (const circuit of this.network.circuits) {
      if (circuit.protection === 'none') continue;
      this.imbalance('breaker', circuit.id, breakerImbalance(this.network, point, circuit), when);
    }
  }

  /** A white that is hot wears tape wherever it shows (200.7(C)(1)). */
  private whites(point: OperatingPoint) {
    this.bareWhites ??= this.wiring.cables.flatMap((cable) =>
      cable.conductors.flatMap((conductor) => {
        if (!isWhite(conductor.insulation) || conductor.reidentified) return [];
        const at = this.pointOfEnd(endId(conductor.id, cable.from));
        return at === undefined ? [] : [{ at, conductor, cable }];
      }),
    );
    for (const { at, conductor, cable } of this.bareWhites) {
      if (!(Math.abs(point.volts(at)) > LIVE_V)) continue;
      this.find(
        'white is hot',
        { kind: 'conductor', conductor: conductor.id, run: cable.run },
        tell('bench.hotWithoutTape', {
          insulation: conductor.insulation,
          cable: this.names.cable(cable),
        }),
      );
    }
  }

  private bareWhites: readonly { at: number; conductor: WiredConductor; cable: WiredCable }[] | null = null;

  private pointOfEnd(end: EndId): number | undefined {
    const landing = (this.landing ??= landings(this.wiring));
    return this.network.point(landing.get(end) ?? end);
  }

  /** What metal alone joins with the panel's neutral is white or gray from end to end (200.6). */
  private coloredNeutrals() {
    const joined = this.network.metal.copy();
    for (const { a, b } of this.network.wires) joined.join(a, b);
    const bar = joined.find(this.network.reference);
    for (const { conductors, ...cable } of this.wiring.cables) {
      for (const { id, insulation } of conductors) {
        if (isWhite(insulation) || isGround(insulation)) continue;
        const at = this.pointOfEnd(endId(id, cable.from));
        if (at === undefined || joined.find(at) !== bar) continue;
        this.find(
          'colored neutral',
          { kind: 'conductor', conductor: id, run: cable.run },
          tell('bench.reidentifiedNeutral', {
            insulation: INSULATION_NAME[insulation],
            cable: this.names.cable(cable),
          }),
        );
      }
    }
  }

  private landing: ReadonlyMap<string, string> | null = null;

  /** The test loads are small: what leaks of them is a fault, though it may not trip yet. */
  private imbalance(by: 'device' | 'breaker', id: string, amps: number, when: string) {
    if (Math.abs(amps) <= NO_CURRENT_A) return;
    const [at, what] = this.protection(by, id);
    this.find(
      'protection trips',
      at,
      tell('bench.returnsElsewhere', { what, milliamps: milliamps(amps), when }),
    );
  }

  private breakersOff(
    parts: readonly NetworkPart[],
    positions: ReadonlyMap<string, number>,
    loads: ReadonlyMap<PartKey, number>,
  ) {
    const circuits = [...new Set(parts.flatMap(({ key }) => this.wants.get(key)?.circuit ?? []))];
    for (const circuit of circuits) {
      const point = this.solve({ ...REST, positions, loads, openBreakers: new Set([circuit]) });
      for (const part of parts) {
        if (this.wants.get(part.key)?.circuit !== circuit) continue;
        const volts = [point.volts(part.hot), point.volts(part.neutral)].map((v) =>
          Number.isNaN(v) ? 0 : Math.abs(v),
        );
        if (volts.some((v) => v > DEAD_V)) {
          this.find(
            'live with the breaker off',
            this.names.partAt(part.key),
            tell('bench.liveBreakerOff', {
              part: this.names.part(part.key),
              circuit: this.names.circuit(circuit),
            }),
          );
        }
      }
    }
  }

  /**
   * A sound ground leads to the panel by equipment grounds alone: what gets there over a white is none. Every one is
   * looked at: that of each outlet, of each other device, of each metal box, of each cable in each box (250.148,
   * 404.9(B), 406.4). Nothing else may lie on it past the panel (250.142(B)), whether current flows there or not.
   */
  private grounds(parts: readonly NetworkPart[]) {
    const { network, wiring, names } = this;
    const grounds = new Set<string>([
      ...wiring.cables.flatMap(({ conductors }) =>
        conductors.flatMap(({ id, insulation }) => (isGround(insulation) ? [id] : [])),
      ),
      ...wiring.tails.flatMap(({ id, role }) => (role === 'ground' ? [id] : [])),
    ]);
    const joined = new UnionFind(network.points.length);
    for (const { id, a, b } of network.wires) if (grounds.has(id)) joined.join(a, b);
    const panel = joined.find(network.ground);
    const sound = (point: number | undefined) => point !== undefined && joined.find(point) === panel;

    // What was found without a ground, and stays or is replaced as it was, is known: rules speak of it.
    const grounded = groundedBoxes(this.job);
    const old = new Set(this.job.devices.flatMap(({ id, was, replaces }) => (was || replaces ? [id] : [])));
    const known = (device: WiredDevice) => !grounded.has(device.box) && old.has(device.id);
    const bareRuns = new Set(this.job.runs.flatMap((run) => (bringsGround(run) ? [] : [run.id])));

    const plugs = new Set<string>();
    for (const { key, ground, part, device } of parts) {
      if (!part.plug) continue;
      plugs.add(device.id);
      if (!sound(ground) && !known(device))
        this.find('no ground', names.partAt(key), tell('bench.noEquipmentGround', { part: names.part(key) }));
    }
    for (const { wired, kind, point } of network.devices) {
      const at = { kind: 'device', device: wired.id } as const;
      for (const { id, screw, name } of kind.terminals) {
        if (screw === 'green' && !plugs.has(wired.id) && !sound(point(id)) && !known(wired))
          this.find('no ground', at, tell('bench.deviceUngrounded', { device: names.device(wired.id) }));
        if (screw !== 'green' && sound(point(id)))
          this.find(
            'ground joined',
            at,
            tell('bench.equipmentGround', { device: names.device(wired.id), name }),
          );
      }
    }
    for (const { conductors, from, to, run, type, cord } of wiring.cables) {
      for (const { id, insulation } of conductors) {
        for (const box of [from, to]) {
          const isSound = sound(this.pointOfEnd(endId(id, box)));
          if (isSound === isGround(insulation)) continue;
          if (
            !isSound &&
            (bareRuns.has(run) ||
              !grounded.has(from === PANEL ? to : from) ||
              !grounded.has(to === PANEL ? from : to))
          )
            continue;
          const words = say('bench.ofThe', { cable: names.cable({ type, cord, from, to }) });
          this.find(
            isSound ? 'ground joined' : 'no ground',
            { kind: 'conductor', conductor: id, run, box },
            isSound
              ? tell('bench.onGround', {
                  insulation: INSULATION_NAME[insulation],
                  words,
                  box: names.box(box),
                })
              : tell('bench.groundNotJoinedGround', { words, box: names.box(box) }),
          );
        }
      }
    }
    const here = new Set(wiring.cables.flatMap(({ from, to }) => [from, to]));
    for (const { id, family, existing } of this.job.boxes) {
      if (existing && !grounded.has(id)) continue;
      if (here.has(id) && isMetal(family) && !sound(network.point(boxGroundId(id))))
        this.find(
          'no ground',
          { kind: 'box', box: id },
          tell('bench.metalNotGrounded', { box: names.box(id) }),
        );
    }
  }

  private positionText(device: string, position: number): string {
    const own = this.network.devices.find(({ wired }) => wired.id === device);
    const box = own ? this.names.box(own.wired.box) : '';
    return `${box} ${own?.kind.positions[position] ?? position}`;
  }
}

const milliamps = (amps: number): string => say('bench.ma', { abs: (Math.abs(amps) * 1000).toFixed(1) });
