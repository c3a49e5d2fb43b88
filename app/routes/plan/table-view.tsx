import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { LineCheck } from '@core/code/brief/check-lines';
import type { Sheet, SheetPoint } from '@core/job/model/sheet';
import { HOLDS_STILL, ZoomPane } from '~/ui/zoom-pane';
import { SheetPicture } from './sheet-picture';
import { useJob } from '../job/context';
import { PinMark } from './pin-mark';
import { TracedMarks } from './traced-marks';
import { settled, type Hand } from './tools';
import { say } from '~/words/sheet';

/** A tap that moved farther is a drag of the sheet, CSS pixels. */
const TAP_PX = 8;
/** Where a sheet is shown no wider, its marks are smaller, CSS pixels. */
const SMALL_PX = 500;
/** How far an arrow key moves the crosshair, CSS pixels, and with Shift. */
const STEP_PX = { plain: 10, fine: 1 } as const;
/** Keys that move it. */
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface Props {
  readonly sheet: Sheet;
  readonly hand: Hand;
  readonly pins: readonly { readonly check: LineCheck; readonly number: number }[];
  readonly chosen: string | null;
  readonly onChoose: (line: string) => void;
}

/** The sheet on the table: its picture, what is traced on it, its pins, and what is being tapped. */
export function TableView({ sheet, hand, pins, chosen, onChoose }: Props) {
  const { job } = useJob();
  const svg = useRef<SVGSVGElement>(null);
  const down = useRef<{ x: number; y: number } | null>(null);
  const [scale, setScale] = useState(1);
  const [aim, setAim] = useState<SheetPoint | null>(null);
  const shown = useShownWidth(svg);
  // Pixels of the picture that one of the screen takes: marks keep their size however close one is.
  const unit =
    (sheet.widthPx / (shown || sheet.widthPx) / scale) * (shown > 0 && shown * scale < SMALL_PX ? 0.7 : 1);
  const taps = hand.tool !== 'look';
  const pointAt = (event: PointerEvent): SheetPoint | null => {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return null;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return settled(sheet, { x, y });
  };
  const onKey = (event: KeyboardEvent) => {
    const way = ARROWS[event.key];
    const from = aim ?? { x: sheet.widthPx / 2, y: sheet.heightPx / 2 };
    if (way) {
      event.preventDefault();
      const step = STEP_PX[event.shiftKey ? 'fine' : 'plain'] * unit;
      const next = settled(sheet, { x: from.x + way[0] * step, y: from.y + way[1] * step });
      // A grid is coarser than a step.
      const stuck = next.x === from.x && next.y === from.y;
      setAim(
        stuck ? settled(sheet, { x: from.x + way[0] * 24 * unit, y: from.y + way[1] * 24 * unit }) : next,
      );
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      setAim(from);
      hand.tap(from);
    } else if (event.key === 'Backspace') {
      event.preventDefault();
      hand.back();
    }
  };
  return (
    <ZoomPane most={12} taps={taps} onScale={setScale}>
      <svg
        ref={svg}
        viewBox={`0 0 ${sheet.widthPx} ${sheet.heightPx}`}
        className={`max-h-[70dvh] w-full lg:max-h-[calc(100dvh-19.5rem)] rounded-xl border-2 border-line bg-paper ${sheet.picture ? 'on-paper' : ''}`}
        role="group"
        aria-label={say('table.sheet', { name: sheet.name })}
        data-sheet={sheet.id}
      >
        {taps ? (
          <g
            role="button"
            tabIndex={0}
            aria-label={say('table.tapped', { name: sheet.name })}
            className={`cursor-crosshair ${hand.tool === 'pull' ? HOLDS_STILL : ''}`}
            style={hand.tool === 'pull' ? { touchAction: 'none' } : {}}
            data-surface
            onKeyDown={onKey}
            onPointerDown={(event) => {
              down.current = { x: event.clientX, y: event.clientY };
              const at = hand.tool === 'pull' ? pointAt(event) : null;
              if (!at) return;
              event.currentTarget.setPointerCapture(event.pointerId);
              hand.clear();
              hand.tap(at);
            }}
            onPointerUp={(event) => {
              const from = down.current;
              down.current = null;
              if (!from) return;
              const moved = Math.hypot(event.clientX - from.x, event.clientY - from.y) > TAP_PX;
              // What is pulled ends where it is let go; a tap is a tap only where it did not wander.
              const at = moved === (hand.tool === 'pull') ? pointAt(event) : null;
              if (!at) return;
              setAim(null);
              hand.tap(at);
            }}
          >
            <Background sheet={sheet} unit={unit} />
          </g>
        ) : (
          <Background sheet={sheet} unit={unit} />
        )}
        <TracedMarks
          job={job}
          sheet={sheet}
          unit={unit}
          named={sheet.picture === null || (taps && hand.tool !== 'pin')}
        />
        {pins.map(({ check, number }) =>
          check.line.pin ? (
            <g
              key={check.line.id}
              role="button"
              tabIndex={0}
              aria-pressed={chosen === check.line.id}
              aria-label={say('table.pin', { number, says: check.line.says, state: check.state })}
              transform={`translate(${check.line.pin.x} ${check.line.pin.y}) scale(${unit})`}
              className={taps ? 'pointer-events-none' : 'cursor-pointer'}
              onClick={() => onChoose(check.line.id)}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') onChoose(check.line.id);
              }}
            >
              <PinMark state={check.state} number={number} chosen={chosen === check.line.id} />
            </g>
          ) : null,
        )}
        <InHand sheet={sheet} hand={hand} unit={unit} pointAt={pointAt} />
        {aim && taps ? (
          <path
            transform={`translate(${aim.x} ${aim.y}) scale(${unit})`}
            d="M-16 0h32M0 -16v32"
            stroke="var(--plum)"
            strokeWidth={3}
            className="pointer-events-none"
            data-aim
          />
        ) : null}
      </svg>
    </ZoomPane>
  );
}

