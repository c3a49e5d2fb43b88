import { brokenTabs, newCableFt } from '@core/choices/takeoff/bill';
import type { Design } from '@core/job/model/design';
import type { ShownPlan } from '@core/wiring/plan';
import type { Refusal } from '@core/wiring/layout/refusal';
import { useJob, useJudged } from '~/routes/job/context';
import { Link, useNavigate } from 'react-router';
import { lazy, Suspense } from 'react';
import { Explained } from '~/glossary/explained';
import { say } from '~/words/ui';

const RunMap = lazy(() => import('~/routes/lay-out/run-map').then((own) => ({ default: own.RunMap })));
const GhostBox = lazy(() => import('~/drawing/ghost-box').then((own) => ({ default: own.GhostBox })));

/** The whole job in one line: what to pull and what to break. */
export function answerOf(plan: ShownPlan): string {
  const pulled = newCableFt(plan.wiring);
  const pull =
    pulled.size === 0
      ? say('answer.noNewCable')
      : say('answer.pull', {
          value: [...pulled].map(([type, feet]) => say('answer.ft', { type, feet })).join('; '),
        });
  const tabs = brokenTabs(plan.wiring).map(({ tab }) => tab.short);
  const names = [...new Set(tabs)].join(say('answer.andThe'));
  const broken =
    tabs.length === 0
      ? say('answer.allTabsStayWhole')
      : tabs.length === 1
        ? say('answer.breakTab', { names })
        : say('answer.breakTabs', { names, tabsCount: tabs.length });
  return `${pull} ${broken}`;
}

/** Why not, and what was found to do instead, each one tap away. */
export function Refusals({ refusals }: { refusals: readonly Refusal[] }) {
  const { job, run } = useJob();
  const { judged, judging } = useJudged();
  const repairs = judging ? [] : (judged?.repairs ?? []);
  return (
    <div role="alert" className="grid gap-3 rounded-xl border-2 border-ink bg-paper p-4">
      {refusals.map((refusal) => (
        <div key={refusal.message}>
          <h2 className="text-lg leading-snug font-bold">
            ▲ <Explained>{refusal.message}</Explained>
          </h2>
          {repairs.length === 0 && !judging ? (
            <ul className="list-disc pl-5">
              {refusal.ways.map((way) => (
                <li key={way}>
                  <Explained>{way}</Explained>
                </li>
              ))}
            </ul>
          ) : null}
        </div>
      ))}
      {judging ? <p aria-busy>{say('answer.lookingWaysFix')}</p> : null}
      {repairs.length > 0 ? (
        <div className="grid gap-2">
          <p className="eyebrow">{say('answer.waysFixCheapestFirst')}</p>
          {repairs.slice(0, REPAIRS_SHOWN).map((repair) => (
            <button
              key={repair.says}
              type="button"
              className="button justify-start text-left"
              onClick={() => run(...repair.commands)}
            >
              <span>
                {repair.says}{' '}
                {repair.newCableFt > 0 ? (
                  <span className="num font-normal text-ink-soft">
                    {say('answer.ftNewCable', { newCableFt: repair.newCableFt })}
                  </span>
                ) : null}
              </span>
            </button>
          ))}
          {repairs.length > REPAIRS_SHOWN ? (
            <p>{say('answer.moreWays', { repairsCount: repairs.length - REPAIRS_SHOWN })}</p>
          ) : null}
          <p className="text-sm text-ink-soft">{say('answer.afterRepair', { job: job.name })}</p>
        </div>
      ) : null}
    </div>
  );
}

const REPAIRS_SHOWN = 5;
/** Where a box is laid out, or a run by the box that it leads to. */
const layOutAt = (
  { id: own, runs }: Design,
  { kind, id }: { readonly kind: 'box' | 'run'; readonly id: string },
) => `/job/${own}/lay-out?box=${kind === 'box' ? id : (runs.find((run) => run.id === id)?.to ?? '')}`;
const NOTHING = { kind: 'box', id: '' } as const;

/** Where a stage has no plan to show: why not, what was found to do instead, and the way to change it. */
export function Refused({ refusals }: { refusals: readonly Refusal[] }) {
  const { job } = useJob();
  const { judged, judging } = useJudged();
  const go = useNavigate();
  return (
    <>
      <Refusals refusals={refusals} />
      {judging ? null : (
        <Suspense>
          {judged?.ghost ? (
            <GhostBox ghost={judged.ghost} />
          ) : (
            // Nothing is missing: where it does not go is marked on the map.
            <RunMap chosen={NOTHING} onChoose={(place) => void go(layOutAt(job, place))} />
          )}
        </Suspense>
      )}
      <Link to={`/job/${job.id}/lay-out`} className="button justify-self-start">
        {say('answer.changeLayOut')}
      </Link>
    </>
  );
}
