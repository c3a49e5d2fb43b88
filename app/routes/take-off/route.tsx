import { useMemo } from 'react';
import type { ShownPlan } from '@core/plan';
import { takeOff } from '@core/takeoff/list';
import { laborMinutes, quoteOf } from '@core/takeoff/quote';
import { Refused } from '~/ui/answer';
import { usePlan } from '../job/context';
import { QuotePage } from './quote-page';
import { useShop } from './use-shop';

export { StageError as ErrorBoundary } from '../job/stage-error';

/** What to take along and what it costs: aisle by aisle, ticked as it is bought. */
export default function TakeOff() {
  const { job, outcome } = usePlan();
  if (!outcome.ok)
    return (
      <main className="grid content-start gap-4 p-4">
        <Refused refusals={outcome.refusals} />
      </main>
    );
  return <Listed key={job.id} plan={outcome.plan} />;
}

function Listed({ plan }: { plan: ShownPlan }) {
  const { job } = plan;
  const own = useShop(job.id);
  const { shop } = own;
  const quote = useMemo(
    () => quoteOf(takeOff(plan, shop.allowances), laborMinutes(plan, shop), shop),
    [plan, shop],
  );
  return <QuotePage name={job.name} id={job.id} quote={quote} own={own} />;
}
