import { memo } from 'react';
import type { MapSymbol } from '@core/code/brief/symbols';
import type { Run } from '@core/job/model/design';
import { AGE_NAME } from '@core/job/model/names';
import type { Insulation } from '@core/trade/standards/cables';
import { type MapArea, type MapPoint, MAP_SIZES, symbolRow } from '@core/wiring/geometry/map-sizes';
import { Ribbon } from '~/drawing/ribbon';
import { Symbol } from '~/drawing/symbols';
import { say } from '~/words/lay-out';
import type { MapMenuAt } from './map-menu-at';

export type Chosen = { readonly kind: 'box' | 'run'; readonly id: string };

/** Round the map, px. */
export const EDGE = 20;

export const styleOf = ({ x, y, width, height }: MapArea) => ({
  left: x + EDGE,
  top: y + EDGE,
  width,
  height,
});

export const lengthWords = ({ lengthFt, existing }: Run): string =>
  say('runMap.ft', { lengthFt, age: existing ? AGE_NAME.existing : AGE_NAME.new });

/** The ribbon of a run, its conductors named by their insulations, so that it is drawn anew only with them. */
export const Strands = memo(function Strands({
  points,
  strands,
}: {
  points: readonly MapPoint[];
  strands: string;
}) {
  const insulations = strands === '' ? [] : (strands.split(' ') as Insulation[]);
  const step = Math.min(STRAND_PX, (2 * MAP_SIZES.halfRibbon) / Math.max(insulations.length, 1));
  return <Ribbon points={points} insulations={insulations} step={step} />;
});

/** From one conductor of a ribbon to the next, px. */
const STRAND_PX = 4.6;

export const RunLabel = memo(function RunLabel({
  run,
  from,
  to,
  type,
  picked,
  area,
  onOpen,
}: {
  run: Run;
  from: string;
  to: string;
  type: string;
  picked: boolean;
  area: MapArea;
  onOpen: (at: MapMenuAt) => void;
}) {
  const age = run.existing ? AGE_NAME.existing : AGE_NAME.new;
  return (
    <button
      type="button"
      data-run={run.id}
      data-drop-run={run.id}
      aria-pressed={picked}
      aria-label={say('runMap.runFromFt', { from, to, type, lengthFt: run.lengthFt, age })}
      onClick={() => onOpen({ kind: 'run', id: run.id })}
      className="absolute grid place-content-center rounded-md text-center text-sm leading-tight ring-plum aria-pressed:bg-plum-tint aria-pressed:ring-2"
      style={styleOf(area)}
    >
      <span className="num block whitespace-nowrap">{type}</span>
      <span className="block text-xs whitespace-nowrap text-ink-soft">{lengthWords(run)}</span>
    </button>
  );
});

export const BoxNode = memo(function BoxNode({
  id,
  name,
  symbols,
  picked,
  area,
  onChoose,
}: {
  id: string;
  name: string;
  symbols: string;
  picked: boolean;
  area: MapArea;
  onChoose: (chosen: Chosen) => void;
}) {
  const all = symbols.split(' ').filter(Boolean) as MapSymbol[];
  const room = { x: 0, y: 0, width: area.width - 24, height: 26 };
  const { scale, at } = symbolRow(all.length, room);
  return (
    <button
      id={`map-${id}`}
      type="button"
      data-drop-box={id}
      aria-pressed={picked}
      title={name}
      onClick={() => onChoose({ kind: 'box', id })}
      className="absolute grid content-center rounded-xl border-2 border-ink bg-sand px-2.5 text-left ring-plum aria-pressed:border-plum aria-pressed:bg-plum-tint aria-pressed:ring-2"
      style={styleOf(area)}
    >
      <span className={`font-bold ${sizeOf(name)}`}>{name}</span>
      <svg width={room.width} height={room.height} viewBox={`0 0 ${room.width} ${room.height}`} aria-hidden>
        {all.map((symbol, index) => (
          <g
            key={index}
            transform={`translate(${at[index]?.x ?? 0} ${at[index]?.y ?? 0}) scale(${scale * SYMBOL_SCALE})`}
          >
            <Symbol symbol={symbol} />
          </g>
        ))}
      </svg>
    </button>
  );
});

/** A name is smaller before it is cut, and stands in two lines before that. */
const sizeOf = ({ length }: string): string =>
  length > 14 ? 'line-clamp-2 text-xs leading-tight' : length > 12 ? 'truncate text-sm' : 'truncate';

/** A symbol is drawn 28 wide at its full size; the row leaves a little air. */
const SYMBOL_SCALE = 0.86;
