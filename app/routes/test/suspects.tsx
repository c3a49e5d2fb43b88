import { Link } from 'react-router';
import { PANEL } from '@core/model/design';
import type { ShownDiagnosis, ShownFault } from '@core/script/report';
import { say } from '~/words/field-test';

const VERDICT: Readonly<Record<ShownDiagnosis['verdict'], () => string>> = {
  sound: () => say('route.soundDoubt'),
  sure: () => say('route.sure'),
  open: () => say('route.open'),
  contradiction: () => say('route.contradiction'),
};

/** The mistakes that explain what was read, most plausible first, each with its fix and the way to its box. */
export function Suspects({ job, diagnosis }: { job: string; diagnosis: ShownDiagnosis }) {
  return (
    <section
      aria-label={say('route.whatItIs')}
      aria-live="polite"
      className="grid gap-2"
      data-verdict={diagnosis.verdict}
    >
      <h3 className="eyebrow">{say('route.whatItIs')}</h3>
      <p className="font-semibold">{VERDICT[diagnosis.verdict]()}</p>
      <ol className="grid gap-2">
        {diagnosis.suspects
          .filter(({ weight }) => weight >= 0.02)
          .map(({ weight, ways }) => (
            <li
              key={ways.map((way) => way.map(({ id }) => id).join('+')).join('|')}
              className="grid gap-1 rounded-xl border-2 border-line bg-paper p-3"
            >
              <p className="num text-sm text-ink-soft">
                {say('route.share', { percent: Math.max(1, Math.round(weight * 100)) })}
              </p>
              <Ways job={job} ways={ways} />
            </li>
          ))}
      </ol>
    </section>
  );
}

function Ways({ job, ways }: { job: string; ways: readonly (readonly ShownFault[])[] }) {
  const [first = [], ...rest] = ways;
  if (first.length === 0) return <p className="font-semibold">{say('route.soundDoubt')}</p>;
  return (
    <>
      {first.map((fault) => (
        <div key={fault.id} className="grid gap-1">
          <p className="font-semibold">{fault.says}</p>
          <p className="text-sm">{say('route.fix', { fix: fault.fix })}</p>
          {fault.box === PANEL ? null : (
            <Link
              to={`/job/${job}/make-up?box=${fault.box}`}
              className="button justify-self-start px-3 text-sm"
            >
              {say('route.showBox')}
            </Link>
          )}
        </div>
      ))}
      {rest.length > 0 ? (
        <p className="text-sm text-ink-soft">{say('route.more', { count: rest.length })}</p>
      ) : null}
    </>
  );
}
