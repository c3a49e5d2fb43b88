import { useMemo, useState } from 'react';
import { applyCommands, type Command } from '@core/commands/command';
import type { Job } from '@core/model/job';
import type { Problem } from '@core/model/problem';
import type { Scene } from '~/storage/scene';
import type { JobIntent } from './context';

/*
 * What was tapped and is not yet read back from the store. Sends wait in a row and are carried out one after the other,
 * since a newer submission of a page breaks off an older one; and the page shows the job as it will be, so that a quick
 * second tap builds on the first.
 */

interface Waiting {
  readonly send: number;
  readonly id: string;
  readonly intent: JobIntent;
  readonly done: (problems: readonly Problem[]) => void;
}

let sent = 0;
let handled = 0;
const waiting: Waiting[] = [];
let working: Promise<void> = Promise.resolve();

/** Puts what is asked of a job in the row. Gives its number, and what was wrong with it once it was tried. */
export function enqueue(id: string, intent: JobIntent) {
  const send = ++sent;
  const problems = new Promise<readonly Problem[]>((done) => waiting.push({ send, id, intent, done }));
  return { send, problems };
}

/** Carries out all that waits, in the order in which it was sent. */
export function drain(
  carryOut: (id: string, intent: JobIntent) => Promise<readonly Problem[]>,
): Promise<void> {
  working = working.then(async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const { id, intent, send, done } = next;
      const problems = await carryOut(id, intent).catch((error: unknown): readonly Problem[] => [
        { path: id, message: String(error), wayOut: 'What was stored before is kept. Reload and try again.' },
      ]);
      handled = send;
      done(problems);
    }
  });
  return working;
}

/** The last send that is stored, or refused. Read before a job is read, so that the job holds at least that. */
export const handledSends = (): number => handled;

interface Unstored {
  readonly send: number;
  /** The job it is meant for: another may be opened meanwhile. */
  readonly id: string;
  readonly commands: readonly Command[];
  readonly scene: Scene | null;
}

interface Loaded {
  readonly id: string;
  readonly job: Job | null;
  readonly scene: Scene;
  /** What of the sends the loaded job and scene hold. */
  readonly handled: number;
}

/** The job and the scene as they will be once everything sent is stored. */
export function useUnstored({ id, job, scene, handled: seen }: Loaded) {
  const [all, setAll] = useState<readonly Unstored[]>([]);
  const ahead = useMemo(() => {
    const own = all.filter((one) => one.id === id);
    return withUnstored(job, scene, seen, own);
  }, [id, job, scene, seen, all]);
  const add = (send: number, intent: JobIntent) =>
    setAll((before) => [
      ...before.filter((one) => one.send > seen),
      {
        send,
        id,
        commands:
          intent.intent === 'command'
            ? [intent.command]
            : intent.intent === 'commands'
              ? intent.commands
              : [],
        scene: intent.intent === 'scene' ? intent.scene : null,
      },
    ]);
  /** Something is not stored yet, or not read back. */
  const busy = all.some((one) => one.id === id && one.send > seen);
  return { ...ahead, add, busy };
}

/** Commands that the store will refuse change nothing here either. */
export function withUnstored(
  job: Job | null,
  scene: Scene,
  seen: number,
  all: readonly Omit<Unstored, 'id'>[],
) {
  let [now, bench] = [job, scene];
  for (const { send, commands, scene: next } of all) {
    if (send <= seen) continue;
    const done = now && commands.length > 0 ? applyCommands(now, commands) : null;
    if (done?.ok) now = done.value.job;
    if (next) bench = next;
  }
  return { job: now, scene: bench };
}
