import { useEffect, useState } from 'react';
import { reasonOf } from './no-answer';

export interface Answer<T> {
  /** The last answer; it stands while the next is sought. */
  readonly answer: T | null;
  readonly busy: boolean;
  /** Why there is none, in words; a fault of the program. */
  readonly failed: string | null;
  /** Asks the same again. */
  readonly retry: () => void;
}

/**
 * What a worker says to a question, asked anew when the question's content changes. `ask` must be the same function
 * on every call; a question of null is not asked.
 */
export function useAnswer<Q, T>(question: Q | null, ask: (question: Q) => Promise<T>): Answer<T> {
  const [again, setAgain] = useState(0);
  const asked = JSON.stringify([question, again]);
  const [last, setLast] = useState<{ asked: string; answer: T | null; failed: string | null } | null>(null);
  useEffect(() => {
    const [own] = JSON.parse(asked) as [Q | null, number];
    if (own === null) return;
    let gone = false;
    ask(own).then(
      (answer) => gone || setLast({ asked, answer, failed: null }),
      (error: unknown) => gone || setLast({ asked, answer: null, failed: reasonOf(error) }),
    );
    return () => {
      gone = true;
    };
  }, [asked, ask]);
  const current = last?.asked === asked;
  return {
    answer: last?.answer ?? null,
    busy: question !== null && !current,
    failed: current ? last.failed : null,
    retry: () => setAgain((count) => count + 1),
  };
}
