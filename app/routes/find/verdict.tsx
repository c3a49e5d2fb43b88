import type { Study } from '@core/survey/study';
import type { Tri } from '@core/survey/verdict';

const MARK: Record<Tri, string> = { yes: '●', no: '✕', 'not known yet': '○' };

/** The answer first: may an outlet be tapped here, then why, then the ways out. */
export function VerdictView({
  study,
  placed,
  onLayOut,
}: {
  study: Study | null;
  placed: boolean;
  onLayOut: () => void;
}) {
  if (!study) {
    return (
      <h2 className="text-lg leading-tight font-bold sm:text-xl" data-answer>
        {placed ? 'Thinking of what it can be …' : 'Say where every conductor sits.'}
      </h2>
    );
  }
  const { verdict, advice } = study;
  return (
    <section className="grid gap-3" aria-live="polite">
      <h2 className="text-lg leading-tight font-bold sm:text-xl" data-answer>
        {verdict.contradiction ? '▲ ' : ''}
        {advice.answer}
      </h2>
      <p>{advice.reason}</p>
      <dl className="grid grid-cols-3 gap-2">
        {(
          [
            ['Constant hot', verdict.hot],
            ['Its neutral', verdict.neutral],
            ['Ground', verdict.ground],
          ] as const
        ).map(([name, state]) => (
          <div key={name} className="rounded-xl border-2 border-line bg-paper px-3 py-2">
            <dt className="text-sm text-ink-soft">{name}</dt>
            <dd className="leading-tight font-bold">
              <span aria-hidden>{MARK[state]} </span>
              {state}
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
      {advice.waysOut.length > 0 ? (
        <div>
          <h3 className="eyebrow">Ways out</h3>
          <ol className="list-decimal space-y-1 pl-6">
            {advice.waysOut.map((way) => (
              <li key={way}>{way}</li>
            ))}
          </ol>
        </div>
      ) : null}
      {advice.stillToCheck.length > 0 ? (
        <div>
          <h3 className="eyebrow">Still to be checked</h3>
          <ul className="list-disc pl-6">
            {advice.stillToCheck.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        </div>
      ) : null}
      {verdict.tap !== 'not known yet' ? (
        <button type="button" className="button button-strong justify-self-start" onClick={onLayOut}>
          Make it the Lay out
        </button>
      ) : null}
    </section>
  );
}
