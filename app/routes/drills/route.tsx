import { lazy, Suspense, useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import {
  DRILL_KINDS,
  LEVELS,
  markOf,
  readCode,
  SEEDS,
  writeCode,
  type DrillCode,
  type DrillKind,
} from '@core/handover/drills/code';
import { DEMO_LIST } from '@core/handover/jobs/demo-list';
import { problemText } from '@core/job/model/problem';
import { AnswerLine } from '~/ui/answer-line';
import { Choice } from '~/ui/choice';
import { useNotify } from '~/ui/notices';
import { Select } from '~/ui/select';
import { TopBar } from '~/ui/top-bar';
import { KIND_SAYS } from './kinds';
import type { StoredDrills } from './stored';
import { say } from '~/words/drills';

const DEMO_JOBS = DEMO_LIST.map(({ id, name }) => ({ value: id as string, label: name }));
const Chart = lazy(() => import('./chart'));

export const meta = () => [{ title: say('route.pageTitle') }];

/** Drills: three kinds, on a demo job or one's own, by level; what was played, and how it went. */
export default function Drills() {
  const stored = useStored();
  const jobs = [...DEMO_JOBS, ...(stored?.own ?? [])];
  const played = stored?.played ?? [];
  const [job, setJob] = useState<string>(DEMO_LIST[0].id);
  const [level, setLevel] = useState('1');
  const [code, setCode] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const navigate = useNavigate();
  const notify = useNotify();
  const [left, setLeft] = useState<DrillCode | null>(null);
  // Loaded beside the page, which is the same for everyone.
  useEffect(() => void import('./left').then(({ leftDrill }) => setLeft(leftDrill())), []);
  const start = async (kind: DrillKind) => {
    const { openStore } = await import('~/storage/opened');
    const { store } = await openStore();
    const opened = await store.open(job);
    if (!opened.ok) return notify(say('route.noJob'), opened.problems);
    const own = {
      kind,
      level: LEVELS.find((one) => String(one) === level) ?? 1,
      seed: Math.floor(Math.random() * SEEDS),
      job,
      mark: markOf(opened.value.design),
    };
    void navigate(`/drills/${writeCode(own)}`);
  };
  const open = () => {
    const read = readCode(code);
    if (read.ok) void navigate(`/drills/${writeCode(read.value)}`);
    else setWrong(read.problems.map(problemText).join(' '));
  };
  return (
    <>
      <TopBar title={<h1 className="text-lg font-bold">{say('route.title')}</h1>} />
      <main className="mx-auto grid w-full max-w-5xl grid-cols-[minmax(0,1fr)] content-start gap-5 p-4 sm:p-6">
        <AnswerLine>{say('route.answer')}</AnswerLine>
        {left ? (
          <Link to={`/drills/${writeCode(left)}`} className="button button-strong justify-self-start">
            {say('route.goOn', { kind: KIND_SAYS[left.kind][0] })}
          </Link>
        ) : null}
        <div className="grid gap-3 sm:grid-cols-2">
          <Select label={say('route.job')} value={job} options={jobs} onChange={setJob} />
          <Choice
            label={say('route.level')}
            value={level}
            options={LEVELS.map((one) => ({ value: String(one), label: String(one) }))}
            onChange={setLevel}
          />
        </div>
        <ul className="grid gap-3 sm:grid-cols-3">
          {DRILL_KINDS.map((kind) => {
            const [name, says] = KIND_SAYS[kind];
            return (
              <li
                key={kind}
                className="grid content-between gap-3 rounded-xl border-2 border-line bg-paper p-4"
              >
                <div>
                  <h2 className="text-lg font-bold">{name}</h2>
                  <p className="text-ink-soft">{says}</p>
                </div>
                <button type="button" className="button button-strong" onClick={() => void start(kind)}>
                  {say('route.start', { kind: name })}
                </button>
              </li>
            );
          })}
        </ul>
        <form
          className="flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            open();
          }}
        >
          <label className="grid min-w-0 flex-1 gap-1">
            <span className="eyebrow">{say('route.code')}</span>
            <input
              className="field"
              value={code}
              maxLength={200}
              aria-invalid={wrong !== null}
              aria-describedby="code-wrong"
              onChange={(event) => {
                setCode(event.currentTarget.value);
                setWrong(null);
              }}
            />
          </label>
          <button type="submit" className="button">
            {say('route.open')}
          </button>
        </form>
        <p id="code-wrong" role="alert" className="font-semibold">
          {wrong === null ? '' : `▲ ${wrong}`}
        </p>
        <section aria-labelledby="played" className="grid gap-2">
          <h2 id="played" className="eyebrow">
            {say('route.history')}
          </h2>
          {stored && played.length === 0 ? <p className="text-ink-soft">{say('route.noHistory')}</p> : null}
          {played.length > 0 ? (
            <Suspense fallback={<div className="h-60" />}>
              <Chart played={played} />
            </Suspense>
          ) : null}
          <ol className="grid gap-1" data-played>
            {[...played]
              .reverse()
              .slice(0, 20)
              .map((one) => (
                <li
                  key={one.at}
                  className="flex flex-wrap items-baseline gap-x-3 rounded-lg border-2 border-line p-2"
                >
                  <span className="num font-bold">{say('route.points', { points: one.points })}</span>
                  <span>
                    {say('route.line', { kind: KIND_SAYS[one.kind][0], level: one.level, job: one.job })}
                  </span>
                  {one.kind === 'make-up' ? null : (
                    <span className="text-sm text-ink-soft">
                      {say('route.tests', { tests: one.tests, best: one.best })}
                    </span>
                  )}
                </li>
              ))}
          </ol>
        </section>
      </main>
    </>
  );
}

/** The jobs and the drills of this browser, null until they are read: they come after the page, which is the same for everyone. */
function useStored(): StoredDrills | null {
  const [stored, setStored] = useState<StoredDrills | null>(null);
  useEffect(() => {
    let gone = false;
    void import('./stored').then(({ readStored }) => readStored()).then((own) => gone || setStored(own));
    return () => {
      gone = true;
    };
  }, []);
  return stored;
}
