import type { LoadFinding } from '../../load/load';
import { at, section, type Rule } from '../rule';

/** Rules that the circuit's own arithmetic has judged already. */
const rows: readonly (Omit<Rule, 'check'> & { readonly id: LoadFinding['rule'] })[] = [
  {
    id: 'L01',
    title: 'Continuous load at 125 % over the breaker',
    section: section('210.20(A), 210.19(A)(1)'),
    severity: 'code',
    looksAt: 'each circuit',
  },
  {
    id: 'L02',
    title: 'Load over the rating of the circuit',
    section: section('220.18, 210.23'),
    severity: 'code',
    looksAt: 'each circuit',
  },
  {
    id: 'L03',
    title: 'One plug-in load too large for the circuit or its receptacle',
    section: section('210.23(A)(1)', '210.23(A)(1)', '210.23(B)(1)'),
    severity: 'code',
    looksAt: 'each plug',
  },
];

export const CIRCUIT_LOAD_RULES: readonly Rule[] = rows.map((rule) => ({
  ...rule,
  check: (site) =>
    site.job.circuits.flatMap((circuit) =>
      site
        .load(circuit)
        .findings.filter((finding) => finding.rule === rule.id)
        .map(({ device, message }) => ({
          at: device === null ? at('circuit', circuit.id) : at('device', device),
          message,
        })),
    ),
}));
