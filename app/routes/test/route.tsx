import { AnswerLine } from '~/ui/answer-line';
import { Refused } from '~/ui/answer';
import { useJob, usePlan } from '../job/context';
import type { ShownDiagnosis } from '@core/site/script/report';
import type { ShownPlan } from '@core/wiring/plan';
import { Suspects } from './suspects';
import { Symptoms } from './symptoms';
import { TestCard } from './test-card';
import { LeftFromFind } from './left-from-find';
import { answerOf, readingOf, seenAs, standingOf, withoutReadings } from './readings';
import { ScriptList } from './script-list';
import { useDiagnosis, useScript } from './use-field-tests';
import { say } from '~/words/field-test';

export { StageError as ErrorBoundary } from '../job/stage-error';

/** The finished work, tested: the shortest script as a checklist, and the mistake named when a reading is wrong. */
export default function Test() {
  const { outcome } = usePlan();
  return outcome.ok ? (
    <Tested plan={outcome.plan} />
  ) : (
    <main className="grid content-start gap-4 p-4">
      <Refused refusals={outcome.refusals} />
    </main>
  );
}

function Tested({ plan }: { plan: ShownPlan }) {
  const { record, run } = useJob();
  const study = useScript(plan);
  const { script } = study;
  const standing = standingOf(script, record);
  const { diagnosis, busy } = useDiagnosis(
    script,
    record.tests.map(({ test, shows, symptom }) => ({ test, shows, symptom })),
    standing.odd > 0 || standing.beside,
  );
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start gap-4 p-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)] lg:grid-rows-[auto_1fr]">
      <div className="grid content-start gap-3">
        <AnswerLine>{script ? answerOf(script, standing, record) : waitingOf(study)}</AnswerLine>
        <LeftFromFind />
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
              onSeen={(symptom) => run(...seenAs(symptom))}
              onGone={({ id }) => run(...withoutReadings(record, ({ symptom }) => symptom === id))}
            />
          </>
        ) : (
          <Waiting study={study} />
        )}
      </div>
      <aside className="grid content-start gap-4 lg:col-start-2 lg:row-span-2 lg:row-start-1">
        {diagnosis ? (
          <Diagnosis plan={plan} diagnosis={diagnosis} busy={busy} />
        ) : busy ? (
          <p aria-busy>{say('route.finding')}</p>
        ) : null}
      </aside>
      <div className="grid content-start gap-3">
        {script ? <ScriptList script={script} standing={standing} /> : null}
      </div>
    </main>
  );
}

type Study = ReturnType<typeof useScript>;

const waitingOf = ({ failed, stopped, progress }: Study): string =>
  failed !== null
    ? say('route.failed', { failed })
    : stopped
      ? say('route.stopped')
      : progress
        ? say('route.working', { done: progress.done, of: progress.of })
        : say('route.starting');

/** While the script is worked out: how far it is, and the ways to stop it and to try again. */
function Waiting({ study: { failed, stopped, progress, stop, retry } }: { study: Study }) {
  if (failed !== null || stopped)
    return (
      <button type="button" className="button justify-self-start" onClick={retry}>
        {say('route.tryAgain')}
      </button>
    );
  return (
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
  );
}

/** What may be wrong, and the test that tells most of it. */
function Diagnosis({ plan, diagnosis, busy }: { plan: ShownPlan; diagnosis: ShownDiagnosis; busy: boolean }) {
  const { record, run } = useJob();
  const { next, retake } = diagnosis;
  return (
    <>
      <Suspects plan={plan} diagnosis={diagnosis} />
      <section aria-label={say('route.next')} className="grid gap-2" data-next>
        <h3 className="eyebrow">{retake ? say('route.retake') : say('route.next')}</h3>
        {next ? (
          <TestCard
            key={`${next.id} ${record.tests.length}`}
            test={next}
            number={null}
            shown={null}
            why={null}
            busy={busy}
            onRead={(shows) => run(readingOf(next, shows))}
          />
        ) : (
          <p>{say('route.noNext')}</p>
        )}
      </section>
    </>
  );
}
