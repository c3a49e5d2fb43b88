import { useMemo } from 'react';
import { useLocation, useNavigate, useSearchParams } from 'react-router';
import type { Command } from '@core/job/commands/command';
import { placeName } from '@core/job/model/called';
import { spineOrder } from '@core/wiring/layout/spine-order';
import { PANEL, type Design } from '@core/job/model/design';
import { useOffer, type Offer } from '~/palette/offered';
import { stageAt, STAGES, type StagePath } from '~/ui/stages';
import { addBeyond, addIn } from '../lay-out/grow';
import { say } from '~/words/palette';

/** The key of each stage. */
const STAGE_KEYS: Readonly<Record<StagePath, string>> = {
  brief: 'b',
  find: 'f',
  'lay-out': 'l',
  options: 'o',
  check: 'd',
  'make-up': 'm',
  energize: 'e',
  test: 't',
  day: 'k',
  record: 'r',
};

/** What an open job offers by key and by name. */
export function useJobOffers(
  job: Design,
  run: (...commands: readonly Command[]) => void,
  undo: (() => void) | null,
  redo: (() => void) | null,
  more: readonly { readonly name: string; readonly act: () => void }[],
): void {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const [search, setSearch] = useSearchParams();
  const chosen = search.get('box');
  // Apart from the rest: it is new with everything that is noted.
  useOffer(
    useMemo(
      (): readonly Offer[] => [
        ...(undo
          ? [{ id: 'undo', name: say('job.undo'), group: 'do' as const, keys: 'Ctrl+Z', act: undo }]
          : []),
        ...(redo
          ? [
              { id: 'redo', name: say('job.redo'), group: 'do' as const, keys: 'Ctrl+Shift+Z', act: redo },
              { id: 'redo, too', name: say('job.redo'), group: 'do' as const, keys: 'Ctrl+Y', act: redo },
            ]
          : []),
        ...more.map(({ name, act }) => ({ id: name, name, group: 'do' as const, act })),
      ],
      [undo, redo, more],
    ),
  );
  useOffer(
    useMemo((): readonly Offer[] => {
      const places = spineOrder(job)
        .map(({ place }) => place)
        .filter((place) => place !== PANEL);
      const show = (box: string) => setSearch({ box }, { replace: true, preventScrollReset: true });
      const step = (by: number) => {
        const at = chosen === null ? (by > 0 ? -1 : places.length) : places.indexOf(chosen);
        const next = places[at + by];
        if (next !== undefined) show(next);
      };
      const here = places.includes(chosen ?? '') ? (chosen ?? '') : (places[0] ?? '');
      // Make up turns its boxes itself: the panel may be one of them.
      const stage = stageAt(pathname)?.path;
      const walks = stage === 'lay-out' || stage === 'energize';
      const shows = walks || stage === 'make-up';
      return [
        ...STAGES.map(({ path, name }): Offer => ({
          id: `stage ${path}`,
          name,
          group: 'stage',
          keys: STAGE_KEYS[path],
          act: () => void navigate(`/job/${job.id}/${path}`),
        })),
        ...(['print', 'packet'] as const).map((path): Offer => ({
          id: path,
          name: path === 'print' ? say('job.print') : say('job.packet'),
          group: 'stage',
          act: () => void navigate(`/job/${job.id}/${path}`),
        })),
        ...(walks
          ? [
              {
                id: 'next',
                name: say('job.nextBox'),
                group: 'do' as const,
                keys: 'ArrowRight',
                act: () => step(1),
              },
              {
                id: 'previous',
                name: say('job.previousBox'),
                group: 'do' as const,
                keys: 'ArrowLeft',
                act: () => step(-1),
              },
            ]
          : []),
        ...places.map((box): Offer => ({
          id: `box ${box}`,
          name: say('job.box', { box: placeName(job, box) }),
          group: 'box',
          act: () => (shows ? show(box) : void navigate(`/job/${job.id}/make-up?box=${box}`)),
        })),
        ...(here === ''
          ? []
          : (['outlet', 'switch', 'light'] as const).flatMap((what): Offer[] => {
              const box = placeName(job, here);
              const name = say('job.extend', { box, what });
              return [
                {
                  id: `add ${what}`,
                  name: say('job.add', { what, box }),
                  group: 'do',
                  act: () => run(addIn(job, here, what)),
                },
                {
                  id: `extend ${what}`,
                  name,
                  group: 'do',
                  act: () => run(addBeyond(job, here, what).command),
                },
              ];
            })),
      ];
    }, [job, run, navigate, pathname, chosen, setSearch]),
  );
}
