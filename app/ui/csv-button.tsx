import { Download } from 'lucide-react';
import { writeCsv } from '@core/choices/takeoff/csv';
import { saveFile } from './save-file';

/** Saves a table as CSV; its rows are made when it is pressed. */
export function CsvButton({
  label,
  file,
  columns,
  rows,
}: {
  label: string;
  file: string;
  columns: readonly string[];
  rows: () => readonly (readonly (string | number)[])[];
}) {
  return (
    <button
      type="button"
      className="button"
      onClick={() => saveFile(file, writeCsv(columns, rows()), 'text/csv')}
    >
      <Download aria-hidden size={18} /> {label}
    </button>
  );
}
