import type { Derived } from '~/derived';

export const STAGES = [
  { path: 'brief', name: 'Brief' },
  { path: 'lay-out', name: 'Lay out' },
  { path: 'make-up', name: 'Make up' },
  { path: 'energize', name: 'Energize' },
] as const;
export type StagePath = (typeof STAGES)[number]['path'];

/** Whether a stage is open, settled or in conflict, from what is computed. */
export function stageStates(derived: Derived): Record<StagePath, 'open' | 'settled' | 'conflict'> {
  const { outcome } = derived;
  const brief = derived.lines.some(({ state }) => state === 'not met')
    ? 'conflict'
    : derived.lines.some(({ state }) => state === 'open')
      ? 'open'
      : 'settled';
  if (!outcome.ok) return { brief, 'lay-out': 'conflict', 'make-up': 'open', energize: 'open' };
  const fits = outcome.plan.job.boxes.every(({ id }) => derived.fill(id)?.fits ?? true);
  const loaded = derived.loads.every(({ findings }) => findings.length === 0);
  return {
    brief,
    'lay-out': loaded ? 'settled' : 'conflict',
    'make-up': fits ? 'settled' : 'conflict',
    energize: (derived.proof()?.findings.length ?? 0) === 0 ? 'settled' : 'conflict',
  };
}
