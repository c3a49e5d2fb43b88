import { energize } from '../energize/energize';
import type { OperatingPoint } from '../energize/solve';
import { REST, type State } from '../energize/state';
import type { PowerWant } from '../../job/model/design';
import type { PartKey } from '../../job/model/wiring';
import type { Network, NetworkPart } from '../network/network';
import { Currents, DEAD_V, LIVE_V, protectionAt } from './currents';
import { coloredNeutrals, grounds, pointsOfEnds, type OnBench, type PointOfEnd } from './metal';
import type { Names } from './names';
import type { PartProof, ProofCell, ProofRow, Report } from './proof';
import { switchStates } from './states';
import type { Wishes } from './wishes';
import { say, tell } from '../../base/words/proof';

/** All loads of one verification together, W: it judges wiring. What a circuit carries is Load's to judge. */
const TEST_W = 24;

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

  private readonly network: Network;
  private readonly names: Names;
  private readonly find: Report;
  private readonly pointOfEnd: PointOfEnd;
  private readonly currents: Currents;

  constructor(
    private readonly on: OnBench,
    private readonly wants: ReadonlyMap<PartKey, PowerWant>,
    private readonly wishes: Wishes,
  ) {
    ({ network: this.network, names: this.names, find: this.find } = on);
    this.pointOfEnd = pointsOfEnds(on);
    this.currents = new Currents(on, this.pointOfEnd);
  }

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
      this.currents.look(point, say('bench.everyLoad'));
      this.currents.whites(point);
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
    grounds(this.on, this.pointOfEnd, parts);
    coloredNeutrals(this.on, this.pointOfEnd);
    return {
      boxes: [...new Set(this.on.wiring.devices.map(({ box }) => box))],
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
      const [where, what] = protectionAt(this.names, by, at);
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
      this.currents.look(point, say('bench.only', { part: this.names.part(part) }));
    }
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

  private positionText(device: string, position: number): string {
    const own = this.network.devices.find(({ wired }) => wired.id === device);
    const box = own ? this.names.box(own.wired.box) : '';
    return `${box} ${own?.kind.positions[position] ?? position}`;
  }
}
