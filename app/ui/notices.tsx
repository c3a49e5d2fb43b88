import { Toast } from 'radix-ui';
import { createContext, useCallback, useContext, useState } from 'react';
import { problemText, type Problem } from '@core/model/problem';

interface Notice {
  readonly id: number;
  readonly title: string;
  readonly lines: readonly string[];
}

type Notify = (title: string, problems?: readonly Problem[]) => void;
const NoticeContext = createContext<Notify>(() => undefined);

/** Says what went wrong, where, and the way out; the page itself stays as it was. */
export const useNotify = (): Notify => useContext(NoticeContext);

/** Problems shown before the rest is only counted. */
const SHOWN = 4;

export function Notices({ children }: { children: React.ReactNode }) {
  const [notices, setNotices] = useState<readonly Notice[]>([]);
  const notify = useCallback<Notify>((title, problems = []) => {
    const lines = problems.slice(0, SHOWN).map(problemText);
    if (problems.length > SHOWN) lines.push(`and ${problems.length - SHOWN} more`);
    setNotices((before) => [...before.slice(-2), { id: Date.now() + Math.random(), title, lines }]);
  }, []);
  return (
    <NoticeContext value={notify}>
      <Toast.Provider duration={12_000} swipeDirection="down">
        {children}
        {notices.map(({ id, title, lines }) => (
          <Toast.Root
            key={id}
            onOpenChange={(open) => {
              if (!open) setNotices((before) => before.filter((notice) => notice.id !== id));
            }}
            data-notice
            className="rounded-xl bg-ink p-4 text-sand shadow-lg"
          >
            <Toast.Title className="font-bold">{title}</Toast.Title>
            <Toast.Description asChild>
              <div className="mt-1 space-y-1 text-sm">
                {lines.map((line) => (
                  <p key={line} className="break-words">
                    {line}
                  </p>
                ))}
              </div>
            </Toast.Description>
            <Toast.Close className="mt-2 min-h-11 font-bold underline">Close</Toast.Close>
          </Toast.Root>
        ))}
        <Toast.Viewport className="fixed right-3 bottom-3 z-50 flex w-[min(28rem,calc(100vw-1.5rem))] flex-col gap-2" />
      </Toast.Provider>
    </NoticeContext>
  );
}
