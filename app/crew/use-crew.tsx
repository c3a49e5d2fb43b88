import { HandHelping, ScanLine, Undo } from 'lucide-react';
import { lazy, Suspense, useEffect, useMemo, useState, type ReactNode } from 'react';
import type { Thing } from '@core/job/merge/relation';
import type { Person } from '@core/job/model/house';
import { useCamera } from '~/files/importer';
import { openStore } from '~/storage/opened';
import { whoWorks } from '~/storage/who-works';
import { useNotify } from '~/ui/notices';
import { say } from '~/words/crew';

const GiveDialog = lazy(() => import('./give-dialog'));

type Way = {
  readonly name: string;
  readonly icon: ReactNode;
  readonly act: () => void;
  readonly rare?: boolean;
};

/** What goes from hand to hand of an open job or house: given, taken by camera, what came in taken back. */
export function useCrew(
  kind: Thing['kind'],
  id: string,
  name: string,
  people: readonly Person[],
): { readonly more: readonly Way[]; readonly giving: ReactNode } {
  const notify = useNotify();
  const camera = useCamera();
  const [giving, setGiving] = useState(false);
  const own = whoWorks();
  const others = people.flatMap((person) => (person.name === own ? [] : [person.name]));
  // Of a crew of two the other one is meant.
  const other = own !== '' && others.length === 1 ? (others[0] ?? null) : null;
  const [back, setBack] = useState<{ readonly by: string } | null>(null);
  useEffect(() => {
    let stop: (() => void) | null = null;
    let gone = false;
    // Not before the page has answered.
    const later = setTimeout(
      () =>
        void openStore()
          .then(({ kin }) => kin())
          .then((kin) => {
            if (!gone) stop = kin.watchBack({ kind, id }, setBack);
          }),
      800,
    );
    return () => {
      gone = true;
      clearTimeout(later);
      stop?.();
    };
  }, [kind, id]);
  const more = useMemo(
    (): readonly Way[] => [
      {
        name: other === null ? say('more.give') : say('more.giveTo', { name: other }),
        icon: <HandHelping aria-hidden size={20} />,
        act: () => setGiving(true),
      },
      {
        name: other === null ? say('more.take') : say('more.takeFrom', { name: other }),
        icon: <ScanLine aria-hidden size={20} />,
        act: camera,
        rare: kind === 'job',
      },
      ...(back
        ? [
            {
              name: back.by === '' ? say('more.back') : say('more.backFrom', { name: back.by }),
              icon: <Undo aria-hidden size={20} />,
              rare: true,
              act: () =>
                void openStore()
                  .then(({ files }) => files())
                  .then(({ crew }) => crew.takeBack({ kind, id }))
                  .then((done) => notify(done ? say('more.tookBack') : say('more.notBack'))),
            },
          ]
        : []),
    ],
    [kind, id, other, camera, back, notify],
  );
  return {
    more,
    giving: giving ? (
      <Suspense>
        <GiveDialog thing={{ kind, id }} name={name} people={others} onClose={() => setGiving(false)} />
      </Suspense>
    ) : null,
  };
}
