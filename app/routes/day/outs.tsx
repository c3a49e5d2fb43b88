import { CalendarDays, Download, FileText, Printer } from 'lucide-react';
import type { Section } from '@core/handover/packet/section';
import { InOtherLanguage } from '~/ui/in-other-language';
import { saveFile } from '~/ui/save-file';
import { dayWorker } from '~/workers/core';
import { say } from '~/words/day';

/** The day on paper and as files: the crew's sheet, the notice, the calendar, the table. */
export function DayOuts({
  id,
  hasDate,
  onSheets,
}: {
  id: string;
  hasDate: boolean;
  /** The sheets are shown, to be printed. */
  onSheets: (sheets: readonly Section[]) => void;
}) {
  const save = async (kind: 'csv' | 'calendar') => {
    const text = await dayWorker.ask((worker) => worker.dayOut(kind));
    if (text === null) return;
    if (kind === 'csv') saveFile(`${id}.day.csv`, text, 'text/csv');
    else saveFile(`${id}.day.ics`, text, 'text/calendar');
  };
  return (
    <section aria-labelledby="day-outs" className="grid gap-2 print:block">
      <h3 id="day-outs" className="eyebrow print:hidden">
        {say('outs.title')}
      </h3>
      <div className="flex flex-wrap gap-2 print:hidden">
        <button
          type="button"
          className="button px-3"
          onClick={() => void dayWorker.ask((worker) => worker.daySheets()).then(onSheets)}
        >
          <FileText aria-hidden size={18} /> {say('outs.sheets')}
        </button>
        <button type="button" className="button px-3" onClick={() => void save('csv')}>
          <Download aria-hidden size={18} /> {say('outs.csv')}
        </button>
        <button
          type="button"
          className="button px-3"
          disabled={!hasDate}
          onClick={() => void save('calendar')}
        >
          <CalendarDays aria-hidden size={18} /> {say('outs.calendar')}
        </button>
        <button type="button" className="button px-3" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> {say('outs.print')}
        </button>
        <InOtherLanguage />
      </div>
      {hasDate ? null : <p className="text-sm text-ink-soft print:hidden">{say('outs.noDate')}</p>}
    </section>
  );
}
