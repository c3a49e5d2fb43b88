import type { Tick } from '../model/job';
import type { Step } from './steps';

/** A step with its tick: done as it stands, done as it stood before the plan changed, or not done. */
export interface TickedStep {
  readonly step: Step;
  readonly tick: Tick | null;
  readonly state: 'done' | 'stale' | 'open';
}

export interface TickedBox {
  readonly steps: readonly TickedStep[];
  /** Ticks of steps that are gone from the plan: what was done may have to be undone. */
  readonly orphans: readonly Tick[];
}

/** What a tick stands for: the step as it reads. */
export const stepText = ({ title, detail }: Step): string =>
  [title, detail].filter(Boolean).join(' · ').slice(0, 500);

/** Steps of a box beside the ticks that were made on it. */
export function tickSteps(steps: readonly Step[], ticks: readonly Tick[], box: string): TickedBox {
  const own = new Map(ticks.filter((tick) => tick.box === box).map((tick) => [tick.step, tick]));
  const ticked = steps.map((step): TickedStep => {
    const tick = own.get(step.id) ?? null;
    const state = tick === null ? 'open' : tick.says === stepText(step) ? 'done' : 'stale';
    return { step, tick, state };
  });
  const known = new Set(steps.map(({ id }) => id));
  return { steps: ticked, orphans: [...own.values()].filter(({ step }) => !known.has(step)) };
}
