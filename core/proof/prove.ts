import { energize } from '../energize/energize';
import { REST, type State } from '../energize/state';
import { UnionFind } from '../graph/union-find';
import { consumers, controlGroups } from '../layout/nets';
import type { Job, PowerWant } from '../model/job';
import { endId, panelHotId, type Wiring } from '../model/wiring';
import type { Disturbance } from '../network/disturbance';
import {
  buildNetwork,
  landings,
  partKey,
  separateParts,
  type Network,
  type NetworkPart,
} from '../network/network';
import type { OperatingPoint } from '../energize/solve';
import { switchStates } from './states';

/** What a proof can find wrong. */
export type FindingKind =
  | 'not as wished'
  | 'live with the breaker off'
  | 'polarity'
  | 'no ground'
  | 'ground carries current'
  | 'cable does not cancel'
  | 'loop'
  | 'breaker trips'
  | 'protection trips'
  | 'not protected';

export interface Finding {
  readonly kind: FindingKind;
  readonly message: string;
  /** Part key, cable id or conductor id that it is about. */
  readonly at: string;
}

/** One row of the truth table: handle positions, and for each part what it does against the wish. */
export interface ProofRow {
  readonly positions: ReadonlyMap<string, number>;
  readonly cells: readonly ProofCell[];
}

export interface ProofCell {
  readonly part: string;
  readonly volts: number;
  readonly live: boolean;
  readonly wished: boolean;
}

/** The proof of the boxes that are joined to each other by cable. */
export interface PartProof {
  readonly boxes: readonly string[];
  readonly switches: readonly string[];
  readonly parts: readonly string[];
  readonly rows: readonly ProofRow[];
  readonly exhaustive: boolean;
}

export interface Proof {
  readonly parts: readonly PartProof[];
  /** What dies when each test button is pressed: part keys by device. */
  readonly coverage: ReadonlyMap<string, readonly string[]>;
  readonly findings: readonly Finding[];
  readonly statesTried: number;
}

/** A part counts as live from this voltage and as dead up to the other, V. */
const LIVE_V = 100;
const DEAD_V = 5;
/** Currents under this are rounding, A. */
const NO_CURRENT_A = 1e-6;

/**
 * Energizes the wiring in every switch state and compares each outlet half and light with its wish; also polarity,
 * the ground path, ground current, cancelling currents per cable and circuit with loads one at a time and all
 * different, conductors that form a loop, and that everything is dead with its breaker off.
 */
export function prove(job: Job, wiring: Wiring, disturbances: readonly Disturbance[] = []): Proof {
  const findings = new Map<string, Finding>();
  const find: Report = (kind, at, message) => {
    const key = `${kind} ${at}`;
    if (!findings.has(key)) findings.set(key, { kind, at, message });
  };
  const wants = new Map(consumers(job).map(({ device, part, want }) => [partKey(device.id, part), want]));
  const places = new Map(
    controlGroups(job).map(({ group, places: own }) => [group.id, own.map(({ id }) => id)]),
  );
  let statesTried = 0;
  const coverage = new Map<string, readonly string[]>();
  const parts = separateParts(wiring).map((own): PartProof => {
    const fed = new Set(own.terminations.map(({ terminal }) => terminal));
    const network = buildNetwork(
      own,
      job.circuits.filter(({ id }) => fed.has(panelHotId(id)) || disturbances.length > 0),
      disturbances.filter((one) => touches(own, one)),
    );
    const bench = new Bench(job, own, network, wants, places, find);
    const proof = bench.run();
    statesTried += bench.statesTried;
    for (const [device, dead] of bench.coverage) coverage.set(device, dead);
    return proof;
  });
  loops(wiring, find);
  return { parts, coverage, findings: [...findings.values()], statesTried };
}

type Report = (kind: FindingKind, at: string, message: string) => void;

function touches(wiring: Wiring, disturbance: Disturbance): boolean {
  const ids = disturbance.kind === 'contact' ? [disturbance.end] : [disturbance.a, disturbance.b];
  const boxes = [...wiring.devices.flatMap(({ id, box }) => [id, box]), ...wiring.cables.map(({ id }) => id)];
  return ids.some((id) => boxes.some((own) => id === own || id.startsWith(`${own}:`)));
}

/** One part of the house on the bench. */
class Bench {
  statesTried = 0;
  readonly coverage = new Map<string, readonly string[]>();

