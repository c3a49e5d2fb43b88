import { NOMINAL_V, CONTINUOUS_FACTOR } from '../../trade/standards/loads';
import type { Design } from '../../job/model/design';
import type { House, PanelCircuit } from '../../job/model/house';
import { say } from '../../base/words/house';
import { addedBy, addsOf, type Adds } from './panel';

/** What a job of the house adds to one of its circuits. */
export interface Share {
  readonly job: string;
  readonly name: string;
  readonly VA: number;
}

/** A circuit of the panel with all that the house has on it. */
export interface HouseCircuit {
  readonly circuit: PanelCircuit;
  readonly capacityVA: number;
  /** Existing and added, continuous parts at 125 %, VA. */
  readonly countedVA: number;
  readonly shares: readonly Share[];
  /** What is against it, in words. */
  readonly findings: readonly string[];
}

/** A job of a house, as far as its circuits are concerned. */
export interface HouseJob {
  readonly id: string;
  readonly name: string;
  /** Numbers of the circuits it uses. */
  readonly circuits: readonly string[];
  readonly adds: Adds;
}

export const houseJob = (design: Design): HouseJob => ({
  id: design.id,
  name: design.name,
  circuits: design.circuits.map(({ number }) => number),
  adds: addsOf(design),
});

/** Circuit numbers as a panel is read: 2 before 10. */
export const byNumber = (a: string, b: string): number => a.localeCompare(b, 'en', { numeric: true });

/**
 * The panel, circuit by circuit: what each job adds, what is over (NEC 210.20(A) and 220.18, from memory), and jobs that
 * have only one of two circuits on a shared neutral.
 */
export function houseCircuits(house: House, jobs: readonly HouseJob[]): HouseCircuit[] {
  return [...house.panel]
    .sort((a, b) => byNumber(a.number, b.number))
    .map((circuit) => {
      const { number, breakerA } = circuit;
      const using = jobs.filter(({ circuits }) => circuits.includes(number));
      const shares = using.map(({ id, name, adds }) => ({
        job: id,
        name,
        ...addedBy([adds], number),
      }));
      const plainVA = circuit.existingLoadVA + shares.reduce((sum, { VA }) => sum + VA, 0);
      const continuousVA = shares.reduce((sum, share) => sum + share.continuousVA, 0);
      const countedVA = plainVA + continuousVA * (CONTINUOUS_FACTOR - 1);
      const capacityVA = breakerA * NOMINAL_V;
      const partner = circuit.neutralWith;
      const findings = [
        ...(plainVA > capacityVA
          ? [say('circuits.over', { number, plainVA: Math.round(plainVA), breakerA, capacityVA })]
          : countedVA > capacityVA
            ? [say('circuits.overContinuous', { number, countedVA: Math.round(countedVA), capacityVA })]
            : []),
        ...using.flatMap(({ name, circuits }) =>
          partner !== null && !circuits.includes(partner)
            ? [say('circuits.partnerMissing', { job: name, number, partner })]
            : [],
        ),
      ];
      return {
        circuit,
        capacityVA,
        countedVA,
        shares: shares.map(({ job, name, VA }) => ({ job, name, VA })),
        findings,
      };
    });
}
