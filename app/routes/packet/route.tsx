import { CalendarPlus, CircuitBoard, FileDown, Printer } from 'lucide-react';
import { useRef, useState } from 'react';
import { drawBox } from '@core/wiring/geometry/box-drawing';
import type { Design } from '@core/job/model/design';
import { picturesOf } from '@core/job/model/pictures';
import type { JobRecord } from '@core/job/model/record';
import type { PacketOf } from '@core/handover/packet/packet-of';
import type { PdfPhoto } from '~/packet/pdf';
import { openStore } from '~/storage/opened';
import { Choice } from '~/ui/choice';
import { useNotify } from '~/ui/notices';
import { saveFile } from '~/ui/save-file';
import { houseWorker } from '~/workers/core';
import type { Packets } from '~/workers/packet-room';
import { useAnswer } from '~/workers/use-answer';
import { useJob, usePlan } from '../job/context';
import { blobOf } from '../record/take-in';
import type { Route } from './+types/route';
import { SectionView } from './section-view';
import { InOtherLanguage } from '~/ui/in-other-language';
import { reasonOf } from '~/workers/no-answer';
import { say } from '~/words/packet';

export { StageError as ErrorBoundary } from '../job/stage-error';

const ask = (of: PacketOf) => houseWorker.ask<Packets>((worker) => worker.packets(of));

/** The house of the job with all its jobs, null where it stands alone; the shop's labor. */
export async function clientLoader({ params: { jobId } }: Route.ClientLoaderArgs) {
  const stores = await openStore();
  const [around, { shop }] = await Promise.all([
    stores.houses().then((houses) => houses.around(jobId)),
    stores.shop().then((store) => store.open(jobId)),
  ]);
  return {
    around: around && { house: around.house, designs: around.jobs.map(({ design }) => design) },
    minutes: shop.minutes,
  };
}

/** What the inspector and the owner get, on the screen as it is on paper and in the file. */
export default function Packet({ loaderData: { around, minutes } }: Route.ComponentProps) {
  const { job, record } = useJob();
  const { outcome } = usePlan();
  const notify = useNotify();
  const sheets = useRef<HTMLElement>(null);
  const [shown, setShown] = useState<'packet' | 'owner'>('packet');
  const [busy, setBusy] = useState(false);
  const [at] = useState(() => new Date().toISOString());
  const { answer, failed } = useAnswer({ design: job, record, house: around, at, minutes }, ask);
  const sections = answer?.[shown];
  const name =
    shown === 'packet' ? say('route.packet', { job: job.name }) : say('route.owner', { job: job.name });
  const save = async () => {
    if (!sections || !sheets.current) return;
    setBusy(true);
    try {
      const [{ packetPdf }, photos] = await Promise.all([import('~/packet/pdf'), picturesIn(job, record)]);
      const drawings = new Map(
        [...sheets.current.querySelectorAll<SVGSVGElement>('[data-drawing] > svg')].map((svg) => [
          svg.parentElement?.dataset['drawing'] ?? '',
          svg,
        ]),
      );
      const bytes = await packetPdf({ title: name, sections, drawings, photos });
      saveFile(`${job.id}.${shown}.pdf`, bytes, 'application/pdf');
    } catch (error) {
      notify(say('route.noPdf'), [
        {
          path: '',
          message: error instanceof Error ? error.message : reasonOf(error),
          wayOut: say('route.printInstead'),
        },
      ]);
    } finally {
      setBusy(false);
    }
  };
  const calendar = async () => {
    const house = around?.house ?? null;
    const made = await houseWorker.ask<string | null>((worker) => worker.calendar(job, house, new Date()));
    if (made === null) notify(say('route.nothingToRemind'));
    else saveFile(`${job.id}.reminders.ics`, made, 'text/calendar');
  };
  const netlist = async () => {
    const deck = await houseWorker.ask<string | null>((worker) => worker.netlist(job));
    if (deck !== null) saveFile(`${job.id}.cir`, deck, 'text/plain');
  };
  return (
    <main ref={sheets} className="p-4 print:p-0">
      <div className="mb-4 flex flex-wrap items-end gap-2 print:hidden">
        <Choice
          label={say('route.for')}
          value={shown}
          options={[
            { value: 'packet', label: say('route.inspector') },
            { value: 'owner', label: say('route.ownerShort') },
          ]}
          onChange={(value) => setShown(value === 'owner' ? 'owner' : 'packet')}
        />
        <button
          type="button"
          className="button button-strong"
          disabled={!sections || busy}
          onClick={() => void save()}
        >
          <FileDown aria-hidden size={18} /> {busy ? say('route.making') : say('route.savePdf')}
        </button>
        <button type="button" className="button" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> {say('route.print')}
        </button>
        <InOtherLanguage />
        <button type="button" className="button" onClick={() => void calendar()}>
          <CalendarPlus aria-hidden size={18} /> {say('route.calendar')}
        </button>
        {outcome.ok ? (
          <button type="button" className="button" onClick={() => void netlist()}>
            <CircuitBoard aria-hidden size={18} /> {say('route.netlist')}
          </button>
        ) : null}
      </div>
      {failed === null ? null : <p role="alert">▲ {failed}</p>}
      {sections ? (
        sections.map((section) => (
          <SectionView
            key={section.id}
            section={section}
            photos={record.photos}
            sheets={job.sheets}
            drawingOf={(box) => (outcome.ok ? drawBox(outcome.plan, box) : null)}
          />
        ))
      ) : (
        <p aria-busy>{say('route.puttingTogether')}</p>
      )}
    </main>
  );
}

/** The photos and sheets as a PDF takes them: drawn anew as JPEG, whatever they came as. */
async function picturesIn(design: Design, record: JobRecord): Promise<ReadonlyMap<string, PdfPhoto>> {
  const store = await (await openStore()).photos();
  const ready = new Map<string, PdfPhoto>();
  const removed = new Set(record.photos.filter((one) => one.removed !== null).map(({ id }) => id));
  const marks = new Map(record.photos.map((one) => [one.id, one.marks]));
  for (const { id, type } of picturesOf({ design, record })) {
    const bytes = removed.has(id) ? null : await store.bytes(id);
    if (!bytes) continue;
    // Drawn by the browser, so that it stands as its camera held it.
    const bitmap = await createImageBitmap(blobOf(bytes, type));
    const canvas = document.createElement('canvas');
    const share = Math.min(1, 1600 / Math.max(bitmap.width, bitmap.height));
    canvas.width = Math.round(bitmap.width * share);
    canvas.height = Math.round(bitmap.height * share);
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    ready.set(id, {
      data: canvas.toDataURL('image/jpeg', 0.85),
      widthPx: canvas.width,
      heightPx: canvas.height,
      marks: marks.get(id) ?? [],
    });
  }
  return ready;
}
