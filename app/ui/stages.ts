import type { Derived } from '~/derived';

export const STAGES = [
  { path: 'brief', name: 'Brief' },
  { path: 'find', name: 'Find' },
  { path: 'lay-out', name: 'Lay out' },
  { path: 'options', name: 'Options' },
  { path: 'load', name: 'Load' },
  { path: 'make-up', name: 'Make up' },
  { path: 'energize', name: 'Energize' },
] as const;
export type StagePath = (typeof STAGES)[number]['path'];

/** Whether a stage is open, settled or in conflict, from what is computed. */
export function stageStates(derived: Derived): Record<StagePath, 'open' | 'settled' | 'conflict'> {
  const { judged } = derived;
  const { outcome, fills, loads } = derived.plan;
  const lines = judged?.lines ?? [];
  const brief = lines.some(({ state }) => state === 'not met')
    ? 'conflict'
    : judged === null || lines.some(({ state }) => state === 'open')
      ? 'open'
      : 'settled';
  // What was found is studied in its own stage; the tab only says whether anything is being looked for.
  const find = derived.record.surveys.length === 0 ? 'settled' : 'open';
  if (!outcome.ok)
    return {
      brief,
      find,
      'lay-out': 'conflict',
      options: 'open',
      load: 'open',
      'make-up': 'open',
      energize: 'open',
    };
  const fits = outcome.plan.job.boxes.every(({ id }) => fills.get(id)?.fits ?? true);
  const against = judged?.rules.some(({ severity }) => severity === 'stop' || severity === 'code');
  const loaded = loads.every(({ findings }) => findings.length === 0);
  return {
    brief,
    find,
    'lay-out': loaded ? 'settled' : 'conflict',
    options: 'settled',
    // What is not judged yet is neither right nor wrong.
    load: against === undefined ? 'open' : against ? 'conflict' : 'settled',
    'make-up': fits ? 'settled' : 'conflict',
    energize: !judged?.proof ? 'open' : judged.proof.findings.length === 0 ? 'settled' : 'conflict',
  };
}