  constructor(
    private readonly job: Job,
    private readonly wiring: Wiring,
    private readonly network: Network,
    private readonly wants: ReadonlyMap<string, PowerWant>,
    private readonly places: ReadonlyMap<string, readonly string[]>,
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
    const atRest = new Map<string, boolean>();
    const rows = states.map((positions): ProofRow => {
      const point = this.solve({ ...REST, positions, loads: all });
      const cells = parts.map((part) => this.cell(part, point, positions, atRest));
      this.currents(point, 'with every load on');
      return { positions, cells };
    });
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

  private cell(
    part: NetworkPart,
    point: OperatingPoint,
    positions: ReadonlyMap<string, number>,
    atRest: Map<string, boolean>,
  ): ProofCell {
    const [hot, neutral] = [point.volts(part.hot), point.volts(part.neutral)];
    const volts = this.across(part, point);
    const live = volts >= LIVE_V;
    const wished = this.wished(part, positions, live, atRest);
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
    if (toGround(neutral) > LIVE_V || (!wished && toGround(hot) > LIVE_V)) {
      this.find(
        'polarity',
        part.key,
        `${this.partName(part)}: the silver side is hot, or the switch opens the neutral.`,
      );
    }
    return { part: part.key, volts, live, wished };
  }

  /** Live if its own control says so, and whatever protecting device feeds it is live too. */
  private wished(
    part: NetworkPart,
    positions: ReadonlyMap<string, number>,
    live: boolean,
    atRest: Map<string, boolean>,
  ): boolean {
    const want = this.wants.get(part.key);
    return want === undefined || this.isOn(want, positions, live, atRest, 0);
  }

  private isOn(
    want: PowerWant,
    positions: ReadonlyMap<string, number>,
    live: boolean,
    atRest: Map<string, boolean>,
    depth: number,
  ): boolean {
    const source = want.via === null ? undefined : this.wants.get(partKey(want.via, 'outlet'));
    // Protection in a circle is refused long before; the depth only keeps bad wiring from recursing.
    const fed = source === undefined || depth > 20 || this.isOn(source, positions, live, atRest, depth + 1);
    return fed && (want.control === null || this.isThrown(want.control, positions, live, atRest));
  }

  /** A group with several switch places must change with every handle; which way up is on is free. */
  private isThrown(
    control: string,
    positions: ReadonlyMap<string, number>,
    live: boolean,
    atRest: Map<string, boolean>,
  ): boolean {
    const own = this.places.get(control) ?? [];
    const thrown = own.filter((device) => positions.get(device) === 1).length;
    if (own.length <= 1) return thrown === 1;
    const base = atRest.get(control) ?? live;
    atRest.set(control, base);
    return (thrown % 2 === 1) !== base;
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
        const protectedByIt = this.isBehind(part.key, device);
        if (protectedByIt === dead.includes(part)) continue;
        this.find(
          'not protected',
          part.key,
          `${this.partName(part)} ${protectedByIt ? 'stays live' : 'goes dead'} when the test button of ${device} is pressed.`,
        );
      }
    }
  }

  private isBehind(key: string, device: string): boolean {
    if (key === partKey(device, 'outlet')) return true;
    for (let via = this.wants.get(key)?.via ?? null, depth = 0; via !== null && depth < 20; depth++) {
      if (via === device) return true;
      via = this.wants.get(partKey(via, 'outlet'))?.via ?? null;
    }
    return false;
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

/**
 * Hot and neutral conductors that form a loop: two paths in parallel, found as a cycle, since their currents may
 * still cancel (310.10(H), from 2020 310.10(G)). Grounds of circuits that share a box do so by right (250.148).
 */
function loops(wiring: Wiring, find: Report) {
  const landing = landings(wiring);
  const numbers = new Map<string, number>();
  const number = (id: string) => {
    const known = numbers.get(id) ?? numbers.size;
    numbers.set(id, known);
    return known;
  };
  const conductors = wiring.cables.flatMap((cable) =>
    cable.conductors
      .filter(({ insulation }) => insulation !== 'bare' && insulation !== 'green')
      .map(({ id, insulation }) => {
        const ends = [endId(id, cable.from), endId(id, cable.to)].map((end) => landing.get(end) ?? end);
        return { id, insulation, cable, a: number(ends[0] ?? ''), b: number(ends[1] ?? '') };
      }),
  );
  const joined = new UnionFind(numbers.size);
  for (const { id, cable, insulation, a, b } of conductors) {
    if (!joined.join(a, b)) {
      find(
        'loop',
        id,
        `The ${insulation} of ${cable.type} ${cable.id} closes a loop: its net has two paths.`,
      );
    }
  }
}
