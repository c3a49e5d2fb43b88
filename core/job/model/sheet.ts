import { z } from 'zod';
import { Id, Name } from './fields';
import { MAX_PHOTO_BYTES, MAX_PHOTO_PX, PHOTO_TYPES } from './picture';

/* The sheet that the work starts from: its picture, and how it is scaled. What is traced on it stands with rooms and boxes. */

/** A point of a sheet, in pixels of its picture from its upper left corner. */
export const SheetPoint = z.strictObject({
  x: z.number().min(0).max(MAX_PHOTO_PX),
  y: z.number().min(0).max(MAX_PHOTO_PX),
});

/** Longest side of what is drawn on a sheet, ft. */
const MOST_FT = 2000;
const lengthFt = z.number().min(0.25).max(MOST_FT);

/** Two points and how far apart they are. */
export const Measure = z.strictObject({ from: SheetPoint, to: SheetPoint, lengthFt });

/** How pixels become feet. */
export const SheetScale = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('length'), ...Measure.shape }),
  z.strictObject({
    by: z.literal('rectangle'),
    corners: z.array(SheetPoint).length(4).describe('Clockwise from the upper left'),
    wideFt: lengthFt,
    highFt: lengthFt,
  }),
]);

export const Sheet = z.strictObject({
  id: Id,
  name: Name,
  picture: z
    .strictObject({
      id: Id.describe('Its bytes are kept like those of a photo, under this id'),
      type: z.enum(PHOTO_TYPES),
      bytes: z.int().min(1).max(MAX_PHOTO_BYTES),
    })
    .nullable()
    .describe('null: an empty sheet that is drawn on'),
  widthPx: z.int().min(1).max(MAX_PHOTO_PX),
  heightPx: z.int().min(1).max(MAX_PHOTO_PX),
  scale: SheetScale.nullable().default(null),
  check: Measure.nullable().default(null).describe('A second length, that shows how well the scale fits'),
});

const coordinate = z.number().min(-5000).max(5000);
/** A place on the floor that a sheet shows, ft from the sheet's own origin, x to the right, y down. */
export const FloorPlace = z.strictObject({ sheet: Id, xFt: coordinate, yFt: coordinate });

export type SheetPoint = z.infer<typeof SheetPoint>;
export type SheetScale = z.infer<typeof SheetScale>;
export type Measure = z.infer<typeof Measure>;
export type Sheet = z.infer<typeof Sheet>;
export type FloorPlace = z.infer<typeof FloorPlace>;
