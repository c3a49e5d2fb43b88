import { z } from 'zod';
import { Command, isDesignCommand, type DesignCommand, type RecordCommand } from '@core/job/commands/command';
import { Scene } from './scene';

/** When it was tapped, and by whom; set by the page that sends it. */
const Stamp = z.object({ at: z.iso.datetime(), by: z.string().max(80) });

/** What a page can ask of a job. `seq`: the step of the history that the page offered. */
export const JobIntent = z.discriminatedUnion('intent', [
  z.object({
    intent: z.literal('commands'),
    commands: z.array(Command).min(1).max(500),
    stamp: Stamp.optional(),
  }),
  z.object({ intent: z.literal('undo'), seq: z.int().min(0), stamp: Stamp.optional() }),
  z.object({ intent: z.literal('redo'), seq: z.int().min(0), stamp: Stamp.optional() }),
  z.object({ intent: z.literal('scene'), scene: Scene }),
]);
export type JobIntent = z.infer<typeof JobIntent>;

/** Changes of the design and things noted, apart. */
export function sorted(commands: readonly Command[]): {
  readonly design: readonly DesignCommand[];
  readonly record: readonly RecordCommand[];
} {
  const design = commands.filter(isDesignCommand);
  const record = commands.filter((one): one is RecordCommand => !isDesignCommand(one));
  return { design, record };
}
