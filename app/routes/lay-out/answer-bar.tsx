import { ArrowUp } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { answerOf } from '~/ui/answer';
import { useJob, useJudged, usePlan } from '../job/context';
import { say } from '~/words/lay-out';

/**
 * The answer, and on a phone a bar with it that stays in sight once it is scrolled away: in one line what comes of the
 * job, or why not and what would mend it first.
 */
export function InSight({ children }: { children: ReactNode }) {
  const answer = useRef<HTMLDivElement>(null);
  const [away, setAway] = useState(false);
  useEffect(() => {
    const element = answer.current;
    if (!element) return;
    const watching = new IntersectionObserver(([entry]) => {
      if (entry) setAway(!entry.isIntersecting && entry.boundingClientRect.top < 0);
    });
    watching.observe(element);
    return () => watching.disconnect();
  }, []);
  return (
    <>
      <div ref={answer}>{children}</div>
      {away ? <Bar onUp={() => answer.current?.scrollIntoView({ block: 'start' })} /> : null}
    </>
  );
}

function Bar({ onUp }: { onUp: () => void }) {
  const { run } = useJob();
  const { outcome } = usePlan();
  const { judged, judging } = useJudged();
  const repair = outcome.ok || judging ? undefined : judged?.repairs[0];
  return (
    <div
      className="fixed inset-x-0 top-0 z-30 grid gap-1 border-b-2 border-ink bg-sand px-3 py-2 sm:hidden print:hidden"
      data-answer-bar
    >
      <button type="button" className="flex min-h-11 items-center gap-2 text-left" onClick={onUp}>
        <span className="line-clamp-2 min-w-0 flex-1 leading-tight font-bold">
          {outcome.ok ? answerOf(outcome.plan) : `▲ ${outcome.refusals[0]?.message ?? ''}`}
        </span>
        <ArrowUp aria-label={say('answerBar.up')} size={20} className="shrink-0" />
      </button>
      {repair ? (
        <button
          type="button"
          className="button justify-start text-left text-sm"
          onClick={() => run(...repair.commands)}
        >
          {repair.says}
        </button>
      ) : null}
    </div>
  );
}
