import { useState } from 'react';
import type { Sheet, SheetPoint } from '@core/job/model/sheet';
import { planeOf } from '@core/job/sheet/plane';
import { say } from '~/words/sheet';

/** What a tap on the sheet means; how many points it takes, and whether a length must be known before. */
export const TOOLS = {
  look: { points: 0, scaled: false, says: say('tool.look') },
  length: { points: 2, scaled: false, says: say('tool.length') },
  rectangle: { points: 4, scaled: false, says: say('tool.rectangle') },
  check: { points: 2, scaled: true, says: say('tool.check') },
  room: { points: 24, scaled: true, says: say('tool.room') },
  pull: { points: 2, scaled: true, says: say('tool.pull') },
  opening: { points: 2, scaled: true, says: say('tool.opening') },
  box: { points: 1, scaled: true, says: say('tool.box') },
  panel: { points: 1, scaled: true, says: say('tool.panel') },
  pin: { points: 1, scaled: false, says: say('tool.pin') },
} as const;
export type Tool = keyof typeof TOOLS;

/** What is tapped and not taken yet. */
export interface Hand {
  readonly tool: Tool;
  readonly points: readonly SheetPoint[];
  readonly choose: (tool: Tool) => void;
  readonly tap: (point: SheetPoint) => void;
  readonly move: (at: number, point: SheetPoint) => void;
  /** The last point off again. */
  readonly back: () => void;
  readonly clear: () => void;
}

/** On an empty sheet points lie on its grid, ft. */
const GRID_FT = 0.5;

/** A point as it counts on a sheet: on the picture, and on the grid where it is drawn on one. */
export function settled(sheet: Sheet, { x, y }: SheetPoint): SheetPoint {
  const within = {
    x: Math.min(Math.max(x, 0), sheet.widthPx),
    y: Math.min(Math.max(y, 0), sheet.heightPx),
  };
  const plane = sheet.picture ? null : planeOf(sheet);
  if (!plane) return within;
  const [xFt, yFt] = plane.toFloor(within);
  return plane.toSheet([Math.round(xFt / GRID_FT) * GRID_FT, Math.round(yFt / GRID_FT) * GRID_FT]);
}

export function useHand(sheet: Sheet): Hand {
  const [tool, setTool] = useState<Tool>(sheet.scale ? 'look' : 'length');
  const [points, setPoints] = useState<readonly SheetPoint[]>([]);
  const most = TOOLS[tool].points;
  return {
    tool,
    points,
    choose: (next) => {
      setTool(next);
      setPoints([]);
    },
    tap: (point) => {
      if (most === 0) return;
      // One more than are needed begins anew; a room takes no more.
      setPoints((before) =>
        before.length < most
          ? [...before, settled(sheet, point)]
          : most < 5
            ? [settled(sheet, point)]
            : before,
      );
    },
    move: (at, point) => setPoints((before) => before.with(at, settled(sheet, point))),
    back: () => setPoints((before) => before.slice(0, -1)),
    clear: () => setPoints([]),
  };
}
