import { useEffect, useState } from 'react';
import type { Survey } from '@core/model/survey';
import type { Study } from '@core/survey/study';
import { findWorker } from '~/workers/find';

/** What Find has to say of a survey, worked out beside the page; the last word stands while the next is sought. */
export function useStudy(
  survey: Survey | undefined,
  skipped: readonly string[],
): { study: Study | null; busy: boolean } {
  const asked = JSON.stringify([survey, skipped]);
  const [answer, setAnswer] = useState<{ asked: string; study: Study } | null>(null);
  useEffect(() => {
    let gone = false;
    const [seen, left] = JSON.parse(asked) as [Survey | null, string[]];
    if (!seen) return;
    void findWorker()
      .study(seen, left)
      .then((study) => {
        if (!gone) setAnswer({ asked, study });
      });
    return () => {
      gone = true;
    };
  }, [asked]);
  return { study: answer?.study ?? null, busy: answer?.asked !== asked };
}
