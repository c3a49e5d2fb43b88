import { getDocument, GlobalWorkerOptions, type PDFDocumentProxy } from 'pdfjs-dist';
import worker from 'pdfjs-dist/build/pdf.worker.min.mjs?url';
import { bad, good, type Checked } from '@core/job/model/problem';
import { MOST_PX } from './take-sheet';
import { say } from '~/words/sheet';

/*
 * Pages of a PDF as pictures. The reader is loaded when the first PDF is brought in, and works in a worker of its own; nothing
 * in a file is carried out.
 */
GlobalWorkerOptions.workerSrc = worker;

/** Larger files are not read, bytes; pages beyond are not shown. */
const MOST_BYTES = 80_000_000;
const MOST_PAGES = 500;
/** The longest side of what is shown to choose a page by, pixels. */
const PREVIEW_PX = 700;

export interface PdfPages {
  readonly count: number;
  /** Draws a page, counted from 1, with its longest side at most so long. */
  readonly draw: (page: number, canvas: HTMLCanvasElement, mostPx?: number) => Promise<boolean>;
  readonly close: () => void;
}

/** Opens a PDF; one that is locked, broken or too large gives a problem. */
export async function openPdf(bytes: Uint8Array, name: string): Promise<Checked<PdfPages>> {
  const refuse = (message: string) => bad({ path: name, message, wayOut: say('pdf.wayOut') });
  if (bytes.length > MOST_BYTES) return refuse(say('pdf.tooLarge', { most: MOST_BYTES / 1e6 }));
  const task = getDocument({
    data: bytes,
    isEvalSupported: false,
    enableXfa: false,
    useWasm: false,
    wasmUrl: `${import.meta.env.BASE_URL}pdf/`,
    canvasMaxAreaInBytes: 4 * MOST_PX * MOST_PX,
  });
  let pdf: PDFDocumentProxy;
  try {
    pdf = await task.promise;
  } catch (error) {
    void task.destroy();
    return refuse(
      error instanceof Error && error.name === 'PasswordException' ? say('pdf.locked') : say('pdf.broken'),
    );
  }
  return good({
    count: Math.min(pdf.numPages, MOST_PAGES),
    draw: async (number, canvas, mostPx = PREVIEW_PX) => {
      try {
        const page = await pdf.getPage(number);
        const own = page.getViewport({ scale: 1 });
        const viewport = page.getViewport({ scale: mostPx / Math.max(own.width, own.height) });
        canvas.width = Math.max(Math.round(viewport.width), 1);
        canvas.height = Math.max(Math.round(viewport.height), 1);
        await page.render({ canvas, viewport, background: '#ffffff' }).promise;
        page.cleanup();
        return true;
      } catch {
        return false;
      }
    },
    close: () => void task.destroy(),
  });
}
