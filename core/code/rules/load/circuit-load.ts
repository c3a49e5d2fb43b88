import type { LoadFinding } from '../../../power/load/load';
import { at, section, type Rule } from '../rule';
import { say } from '../../../base/words/rules';

/** Rules that the circuit's own arithmetic has judged already. */
const rows: readonly (Omit<Rule, 'check'> & { readonly id: LoadFinding['rule'] })[] = [
  {
    id: 'L01',
    title: say('circuitLoad.continuousLoad125OverBreaker'),
    section: section('210.20(A), 210.19(A)(1)'),
    severity: 'code',
    looksAt: say('circuitLoad.eachCircuit'),
  },
  {
    id: 'L02',
    title: say('circuitLoad.loadOverRatingCircuit'),
    section: section('220.18, 210.23'),
    severity: 'code',
    looksAt: say('circuitLoad.eachCircuit'),
  },
  {
    id: 'L03',
    title: say('circuitLoad.title'),
    section: section('210.23(A)(1)', '210.23(A)(1)', '210.23(B)(1)'),
    severity: 'code',
    looksAt: say('circuitLoad.eachPlug'),
  },
];

export const CIRCUIT_LOAD_RULES: readonly Rule[] = rows.map((rule) => ({
  ...rule,
  check: (site) =>
    site.job.circuits.flatMap((circuit) =>
      site
        .load(circuit)
        .findings.filter((finding) => finding.rule === rule.id)
        .map(({ device, message, says }) => ({
          at: device === null ? at('circuit', circuit.id) : at('device', device),
          message,
          says,
        })),
    ),
}));
