import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { freshId } from '@core/job/commands/command';
import type { handOver } from '@core/site/survey/hand-over';
import { newSurvey } from '@core/job/seen/seen-box';
import type { TypicalId } from '@core/job/seen/typical';
import { AnswerLine } from '~/ui/answer-line';
import { useNotify } from '~/ui/notices';
import { Select } from '~/ui/select';
import { findWorker } from '~/workers/core';
import { reasonOf } from '~/workers/no-answer';
import { useJob } from '../job/context';
import { OpenedBox } from './opened-box';
import { TypicalBoxes } from './typical-boxes';
import { say } from '~/words/find';

export { StageError as ErrorBoundary } from '../job/stage-error';

/** What is in this wall: the opened box as seen, the next test, the verdict. */
export default function FindStage() {
  const { job, record, run } = useJob();
  const { surveys } = record;
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const notify = useNotify();
  const survey = surveys.find(({ id }) => id === search.get('survey')) ?? surveys[0];
  const open = (name: string, breaker: string, typical: TypicalId | null = null) => {
    const fresh = newSurvey(freshId(surveys, name), name, breaker);
    run(
      { do: 'add survey', survey: fresh },
      ...(typical === null
        ? []
        : [
            {
              do: 'note seen' as const,
              survey: fresh.id,
              change: { what: 'typical' as const, box: fresh.target, typical },
            },
          ]),
    );
    setSearch({ survey: fresh.id, ...(typical === null ? { by: 'hand' } : {}) }, { replace: true });
  };
  if (!survey)
    return (
      <FirstBox
        onOpen={open}
        breaker={job.circuits[0]?.number ?? '1'}
        offered={job.boxes[0]?.name ?? job.name}
      />
    );
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start">
      {surveys.length > 1 ? (
        <div className="max-w-md p-4 pb-0">
          <Select
            label={say('route.openedBox')}
            value={survey.id}
            options={surveys.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(id) => setSearch({ survey: id }, { replace: true })}
          />
        </div>
      ) : null}
      <OpenedBox
        key={survey.id}
        survey={survey}
        onLayOut={(take) => {
          void findWorker
            .ask<ReturnType<typeof handOver>>((worker) => worker.handOver(job, survey, take))
            .then((found) => {
              if (!found.ok) return notify(say('route.couldNotMakeChange'), found.problems);
              run(...found.value);
              void navigate(`/job/${job.id}/lay-out`);
            })
            .catch((error: unknown) =>
              notify(say('route.couldNotMakeChange'), [
                {
                  path: survey.name,
                  message: say('route.couldNotWorkedOut', { reason: reasonOf(error) }),
                  wayOut: say('route.tryAgain'),
                },
              ]),
            );
        }}
        onAnother={() => open(say('route.opening', { surveysCount: surveys.length + 1 }), survey.breaker)}
        note={(change) => run({ do: 'note seen', survey: survey.id, change })}
      />
    </main>
  );
}

/** Nothing is opened yet: what is seen comes first, its name and breaker are offered and can wait. */
function FirstBox({
  onOpen,
  breaker,
  offered,
}: {
  onOpen: (name: string, breaker: string, typical: TypicalId | null) => void;
  breaker: string;
  offered: string;
}) {
  const [name, setName] = useState(offered);
  const [number, setNumber] = useState(breaker);
  const open = (typical: TypicalId | null) =>
    onOpen(name.trim() || offered, number.trim() || breaker, typical);
  return (
    <main className="mx-auto grid w-full max-w-5xl content-start gap-5 p-4 sm:p-6">
      <div>
        <AnswerLine>{say('route.openFirst')}</AnswerLine>
        <p className="mt-1">{say('route.what')}</p>
      </div>
      <div className="grid max-w-xl grid-cols-2 gap-3">
        <label className="grid gap-1">
          <span className="eyebrow">{say('route.box')}</span>
          <input
            className="field"
            value={name}
            maxLength={60}
            onChange={(event) => setName(event.currentTarget.value)}
          />
        </label>
        <label className="grid gap-1">
          <span className="eyebrow">{say('route.breakerDirectory')}</span>
          <input
            className="field num"
            value={number}
            maxLength={12}
            onChange={(event) => setNumber(event.currentTarget.value)}
          />
        </label>
      </div>
      <TypicalBoxes onTake={open} />
    </main>
  );
}
