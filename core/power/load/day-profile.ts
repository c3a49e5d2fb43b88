import { consumers } from '../../wiring/layout/nets';
import type { Circuit, Design } from '../../job/model/design';
import { applianceOf } from '../../trade/standards/appliances';
import { besideVA } from './load';

export interface Hour {
  readonly hour: number;
  readonly existingVA: number;
  readonly addedVA: number;
}

/** Hours in which lights and what is not known by its draw commonly run. */
const EVENING = [17, 18, 19, 20, 21, 22];

/**
 * A day of a circuit, hour by hour, VA: loads by the hours of their appliance, all day where they run for
 * three hours or more and none is known, else in the evening. What is there already counts in the evening, and half of
 * it through the day. Typical, to see where loads meet; limits do not use it.
 */
export function dayProfile(job: Design, circuit: Circuit): Hour[] {
  const own = consumers(job).filter(({ want }) => want.circuit === circuit.id && (want.watts ?? 0) > 0);
  return Array.from({ length: 24 }, (_, hour) => {
    const evening = EVENING.includes(hour);
    const addedVA = own.reduce((sum, { want }) => {
      const watts = want.watts ?? 0;
      const hours = applianceOf(want.appliance)?.hours;
      const runs = hours ? hours.includes(hour) : want.continuous ? true : evening;
      return sum + (runs ? watts : 0);
    }, 0);
    return { hour, existingVA: besideVA(circuit) * (evening ? 1 : 0.5), addedVA };
  });
}
