import { useEffect, useState } from 'react';
import { say } from '~/words/ui';

/** Says on every page that what is entered lasts only as long as the page, where the browser keeps nothing. */
export function NotKept() {
  const [lost, setLost] = useState<string | null>(null);
  useEffect(() => {
    void import('~/storage/opened-database').then(async ({ openDatabase }) =>
      setLost((await openDatabase()).lost),
    );
  }, []);
  if (lost === null) return null;
  return (
    <p role="alert" className="border-b-2 border-ink bg-paper px-4 py-2 font-semibold print:hidden">
      {say('notKept.says', { lost })}
    </p>
  );
}
