import type { OperatingPoint } from '../energize/solve';
import { breakerImbalance } from '../energize/ground-fault';
import { contactWire, endId, type WiredCable, type WiredConductor } from '../../job/model/wiring';
import { isGround, isWhite } from '../../trade/standards/cables';
import type { OnBench, PointOfEnd } from './metal';
import type { Names } from './names';
import type { FindingAt } from './proof';
import { say, tell } from '../../base/words/proof';

/**
 * A part counts as live from this voltage and as dead up to the other, V. Between the two lies nothing that sound
 * wiring can show: the test loads draw 0.2 A together, which loses 12 V over 10,000 ft of 14 AWG copper, longer
 * than any branch circuit; a part behind two others in series shows 60 V or less.
 */
export const LIVE_V = 100;
export const DEAD_V = 5;
/** Currents under this are rounding, A: a thousandth of the least that one of 400 loads draws. */
const NO_CURRENT_A = 2e-7;

/** What protects, as a place and in words. */
export const protectionAt = (names: Names, by: 'device' | 'breaker', id: string): [FindingAt, string] =>
  by === 'device'
    ? [{ kind: 'device', device: id }, say('bench.the', { device: names.device(id) })]
    : [{ kind: 'circuit', circuit: id }, say('bench.breaker', { circuit: names.circuit(id) })];

/** Watches where current runs, state by state. */
export class Currents {
  private readonly bareWhites: readonly { at: number; conductor: WiredConductor; cable: WiredCable }[];

  constructor(
    private readonly on: OnBench,
    pointOfEnd: PointOfEnd,
  ) {
    this.bareWhites = on.wiring.cables.flatMap((cable) =>
      cable.conductors.flatMap((conductor) => {
        if (!isWhite(conductor.insulation) || conductor.reidentified) return [];
        const at = pointOfEnd(endId(conductor.id, cable.from));
        return at === undefined ? [] : [{ at, conductor, cable }];
      }),
    );
  }

  /** Grounds carry nothing, what runs out in a cable comes back in it, and what protects sees as much go as come. */
  look(point: OperatingPoint, when: string) {
    for (const cable of this.on.wiring.cables) {
      const at = { kind: 'cable', cable: cable.id, run: cable.run } as const;
      const sums: [domain: string, amps: number][] = [];
      for (const conductor of cable.conductors) {
        const amps = point.wireCurrent(conductor.id);
        if (conductor.role === 'ground' || isGround(conductor.insulation)) {
          if (Math.abs(amps) > NO_CURRENT_A) {
            this.on.find(
              'ground carries current',
              at,
              tell('bench.groundCarries', {
                cable: this.on.names.cable(cable),
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
          this.on.find(
            'cable does not cancel',
            at,
            tell('bench.notBalanced', {
              cable: this.on.names.cable(cable),
              milliamps: milliamps(amps),
              when,
            }),
          );
        }
      }
    }
    for (const { device } of this.on.network.protecting) {
      const amps =
        point.wireCurrent(contactWire(device, 'hot')) + point.wireCurrent(contactWire(device, 'neutral'));
      this.imbalance('device', device, amps, when);
    }
    for (const circuit of this.on.network.circuits) {
      if (circuit.protection === 'none') continue;
      this.imbalance('breaker', circuit.id, breakerImbalance(this.on.network, point, circuit), when);
    }
  }

  /** A white that is hot wears tape wherever it shows (200.7(C)(1)). */
  whites(point: OperatingPoint) {
    for (const { at, conductor, cable } of this.bareWhites) {
      if (!(Math.abs(point.volts(at)) > LIVE_V)) continue;
      this.on.find(
        'white is hot',
        { kind: 'conductor', conductor: conductor.id, run: cable.run },
        tell('bench.hotWithoutTape', {
          insulation: conductor.insulation,
          cable: this.on.names.cable(cable),
        }),
      );
    }
  }

  /** The test loads are small: what leaks of them is a fault, though it may not trip yet. */
  private imbalance(by: 'device' | 'breaker', id: string, amps: number, when: string) {
    if (Math.abs(amps) <= NO_CURRENT_A) return;
    const [at, what] = protectionAt(this.on.names, by, id);
    this.on.find(
      'protection trips',
      at,
      tell('bench.returnsElsewhere', { what, milliamps: milliamps(amps), when }),
    );
  }
}

const milliamps = (amps: number): string => say('bench.ma', { abs: (Math.abs(amps) * 1000).toFixed(1) });
