import type { Job } from './job';
import type { Photo } from './record';

/** A picture that a job has: of the record, or the sheet that it starts from. Its bytes are kept under its id. */
export interface Picture {
  readonly id: string;
  readonly type: Photo['type'];
}

/** All pictures of a job, each once. */
export function picturesOf({ design, record }: Job): readonly Picture[] {
  const all = [...record.photos, ...design.sheets.flatMap(({ picture }) => picture ?? [])];
  return [...new Map(all.map(({ id, type }) => [id, { id, type }])).values()];
}

/** The same job with its pictures under other ids. */
export function renamedPictures({ design, record }: Job, names: ReadonlyMap<string, string>): Job {
  const own = (id: string): string => names.get(id) ?? id;
  return {
    design: {
      ...design,
      sheets: design.sheets.map((sheet) => ({
        ...sheet,
        picture: sheet.picture && { ...sheet.picture, id: own(sheet.picture.id) },
      })),
    },
    record: { ...record, photos: record.photos.map((photo) => ({ ...photo, id: own(photo.id) })) },
  };
}
