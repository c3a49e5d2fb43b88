import type { DirectoryLine } from '@core/handover/directory/directory';
import { say } from '~/words/print';

/** The lines of the panel's directory that a job knows, or the whole house, for the inside of the door. */
export function DirectorySheet({
  title,
  site,
  lines,
  whole = false,
}: {
  title: string;
  site: string;
  lines: readonly DirectoryLine[];
  /** True where all that is on the panel is in it. */
  whole?: boolean;
}) {
  return (
    <section className="sheet" aria-label={say('directory.title')} data-directory>
      <header className="flex items-baseline justify-between border-b-2 border-current pb-1">
        <h2 className="text-lg font-bold">{say('directory.title')}</h2>
        <p className="text-sm">{[title, site === title ? '' : site].filter(Boolean).join(' · ')}</p>
      </header>
      <table className="mt-2 w-full">
        <thead>
          <tr className="border-b border-current text-left text-sm">
            <th scope="col" className="pr-3">
              {say('directory.circuit')}
            </th>
            <th scope="col" className="pr-3">
              {say('directory.breaker')}
            </th>
            <th scope="col">{say('directory.serves')}</th>
          </tr>
        </thead>
        <tbody>
          {lines.map(({ number, breakerA, protection, label }) => (
            <tr key={number} className="border-b border-current/40 align-top">
              <td className="py-1 pr-3 text-lg font-bold">{number}</td>
              <td className="py-1 pr-3 whitespace-nowrap">
                {breakerA === null ? '' : say('directory.rating', { breakerA, protection })}
              </td>
              <td className="py-1">{label}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <footer className="mt-3 border-t border-current pt-1 text-xs">
        {whole ? say('directory.house') : say('directory.check')}
      </footer>
    </section>
  );
}
