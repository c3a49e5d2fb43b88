import type { PDFDocumentProxy } from 'pdfjs-dist';

/** A PDF as a reader of texts has it: nothing of it is drawn here, and what would draw need not be there. */
export async function readPdf(data: Uint8Array): Promise<PDFDocumentProxy> {
  for (const name of ['DOMMatrix', 'ImageData', 'Path2D'])
    if (!(name in globalThis)) Reflect.set(globalThis, name, function Nothing() {});
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  return getDocument({ data }).promise;
}
