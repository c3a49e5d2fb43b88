import { solve } from '../energize/solve';
import { REST } from '../energize/state';
import { consumers } from '../../wiring/layout/nets';
import type { Design } from '../../job/model/design';
import type { Wiring } from '../../job/model/wiring';
import { buildNetwork } from '../network/network';
import { partKey } from '../../job/model/wiring';
import { conductorOhms, type Gauge } from '../../trade/standards/conductors';
import { NOMINAL_V } from '../../trade/standards/loads';

/** The drop that is advised against on a branch circuit, as a share of 120 V (NEC 210.19 note, from memory). */
export const DROP_SHARE = 0.03;

export interface Drop {
  readonly device: string;
  readonly part: string;
  readonly dropV: number;
  readonly share: number;
}

/** What each outlet and light loses on the way with every entered load on and every switch on, from the network. */
export function voltageDrops(job: Design, wiring: Wiring): Drop[] {
  const network = buildNetwork(wiring, job.circuits);
  const loads = new Map(
    consumers(job).flatMap(({ device, part, want }) =>
      (want.watts ?? 0) > 0 ? [[partKey(device.id, part), want.watts ?? 0] as const] : [],
    ),
  );
  const positions = new Map(network.devices.map(({ wired }) => [wired.id, 1]));
  const point = solve(network, { ...REST, loads, positions });
  return network.parts.flatMap((part) => {
    const volts = Math.abs(point.volts(part.hot) - point.volts(part.neutral));
    if (!loads.has(part.key) || Number.isNaN(volts) || volts < NOMINAL_V / 2) return [];
    const dropV = NOMINAL_V - volts;
    return [{ device: part.device.id, part: part.key, dropV, share: dropV / NOMINAL_V }];
  });
}

/** Drop of a plain run, V: 2 × length × Ω per foot × amperes. */
export const formulaDropV = (gauge: Gauge, oneWayFt: number, amps: number): number =>
  2 * conductorOhms(gauge, oneWayFt) * amps;
