import { AnswerLine } from '~/ui/answer-line';
import type { Design } from '@core/job/model/design';
import type { Survey } from '@core/job/model/survey';
import { differences } from '@core/site/survey/differences';
import { HAZARD_SAYS, mayBeLeft, type FirstGrade } from '@core/site/survey/first-grade';
import { owedOf } from '@core/site/survey/owed';
import type { Study } from '@core/site/survey/study';
import type { Proof, Tri } from '@core/site/survey/verdict';
import { probeWords, valueWords } from '@core/site/survey/words';
import { useJob } from '../job/context';
import { say } from '~/words/find';

const MARK: Record<Tri, string> = { yes: '●', no: '✕', 'not known yet': '○' };
const TRI_NAME: Readonly<Record<Tri, string>> = {
  yes: say('verdict.yes'),
  no: say('verdict.no'),
  'not known yet': say('verdict.notKnownYet'),
};

/** The answer first: may an outlet be tapped here, then why, then the ways out. */
export function VerdictView({
  job,
  survey,
  study,
  placed,
  onLayOut,
}: {
  job: Design;
  survey: Survey;
  study: Study | null;
  placed: boolean;
  onLayOut: (take: 'job' | 'wall') => void;
}) {
  if (!study) {
    return (
      <AnswerLine>{placed ? say('verdict.workingOutHowWired') : say('verdict.showLandings')}</AnswerLine>
    );
  }
  const { verdict, advice } = study;
  const reached = verdict.first?.reached === true;
  // An ordinary box says what its few readings are; an odd one, and one that is proven, which proofs are there.
  const isOrdinary =
    verdict.tap === 'not known yet' && verdict.first?.withheld.length === 0 && !survey.proveAll;
  return (
    <section className="grid gap-3" aria-live="polite">
      <AnswerLine>
        {verdict.contradiction ? '▲ ' : ''}
        {advice.answer}
      </AnswerLine>
      <p>{advice.reason}</p>
      <dl className="grid grid-cols-3 gap-2">
        {(
          [
            [say('verdict.constantHot'), verdict.hot],
            [say('verdict.neutral'), verdict.neutral],
            [say('verdict.ground'), verdict.ground],
          ] as const
        ).map(([name, state]) => (
          <div key={name} className="rounded-xl border-2 border-line bg-paper px-3 py-2">
            <dt className="text-sm text-ink-soft">{name}</dt>
            <dd className="leading-tight font-bold">
              <span aria-hidden>{MARK[reached ? 'yes' : state]} </span>
              {reached && state !== 'yes' ? say('verdict.onReadings') : TRI_NAME[state]}
            </dd>
          </div>
        ))}
      </dl>
      {advice.cautions.length > 0 ? (
        <ul className="grid gap-1">
          {advice.cautions.map((one) => (
            <li key={one}>▲ {one}</li>
          ))}
        </ul>
      ) : null}
      {verdict.tap === 'not known yet' && verdict.first ? (
        <OnReadings survey={survey} first={verdict.first} />
      ) : null}
      {verdict.tap === 'yes' || verdict.groundUnproven || reached ? (
        <HandOver job={job} survey={survey} onLayOut={onLayOut} />
      ) : null}
      {verdict.proofs.length > 0 && verdict.tap !== 'no' && !isOrdinary ? (
        <Proofs survey={survey} proofs={verdict.proofs} />
      ) : null}
      {advice.waysOut.length > 0 ? (
        <div>
          <h3 className="eyebrow">{say('verdict.waysOut')}</h3>
          <ol className="list-decimal space-y-1 pl-6">
            {advice.waysOut.map((way) => (
              <li key={way}>{way}</li>
            ))}
          </ol>
        </div>
      ) : null}
      {advice.stillToCheck.length > 0 ? (
        <div>
          <h3 className="eyebrow">{say('verdict.stillChecked')}</h3>
          <ul className="list-disc pl-6">
            {advice.stillToCheck.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        </div>
      ) : null}
    </section>
  );
}

/** What a yes on few readings stands on, what it leaves open and how that is read later; why it is withheld. */
function OnReadings({ survey, first }: { survey: Survey; first: FirstGrade }) {
  const { run } = useJob();
  const { basics, withheld, reached, left, once } = first;
  const owed = reached
    ? owedOf({ ...survey, laidOut: { pair: first.pair, left: left.filter(mayBeLeft) } })
    : [];
  const missing = basics.filter(({ reading }) => reading === null).length;
  const list = (
    <ul className="grid gap-1" aria-label={say('verdict.readings')}>
      {basics.map(({ says, reading }) => (
        <li key={says} className="grid grid-cols-[1.25rem_minmax(0,1fr)]">
          <span aria-hidden>{reading ? '●' : '○'}</span>
          <span>
            {reading ? '' : say('verdict.stillToRead')}
            {says}
            {reading ? <strong className="num"> {valueWords(reading)}</strong> : null}
          </span>
        </li>
      ))}
    </ul>
  );
  const proveButton = (
    <button
      type="button"
      className="button justify-self-start"
      aria-pressed={survey.proveAll}
      onClick={() => run({ do: 'prove survey', survey: survey.id, all: !survey.proveAll })}
    >
      {survey.proveAll ? say('verdict.proveLater') : say('verdict.proveNow')}
    </button>
  );
  return (
    <div className="grid gap-3" data-grade={reached ? 'reached' : withheld.length > 0 ? 'withheld' : 'open'}>
      {withheld.length > 0 ? <p>{say('verdict.withheld', { why: withheld.join('; ') })}</p> : null}
      {reached ? list : null}
      {withheld.length === 0 && !reached && missing > 0 && !survey.proveAll ? (
        <details>
          <summary className="min-h-6 cursor-pointer font-semibold">
            {say('verdict.toAYes', { count: missing })}
          </summary>
          <div className="mt-1 grid gap-3">
            {list}
            {proveButton}
          </div>
        </details>
      ) : null}
      {reached && owed.length > 0 ? (
        <section aria-labelledby="left-open" className="grid gap-2 rounded-xl border-2 border-ink p-3">
          <h3 id="left-open" className="font-bold">
            {say('verdict.notExcluded')}
          </h3>
          <ul className="grid gap-2">
            {owed.map(({ left: one, says, common, how }) => (
              <li key={one} data-left={one}>
                ○ {says}. {common}
                <span className="block text-sm text-ink-soft">{how}</span>
              </li>
            ))}
          </ul>
          <p className="text-sm">{say('verdict.owed')}</p>
        </section>
      ) : null}
      {reached && once.length > 0 ? (
        <details>
          <summary className="min-h-6 cursor-pointer text-sm text-ink-soft">{say('verdict.once')}</summary>
          <ul className="list-disc pl-6 text-sm">
            {once.map((one) => (
              <li key={one}>{HAZARD_SAYS[one]}</li>
            ))}
          </ul>
        </details>
      ) : null}
      {reached || survey.proveAll ? proveButton : null}
    </div>
  );
}

/** Each proof that a yes wants, with the reading that gave it; open ones are said as not proven. */
function Proofs({ survey, proofs }: { survey: Survey; proofs: readonly Proof[] }) {
  return (
    <details open={proofs.every(({ reading }) => reading !== null)}>
      <summary className="min-h-6 cursor-pointer font-semibold">
        {say('verdict.verified', {
          done: proofs.filter(({ reading }) => reading !== null).length,
          all: proofs.length,
        })}
      </summary>
      <ul className="mt-1 grid gap-2">
        {proofs.map(({ of, says, reading }) => (
          <li key={of} className="grid grid-cols-[1.25rem_minmax(0,1fr)]">
            <span aria-hidden>{reading ? '●' : '○'}</span>
            <span>
              {reading ? '' : say('verdict.notVerified')}
              {says}
              {reading ? (
                <span className="block text-sm text-ink-soft">
                  {probeWords(survey, reading.setup, reading.probe)}{' '}
                  <strong className="num">{valueWords(reading)}</strong>
                </span>
              ) : null}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}

/** On to Lay out; where job and wall say different things of the circuit, one of them is chosen first. */
function HandOver({
  job,
  survey,
  onLayOut,
}: {
  job: Design;
  survey: Survey;
  onLayOut: (take: 'job' | 'wall') => void;
}) {
  const found = differences(job, survey);
  const known = job.circuits.find(({ number }) => number === survey.breaker);
  return (
    <div className="grid gap-2">
      {found.map(({ says }) => (
        <p key={says}>▲ {says}</p>
      ))}
      <div className="flex flex-wrap gap-2">
        {known && found.some(({ decides }) => decides) ? (
          <>
            <button type="button" className="button button-strong" onClick={() => onLayOut('job')}>
              {say('verdict.layOutJob', { breakerA: known.breakerA })}
            </button>
            <button type="button" className="button button-strong" onClick={() => onLayOut('wall')}>
              {say('verdict.layOutFound', { breakerA: survey.breakerA })}
            </button>
          </>
        ) : (
          <button type="button" className="button button-strong" onClick={() => onLayOut('job')}>
            {say('verdict.useLayout')}
          </button>
        )}
      </div>
    </div>
  );
}
