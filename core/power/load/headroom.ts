import type { Circuit, Device, Design } from '../../job/model/design';
import { CONTINUOUS_FACTOR, CORD_AND_PLUG_SHARE, maxPlugInA, NOMINAL_V } from '../../trade/standards/loads';
import { circuitLoad } from './load';
import { say } from '../../base/words/load';

export interface Headroom {
  /** The largest single thing that may still be plugged in, W. */
  readonly watts: number;
  /** The same, run for three hours or more, W. */
  readonly continuousWatts: number;
  /** What sets the limit. */
  readonly limitedBy: string;
}

/**
 * What could still be plugged into a receptacle: what the circuit has left, 80 % of it for one appliance, and the
 * receptacle's own limit (NEC 210.20(A), 210.23, Table 210.21(B)(2), from memory).
 */
export function headroom(job: Design, circuit: Circuit, device: Pick<Device, 'ratingA'>): Headroom {
  const { spareVA } = circuitLoad(job, circuit);
  const limits = [
    { watts: Math.max(spareVA, 0), by: say('headroom.whatCircuitLeft', { number: circuit.number }) },
    {
      watts: circuit.breakerA * CORD_AND_PLUG_SHARE * NOMINAL_V,
      by: say('headroom.n80CircuitOneAppliance'),
    },
    {
      watts: (maxPlugInA(circuit.breakerA, device.ratingA) ?? 0) * NOMINAL_V,
      by: say('headroom.receptacle', { ratingA: device.ratingA }),
    },
  ];
  const least = limits.reduce((low, one) => (one.watts < low.watts ? one : low));
  const continuous = Math.min(least.watts, Math.max(spareVA, 0) / CONTINUOUS_FACTOR);
  return { watts: Math.floor(least.watts), continuousWatts: Math.floor(continuous), limitedBy: least.by };
}
