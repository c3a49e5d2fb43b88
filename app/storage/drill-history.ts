import { z } from 'zod';
import { DRILL_KINDS, LEVELS } from '@core/handover/drills/code';
import type { SplitTapDatabase } from './database';

/** A drill as it was played. */
export const PlayedDrill = z.object({
  code: z.string().max(200),
  kind: z.enum(DRILL_KINDS),
  level: z.union(LEVELS.map((level) => z.literal(level))),
  job: z.string().max(200),
  points: z.number().min(0).max(100),
  tests: z.int().min(0),
  best: z.int().min(0),
  hints: z.int().min(0),
});
export type PlayedDrill = z.infer<typeof PlayedDrill>;

/** Drills played in this browser, the newest last. */
export class DrillHistory {
  constructor(private readonly db: SplitTapDatabase) {}

  async add(drill: PlayedDrill): Promise<void> {
    await this.db.drills.add({ at: Date.now(), drill });
  }

  /** Records that cannot be read are passed over; they stay stored. */
  async all(): Promise<readonly (PlayedDrill & { readonly at: number })[]> {
    const stored = await this.db.drills.orderBy('at').toArray();
    return stored.flatMap(({ at, drill }) => {
      const read = PlayedDrill.safeParse(drill);
      return read.success ? [{ ...read.data, at }] : [];
    });
  }
}
