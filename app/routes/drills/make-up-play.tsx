import { useLayoutEffect, useMemo, useState } from 'react';
import { z } from 'zod';
import { deviceKind, wishKind } from '@core/trade/devices';
import { COSTS } from '@core/handover/drills/score';
import { soundHouse } from '@core/power/faults/fault';
import { placeName } from '@core/job/model/called';
import { operate, type Act } from '@core/site/live/operate';
import { EMPTY_SCENE, Scene } from '@core/site/live/scene';
import type { Setting } from '@core/site/live/standing';
import type { Design } from '@core/job/model/design';
import { LiveHouse } from '~/live/live-house';
import { AnswerLine } from '~/ui/answer-line';
import { drillWorker } from '~/workers/core';
import type { ShownMakeUp } from '~/workers/drill-room';
import { doneIn, keepDone } from './left';
import { Result, type PlayProps } from './result';
import { useMade } from './use-made';
import { Waiting } from './waiting';
import { say } from '~/words/drills';

/** An open box, every conductor loose: all is landed by hand, then energized. */
export function MakeUpPlay(props: PlayProps) {
  const { job, code } = props;
  const made = useMade((worker) => worker.makeUpDrill(job, code.level, code.seed));
  if (!made.drill) return <Waiting {...made} />;
  return <Playing {...props} drill={made.drill} />;
}

/** Where a drill was left. */
const Done = z.object({
  scene: Scene,
  count: z.object({
    hints: z.number(),
    tries: z.number(),
    mistakes: z.number(),
    touched: z.number(),
  }),
});

function Playing({ code, drill: { plan, box, start }, keep, another }: PlayProps & { drill: ShownMakeUp }) {
  const setting = useMemo<Setting>(
    () => ({ job: plan.job, house: soundHouse({ job: plan.job, wiring: plan.wiring }) }),
    [plan],
  );
  const [left] = useState(() => doneIn(code, Done));
  const [scene, setScene] = useState<Scene>(
    () =>
      left?.scene ?? {
        ...EMPTY_SCENE,
        openBreakers: plan.job.circuits.map(({ id }) => id),
        rewired: start,
      },
  );
  const [chosen, choose] = useState(box);
  const [hint, setHint] = useState<string | null>(null);
  const [count, setCount] = useState(left?.count ?? { hints: 0, tries: 0, mistakes: 0, touched: 0 });
  const [findings, setFindings] = useState<readonly string[] | null>(null);
  const done = findings?.length === 0;
  useLayoutEffect(() => keepDone(code, done ? null : { scene, count }), [code, done, scene, count]);
  const act = (act: Act) => {
    const next = operate(setting, scene, act);
    const touched = next.happened.filter(({ what }) => what === 'worked live').length;
    if (act.do === 'rewire' && touched > 0) setCount({ ...count, touched: count.touched + touched });
    setScene(next);
    setHint(null);
  };
  const points = Math.max(
    0,
    100 - count.mistakes * COSTS.finding - count.hints * COSTS.hint - count.touched * COSTS.touched,
  );
  const energize = async () => {
    const found = await drillWorker.ask((worker) => worker.judgeMakeUp(scene.rewired));
    setFindings(found);
    const tries = count.tries + 1;
    if (found.length > 0) setCount({ ...count, tries, mistakes: count.mistakes + found.length });
    else {
      setCount({ ...count, tries });
      setScene(operate(setting, { ...scene, openBreakers: [] }, { do: 'wait', seconds: 0 }));
      keep({ points, tests: tries, best: 1, hints: count.hints });
    }
  };
  const hanging = Object.values(scene.rewired.ends).filter(({ at }) => at === 'bare').length;
  return (
    <LiveHouse
      setting={setting}
      plan={plan}
      outcome={{ ok: true, plan }}
      scene={scene}
      act={act}
      chosen={chosen}
      choose={choose}
      mode="to make up"
      begin="rewire"
      without={['loosen', 'arc', 'touch']}
      answer={
        <>
          <AnswerLine>{say('make.answer', { box: placeName(plan.job, box) })}</AnswerLine>
          <p data-left>{say('make.left', { count: hanging })}</p>
        </>
      }
      aside={
        <>
          {done ? (
            <Result
              title={say('make.right', { points })}
              lines={[
                say('make.tries', { tries: count.tries }),
                ...(count.hints > 0 ? [say('result.hints', { hints: count.hints })] : []),
                ...(count.touched > 0 ? [say('result.touched', { touched: count.touched })] : []),
              ]}
              another={another}
            />
          ) : (
            <section className="grid gap-2" aria-label={say('make.energize')}>
              <button type="button" className="button button-strong" onClick={() => void energize()}>
                {say('make.energize')}
              </button>
              {findings ? (
                <div role="status" className="grid gap-1" data-findings>
                  <p className="font-semibold">▲ {say('make.wrong', { count: findings.length })}</p>
                  <ul className="grid gap-1 text-sm">
                    {[...new Set(findings)].map((message) => (
                      <li key={message}>{message}</li>
                    ))}
                  </ul>
                </div>
              ) : null}
              {hint === null ? null : <p data-hint>{hint}</p>}
              <button
                type="button"
                className="button justify-self-start px-3"
                onClick={() => {
                  setCount({ ...count, hints: count.hints + 1 });
                  void drillWorker.ask((worker) => worker.makeUpHint(scene.rewired)).then(setHint);
                }}
              >
                {say('fault.hint', { cost: COSTS.hint })}
              </button>
            </section>
          )}
          <section className="grid gap-1" aria-label={say('make.request')}>
            <h3 className="eyebrow">{say('make.request')}</h3>
            <ul className="grid gap-1 text-sm">
              {requests(plan.job, plan).map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </section>
        </>
      }
    />
  );
}

/** What everything in the house must do, box by box. */
function requests(job: Design, { wiring }: ShownMakeUp['plan']): string[] {
  const kinds = new Map(wiring.devices.map(({ id, kind }) => [id, deviceKind(kind)]));
  const group = (id: string): string => job.groups.find((one) => one.id === id)?.name ?? '';
  return job.devices.flatMap(({ id, box, kind, wants }) =>
    Object.entries(wants).map(([part, want]) => {
      const own = kinds.get(id) ?? wishKind(kind);
      const name = own.parts.find((one) => one.id === part)?.name ?? '';
      return say('make.wish', {
        part: `${placeName(job, box)}, ${name}`,
        does: want.does === 'control' ? 'controls' : want.control === null ? 'always' : 'switched',
        group: want.does === 'control' ? group(want.group) : want.control === null ? '' : group(want.control),
      });
    }),
  );
}
