import type { Tick } from '../../job/model/record';
import type { NamedStep, Step } from './step';

/** A step with its tick: done as it stands, done as it stood before the plan changed, or not done. */
export interface TickedStep {
  readonly step: NamedStep;
  readonly tick: Tick | null;
  readonly state: 'done' | 'stale' | 'open';
}

export interface TickedBox {
  readonly steps: readonly TickedStep[];
  /** Ticks of steps that are gone from the plan: what was done may have to be undone. */
  readonly orphans: readonly Tick[];
}

/** The step as it reads, to be shown where it is not in the plan any more. */
export const stepText = ({ title, detail }: Step): string =>
  [title, detail].filter(Boolean).join(' · ').slice(0, 500);

/** Steps of a box beside the ticks that were made on it. */
export function tickSteps(steps: readonly NamedStep[], ticks: readonly Tick[], box: string): TickedBox {
  const own = new Map(ticks.filter((tick) => tick.box === box).map((tick) => [tick.step, tick]));
  const ticked = steps.map((step): TickedStep => {
    const tick = own.get(step.id) ?? null;
    const state = tick === null ? 'open' : holds(tick, step) ? 'done' : 'stale';
    return { step, tick, state };
  });
  const known = new Set(steps.map(({ id }) => id));
  return { steps: ticked, orphans: [...own.values()].filter(({ step }) => !known.has(step)) };
}

/** By what was done; a tick of a file that knows only the words holds by those. */
const holds = ({ did, says }: Tick, step: NamedStep): boolean =>
  did === null ? says === stepText(step) : did === step.does;

/** A step ticked now. */
export const tickOf = (box: string, step: NamedStep, at: Date): Tick => ({
  box,
  step: step.id,
  did: step.does,
  says: stepText(step),
  at: at.toISOString(),
});
