import type { ShownFault, ShownTest } from '@core/site/script/report';
import { AnswerLine } from '~/ui/answer-line';
import { Refused } from '~/ui/answer';
import { Fold } from '~/ui/fold';
import { useJob, usePlan } from '../job/context';
import { Suspects } from './suspects';
import { Symptoms } from './symptoms';
import { TestCard } from './test-card';
import { LeftFromFind, owedIn } from './left-from-find';
import { useDiagnosis, useScript } from './use-field-tests';
import { say } from '~/words/field-test';

export { StageError as ErrorBoundary } from '../job/stage-error';

/** Mistakes named beside a test. */
const NAMED = 3;
/** From which weight on a mistake is common, or met now and then. */
const OFTEN = 4;
const SOMETIMES = 2;

/** The finished work, tested: the shortest script as a checklist, and the mistake named when a reading is wrong. */
export default function Test() {
  const { outcome } = usePlan();
  const { record, run } = useJob();
  const { script, failed, stopped, progress, retry, stop } = useScript(outcome.ok ? outcome.plan : null);
  const taken = record.tests.filter(({ symptom }) => symptom === null);
  const last = new Map(taken.map(({ test, shows }) => [test, shows]));
  const steps = script?.steps ?? [];
  const known = new Map(steps.map((step) => [step.id, step]));
  const odd = steps.filter(({ id, expected }) => (last.get(id) ?? expected.code) !== expected.code).length;
  // A reading that was asked for beside the script counts as well.
  const beside = record.tests.some(
    ({ test, symptom }) => script !== null && (symptom !== null || !known.has(test)),
  );
  const { diagnosis, busy } = useDiagnosis(
    script,
    record.tests.map(({ test, shows, symptom }) => ({ test, shows, symptom })),
    odd > 0 || beside,
  );
  if (!outcome.ok) {
    return (
      <main className="grid content-start gap-4 p-4">
        <Refused refusals={outcome.refusals} />
      </main>
    );
  }
  const read = (test: ShownTest) => (shows: string) => {
    const { box: place, state, what, expected, others } = test;
    const reading = [expected, ...others].find(({ code }) => code === shows) ?? { says: shows };
    run({
      do: 'read test',
      reading: {
        test: test.id,
        shows,
        at: new Date().toISOString(),
        symptom: null,
        says: say('route.logged', {
          place,
          what: [state, what].filter(Boolean).join(' '),
          reading: reading.says,
          fits: shows === expected.code,
          expected: expected.says,
        }),
      },
    });
  };
  const clear = (test: string) => () =>
    run(
      ...record.tests
        .filter((one) => one.test === test)
        .map(({ at }) => ({ do: 'remove test' as const, at, test })),
    );
  const first = steps.filter(({ grade }) => grade === 'before the covers');
  const full = steps.filter(({ grade }) => grade === 'full proof');
  const firstDone = first.every(({ id }) => last.has(id)) && !full.some(({ id }) => last.has(id));
  const untold = script?.untold.reduce((sum, { places }) => sum + places, 0) ?? 0;
  const owed = owedIn(record);
  const there = owed.find(({ found }) => found === 'there');
  const done = steps.filter(({ id }) => last.has(id)).length;
  const card = (step: (typeof steps)[number], index: number) => (
    <li key={step.id}>
      <TestCard
        test={step}
        number={index + 1}
        shown={last.get(step.id) ?? null}
        why={say('route.why', { tells: step.tells, names: step.names.slice(0, NAMED).join('; ') })}
        busy={false}
        onRead={read(step)}
        onClear={clear(step.id)}
      />
    </li>
  );
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start gap-4 p-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)] lg:grid-rows-[auto_1fr]">
      <div className="grid content-start gap-3">
        <AnswerLine>
          {script === null
            ? failed !== null
              ? say('route.failed', { failed })
              : stopped
                ? say('route.stopped')
                : progress
                  ? say('route.working', { done: progress.done, of: progress.of })
                  : say('route.starting')
            : there
              ? say('route.hazard', { says: there.says })
              : done === steps.length && odd === 0 && !beside
                ? owed.some(({ found }) => found === 'open')
                  ? say('route.doneButLeft', { steps: steps.length })
                  : say('route.done', { steps: steps.length })
                : first.length > 0 && full.length > 0 && firstDone && odd === 0 && !beside
                  ? say('route.firstDone', { first: first.length, untold })
                  : done === 0
                    ? say('route.answer', {
                        first: first.length,
                        minutes: Math.ceil(script.costs['before the covers'].minutes),
                        setups: script.costs['before the covers'].setups,
                        told: script.told - untold,
                        all: script.told,
                      })
                    : say('route.read', { read: done, steps: steps.length, odd })}
        </AnswerLine>
        <LeftFromFind />
        {script === null && failed === null && !stopped ? (
          <div className="flex items-center gap-3">
            <progress
              className="h-3 w-full accent-(--plum)"
              value={progress?.done ?? 0}
              max={progress?.of ?? 1}
              aria-label={say('route.progress')}
            />
            <button type="button" className="button" onClick={stop}>
              {say('route.stop')}
            </button>
          </div>
        ) : null}
        {failed !== null || stopped ? (
          <button type="button" className="button justify-self-start" onClick={retry}>
            {say('route.tryAgain')}
          </button>
        ) : null}
        {script ? (
          <>
            <p className="text-sm text-ink-soft">
              {say('route.shortest', {
                naive: script.naive,
                bound: Math.floor(script.costs['before the covers'].bound),
              })}
            </p>
            <Symptoms
              symptoms={script.symptoms}
              seen={new Set(record.tests.flatMap(({ symptom }) => symptom ?? []))}
              onSeen={(symptom) =>
                run(
                  ...symptom.readings.map(({ test, shows }, index) => ({
                    do: 'read test' as const,
                    reading: {
                      test,
                      shows,
                      at: new Date().toISOString(),
                      symptom: symptom.id,
                      // One thing seen is one line of the log.
                      says: index === 0 ? symptom.says : '',
                    },
                  })),
                )
              }
              onGone={(symptom) =>
                run(
                  ...record.tests
                    .filter((one) => one.symptom === symptom.id)
                    .map(({ at, test }) => ({ do: 'remove test' as const, at, test })),
                )
              }
            />
          </>
        ) : null}
      </div>
      <aside className="grid content-start gap-4 lg:col-start-2 lg:row-span-2 lg:row-start-1">
        {diagnosis ? (
          <>
            <Suspects plan={outcome.plan} diagnosis={diagnosis} />
            <section aria-label={say('route.next')} className="grid gap-2" data-next>
              <h3 className="eyebrow">{diagnosis.retake ? say('route.retake') : say('route.next')}</h3>
              {diagnosis.next ? (
                <TestCard
                  key={`${diagnosis.next.id} ${record.tests.length}`}
                  test={diagnosis.next}
                  number={null}
                  shown={null}
                  why={null}
                  busy={busy}
                  onRead={read(diagnosis.next)}
                />
              ) : (
                <p>{say('route.noNext')}</p>
              )}
            </section>
          </>
        ) : busy ? (
          <p aria-busy>{say('route.finding')}</p>
        ) : null}
      </aside>
      <div className="grid content-start gap-3">
        {script ? (
          <>
            <p className="rounded-xl border-2 border-ink bg-sand p-3 text-sm">{say('route.caution')}</p>
            <h3 className="eyebrow">{say('route.firstTitle')}</h3>
            <ol className="grid gap-3" aria-label={say('route.script')}>
              {first.map((step, index) => card(step, index))}
            </ol>
            {script.untold.length > 0 ? (
              <section aria-labelledby="untold" className="rounded-xl border-2 border-line p-3" data-untold>
                <h3 id="untold" className="font-bold">
                  {say('route.untold')}
                </h3>
                <ul className="list-disc pl-5 text-sm">
                  {script.untold.map(({ name, places, weight }) => (
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
            ) : null}
            {full.length > 0 ? (
              <Fold
                title={say('route.fullTitle', {
                  count: full.length,
                  minutes: Math.ceil(script.costs['full proof'].minutes),
                })}
              >
                {() => (
                  <ol className="grid gap-3 pt-2" aria-label={say('route.fullScript')}>
                    {full.map((step, index) => card(step, first.length + index))}
                  </ol>
                )}
              </Fold>
            ) : null}
            <FaultList title={say('route.look')} faults={script.look} />
            <FaultList title={say('route.unseen')} faults={script.unseen} />
          </>
        ) : null}
      </div>
    </main>
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