/** How wide an element is shown, CSS pixels. */
function useShownWidth(of: { readonly current: SVGSVGElement | null }): number {
  const [wide, setWide] = useState(0);
  useEffect(() => {
    const own = of.current;
    if (!own) return;
    // The drawing keeps its shape within its frame.
    const measure = () => {
      const matrix = own.getScreenCTM();
      const { width } = own.viewBox.baseVal;
      if (matrix)
        setWide(width * Math.min(own.clientWidth / width, own.clientHeight / own.viewBox.baseVal.height));
    };
    const seen = new ResizeObserver(measure);
    seen.observe(own);
    return () => seen.disconnect();
  }, [of]);
  return wide;
}

/** The picture of a sheet, or the grid of one that is drawn on. */
function Background({ sheet, unit }: { sheet: Sheet; unit: number }) {
  if (sheet.picture)
    return (
      <SheetPicture
        picture={sheet.picture}
        widthPx={sheet.widthPx}
        heightPx={sheet.heightPx}
        missing={
          <text
            x={sheet.widthPx / 2}
            y={sheet.heightPx / 2}
            textAnchor="middle"
            fontSize={sheet.widthPx / 40}
            fill="var(--ink)"
          >
            {say('table.notKept')}
          </text>
        }
      />
    );
  const { scale } = sheet;
  const foot = scale?.by === 'length' ? sheet.widthPx / scale.lengthFt : sheet.widthPx / 60;
  const lines = (every: number) => {
    const step = foot * every;
    return [
      ...Array.from(
        { length: Math.floor(sheet.widthPx / step) + 1 },
        (_, at) => `M${at * step} 0V${sheet.heightPx}`,
      ),
      ...Array.from(
        { length: Math.floor(sheet.heightPx / step) + 1 },
        (_, at) => `M0 ${at * step}H${sheet.widthPx}`,
      ),
    ].join('');
  };
  return (
    <g fill="none" stroke="var(--line)">
      <rect width={sheet.widthPx} height={sheet.heightPx} fill="var(--paper)" stroke="none" />
      <path d={lines(1)} strokeWidth={0.6 * unit} />
      <path d={lines(5)} strokeWidth={1.6 * unit} />
    </g>
  );
}

/** What is tapped and not taken yet: points that can be moved, and the lines between them. */
function InHand({
  sheet,
  hand: { points, tool, move },
  unit,
  pointAt,
}: {
  sheet: Sheet;
  hand: Hand;
  unit: number;
  pointAt: (event: PointerEvent) => SheetPoint | null;
}) {
  const [held, setHeld] = useState<number | null>(null);
  const [first, second] = points;
  const outline =
    tool === 'pull' && first && second
      ? `M${first.x} ${first.y}H${second.x}V${second.y}H${first.x}Z`
      : points.map(({ x, y }, at) => `${at === 0 ? 'M' : 'L'}${x} ${y}`).join('') +
        ((tool === 'room' || tool === 'rectangle') && points.length > 2 ? 'Z' : '');
  return (
    <>
      <g className="pointer-events-none" fill="none">
        <path d={outline} stroke="var(--sand)" strokeWidth={6 * unit} />
        <path d={outline} stroke="var(--plum)" strokeWidth={3 * unit} />
      </g>
      {points.map((point, at) => (
        <g
          key={at}
          className={`${HOLDS_STILL} cursor-grab`}
          role="button"
          tabIndex={0}
          aria-label={say('table.point', { number: at + 1 })}
          style={{ touchAction: 'none' }}
          transform={`translate(${point.x} ${point.y}) scale(${unit})`}
          onPointerDown={(event) => {
            event.stopPropagation();
            event.currentTarget.setPointerCapture(event.pointerId);
            setHeld(at);
          }}
          onPointerMove={(event) => {
            const to = held === at ? pointAt(event) : null;
            if (to) move(at, to);
          }}
          onPointerUp={(event) => {
            event.stopPropagation();
            setHeld(null);
          }}
          onKeyDown={(event) => {
            const way = ARROWS[event.key];
            if (!way) return;
            event.preventDefault();
            const step = STEP_PX[event.shiftKey ? 'fine' : 'plain'] * unit;
            move(at, settled(sheet, { x: point.x + way[0] * step, y: point.y + way[1] * step }));
          }}
        >
          <circle r={16} fill="transparent" />
          <circle r={7} fill="none" stroke="var(--sand)" strokeWidth={5} />
          <circle r={7} fill="none" stroke="var(--plum)" strokeWidth={2.5} />
          <circle r={1.2} fill="var(--plum)" />
        </g>
      ))}
    </>
  );
}
