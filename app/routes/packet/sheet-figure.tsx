import type { Block } from '@core/handover/packet/section';
import type { Sheet } from '@core/job/model/sheet';
import { PinMark } from '../plan/pin-mark';
import { SheetPicture } from '../plan/sheet-picture';
import { say } from '~/words/packet';

type SheetBlock = Extract<Block, { kind: 'sheet' }>;

/** How wide a mark stands on paper, as a part of the sheet. */
const MARK = 1 / 900;

/** The sheet that the work starts from, with its call-outs as they stand: a page of the packet. */
export function SheetFigure({ block, sheets }: { block: SheetBlock; sheets: readonly Sheet[] }) {
  const own = sheets.find(({ picture }) => picture !== null && picture.id === block.picture)?.picture;
  const { widthPx, heightPx } = block;
  return (
    <svg
      viewBox={`0 0 ${widthPx} ${heightPx}`}
      role="img"
      aria-label={say('sheets.figure', { name: block.title, count: block.pins.length })}
      className="max-h-[6.4in] w-full border border-current"
    >
      {own ? <SheetPicture picture={own} widthPx={widthPx} heightPx={heightPx} /> : null}
      {block.outlines.map((outline, index) => (
        <path
          key={index}
          d={`${outline.map(({ x, y }, at) => `${at === 0 ? 'M' : 'L'}${x} ${y}`).join('')}Z`}
          fill="none"
          stroke="currentColor"
          strokeWidth={widthPx / 300}
        />
      ))}
      {block.pins.map(({ x, y, number, state }) => (
        <g key={number} transform={`translate(${x} ${y}) scale(${widthPx * MARK})`}>
          <PinMark state={state} number={number} />
        </g>
      ))}
    </svg>
  );
}
