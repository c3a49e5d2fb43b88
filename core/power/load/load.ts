import type { Told } from '../../base/words/speak';
import { wishKind } from '../../trade/devices';
import { consumers } from '../../wiring/layout/nets';
import type { Circuit, Device, Design, PowerWant } from '../../job/model/design';
import { CONTINUOUS_FACTOR, CORD_AND_PLUG_SHARE, maxPlugInA, NOMINAL_V } from '../../trade/standards/loads';
import { say, tell } from '../../base/words/load';

export interface CircuitLoad {
  readonly circuit: Circuit;
  /** All the breaker's rating carries, VA. */
  readonly capacityVA: number;
  /** The most that may run for three hours or more, VA. */
  readonly continuousCapacityVA: number;
  readonly existingVA: number;
  /** What other jobs of the house add, VA. */
  readonly othersVA: number;
  readonly addedVA: number;
  /** Existing, others' and added, continuous parts counted at 125 %, VA. */
  readonly countedVA: number;
  /** What is left for a load that is not continuous, VA; negative when overloaded. */
  readonly spareVA: number;
  readonly findings: readonly LoadFinding[];
}

export interface LoadFinding extends Told {
  readonly rule: 'L01' | 'L02' | 'L03' | 'S03';
  readonly section: string;
  readonly device: string | null;
}

/** What a circuit carries beside this job, VA: what was there, and what other jobs of the house add. */
export const besideVA = ({ existingLoadVA, others }: Circuit): number => existingLoadVA + others.VA;

/**
 * What a circuit carries against its limits: NEC 210.20(A), 220.18, 210.23, Tables 210.21(B)(2) and (3)
 * (from memory).
 */
export function circuitLoad(job: Design, circuit: Circuit): CircuitLoad {
  const own = consumers(job).filter(({ want }) => want.circuit === circuit.id);
  const capacityVA = circuit.breakerA * NOMINAL_V;
  const addedVA = own.reduce((sum, { want }) => sum + (want.watts ?? 0), 0);
  const continuousVA = own.reduce((sum, { want }) => sum + (want.continuous ? (want.watts ?? 0) : 0), 0);
  const { others } = circuit;
  const plainVA = besideVA(circuit) + addedVA;
  const countedVA = plainVA + (continuousVA + others.continuousVA) * (CONTINUOUS_FACTOR - 1);
  const findings: LoadFinding[] = [];
  if (plainVA > capacityVA) {
    findings.push({
      rule: 'L02',
      section: '220.18',
      device: null,
      ...tell('load.overBreaker', {
        number: circuit.number,
        plainVA,
        breakerA: circuit.breakerA,
        capacityVA,
      }),
    });
  } else if (countedVA > capacityVA) {
    findings.push({
      rule: 'L01',
      section: '210.20(A)',
      device: null,
      ...tell('load.continuousLoad125CircuitCounts', { number: circuit.number, countedVA, capacityVA }),
    });
  }
  for (const device of new Set(own.map((one) => one.device)))
    findings.push(...ratingFindings(circuit, device));
  for (const { device, want } of own) findings.push(...plugInFindings(circuit, device, want));
  return {
    circuit,
    capacityVA,
    continuousCapacityVA: capacityVA / CONTINUOUS_FACTOR,
    existingVA: circuit.existingLoadVA,
    othersVA: others.VA,
    addedVA,
    countedVA,
    spareVA: capacityVA - countedVA,
    findings,
  };
}

const isReceptacle = ({ kind }: Device): boolean => wishKind(kind).receptacle;

function ratingFindings(circuit: Circuit, device: Device): LoadFinding[] {
  if (!isReceptacle(device) || maxPlugInA(circuit.breakerA, device.ratingA) !== undefined) return [];
  return [
    {
      rule: 'S03',
      section: say('load.source.receptacleRating'),
      device: device.id,
      ...tell('load.receptacleMayNotCircuit', { ratingA: device.ratingA, breakerA: circuit.breakerA }),
    },
  ];
}

function plugInFindings(circuit: Circuit, device: Device, want: PowerWant): LoadFinding[] {
  const allowedA = maxPlugInA(circuit.breakerA, device.ratingA);
  if (!isReceptacle(device) || allowedA === undefined) return [];
  const amps = (want.watts ?? 0) / NOMINAL_V;
  // Both limits are of circuits with two or more outlets: one appliance alone may take the whole rating.
  if (circuit.serves === 'individual') return [];
  const shareA = circuit.breakerA * CORD_AND_PLUG_SHARE;
  const limitA = Math.min(allowedA, shareA);
  if (amps <= limitA) return [];
  return [
    {
      rule: 'L03',
      section: amps > shareA ? '210.23' : say('load.source.cordLoad'),
      device: device.id,
      ...(amps > shareA
        ? tell('load.pluggedOver80Circuit', { amps: amps.toFixed(1), number: circuit.number, shareA })
        : tell('load.pluggedOverReceptacle20Receptacle', {
            amps: amps.toFixed(1),
            allowedA,
            ratingA: device.ratingA,
          })),
    },
  ];
}
