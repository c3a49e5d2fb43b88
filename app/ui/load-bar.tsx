import type { CircuitLoad } from '@core/load/load';
import { Bar } from './fill-bar';

/** What a circuit carries against what it may, and what is left. */
export function LoadBar({ load }: { load: CircuitLoad }) {
  const { circuit } = load;
  const over = load.countedVA > load.capacityVA;
  return (
    <div data-load={circuit.id}>
      <p className="flex items-baseline justify-between gap-2">
        <span className="font-semibold">
          {load.findings.length > 0 ? '▲ ' : ''}Circuit {circuit.number}, {circuit.breakerA} A
        </span>
        <span className="num">
          {load.countedVA} of {load.capacityVA} VA
        </span>
      </p>
      <Bar share={Math.min(load.countedVA / load.capacityVA, 1)} over={over} />
      <p className="mt-1 text-sm text-ink-soft">
        {load.existingVA} VA existing + {load.addedVA} VA added, long-running load at 125&nbsp;%. Left:{' '}
        <span className="num text-ink">{Math.max(load.spareVA, 0)} VA</span>
      </p>
      {load.findings.map((finding) => (
        <p key={finding.message} className="mt-1 text-sm">
          ▲ {finding.message} <span className="text-ink-soft">{finding.section}</span>
        </p>
      ))}
    </div>
  );
}
