import type { Shop } from '../../choices/takeoff/shop';
import type { Design } from '../../job/model/design';
import type { House } from '../../job/model/house';
import type { JobRecord } from '../../job/model/record';
import type { Block } from './section';

/** What a packet is made of. */
export interface PacketOf {
  readonly design: Design;
  readonly record: JobRecord;
  /** Its house with all the jobs of it, where it is in one: for the directory and the people. */
  readonly house?: { readonly house: House; readonly designs: readonly Design[] } | null;
  /** When it is made, ISO 8601. */
  readonly at: string;
  /** The shop's labor table; the example's where it is not given. */
  readonly minutes?: Shop['minutes'];
}

export const text = (words: string, strong = false): Block => ({ kind: 'text', text: words, strong });
/** A point in time as it is read, without a time zone of whoever reads it: "2026-05-04 08:30 UTC". */
export const when = (at: string): string => `${at.slice(0, 10)} ${at.slice(11, 16)} UTC`;
