import { proxy } from 'comlink';
import { useMemo, useState } from 'react';
import { z } from 'zod';
import { COSTS, pointsOf } from '@core/handover/drills/score';
import { takenIn, type Taken } from '@core/handover/drills/taken';
import { operate, type Act } from '@core/site/live/operate';
import { EMPTY_SCENE, type Scene } from '@core/site/live/scene';
import type { Setting } from '@core/site/live/standing';
import { LiveHouse } from '~/live/live-house';
import { AnswerLine } from '~/ui/answer-line';
import { Select } from '~/ui/select';
import { drillWorker } from '~/workers/core';
import type { ShownFaultDrill } from '~/workers/drill-room';
import { doneIn, keepDone } from './left';
import { Result, type PlayProps } from './result';
import { useMade } from './use-made';
import { Waiting } from './waiting';
import { say } from '~/words/drills';

/** A house with hidden mistakes: the boxes are closed, the instruments and switches tell. */
export function FaultPlay(props: PlayProps) {
  const { job, code } = props;
  const [progress, setProgress] = useState<{ done: number; of: number } | null>(null);
  const made = useMade((worker) => worker.faultDrill(job, code.level, code.seed, proxy(setProgress)));
  if (!made.drill) return <Waiting {...made} progress={progress} />;
  return <Playing {...props} drill={made.drill} />;
}

interface Log {
  readonly taken: ReadonlyMap<string, Taken>;
  readonly touched: number;
}

interface Bench {
  readonly scene: Scene;
  readonly log: Log;
}
const FRESH: Bench = { scene: EMPTY_SCENE, log: { taken: new Map(), touched: 0 } };

/** The bench after something was done on it, with what that read. */
function afterAct(setting: Setting, { scene, log }: Bench, act: Act): Bench {
  const next = operate(setting, scene, act);
  const touched = next.happened.filter((one) => one.what === 'touched' && one.amps > 0.0005).length;
  const before = new Set(takenIn(setting, scene).map(({ key }) => key));
  const fresh = takenIn(setting, next).filter(({ key }) => !before.has(key));
  return {
    scene: next,
    log: {
      taken: new Map([...log.taken, ...fresh.map((one) => [one.key, one] as const)]),
      touched: log.touched + (act.do === 'touch' ? touched : 0),
    },
  };
}

/** What was done, act by act: done again, it leads to where the drill was left. */
const Done = z.object({
  acts: z.array(z.looseObject({ do: z.string() })).max(5000),
  hints: z.number().int().min(0),
  wrong: z.number().int().min(0),
});

function begun(setting: Setting, done: z.infer<typeof Done> | null) {
  try {
    const acts = (done?.acts ?? []) as unknown as readonly Act[];
    const bench = acts.reduce((before, act) => afterAct(setting, before, act), FRESH);
    return { acts, bench, hints: done?.hints ?? 0, wrong: done?.wrong ?? 0 };
  } catch {
    // What was done in an older version may not be done any more: the drill begins anew.
    return { acts: [], bench: FRESH, hints: 0, wrong: 0 };
  }
}

