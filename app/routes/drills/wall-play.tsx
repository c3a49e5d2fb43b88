import { useEffect, useLayoutEffect, useMemo, useState } from 'react';
import { z } from 'zod';
import { COSTS, pointsOf } from '@core/handover/drills/score';
import type { WallAnswer } from '@core/handover/drills/wall-drill';
import { EMPTY_RECORD } from '@core/job/model/record';
import { Survey, type Probe, type Setup, type Value } from '@core/job/model/survey';
import { takeReading } from '@core/job/seen/take-reading';
import { probeWords, setupWords } from '@core/site/survey/words';
import { BoxFigure } from '~/drawing/box-figure';
import { EMPTY_SCENE } from '~/storage/scene';
import { AnswerLine } from '~/ui/answer-line';
import { Choice } from '~/ui/choice';
import { drillWorker, findWorker } from '~/workers/core';
import type { ShownWall } from '~/workers/drill-room';
import { Readings } from '../find/readings';
import { drawSeen } from '../find/seen-drawing';
import { Simulated } from '../find/simulated';
import { JobContext, type OpenJobContext } from '../job/context';
import { doneIn, keepDone } from './left';
import { Result, type PlayProps } from './result';
import { useMade } from './use-made';
import { Waiting } from './waiting';
import { say } from '~/words/drills';

/** An opened box whose far side only the simulator knows: it answers what is read on the Find screen. */
export function WallPlay(props: PlayProps) {
  const { job, code } = props;
  const made = useMade((worker) => worker.wallDrill(job, code.level, code.seed));
  if (!made.drill) return <Waiting {...made} />;
  return <Playing {...props} drill={made.drill} />;
}

const QUESTIONS = [
  ['hot', say('wall.hot')],
  ['neutral', say('wall.neutral')],
  ['ground', say('wall.ground')],
] as const;

/** Where a drill was left. */
const Done = z.object({
  survey: Survey,
  taken: z.number(),
  hints: z.number(),
  wrong: z.number(),
  answers: z.object({ hot: z.boolean(), neutral: z.boolean(), ground: z.boolean() }).partial(),
});

function Playing({
  job,
  code,
  drill: { survey: seen, truth },
  keep,
  another,
}: PlayProps & { drill: ShownWall }) {
  const [left] = useState(() => doneIn(code, Done));
  const [survey, setSurvey] = useState<Survey>(left?.survey ?? seen);
  const [taken, setTaken] = useState(left?.taken ?? 0);
  const [best, setBest] = useState<number | null>(null);
  const [hints, setHints] = useState(left?.hints ?? 0);
  const [hint, setHint] = useState<string | null>(null);
  const [wrong, setWrong] = useState(left?.wrong ?? 0);
  const [answers, setAnswers] = useState<Partial<WallAnswer>>((left?.answers ?? {}) as Partial<WallAnswer>);
  const [points, setPoints] = useState<number | null>(null);
  useEffect(() => {
    let gone = false;
    void drillWorker
      .ask((worker) => worker.bestAtWall())
      .then(
        (count) => gone || setBest(count),
        () => undefined,
      );
    return () => {
      gone = true;
    };
  }, []);
  const ended = points !== null;
  useLayoutEffect(
    () => keepDone(code, ended ? null : { survey, taken, hints, wrong, answers }),
    [code, ended, survey, taken, hints, wrong, answers],
  );
  const [box] = survey.boxes;
  const drawing = useMemo(() => (box ? drawSeen(job, survey, box, null) : null), [job, survey, box]);
  const held = useMemo(
    (): OpenJobContext => ({
      job,
      record: EMPTY_RECORD,
      people: [],
      scene: EMPTY_SCENE,
      run: () => undefined,
      setScene: () => undefined,
      undo: null,
    }),
    [job],
  );
  const take = (setup: Setup, probe: Probe) =>
    void drillWorker
      .ask<Value | null>((worker) => worker.wallShows(taken, setup, probe))
      .then((value) => {
        if (value === null) return;
        const readings = survey.readings.map((one) => ({ ...one }));
        takeReading(readings, { setup, probe, value });
        setSurvey({ ...survey, readings });
        setTaken(taken + 1);
        setHint(null);
      });
  const ask = () => {
    setHints(hints + 1);
    void findWorker
      .ask((worker) => worker.study(survey, []))
      .then(({ suggestion }) =>
        setHint(
          suggestion
            ? say('wall.hintTest', {
                setup: setupWords(survey, suggestion.test.setup).join(' '),
                test: probeWords(survey, suggestion.test.setup, suggestion.test.probe),
              })
            : say('wall.noHint'),
        ),
      );
  };
  const answer = () => {
    if (QUESTIONS.some(([name]) => answers[name] !== truth[name])) return setWrong(wrong + 1);
    const own = pointsOf({ tests: taken, best: best ?? taken, spared: 0 }, { hints, wrong, touched: 0 });
    // An answer without a reading is a guess: a yes wants to be shown.
    const earned = taken === 0 ? 0 : own;
    setPoints(earned);
    keep({ points: earned, tests: taken, best: best ?? taken, hints });
  };
  if (!box || !drawing) return null;
  return (
    <JobContext value={held}>
      <Simulated value={points === null ? take : () => undefined}>
        <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start gap-5 p-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)]">
          <div className="grid content-start gap-4">
            <AnswerLine>{say('wall.answer', { box: box.name })}</AnswerLine>
            <p data-count>
              {best === null
                ? say('wall.testsUnknown', { tests: taken })
                : say('wall.tests', { tests: taken, best })}
            </p>
            <BoxFigure
              drawing={drawing}
              title={say('wall.seen', { box: box.name })}
              className="max-h-[30rem] w-full rounded-xl bg-paper"
            />
            {points === null ? (
              <section className="grid gap-3">
                {QUESTIONS.map(([name, label]) => (
                  <Choice
                    key={name}
                    label={label}
                    value={answers[name] === undefined ? '' : answers[name] ? 'yes' : 'no'}
                    options={[
                      { value: 'yes', label: say('wall.yes') },
                      { value: 'no', label: say('wall.no') },
                    ]}
                    onChange={(value) => setAnswers({ ...answers, [name]: value === 'yes' })}
                  />
                ))}
                {wrong > 0 ? (
                  <p role="status" className="font-semibold">
                    ▲ {say('wall.wrong')}
                  </p>
                ) : null}
                <button
                  type="button"
                  className="button button-strong justify-self-start"
                  disabled={QUESTIONS.some(([name]) => answers[name] === undefined)}
                  onClick={answer}
                >
                  {say('wall.say')}
                </button>
              </section>
            ) : (
              <Result
                title={say('result.found', { points })}
                lines={[
                  say('wall.truth', { hot: truth.hot, neutral: truth.neutral, ground: truth.ground }),
                  say('result.tests', { tests: taken, best: best ?? taken, optimal: false }),
                  ...(hints > 0 ? [say('result.hints', { hints })] : []),
                  ...(wrong > 0 ? [say('result.wrong', { wrong })] : []),
                ]}
                another={another}
              />
            )}
          </div>
          <aside className="grid content-start gap-4">
            {points === null ? (
              <>
                {hint === null ? null : <p data-hint>{hint}</p>}
                <button type="button" className="button justify-self-start px-3" onClick={ask}>
                  {say('wall.hint', { cost: COSTS.hint })}
                </button>
              </>
            ) : null}
            <Readings survey={survey} suspects={[]} />
          </aside>
        </main>
      </Simulated>
    </JobContext>
  );
}
