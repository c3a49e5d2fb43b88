import { deviceKind, wishKind } from '../../trade/devices';
import type { Design } from '../../job/model/design';
import type { PlanSymbol } from '../../job/model/record';
import type { ShownOutcome } from '../../wiring/plan';

/** The standard symbols of a box's devices from left to right. */
export function symbolsOf(job: Design, outcome: ShownOutcome, box: string): PlanSymbol[] {
  return job.devices
    .filter((device) => device.box === box && wishKind(device.kind).yoke)
    .sort((a, b) => a.gang - b.gang)
    .map((device): PlanSymbol => {
      const kind = wishKind(device.kind);
      if (!kind.receptacle) {
        const wired = outcome.ok ? outcome.plan.wiring.devices.find(({ id }) => id === device.id) : undefined;
        return (wired ? deviceKind(wired.kind).symbol : kind.symbol) ?? 'S';
      }
      if (!kind.halves) return 'receptacle';
      const controls = Object.values(device.wants).map((want) => want.does === 'power' && want.control);
      return new Set(controls).size > 1 ? 'half-switched' : 'duplex';
    });
}

export type MapSymbol = PlanSymbol | 'luminaire';

/** All that a box holds, as a map shows it: what has a gang of its own, then what hangs. */
export const mapSymbols = (job: Design, outcome: ShownOutcome, box: string): MapSymbol[] => [
  ...symbolsOf(job, outcome, box),
  ...job.devices
    .filter((device) => device.box === box && !wishKind(device.kind).yoke)
    .map(() => 'luminaire' as const),
];

const SUBSCRIPT: Partial<Record<PlanSymbol, string>> = { S3: 'S₃', S4: 'S₄' };
export const symbolText = (symbol: PlanSymbol): string => SUBSCRIPT[symbol] ?? symbol;
