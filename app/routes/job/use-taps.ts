import { useCallback, useEffect, useMemo } from 'react';
import { z } from 'zod';
import { Command } from '@core/job/commands/command';
import { removes } from '@core/job/commands/removes';
import type { JobStore } from '~/storage/jobs';
import type { Scene } from '~/storage/scene';
import type { JobSession } from '~/storage/session';
import { isSameTap } from '~/ui/destructive';
import { useNotify } from '~/ui/notices';
import { useAsked } from '~/ui/use-asked';
import { say } from '~/words/job';

const Commands = z.array(Command);

/** What is said of a circuit that is its breaker's. */
const BREAKER = ['breakerA', 'protection', 'leg', 'multiwireWith', 'tiedWith'] as const;
const ofBreaker = (command: Command): boolean =>
  command.do === 'set circuit' && BREAKER.some((field) => command.change[field] !== undefined);

/**
 * The one way from a tap on an open job to what is kept of it, the same functions as long as it is open: the second tap of one
 * finger removes nothing more, a breaker that other jobs feel is asked first, and what is wrong is told.
 */
export function useTaps(session: JobSession, store: JobStore, id: string) {
  const notify = useNotify();
  const ways = useMemo(() => {
    const told = (intent: unknown) =>
      void session.send(intent).then((wrong) => {
        if (wrong.length === 0) return;
        // Both changed the same thing: what the other tab made of it stays, or what was tapped here is made of it.
        const way = wrong.some(({ again }) => again)
          ? { name: say('route.makeItMine'), act: () => told(intent) }
          : undefined;
        notify(say('route.couldNotMakeChange'), wrong, way);
      });
    return {
      told,
      send: (commands: readonly Command[]) => told({ intent: 'commands', commands }),
      setScene: (scene: Scene) => told({ intent: 'scene', scene }),
      effectsOf: (commands: readonly Command[]) =>
        import('../house/ask-first').then(({ askFirst }) => askFirst(session.snapshot(), commands)),
    };
  }, [session, notify]);
  const { asking, ask } = useAsked(id, Commands, ways.effectsOf, ways.send);
  const run = useCallback(
    (...commands: readonly Command[]) => {
      if (removes(commands) && isSameTap()) return;
      // A breaker is the affair of all jobs of the house: what the change does to them is seen first.
      if (session.snapshot().around && commands.some(ofBreaker)) ask([...commands]);
      else ways.send(commands);
    },
    [session, ways, ask],
  );
  // What an earlier page tapped and could not be carried out is told once.
  useEffect(() => {
    void store.refusals(id).then((wrong) => {
      if (wrong.length > 0) notify(say('route.notStored'), wrong);
    });
  }, [id, notify, store]);
  return { run, asking, told: ways.told, setScene: ways.setScene };
}
