import { Printer } from 'lucide-react';
import { Link } from 'react-router';
import { directoryOf } from '@core/handover/directory/directory';
import { CsvButton } from '~/ui/csv-button';
import { DirectorySheet } from '../print/directory-sheet';
import { useHouse } from './context';
import { useDesigns } from './take-off';
import { InOtherLanguage } from '~/ui/in-other-language';
import { say } from '~/words/house';

/** The panel's directory, for the inside of the door. */
export default function Sheet() {
  const { house, jobs, revision } = useHouse();
  const designs = useDesigns(house.id, revision, jobs.map(({ updatedAt }) => updatedAt).join());
  const lines = directoryOf(designs ?? [], house);
  return (
    <main className="p-4 print:p-0">
      <div className="mb-4 flex flex-wrap gap-2 print:hidden">
        <button type="button" className="button button-strong" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> {say('sheet.print')}
        </button>
        <Link to={`/house/${house.id}/print`} className="button">
          <Printer aria-hidden size={18} /> {say('sheet.allSheets')}
        </Link>
        <InOtherLanguage />
        <CsvButton
          label={say('sheet.csv')}
          file={`${house.id}.directory.csv`}
          columns={['circuit', 'breaker A', 'type', 'serves']}
          rows={() =>
            lines.map(({ number, breakerA, protection, label }) => [
              number,
              breakerA ?? '',
              protection,
              label,
            ])
          }
        />
      </div>
      <DirectorySheet title={house.name} site={house.site} lines={lines} whole />
    </main>
  );
}