function Playing({ code, drill, keep, another }: PlayProps & { drill: ShownFaultDrill }) {
  const { plan, house, count, best, hidden, options } = drill;
  const setting = useMemo<Setting>(() => ({ job: plan.job, house }), [plan, house]);
  const [chosen, choose] = useState(plan.job.boxes[0]?.id ?? '');
  const [{ acts, bench, hints, wrong }, setPlayed] = useState(() => begun(setting, doneIn(code, Done)));
  const [ended, setEnded] = useState<{ points: number; spared: number; found: boolean } | null>(null);
  const { scene, log } = bench;
  /** What is done is kept before it is drawn. */
  const go = (next: { acts?: readonly Act[]; bench?: Bench; hints?: number; wrong?: number }) => {
    const now = { acts, bench, hints, wrong, ...next };
    if (!ended) keepDone(code, { acts: now.acts, hints: now.hints, wrong: now.wrong });
    setPlayed(now);
  };
  const act = (act: Act) => go({ acts: [...acts, act], bench: afterAct(setting, bench, act) });
  const tests = log.taken.size;
  const end = async (found: boolean) => {
    const spared = await drillWorker.ask((worker) => worker.spared([...log.taken.values()]));
    const points = found
      ? pointsOf({ tests, best: best.tests, spared: spared.length }, { hints, wrong, touched: log.touched })
      : 0;
    setEnded({ points, spared: spared.length, found });
    keepDone(code, null);
    keep({ points, tests, best: best.tests, hints });
  };
  const name = async (ids: readonly string[]) => {
    if (await drillWorker.ask((worker) => worker.isFound(ids))) await end(true);
    else go({ wrong: wrong + 1 });
  };
  const [first] = hidden;
  return (
    <LiveHouse
      setting={setting}
      plan={plan}
      outcome={{ ok: true, plan }}
      scene={scene}
      act={act}
      chosen={chosen}
      choose={choose}
      mode={ended ? 'bench' : 'closed'}
      without={['rewire', 'loosen', 'arc']}
      answer={
        <>
          <AnswerLine>{say('fault.answer', { count })}</AnswerLine>
          <p data-count>{say('fault.tests', { tests, best: best.tests })}</p>
        </>
      }
      aside={
        ended ? (
          <Result
            title={ended.found ? say('result.found', { points: ended.points }) : say('result.shown')}
            lines={[
              say('result.tests', { tests, best: best.tests, optimal: best.optimal }),
              ...(hints > 0 ? [say('result.hints', { hints })] : []),
              ...(wrong > 0 ? [say('result.wrong', { wrong })] : []),
              ...(ended.spared > 0 ? [say('result.spared', { spared: ended.spared })] : []),
              ...(log.touched > 0 ? [say('result.touched', { touched: log.touched })] : []),
              ...(ended.spared + log.touched === 0 ? [say('result.safe')] : []),
            ]}
            another={another}
          >
            {hidden.map(({ id, says, shows, fix }) => (
              <div key={id}>
                <p className="font-semibold">{says}</p>
                <p className="text-sm">{say('result.shows', { shows })}</p>
                <p className="text-sm">{say('result.fix', { fix })}</p>
              </div>
            ))}
          </Result>
        ) : (
          <section aria-label={say('fault.name')} className="grid gap-2">
            <Naming options={options} count={count} wrong={wrong} onName={(ids) => void name(ids)} />
            {hints > 0 && first ? <p data-hint>{say('fault.hintBox', { box: first.place })}</p> : null}
            {hints > 1 && first ? <p data-hint>{say('fault.hintKind', { name: first.name })}</p> : null}
            <div className="flex flex-wrap gap-2">
              {hints < 2 ? (
                <button type="button" className="button px-3" onClick={() => go({ hints: hints + 1 })}>
                  {say('fault.hint', { cost: COSTS.hint })}
                </button>
              ) : null}
              <button type="button" className="button px-3" onClick={() => void end(false)}>
                {say('fault.giveUp')}
              </button>
            </div>
          </section>
        )
      }
    />
  );
}

/** What is wrong, and where: one mistake or two. */
function Naming({
  options,
  count,
  wrong,
  onName,
}: {
  options: ShownFaultDrill['options'];
  count: number;
  wrong: number;
  onName: (ids: readonly string[]) => void;
}) {
  const names = [...new Set(options.map(({ name }) => name))];
  const [kinds, setKinds] = useState<readonly string[]>([]);
  const [ids, setIds] = useState<readonly string[]>([]);
  const put = <T,>(list: readonly T[], at: number, one: T): T[] =>
    Array.from({ length: count }, (_, index) => (index === at ? one : (list[index] as T)));
  const numbers = Array.from({ length: count }, (_, index) => index);
  return (
    <>
      {numbers.map((at) => {
        const places = options.filter(({ name }) => name === kinds[at]);
        return (
          <div
            key={at}
            className="grid gap-2"
            role="group"
            aria-label={say('fault.which', { number: at + 1 })}
          >
            <Select
              label={say('fault.kind')}
              value={kinds[at] ?? ''}
              options={[
                { value: '', label: say('fault.choose') },
                ...names.map((name) => ({ value: name, label: name })),
              ]}
              onChange={(name) => {
                setKinds(put(kinds, at, name));
                setIds(put(ids, at, options.find((one) => one.name === name)?.id ?? ''));
              }}
            />
            {places.length > 0 ? (
              <Select
                label={say('fault.place')}
                value={ids[at] ?? ''}
                options={places.map(({ id, says, name }) => ({
                  value: id,
                  label: says.replace(`${name}: `, ''),
                }))}
                onChange={(id) => setIds(put(ids, at, id))}
              />
            ) : null}
          </div>
        );
      })}
      {wrong > 0 ? (
        <p role="status" className="font-semibold" key={wrong}>
          ▲ {say('fault.wrong')}
        </p>
      ) : null}
      <button
        type="button"
        className="button button-strong justify-self-start"
        disabled={numbers.some((at) => !ids[at])}
        onClick={() => onName(ids)}
      >
        {say('fault.say')}
      </button>
    </>
  );
}
