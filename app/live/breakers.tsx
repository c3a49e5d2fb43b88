import type { Design } from '@core/job/model/design';
import type { LiveView } from '~/drawing/live';
import { say } from '~/words/energize';

/** The breakers as switches, with TEST where the breaker protects. */
export function Breakers({
  job,
  live,
  onBreaker,
  onTest,
}: {
  job: Design;
  live: LiveView;
  onBreaker: (circuit: string) => void;
  onTest: (circuit: string) => void;
}) {
  return (
    <div className="mt-1 grid gap-1">
      {job.circuits.map(({ id, number, breakerA, protection }) => {
        const state = live.breaker(id);
        const on = state === 'on';
        return (
          <div key={id} className="flex gap-1">
            <button
              type="button"
              role="switch"
              aria-checked={on}
              aria-label={say('breakers.breaker', { number })}
              onClick={() => onBreaker(id)}
              className="flex min-h-11 min-w-0 flex-1 items-center gap-1.5 rounded-lg border-2 border-ink px-1.5 py-1 text-left leading-tight font-semibold"
            >
              <span
                aria-hidden
                className={`flex h-6 w-11 rounded border-2 border-ink p-0.5 ${on ? 'justify-end bg-ink' : ''} ${state === 'tripped' ? 'justify-center' : ''}`}
              >
                <span className={`w-4 rounded-sm ${on ? 'bg-sand' : 'bg-ink'}`} />
              </span>
              <span>
                {number} <span className="text-sm text-ink-soft">{say('breakers.a', { breakerA })}</span>{' '}
                {say('breakers.state', { state })}
              </span>
            </button>
            {protection === 'none' ? null : (
              <button
                type="button"
                className="button min-w-0 px-1 text-xs"
                aria-label={say('breakers.test', { number })}
                onClick={() => onTest(id)}
              >
                {say('breakers.testShort')}
              </button>
            )}
          </div>
        );
      })}
    </div>
  );
}
