import { FileDown } from 'lucide-react';
import type { BoxDrawing } from '@core/wiring/geometry/drawing';
import type { Photo } from '@core/job/model/record';
import type { Sheet } from '@core/job/model/sheet';
import type { Block, Section } from '@core/handover/packet/section';
import { BoxFigure } from '~/drawing/box-figure';
import { saveFile } from '~/ui/save-file';
import { Marked } from '../record/photo-card';
import { SheetFigure } from './sheet-figure';
import { say } from '~/words/packet';

interface Props {
  readonly section: Section;
  readonly photos: readonly Photo[];
  readonly sheets: readonly Sheet[];
  readonly drawingOf: (box: string) => BoxDrawing | null;
}

/** The drawing that a button stands below, as a file of its own. */
async function saveDrawing(button: HTMLElement, box: string, kind: 'SVG' | 'PNG'): Promise<void> {
  const drawing = button.closest('[data-drawing]')?.querySelector('svg');
  if (!drawing) return;
  const { pngOf, svgText } = await import('~/drawing/standalone');
  if (kind === 'SVG') saveFile(`${box}.svg`, svgText(drawing), 'image/svg+xml');
  else saveFile(`${box}.png`, await pngOf(drawing), 'image/png');
}

/** A section of a packet as a sheet. */
export function SectionView({ section: { id, title, blocks }, photos, sheets, drawingOf }: Props) {
  return (
    <section className="sheet grid content-start gap-3" aria-labelledby={`packet-${id}`} data-section={id}>
      <h2 id={`packet-${id}`} className="border-b-2 border-current pb-1 text-lg font-bold">
        {title}
      </h2>
      {blocks.map((block, index) => (
        <BlockView key={index} block={block} photos={photos} sheets={sheets} drawingOf={drawingOf} />
      ))}
    </section>
  );
}

function BlockView({ block, photos, sheets, drawingOf }: { block: Block } & Omit<Props, 'section'>) {
  switch (block.kind) {
    case 'text':
      return <p className={block.strong ? 'font-bold' : ''}>{block.text}</p>;
    case 'list':
      return (
        <ul className="list-disc pl-5">
          {block.items.map((item) => (
            <li key={item}>{item}</li>
          ))}
        </ul>
      );
    case 'table':
      return (
        <div className="overflow-x-auto">
          <table className="w-full text-sm">
            <thead>
              <tr className="border-b-2 border-current text-left align-bottom">
                {block.head.map((name) => (
                  <th key={name} scope="col" className="py-1 pr-3">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {block.rows.map((row, index) => (
                <tr key={index} className="border-b border-current/40 align-top">
                  {row.map((cell, at) => (
                    <td key={at} className="py-1 pr-3">
                      {cell}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      );
    case 'drawing': {
      const drawing = drawingOf(block.box);
      return drawing ? (
        <div data-drawing={block.box}>
          <BoxFigure drawing={drawing} title={block.title} className="max-h-[5.6in] w-full" />
          <div className="flex gap-2 print:hidden">
            {(['SVG', 'PNG'] as const).map((kind) => (
              <button
                key={kind}
                type="button"
                className="chip"
                onClick={(event) => void saveDrawing(event.currentTarget, block.box, kind)}
              >
                <FileDown aria-hidden size={16} className="inline" />{' '}
                {say('section.drawing', { kind, place: block.title })}
              </button>
            ))}
          </div>
        </div>
      ) : null;
    }
    case 'sheet':
      return <SheetFigure block={block} sheets={sheets} />;
    case 'photo': {
      const photo = photos.find(({ id }) => id === block.photo);
      return (
        <figure className="grid max-w-xl gap-1 break-inside-avoid">
          {photo ? <Marked photo={photo} /> : null}
          {block.says.map((line) => (
            <figcaption key={line} className="text-sm">
              {line}
            </figcaption>
          ))}
        </figure>
      );
    }
  }
}
