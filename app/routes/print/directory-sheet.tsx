import { directoryOf } from '@core/directory/directory';
import type { Design } from '@core/model/design';
import { say } from '~/words/print';

/** The lines of the panel's directory that this job knows, for the inside of the door. */
export function DirectorySheet({ job }: { job: Design }) {
  return (
    <section className="sheet" aria-label={say('directory.title')} data-directory>
      <header className="flex items-baseline justify-between border-b-2 border-current pb-1">
        <h2 className="text-lg font-bold">{say('directory.title')}</h2>
        <p className="text-sm">{[job.name, job.site].filter(Boolean).join(' · ')}</p>
      </header>
      <table className="mt-2 w-full">
        <thead>
          <tr className="border-b border-current text-left text-sm">
            <th scope="col">{say('directory.circuit')}</th>
            <th scope="col">{say('directory.breaker')}</th>
            <th scope="col">{say('directory.serves')}</th>
          </tr>
        </thead>
        <tbody>
          {directoryOf([job]).map(({ number, breakerA, protection, label }) => (
            <tr key={number} className="border-b border-current/40 align-top">
              <td className="py-1 pr-3 text-lg font-bold">{number}</td>
              <td className="py-1 pr-3 whitespace-nowrap">
                {say('directory.rating', { breakerA: breakerA ?? 0, protection })}
              </td>
              <td className="py-1">{label}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <footer className="mt-3 border-t border-current pt-1 text-xs">{say('directory.check')}</footer>
    </section>
  );
}
