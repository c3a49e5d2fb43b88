import type { Block, Section } from '@core/handover/packet/section';
import { jsPDF } from 'jspdf';
import autoTable from 'jspdf-autotable';
import { svg2pdf } from 'svg2pdf.js';
import { standalone } from '~/drawing/standalone';
import { say } from '~/words/packet';

/** A photo ready to be put on a page. */
export interface PdfPhoto {
  /** JPEG as a data address. */
  readonly data: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly marks: readonly { readonly x: number; readonly y: number }[];
}

export interface PdfOf {
  readonly title: string;
  readonly sections: readonly Section[];
  /** Drawings as they stand on the page, by box. */
  readonly drawings: ReadonlyMap<string, SVGSVGElement>;
  readonly photos: ReadonlyMap<string, PdfPhoto>;
}

/** Letter paper, points. */
const [WIDE, HIGH, EDGE, FOOT] = [612, 792, 48, 40] as const;
const FACE = 'Packet';
const [SMALL, BODY, HEAD] = [9, 10.5, 16] as const;
/** A section begins on a new page where less than this is left, points. */
const ROOM = 140;

/** Signs that the packet's type does not have, as what they mean. */
const SPELLED: Readonly<Record<string, string>> = {
  '▲': '!',
  '✓': 'yes',
  '→': '–',
  '≤': 'at most ',
  '≥': 'at least ',
  Ω: ' ohm',
  '−': '-',
  '●': 'on',
  '○': 'off',
};
/** Text that can be set: Latin with what is spelled out; nothing that is not known is left blank in silence. */
const printable = (text: string): string =>
  text.replace(/[^\x20-\x7e\xa0-\xff–—‘’“”•…€™]/g, (sign) => SPELLED[sign] ?? (sign === '\n' ? ' ' : '?'));

/** A packet as a PDF: text that can be searched, drawings as vectors, page numbers, a bookmark for each section. */
export async function packetPdf({ title, sections, drawings, photos }: PdfOf): Promise<Uint8Array> {
  const doc = new jsPDF({ unit: 'pt', format: 'letter' });
  await addType(doc);
  doc.setProperties({ title: printable(title), creator: 'Split Tap' });
  let y: number = EDGE;
  const page = () => {
    doc.addPage();
    y = EDGE;
  };
  const need = (room: number) => {
    if (y + room > HIGH - EDGE - FOOT) page();
  };
  const write = (text: string, size: number, weight: 'normal' | 'bold', indent = 0) => {
    doc.setFont(FACE, weight).setFontSize(size).setTextColor(0);
    const lines = doc.splitTextToSize(printable(text), WIDE - 2 * EDGE - indent) as string[];
    for (const line of lines) {
      need(size * 1.35);
      y += size * 1.35;
      doc.text(line, EDGE + indent, y);
    }
  };
  const block = async (one: Block): Promise<void> => {
    switch (one.kind) {
      case 'text':
        write(one.text, BODY, one.strong ? 'bold' : 'normal');
        y += 6;
        return;
      case 'list':
        for (const item of one.items) write(`• ${item}`, BODY, 'normal', 10);
        y += 6;
        return;
      case 'table':
        autoTable(doc, {
          startY: y + 6,
          margin: { left: EDGE, right: EDGE, bottom: EDGE + FOOT / 2 },
          head: [one.head.map(printable)],
          body: one.rows.map((row) => row.map(printable)),
          styles: {
            font: FACE,
            fontSize: SMALL,
            cellPadding: 3,
            textColor: 0,
            lineColor: 120,
            lineWidth: 0.3,
          },
          headStyles: { font: FACE, fontStyle: 'bold', fillColor: 235, textColor: 0 },
          theme: 'grid',
        });
        y = ((doc as unknown as { lastAutoTable?: { finalY: number } }).lastAutoTable?.finalY ?? y) + 10;
        return;
      case 'drawing': {
        const drawing = drawings.get(one.box);
        if (!drawing) return;
        const own = ownType(standalone(drawing));
        const { width, height } = drawing.viewBox.baseVal;
        const scale = Math.min((WIDE - 2 * EDGE) / width, (HIGH * 0.5) / height);
        need(height * scale + 8);
        await svg2pdf(own, doc, { x: EDGE, y: y + 6, width: width * scale, height: height * scale });
        y += height * scale + 12;
        return;
      }
      case 'sheet': {
        const scale = Math.min((WIDE - 2 * EDGE) / one.widthPx, (HIGH * 0.6) / one.heightPx);
        const [width, height] = [one.widthPx * scale, one.heightPx * scale];
        need(height + 12);
        const picture = one.picture === null ? undefined : photos.get(one.picture);
        if (picture) doc.addImage(picture.data, 'JPEG', EDGE, y + 6, width, height);
        doc.setDrawColor('#000').rect(EDGE, y + 6, width, height, 'S');
        const at = (point: { readonly x: number; readonly y: number }): [number, number] => [
          EDGE + point.x * scale,
          y + 6 + point.y * scale,
        ];
        for (const outline of one.outlines) path(doc, outline.map(at), 'S');
        for (const pin of one.pins) pinMark(doc, at(pin), pin.number, pin.state);
        y += height + 16;
        return;
      }
      case 'photo': {
        const photo = photos.get(one.photo);
        if (photo) {
          const scale = Math.min((WIDE - 2 * EDGE) / photo.widthPx, 280 / photo.heightPx);
          const [width, height] = [photo.widthPx * scale, photo.heightPx * scale];
          need(height + 40);
          doc.addImage(photo.data, 'JPEG', EDGE, y + 6, width, height);
          photo.marks.forEach((mark, index) => {
            const [x, at] = [EDGE + mark.x * width, y + 6 + mark.y * height];
            doc.setFillColor('#fff').setDrawColor('#000').circle(x, at, 8, 'FD');
            doc.setFont(FACE, 'bold').setFontSize(SMALL).setTextColor(0);
            doc.text(String(index + 1), x, at + 3, { align: 'center' });
          });
          y += height + 10;
        }
        for (const line of one.says) write(line, SMALL, 'normal');
        y += 10;
      }
    }
  };
  for (const [index, section] of sections.entries()) {
    if (index === 1 || section.blocks.some(({ kind }) => kind === 'drawing' || kind === 'sheet')) page();
    else if (index > 0) need(ROOM);
    write(section.title, HEAD, 'bold');
    y += 6;
    doc.outline.add(null, printable(section.title), { pageNumber: doc.getNumberOfPages() });
    for (const one of section.blocks) await block(one);
    y += 12;
  }
  const pages = doc.getNumberOfPages();
  for (let number = 1; number <= pages; number++) {
    doc.setPage(number).setFont(FACE, 'normal').setFontSize(SMALL).setTextColor(60);
    doc.text(printable(say('pdf.footer', { title })), EDGE, HIGH - FOOT / 2 - 6);
    doc.text(say('pdf.page', { number, pages }), WIDE - EDGE, HIGH - FOOT / 2 - 6, { align: 'right' });
  }
  return new Uint8Array(doc.output('arraybuffer'));
}

