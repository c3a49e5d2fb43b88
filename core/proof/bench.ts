import { energize } from '../energize/energize';
import type { OperatingPoint } from '../energize/solve';
import { REST, type State } from '../energize/state';
import type { Job, PowerWant } from '../model/job';
import type { Wiring } from '../model/wiring';
import type { Network, NetworkPart } from '../network/network';
import type { PartProof, ProofCell, ProofRow, Report } from './proof';
import { switchStates } from './states';
import type { Wishes } from './wishes';

/** A part counts as live from this voltage and as dead up to the other, V. */
const LIVE_V = 100;
const DEAD_V = 5;
/** Currents under this are rounding, A. */
const NO_CURRENT_A = 1e-6;

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
  readonly coverage = new Map<string, readonly string[]>();

  constructor(
    private readonly job: Job,
    private readonly wiring: Wiring,
    private readonly network: Network,
    private readonly wants: ReadonlyMap<string, PowerWant>,
    private readonly wishes: Wishes,
    private readonly find: Report,
  ) {}

  run(): PartProof {
    const { network } = this;
    const switches = network.devices
      .filter(({ kind }) => kind.positions.length > 0)
      .map(({ wired }) => wired.id);
    const { states, exhaustive } = switchStates(switches);
    const parts = network.parts.filter(({ key }) => this.wants.has(key));
    // Loads all different, so that two that share a conductor by mistake cannot cancel.
    const all = new Map(parts.map((part, index) => [part.key, 60 + 7 * index]));
    const measured = states.map((positions) => {
      const point = this.solve({ ...REST, positions, loads: all });
      this.currents(point, 'with every load on');
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
    this.testButtons(rows, parts, all);
    for (const row of rows) this.oneAtATime(row, all);
    this.breakersOff(parts, states.at(-1) ?? new Map(), all);
    for (const part of parts) this.groundPath(part);
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
    for (const { at, reason, amps } of groundFaults) {
      const why =
        reason === 'imbalance' ? `${(amps * 1000).toFixed(0)} mA go astray` : 'its LOAD neutral finds ground';
      this.find('protection trips', at, `The protection at ${at} trips: ${why}.`);
    }
    for (const { circuit, amps } of trips) {
      this.find('breaker trips', circuit, `Breaker ${this.number(circuit)} trips: ${amps.toFixed(0)} A.`);
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
        part.key,
        `${this.partName(part)} is ${live ? 'live' : volts <= DEAD_V ? 'dead' : `at ${volts.toFixed(0)} V`} but should be ${wished ? 'live' : 'dead'}${state && ` with ${state}`}.`,
      );
    }
    const toGround = (volts: number) => (Number.isNaN(volts) ? 0 : Math.abs(volts));
    if (toGround(neutralV) > LIVE_V || (!wished && !live && toGround(hotV) > LIVE_V)) {
      this.find(
        'polarity',
        part.key,
        `${this.partName(part)}: the silver side is hot, or the switch opens the neutral.`,
      );
    }
    return { part: part.key, volts, live, wished };
  }

  /** Presses each test button in a state that lights as much as any: what it protects dies, the rest stays. */
  private testButtons(
    rows: readonly ProofRow[],
    parts: readonly NetworkPart[],
    loads: ReadonlyMap<string, number>,
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
          part.key,
          `${this.partName(part)} ${protectedByIt ? 'stays live' : 'goes dead'} when the test button of ${device} is pressed.`,
        );
      }
    }
  }

  private across(part: NetworkPart, point: OperatingPoint): number {
    const volts = Math.abs(point.volts(part.hot) - point.volts(part.neutral));
    return Number.isNaN(volts) ? 0 : volts;
  }

  private oneAtATime(row: ProofRow, all: ReadonlyMap<string, number>) {
    const live = row.cells.filter((cell) => cell.live);
    if (live.length < 2) return;
    for (const { part } of live) {
      const point = this.solve({
        ...REST,
        positions: row.positions,
        loads: new Map([[part, all.get(part) ?? 60]]),
      });
      this.currents(point, `with only ${part} on`);
    }
  }

  private currents(point: OperatingPoint, when: string) {
    for (const cable of this.wiring.cables) {
      const sums = new Map<string, number>();
      for (const conductor of cable.conductors) {
        const amps = point.wireCurrent(conductor.id);
        if (conductor.role === 'ground' || conductor.insulation === 'bare') {
          if (Math.abs(amps) > NO_CURRENT_A) {
            this.find(
              'ground carries current',
              cable.id,
              `The ground of ${cable.type} ${cable.id} carries ${amps.toFixed(3)} A ${when}.`,
            );
          }
          continue;
        }
        const domain = conductor.domain ?? '';
        sums.set(domain, (sums.get(domain) ?? 0) + amps);
      }
      for (const [domain, amps] of sums) {
        if (Math.abs(amps) > NO_CURRENT_A) {
          this.find(
            'cable does not cancel',
            cable.id,
            `Hots and neutral of ${domain} in ${cable.type} ${cable.id} leave ${Math.abs(amps).toFixed(3)} A over ${when}.`,
          );
        }
      }
    }
  }

  private breakersOff(
    parts: readonly NetworkPart[],
    positions: ReadonlyMap<string, number>,
    loads: ReadonlyMap<string, number>,
  ) {
    const circuits = [...new Set(parts.map(({ key }) => this.wants.get(key)?.circuit ?? ''))];
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
            part.key,
            `${this.partName(part)} is live with breaker ${this.number(circuit)} off.`,
          );
        }
      }
    }
  }

  /** A sound ground leads to the panel: its pin does not float with everything off. */
  private groundPath(part: NetworkPart) {
    if (Number.isNaN(this.quiet.volts(part.ground))) {
      this.find('no ground', part.key, `${this.partName(part)} has no equipment ground.`);
    }
  }

  private rested: OperatingPoint | null = null;

  private get quiet(): OperatingPoint {
    this.rested ??= this.solve(REST);
    return this.rested;
  }

  private number(circuit: string): string {
    return this.job.circuits.find(({ id }) => id === circuit)?.number ?? circuit;
  }

  private partName(part: NetworkPart): string {
    const box = this.job.boxes.find(({ id }) => id === part.device.box)?.name ?? part.device.box;
    return `${box}, ${part.part.name}`;
  }

  private positionText(device: string, position: number): string {
    const own = this.network.devices.find(({ wired }) => wired.id === device);
    const box = this.job.boxes.find(({ id }) => id === own?.wired.box)?.name ?? device;
    return `${box} ${own?.kind.positions[position] ?? position}`;
  }
}
