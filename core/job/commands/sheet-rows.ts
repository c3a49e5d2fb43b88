import { z } from 'zod';
import { Box, Room, type Design } from '../model/design';
import { FloorPlace, Sheet } from '../model/sheet';
import { entryOn } from './entry';
import { someOf } from './some-of';
import { find } from './upkeep';
import { say } from '../../base/words/commands';

const { id: Id } = Box.shape;
const on = entryOn<Design>();

/** What is done on the sheet that the work starts from. */
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
    'set sheet',
    { sheet: Id, change: someOf(Sheet.pick({ name: true, check: true })) },
    say('sheetRows.set'),
    (design, { sheet, change }) => {
      Object.assign(find(design.sheets, sheet), change);
    },
  ),
  /** Rooms keep their walls, boxes their spots on them; what was told by the sheet alone is no longer known. */
  on('remove sheet', { sheet: Id }, say('sheetRows.removed'), (design, { sheet }) => {
    design.sheets = design.sheets.filter(({ id }) => id !== sheet);
    for (const room of design.rooms) if (room.plan?.sheet === sheet) room.plan = null;
    for (const box of design.boxes) if (box.at?.sheet === sheet) box.at = null;
    if (design.panelAt?.sheet === sheet) design.panelAt = null;
  }),
  /** What comes of taps on a sheet (`job/sheet/trace`), all of it at once: its scale, rooms, places of boxes and of the panel. */
  on(
    'trace',
    {
      sheet: Id,
      scale: Sheet.shape.scale.unwrap(),
      rooms: z.array(Room).max(60),
      boxes: z
        .array(z.strictObject({ box: Id, at: Box.pick({ spot: true, at: true, room: true }) }))
        .max(400),
      panelAt: FloorPlace.nullable(),
    },
    ({ sheet }, { sheets }) =>
      say('sheetRows.traced', { name: sheets.find(({ id }) => id === sheet)?.name ?? sheet }),
    (design, { sheet, scale, rooms, boxes, panelAt }) => {
      find(design.sheets, sheet).scale = scale;
      for (const room of rooms) {
        const at = design.rooms.findIndex(({ id }) => id === room.id);
        if (at < 0) design.rooms.push(room);
        else design.rooms[at] = room;
      }
      for (const { box, at } of boxes) Object.assign(design.boxes.find(({ id }) => id === box) ?? {}, at);
      design.panelAt = panelAt;
    },
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
] as const;
