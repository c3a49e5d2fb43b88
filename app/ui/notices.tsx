import { createContext, lazy, Suspense, useCallback, useContext, useState } from 'react';
import type { Notice, Way } from './notice';
import { problemText, type Problem } from '@core/job/model/problem';
import { say } from '~/words/ui';

const Toasts = lazy(() => import('./toasts'));

type Notify = (title: string, problems?: readonly Problem[], way?: Way) => void;
const NoticeContext = createContext<Notify>(() => undefined);

/** Says what went wrong, where, and the way out; the page itself stays as it was. */
export const useNotify = (): Notify => useContext(NoticeContext);

/** Problems shown before the rest is only counted. */
const SHOWN = 4;

export function Notices({ children }: { children: React.ReactNode }) {
  const [notices, setNotices] = useState<readonly Notice[]>([]);
  const notify = useCallback<Notify>((title, problems = [], way) => {
    const lines = problems.slice(0, SHOWN).map(problemText);
    if (problems.length > SHOWN) lines.push(say('notices.more', { problemsCount: problems.length - SHOWN }));
    setNotices((before) => [
      ...before.slice(-2),
      { id: Date.now() + Math.random(), title, lines, ...(way ? { way } : {}) },
    ]);
  }, []);
  return (
    <NoticeContext value={notify}>
      {children}
      {notices.length > 0 ? (
        <Suspense>
          <Toasts
            notices={notices}
            onClosed={(id) => setNotices((before) => before.filter((notice) => notice.id !== id))}
          />
        </Suspense>
      ) : null}
    </NoticeContext>
  );
}