/** A closed line through points. */
function path(doc: jsPDF, points: readonly (readonly [number, number])[], style: 'S' | 'FD'): void {
  const [first, ...rest] = points;
  if (!first) return;
  const steps = rest.map(([x, y], at) => {
    const [fromX, fromY] = points[at] ?? first;
    return [x - fromX, y - fromY];
  });
  doc.lines(steps, first[0], first[1], [1, 1], style, true);
}

/** A pin as on the screen: a full circle where it is met, a triangle where it is not, an open square on its tip to be decided. */
function pinMark(
  doc: jsPDF,
  [x, y]: readonly [number, number],
  number: number,
  state: 'met' | 'not met' | 'open',
): void {
  doc
    .setDrawColor('#000')
    .setFillColor(state === 'met' ? '#000' : '#fff')
    .setLineWidth(1.4);
  if (state === 'met') doc.circle(x, y, 7, 'FD');
  else if (state === 'not met')
    path(
      doc,
      [
        [x, y - 10],
        [x + 9.5, y + 7],
        [x - 9.5, y + 7],
      ],
      'FD',
    );
  else {
    doc.setLineDashPattern([2.5, 2], 0);
    path(
      doc,
      [
        [x, y - 9],
        [x + 9, y],
        [x, y + 9],
        [x - 9, y],
      ],
      'FD',
    );
    doc.setLineDashPattern([], 0);
  }
  doc
    .setLineWidth(0.5)
    .setFont(FACE, 'bold')
    .setFontSize(SMALL - 1)
    .setTextColor(state === 'met' ? 255 : 0);
  doc.text(String(number), x, y + (state === 'not met' ? 5 : 3), { align: 'center' });
  doc.setTextColor(0);
}

/** The packet's own type, from the files that ship with the app. */
async function addType(doc: jsPDF): Promise<void> {
  for (const [file, weight] of [
    ['packet-regular.ttf', 'normal'],
    ['packet-bold.ttf', 'bold'],
  ] as const) {
    const read = await fetch(`${import.meta.env.BASE_URL}fonts/${file}`);
    if (!read.ok) throw new Error(`/fonts/${file}: ${read.status}`);
    const bytes = new Uint8Array(await read.arrayBuffer());
    doc.addFileToVFS(file, btoa(bytes.reduce((text, byte) => text + String.fromCharCode(byte), '')));
    doc.addFont(file, FACE, weight);
  }
}

/** The drawing's texts in the packet's type. */
function ownType(drawing: SVGSVGElement): SVGSVGElement {
  for (const text of drawing.querySelectorAll('text, tspan')) {
    text.setAttribute('font-family', FACE);
    text.setAttribute('font-weight', Number(text.getAttribute('font-weight')) >= 600 ? 'bold' : 'normal');
  }
  const walk = document.createTreeWalker(drawing, NodeFilter.SHOW_TEXT);
  for (let node = walk.nextNode(); node; node = walk.nextNode())
    node.textContent = printable(node.textContent ?? '');
  return drawing;
}
