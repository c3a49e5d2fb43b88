import type { CircuitLoad } from '@core/power/load/load';
import { Bar } from './fill-bar';
import { say } from '~/words/ui';

/** What a circuit carries against what it may, and what is left. */
export function LoadBar({ load }: { load: CircuitLoad }) {
  const { circuit } = load;
  const over = load.countedVA > load.capacityVA;
  return (
    <div data-load={circuit.id}>
      <p className="flex items-baseline justify-between gap-2">
        <span className="font-semibold">
          {say('loadBar.trueOtherCircuit', {
            findingsCount: load.findings.length > 0,
            number: circuit.number,
            breakerA: circuit.breakerA,
          })}
        </span>
        <span className="num">
          {say('loadBar.va', { countedVA: load.countedVA, capacityVA: load.capacityVA })}
        </span>
      </p>
      <Bar share={Math.min(load.countedVA / load.capacityVA, 1)} over={over} />
      <p className="mt-1 text-sm text-ink-soft">
        {say('loadBar.sum', {
          existingVA: load.existingVA,
          others: load.othersVA > 0,
          othersVA: load.othersVA,
          addedVA: load.addedVA,
        })}
        <span className="num text-ink">{say('loadBar.most', { max: Math.max(load.spareVA, 0) })}</span>
      </p>
      {load.findings.map((finding) => (
        <p key={finding.message} className="mt-1 text-sm">
          ▲ {finding.message} <span className="text-ink-soft">{finding.section}</span>
        </p>
      ))}
    </div>
  );
}
