import { freshId, type Command, type DesignCommand } from '@core/job/commands/command';
import type { Design } from '@core/job/model/design';
import { say } from '~/words/lay-out';

/** What a box may be given, as it is called. */
export const THING_NAME = {
  outlet: say('boxWishes.outlet'),
  switch: say('boxWishes.switch'),
  light: say('boxWishes.light'),
} as const;
export type Thing = keyof typeof THING_NAME;

/** Length a new run starts with, ft, until it is said. */
export const FIRST_LENGTH_FT = 12;

/** On the first circuit; a light goes with the first switch. */
const fed = ({ circuits, groups }: Design, holds: Thing) => ({
  holds,
  circuit: circuits[0]?.id ?? '',
  group: holds === 'light' ? (groups[0]?.id ?? null) : null,
});

/** Something more in a box. */
export const addIn = (job: Design, box: string, holds: Thing): Command => ({
  do: 'add device',
  box,
  ...fed(job, holds),
});

/** A new box fed from a box, with one thing in it; and what its id will be. */
export function addBeyond(job: Design, from: string, holds: Thing): { command: DesignCommand; box: string } {
  const name = `${THING_NAME[holds]} ${job.boxes.length + 1}`;
  return {
    command: { do: 'add box', from, name, lengthFt: FIRST_LENGTH_FT, ...fed(job, holds) },
    box: freshId(job.boxes, name),
  };
}
