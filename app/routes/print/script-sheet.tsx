import type { ShownPlan } from '@core/wiring/plan';
import { useScript } from '../test/use-field-tests';
import { say } from '~/words/print';

const HEADS = [say('script.number'), say('script.where'), say('script.test'), say('script.mustShow')];

/** The test script on paper: where, what is switched, what is done, what must show, and room for what it showed. */
export function ScriptSheet({ plan }: { plan: ShownPlan }) {
  const { script, progress } = useScript(plan);
  const { job } = plan;
  return (
    <section className="sheet" aria-label={say('script.title')} aria-busy={script === null} data-script>
      <header className="flex items-baseline justify-between border-b-2 border-current pb-1">
        <h2 className="text-lg font-bold">{say('script.title')}</h2>
        <p className="text-sm">
          {[job.name, job.site, say('route.code', { edition: job.edition })].filter(Boolean).join(' · ')}
        </p>
      </header>
      {script === null ? (
        <p className="pt-3">
          {progress
            ? say('script.working', { done: progress.done, of: progress.of })
            : say('script.starting')}
        </p>
      ) : (
        <>
          <p className="pt-2 text-sm">
            {say('script.answer', { steps: script.steps.length, told: script.told })}
          </p>
          <table className="mt-2 w-full text-sm leading-snug">
            <thead>
              <tr className="border-b border-current text-left">
                {HEADS.map((head) => (
                  <th key={head} scope="col" className="pr-2">
                    {head}
                  </th>
                ))}
                <th scope="col" className="w-[1.6in]">
                  {say('script.shows')}
                </th>
              </tr>
            </thead>
            <tbody>
              {script.steps.map((step, index) => (
                <tr key={step.id} className="break-inside-avoid border-b border-current/40 align-top">
                  <td className="pr-2">{index + 1}</td>
                  <td className="pr-2">
                    {step.box}
                    <span className="block text-xs">
                      {step.grade === 'full proof' ? say('script.full') : say('script.first')} ·{' '}
                      {step.live ? say('script.live') : say('script.dead')}
                    </span>
                  </td>
                  <td className="pr-2">
                    {step.state === '' ? null : <span className="block text-xs">{step.state}</span>}
                    {step.what}
                  </td>
                  <td className="pr-2 font-bold">{step.expected.says}</td>
                  <td />
                </tr>
              ))}
            </tbody>
          </table>
          {script.look.length > 0 ? (
            <>
              <p className="mt-3 text-sm font-bold">{say('script.look')}</p>
              <ul className="text-sm">
                {script.look.map(({ id, says }) => (
                  <li key={id} className="flex gap-2">
                    <span className="mt-0.5 size-3.5 shrink-0 border border-current" /> {says}
                  </li>
                ))}
              </ul>
            </>
          ) : null}
        </>
      )}
      <footer className="mt-3 border-t border-current pt-1 text-xs">{say('script.caution')}</footer>
    </section>
  );
}
