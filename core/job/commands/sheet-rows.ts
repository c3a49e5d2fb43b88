import { z } from 'zod';
import { Box, OPENINGS, Room, type Design } from '../model/design';
import type { Problem } from '../model/problem';
import { Measure, Sheet, SheetPoint, SheetScale } from '../model/sheet';
import { planeOf } from '../sheet/plane';
import { removeSheet, rescale, traceBox, traceOpening, tracePanel, traceRoom } from '../sheet/trace';
import { entryOn } from './entry';
import { find } from './upkeep';
import { say } from '../../base/words/commands';

const { id: Id } = Box.shape;
const on = entryOn<Design>();

/** Nothing is traced before a length is known. */
const unscaled = ({ sheet }: { readonly sheet: string }, { sheets }: Design): Problem | null => {
  const own = sheets.find(({ id }) => id === sheet);
  return own && !planeOf(own)
    ? {
        path: 'sheet',
        message: say('sheetRows.noScale', { name: own.name }),
        wayOut: say('sheetRows.scaleFirst'),
      }
    : null;
};

/** What is done on the sheet that the work starts from. What is tapped comes in pixels of its picture. */
export const SHEET_COMMANDS = [
  on(
    'add sheet',
    { sheet: Sheet },
    ({ sheet }) => say('sheetRows.sheet', { name: sheet.name }),
    (design, { sheet }) => {
      design.sheets.push(sheet);
    },
  ),
  on(
    'rename sheet',
    { sheet: Id, name: Sheet.shape.name },
    say('sheetRows.renamed'),
    (design, { sheet, name }) => {
      find(design.sheets, sheet).name = name;
    },
  ),
  /** What was traced before stays where it is on the picture. */
  on(
    'scale sheet',
    { sheet: Id, scale: SheetScale },
    say('sheetRows.scale'),
    (design, { sheet, scale }) => rescale(design, sheet, scale),
    ({ scale }) =>
      planeOf({ scale })
        ? null
        : { path: 'scale', message: say('sheetRows.spansNothing'), wayOut: say('sheetRows.tapFarther') },
  ),
  on(
    'check sheet',
    { sheet: Id, check: Measure.nullable() },
    say('sheetRows.check'),
    (design, { sheet, check }) => {
      find(design.sheets, sheet).check = check;
    },
    unscaled,
  ),
  on('remove sheet', { sheet: Id }, say('sheetRows.removed'), (design, { sheet }) =>
    removeSheet(design, sheet),
  ),
  /** A room by its corners; `room`: one that is there gets these walls. */
  on(
    'trace room',
    {
      sheet: Id,
      corners: z.array(SheetPoint).min(3).max(24),
      room: Id.nullable(),
      name: Room.shape.name,
      kind: Room.shape.kind.unwrap(),
    },
    ({ name }) => say('designTable.room', { room: name }),
    (design, { sheet, ...what }) => traceRoom(design, { sheet, ...what }),
    unscaled,
  ),
  on(
    'trace opening',
    { sheet: Id, room: Id, kind: z.enum(OPENINGS), from: SheetPoint, to: SheetPoint },
    ({ kind }) => say('sheetRows.opening', { kind }),
    (design, { sheet, ...what }) => traceOpening(design, { sheet, ...what }),
    unscaled,
  ),
  on(
    'remove opening',
    { room: Id, opening: Id },
    say('sheetRows.openingRemoved'),
    (design, { room, opening }) => {
      const own = find(design.rooms, room);
      own.openings = own.openings.filter(({ id }) => id !== opening);
    },
  ),
  on(
    'trace box',
    { sheet: Id, box: Id, at: SheetPoint },
    ({ box }, { boxes }) => say('sheetRows.box', { name: boxes.find(({ id }) => id === box)?.name ?? box }),
    (design, { sheet, box, at }) => traceBox(design, sheet, box, at),
    unscaled,
  ),
  on(
    'trace panel',
    { sheet: Id, at: SheetPoint },
    say('sheetRows.panel'),
    (design, { sheet, at }) => tracePanel(design, sheet, at),
    unscaled,
  ),
] as const;
