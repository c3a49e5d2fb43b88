import { useId } from 'react';
import { AnswerLine } from '~/ui/answer-line';
import { useJob, useJudged } from '../job/context';
import { PlanLines } from './plan-lines';
import { AREA_LIMIT, TextArea } from '~/ui/text-area';
import { HabitFields } from '../lay-out/habit-fields';
import { say } from '~/words/brief';

export { StageError as ErrorBoundary } from '../job/stage-error';

/** The wish in words, the site, the edition and habits, and the plan's lines, each met or not. */
export default function BriefStage() {
  const { job, record, run } = useJob();
  const { judged } = useJudged();
  const lines = judged?.lines ?? [];
  const heading = useId();
  const counts = {
    met: lines.filter(({ state }) => state === 'met').length,
    not: lines.filter(({ state }) => state === 'not met').length,
    open: lines.filter(({ state }) => state === 'open').length,
  };
  // Before the first judgement nothing is called met.
  const answer = !judged
    ? say('route.comparing')
    : lines.length === 0
      ? say('route.noPlanBindsJob')
      : counts.not > 0
        ? say('route.planLinesNotMet', { not: counts.not, linesCount: lines.length })
        : say('route.planLinesMet', {
            met: counts.met,
            linesCount: lines.length,
            open: counts.open > 0 ? say('route.decide', { open: counts.open }) : '',
          });
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start gap-6 p-4 sm:p-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)]">
      <div className="grid content-start gap-5">
        <AnswerLine>{answer}</AnswerLine>
        <TextArea
          label={say('route.whatCustomerWants')}
          hint={say('route.requestHint')}
          value={record.brief.wish}
          limit={AREA_LIMIT}
          onCommit={(wish) => run({ do: 'set brief', change: { wish } })}
        />
        <PlanLines />
      </div>
      <aside className="grid content-start gap-4" aria-labelledby={heading}>
        <h3 id={heading} className="text-lg font-bold">
          {say('route.siteHouse')}
        </h3>
        <TextArea
          label={say('route.whatKnownSite')}
          value={record.brief.facts}
          limit={AREA_LIMIT}
          onCommit={(facts) => run({ do: 'set brief', change: { facts } })}
        />
        <TextArea
          label={say('route.localAmendments')}
          hint={say('route.amendmentsHint')}
          value={record.brief.amendments}
          limit={AREA_LIMIT}
          onCommit={(amendments) => run({ do: 'set brief', change: { amendments } })}
        />
        <HabitFields
          edition={job.edition}
          habits={job.habits}
          onEdition={(edition) => run({ do: 'set edition', edition })}
          onHabit={(habits) => run({ do: 'set habits', habits })}
        />
      </aside>
    </main>
  );
}
