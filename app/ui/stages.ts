import { owedFound } from '@core/site/survey/owed-found';
import type { Derived } from '~/derived';
import { say } from '~/words/ui';

export const STAGES = [
  { path: 'brief', name: say('stages.brief') },
  { path: 'find', name: say('stages.find') },
  { path: 'lay-out', name: say('stages.layOut') },
  { path: 'options', name: say('stages.options') },
  { path: 'check', name: say('stages.check') },
  { path: 'make-up', name: say('stages.makeUp') },
  { path: 'energize', name: say('stages.energize') },
  { path: 'test', name: say('stages.test') },
  { path: 'day', name: say('stages.day') },
  { path: 'record', name: say('stages.record') },
] as const;
/** What stands beside a stage under its name. */
const BESIDE: Readonly<Partial<Record<string, (typeof STAGES)[number]['path']>>> = {
  'take-off': 'day',
  plan: 'brief',
};
export type StagePath = (typeof STAGES)[number]['path'];

/** The stage that an address below a job is of; a job may itself be called as a stage is. */
export const stageAt = (pathname: string): (typeof STAGES)[number] | undefined => {
  const [, of, , own] = pathname.split('/');
  return of === 'job' ? STAGES.find(({ path }) => path === (BESIDE[own ?? ''] ?? own)) : undefined;
};

/** Settled once something was read, and nothing that Find left open is still to be read. */
function tested({ tests, surveys }: Derived['record']): 'open' | 'settled' | 'conflict' {
  const owed = surveys.flatMap(owedFound);
  if (owed.some(({ found }) => found === 'there')) return 'conflict';
  return tests.length === 0 || owed.some(({ found }) => found === 'open') ? 'open' : 'settled';
}

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
  const record = derived.record.log.length === 0 ? 'open' : 'settled';
  if (!outcome.ok)
    return {
      brief,
      find,
      'lay-out': 'conflict',
      options: 'open',
      check: 'open',
      'make-up': 'open',
      energize: 'open',
      test: 'open',
      day: 'open',
      record,
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
    check: against === undefined ? 'open' : against ? 'conflict' : 'settled',
    'make-up': fits ? 'settled' : 'conflict',
    energize: !judged?.proof ? 'open' : judged.proof.findings.length === 0 ? 'settled' : 'conflict',
    // What the readings say is worked out in its own stage.
    test: tested(derived.record),
    // What is bought is the shop's own, and the order is always worked out.
    day: 'settled',
    record,
  };
}
