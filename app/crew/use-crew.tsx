import { HandHelping, ScanLine, Undo } from 'lucide-react';
import { lazy, Suspense, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useCamera } from '~/files/importer';
import { useNotify } from '~/ui/notices';
import { say } from '~/words/crew';

const GiveDialog = lazy(() => import('./give-dialog'));

type Way = {
  readonly name: string;
  readonly icon: ReactNode;
  readonly act: () => void;
  readonly rare?: boolean;
};

/**
 * What goes from hand to hand of an open job or house: given, taken by camera, what came in taken back. `changed`: counts its
 * changes, so that it is known when something came in.
 */
export function useCrew(
  kind: 'job' | 'house',
  id: string,
  name: string,
  changed: number,
): { readonly more: readonly Way[]; readonly giving: ReactNode } {
  const notify = useNotify();
  const camera = useCamera();
  const [giving, setGiving] = useState(false);
  const [back, setBack] = useState<{ by: string; take: () => Promise<boolean> } | null>(null);
  useEffect(() => {
    let gone = false;
    // Not before the page has answered.
    const later = setTimeout(
      () =>
        void import('./give').then(({ backOf }) => backOf({ kind, id })).then((way) => gone || setBack(way)),
      800,
    );
    return () => {
      gone = true;
      clearTimeout(later);
    };
  }, [kind, id, changed]);
  const more = useMemo(
    (): readonly Way[] => [
      {
        name: say('more.give'),
        icon: <HandHelping aria-hidden size={20} />,
        act: () => setGiving(true),
      },
      { name: say('more.take'), icon: <ScanLine aria-hidden size={20} />, act: camera, rare: true },
      ...(back
        ? [
            {
              name: back.by === '' ? say('more.back') : say('more.backFrom', { name: back.by }),
              icon: <Undo aria-hidden size={20} />,
              rare: true,
              act: () =>
                void back.take().then((done) => {
                  setBack(null);
                  notify(done ? say('more.tookBack') : say('more.notBack'));
                }),
            },
          ]
        : []),
    ],
    [camera, back, notify],
  );
  return {
    more,
    giving: giving ? (
      <Suspense>
        <GiveDialog thing={{ kind, id }} name={name} onClose={() => setGiving(false)} />
      </Suspense>
    ) : null,
  };
}
