import { Download, PackageCheck, RotateCcw, Save } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { picturesOf } from '@core/job/model/pictures';
import { DEMO_LIST } from '@core/handover/jobs/demo-list';
import { writeJobFile } from '@core/job/model/job-file';
import { saveBack, useSaveBack } from '~/files/save-back';
import { useCrew } from '~/crew/use-crew';
import type { Person } from '@core/job/model/house';
import type { JobStore, OpenJob } from '~/storage/jobs';
import type { JobSession } from '~/storage/session';
import { useNotify } from '~/ui/notices';
import { say } from '~/words/job';

const AskDialog = lazy(() => import('~/ui/ask-dialog'));

const exported = (id: string, withPhotos = false): void =>
  void import('~/crew/give').then(({ exportThing }) => exportThing({ kind: 'job', id }, withPhotos));

/**
 * What can be done with an open job as a whole: out as a file, back into the one it came from, started over; with what is asked
 * before the last of these.
 */
export function useMore(
  session: JobSession,
  store: JobStore,
  {
    id,
    design,
    record,
    people,
  }: Pick<OpenJob, 'id' | 'design' | 'record'> & { readonly people: readonly Person[] },
) {
  const notify = useNotify();
  const crew = useCrew('job', id, design.name, people);
  const file = useSaveBack(id);
  const [asking, setAsking] = useState(false);
  const more = useMemo(() => {
    const text = () => writeJobFile({ design, record });
    return [
      {
        name: say('route.export'),
        icon: <Download aria-hidden size={20} />,
        rare: true,
        act: () => exported(id),
      },
      ...(file
        ? [
            {
              name: say('route.saveBack', { file: file.name }),
              icon: <Save aria-hidden size={20} />,
              rare: true,
              act: () =>
                void saveBack(file, text()).then((done) =>
                  notify(
                    done
                      ? say('route.savedBack', { file: file.name })
                      : say('route.notSavedBack', { file: file.name }),
                  ),
                ),
            },
          ]
        : []),
      ...(picturesOf({ design, record }).length > 0
        ? [
            {
              name: say('route.exportPhotos'),
              icon: <PackageCheck aria-hidden size={20} />,
              rare: true,
              act: () => exported(id, true),
            },
          ]
        : []),
      ...crew.more,
      ...(DEMO_LIST.some((demo) => demo.id === id)
        ? [
            {
              name: say('route.startDemoOver'),
              icon: <RotateCcw aria-hidden size={20} />,
              rare: true,
              act: () => setAsking(true),
            },
          ]
        : []),
    ];
  }, [id, design, record, file, notify, crew.more]);
  return {
    more,
    asked: (
      <>
        {crew.giving}
        {asking ? (
          <Suspense>
            <AskDialog
              title={say('route.startOverAsk')}
              ways={[
                {
                  name: say('route.startDemoOver'),
                  act: () => void store.reset(id).then(() => session.refresh()),
                },
              ]}
              cancel={say('route.leaveIt')}
              onClose={() => setAsking(false)}
            >
              <p>{say('route.startOverSays')}</p>
            </AskDialog>
          </Suspense>
        ) : null}
      </>
    ),
  };
}
