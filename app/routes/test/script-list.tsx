import type { ShownFault, ShownScript } from '@core/site/script/report';
import { Fold } from '~/ui/fold';
import { say } from '~/words/field-test';
import { useJob } from '../job/context';
import { readingOf, withoutReadings, type Standing } from './readings';
import { TestCard } from './test-card';

/** Mistakes named beside a test. */
const NAMED = 3;
/** From which weight on a mistake is common, or met now and then. */
const OFTEN = 4;
const SOMETIMES = 2;

/** The script as a checklist: before the covers, what that leaves untold, then the full proof folded away. */
export function ScriptList({ script, standing }: { script: ShownScript; standing: Standing }) {
  const { record, run } = useJob();
  const { first, full, last } = standing;
  const list = (steps: Standing['first'], label: string, from = 0) => (
    <ol className="grid gap-3" aria-label={label}>
      {steps.map((step, index) => (
        <li key={step.id}>
          <TestCard
            test={step}
            number={from + index + 1}
            shown={last.get(step.id) ?? null}
            why={say('route.why', { tells: step.tells, names: step.names.slice(0, NAMED).join('; ') })}
            busy={false}
            onRead={(shows) => run(readingOf(step, shows))}
            onClear={() => run(...withoutReadings(record, ({ test }) => test === step.id))}
          />
        </li>
      ))}
    </ol>
  );
  return (
    <>
      <p className="rounded-xl border-2 border-ink bg-sand p-3 text-sm">{say('route.caution')}</p>
      <h3 className="eyebrow">{say('route.firstTitle')}</h3>
      {list(first, say('route.script'))}
      <Untold untold={script.untold} />
      {full.length > 0 ? (
        <Fold
          title={say('route.fullTitle', {
            count: full.length,
            minutes: Math.ceil(script.costs['full proof'].minutes),
          })}
        >
          {() => <div className="pt-2">{list(full, say('route.fullScript'), first.length)}</div>}
        </Fold>
      ) : null}
      <FaultList title={say('route.look')} faults={script.look} />
      <FaultList title={say('route.unseen')} faults={script.unseen} />
    </>
  );
}

/** What the tests before the covers do not tell, with how common it is. */
function Untold({ untold }: Pick<ShownScript, 'untold'>) {
  if (untold.length === 0) return null;
  return (
    <section aria-labelledby="untold" className="rounded-xl border-2 border-line p-3" data-untold>
      <h3 id="untold" className="font-bold">
        {say('route.untold')}
      </h3>
      <ul className="list-disc pl-5 text-sm">
        {untold.map(({ name, places, weight }) => (
          <li key={name}>
            {say('route.untoldOne', {
              name,
              places,
              common: weight >= OFTEN ? 'often' : weight >= SOMETIMES ? 'some' : 'seldom',
            })}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Mistakes that the script cannot tell, folded away. */
function FaultList({ title, faults }: { title: string; faults: readonly ShownFault[] }) {
  if (faults.length === 0) return null;
  return (
    <Fold title={say('route.count', { title, count: faults.length })}>
      {() => (
        <ul className="grid gap-1 p-2">
          {faults.map(({ id, says }) => (
            <li key={id}>{says}</li>
          ))}
        </ul>
      )}
    </Fold>
  );
}
