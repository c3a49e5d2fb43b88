import { Camera, FileImage, Grid3x3 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { freshId } from '@core/job/model/fresh-id';
import { MAX_PHOTO_BYTES } from '@core/job/model/picture';
import type { Checked } from '@core/job/model/problem';
import type { Sheet } from '@core/job/model/sheet';
import { useNotify } from '~/ui/notices';
import { PlainDialog } from '~/ui/plain-dialog';
import { useJob } from '../job/context';
import type { PdfPages } from './pdf-pages';
import { emptySheet, isPdf, MOST_PX, sheetOfCanvas, sheetOfPicture } from './take-sheet';
import { say } from '~/words/sheet';

type Taken = ReturnType<typeof emptySheet>;

/** A sheet comes in: by the camera, as a picture, as a page of a PDF, or empty to be drawn on. */
export function BringIn({ onCame }: { onCame: (sheet: string) => void }) {
  const { job, run } = useJob();
  const notify = useNotify();
  const camera = useRef<HTMLInputElement>(null);
  const files = useRef<HTMLInputElement>(null);
  const [pages, setPages] = useState<{ pdf: PdfPages; name: string } | null>(null);
  const [busy, setBusy] = useState(false);
  const add = (taken: Taken, name: string) => {
    const title = name.trim().slice(0, 80) || say('bring.sheet', { number: job.sheets.length + 1 });
    const id = freshId(job.sheets, title);
    run({ do: 'add sheet', sheet: { id, name: title, check: null, ...taken } satisfies Sheet });
    onCame(id);
  };
  const took = (taken: Checked<Taken>, name: string) => {
    if (taken.ok) add(taken.value, name.replace(/\.\w+$/, ''));
    else notify(say('bring.notTaken'), taken.problems);
  };
  const open = async (file: File) => {
    const bytes = new Uint8Array(await file.slice(0, 4 * MAX_PHOTO_BYTES).arrayBuffer());
    if (!isPdf(bytes)) return took(await sheetOfPicture(bytes, file.name, job.id), file.name);
    const reader = await import('./pdf-pages').catch(() => null);
    if (!reader) return notify(say('bring.noReader'));
    const pdf = await reader.openPdf(bytes, file.name);
    if (!pdf.ok) notify(say('bring.notTaken'), pdf.problems);
    else setPages({ pdf: pdf.value, name: file.name });
  };
  const take = (input: HTMLInputElement) => {
    const [file] = input.files ?? [];
    if (!file) return;
    setBusy(true);
    void open(file).finally(() => {
      input.value = '';
      setBusy(false);
    });
  };
  return (
    <div className="flex flex-wrap gap-2" aria-busy={busy}>
      <button type="button" className="button" disabled={busy} onClick={() => files.current?.click()}>
        <FileImage aria-hidden size={18} /> {busy ? say('bring.reading') : say('bring.file')}
      </button>
      <button type="button" className="button" disabled={busy} onClick={() => camera.current?.click()}>
        <Camera aria-hidden size={18} /> {say('bring.photo')}
      </button>
      <button type="button" className="button" onClick={() => add(emptySheet(), '')}>
        <Grid3x3 aria-hidden size={18} /> {say('bring.empty')}
      </button>
      <input
        ref={files}
        type="file"
        accept="image/jpeg,image/png,image/webp,application/pdf"
        className="hidden"
        aria-label={say('bring.file')}
        onChange={(event) => take(event.currentTarget)}
      />
      <input
        ref={camera}
        type="file"
        accept="image/*"
        capture="environment"
        className="hidden"
        aria-label={say('bring.photo')}
        onChange={(event) => take(event.currentTarget)}
      />
      {pages ? (
        <ChoosePage
          pdf={pages.pdf}
          onClose={() => {
            pages.pdf.close();
            setPages(null);
          }}
          onTake={async (page) => {
            const canvas = document.createElement('canvas');
            if (await pages.pdf.draw(page, canvas, MOST_PX))
              took(await sheetOfCanvas(canvas, pages.name, job.id, 'image/png'), pages.name);
            else notify(say('bring.notTaken'), [{ path: pages.name, message: say('pdf.noPage', { page }) }]);
            pages.pdf.close();
            setPages(null);
          }}
        />
      ) : null}
    </div>
  );
}

function ChoosePage({
  pdf,
  onTake,
  onClose,
}: {
  pdf: PdfPages;
  onTake: (page: number) => Promise<void>;
  onClose: () => void;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [page, setPage] = useState(1);
  const [state, setState] = useState<'drawing' | 'shown' | 'failed' | 'taking'>('drawing');
  useEffect(() => {
    let gone = false;
    // Drawn beside the page: what is half drawn is never shown.
    const beside = document.createElement('canvas');
    void pdf.draw(page, beside).then((drawn) => {
      const own = canvas.current;
      if (gone || !own) return;
      own.width = beside.width;
      own.height = beside.height;
      if (drawn) own.getContext('2d')?.drawImage(beside, 0, 0);
      setState(drawn ? 'shown' : 'failed');
    });
    return () => {
      gone = true;
    };
  }, [pdf, page]);
  const turn = (to: number) => {
    setState('drawing');
    setPage(to);
  };
  return (
    <PlainDialog title={say('pdf.choose')} close={say('pdf.leave')} onClose={onClose}>
      <canvas
        ref={canvas}
        role="img"
        aria-label={say('pdf.page', { page, count: pdf.count })}
        className="max-h-[50dvh] max-w-full justify-self-center border-2 border-line bg-paper"
      />
      <p role="status">
        {state === 'failed'
          ? say('pdf.noPage', { page })
          : state === 'shown'
            ? say('pdf.page', { page, count: pdf.count })
            : say('bring.reading')}
      </p>
      <div className="flex flex-wrap gap-2">
        {pdf.count > 1 ? (
          <>
            <button type="button" className="button" disabled={page <= 1} onClick={() => turn(page - 1)}>
              {say('pdf.before')}
            </button>
            <button
              type="button"
              className="button"
              disabled={page >= pdf.count}
              onClick={() => turn(page + 1)}
            >
              {say('pdf.next')}
            </button>
          </>
        ) : null}
        <button
          type="button"
          className="button button-strong"
          disabled={state !== 'shown'}
          onClick={() => {
            setState('taking');
            void onTake(page);
          }}
        >
          {say('pdf.take')}
        </button>
      </div>
    </PlainDialog>
  );
}
