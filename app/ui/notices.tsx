import { createContext, lazy, Suspense, useCallback, useContext, useEffect, useState } from 'react';
import type { Notice, Way } from './notice';
import { problemText, type Problem } from '@core/job/model/problem';
import { say } from '~/words/ui';

const Toasts = lazy(() => import('./toasts').catch(() => ({ default: Plain })));

/** Notices where what shows them well could not be loaded itself. */
function Plain({ notices }: { notices: readonly Notice[] }) {
  return (
    <div role="alert" className="fixed right-3 bottom-3 z-50 max-w-[28rem] rounded-xl bg-ink p-4 text-sand">
      {notices.map(({ id, title, lines, way }) => (
        <p key={id}>
          <strong>{title}</strong> {lines.join(' ')}{' '}
          {way ? (
            <button type="button" className="min-h-11 font-bold underline" onClick={way.act}>
              {way.name}
            </button>
          ) : null}
        </p>
      ))}
    </div>
  );
}

type Notify = (title: string, problems?: readonly Problem[], way?: Way) => void;
const NoticeContext = createContext<Notify>(() => undefined);

/** Says what went wrong, where, and the way out; the page itself stays as it was. */
export const useNotify = (): Notify => useContext(NoticeContext);

/** What browsers say of a script that does not come. */
const NOT_LOADED = /dynamically imported module|module script failed|error loading dynamically/i;
const TOLD_AGAIN_MS = 4000;

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
  useEffect(() => {
    let told = 0;
    // A piece of the program that does not load is told wherever it is asked for; what was tapped is kept before it is drawn.
    const piece = () => {
      if (Date.now() - told < TOLD_AGAIN_MS) return;
      told = Date.now();
      notify(say('notices.pieceMissing'), [], {
        name: say('notices.reload'),
        act: () => location.reload(),
      });
    };
    const failed = ({ reason }: PromiseRejectionEvent) => {
      if (NOT_LOADED.test(String(reason))) piece();
    };
    window.addEventListener('vite:preloadError', piece);
    window.addEventListener('unhandledrejection', failed);
    return () => {
      window.removeEventListener('vite:preloadError', piece);
      window.removeEventListener('unhandledrejection', failed);
    };
  }, [notify]);
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
