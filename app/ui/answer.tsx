import { brokenTabs, newCableFt } from '@core/takeoff/bill';
import type { ShownPlan } from '@core/plan';
import type { Refusal } from '@core/layout/refusal';
import { useJob, useJudged } from '~/routes/job/context';

/** The whole job in one line: what to pull and what to break. */
export function answerOf(plan: ShownPlan): string {
  const pulled = newCableFt(plan.wiring);
  const pull =
    pulled.size === 0
      ? 'No new cable.'
      : `Pull ${[...pulled].map(([type, feet]) => `${type}, ${feet} ft`).join('; ')}.`;
  const tabs = brokenTabs(plan.wiring).map(({ tab }) => tab);
  const names = [
    ...new Set(tabs.map(({ name }) => name.replace('tab between the ', '').replace(' screws', ''))),
  ];
  const broken =
    tabs.length === 0
      ? 'All tabs stay whole.'
      : `Break the ${names.join(' and the ')} tab${tabs.length > 1 ? `s (${tabs.length})` : ''}.`;
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
          <h2 className="text-lg leading-snug font-bold">▲ {refusal.message}</h2>
          {repairs.length === 0 && !judging ? (
            <ul className="list-disc pl-5">
              {refusal.ways.map((way) => (
                <li key={way}>{way}</li>
              ))}
            </ul>
          ) : null}
        </div>
      ))}
      {judging ? <p aria-busy>Looking for ways to fix it …</p> : null}
      {repairs.length > 0 ? (
        <div className="grid gap-2">
          <p className="eyebrow">Ways to fix it, cheapest first</p>
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
                  <span className="num font-normal text-ink-soft">{repair.newCableFt} ft of new cable</span>
                ) : null}
              </span>
            </button>
          ))}
          {repairs.length > REPAIRS_SHOWN ? <p>and {repairs.length - REPAIRS_SHOWN} more ways</p> : null}
          <p className="text-sm text-ink-soft">
            {job.name} is wired and verified after each of these; undo takes it back.
          </p>
        </div>
      ) : null}
    </div>
  );
}

const REPAIRS_SHOWN = 5;
