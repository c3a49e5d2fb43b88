import type { LoadFinding } from '../../load/load';
import { at, type Rule } from '../rule';

/** A rule that the circuit's own arithmetic has found already. */
export const fromLoad =
  (id: LoadFinding['rule']): Rule['check'] =>
  (site) =>
    site.job.circuits.flatMap((circuit) =>
      site
        .load(circuit)
        .findings.filter(({ rule }) => rule === id)
        .map(({ device, message }) => ({
          at: device === null ? at('circuit', circuit.id) : at('device', device),
          message,
        })),
    );
