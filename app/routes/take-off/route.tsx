import { useMemo } from 'react';
import type { ShownPlan } from '@core/wiring/plan';
import { takeOff } from '@core/choices/takeoff/list';
import { laborMinutes, quoteOf } from '@core/choices/takeoff/quote';
import { Beside } from '../day/beside';
import { Refused } from '~/ui/answer';
import { usePlan } from '../job/context';
import { QuotePage } from './quote-page';
import type { Route } from './+types/route';
import { loadShop, useShop, type LoadedShop } from './use-shop';

export { StageError as ErrorBoundary } from '../job/stage-error';

export const clientLoader = ({ params: { jobId } }: Route.ClientLoaderArgs) => loadShop(jobId);

/** What to take along and what it costs: aisle by aisle, ticked as it is bought. */
export default function TakeOff({ loaderData }: Route.ComponentProps) {
  const { job, outcome } = usePlan();
  if (!outcome.ok)
    return (
      <main className="grid content-start gap-4 p-4">
        <Beside id={job.id} at="take-off" />
        <Refused refusals={outcome.refusals} />
      </main>
    );
  return <Listed key={job.id} plan={outcome.plan} loaded={loaderData} />;
}

function Listed({ plan, loaded }: { plan: ShownPlan; loaded: LoadedShop }) {
  const { job } = plan;
  const own = useShop(loaded);
  const { shop } = own;
  const quote = useMemo(
    () => quoteOf(takeOff(plan, shop.allowances), laborMinutes(plan, shop), shop),
    [plan, shop],
  );
  return (
    <QuotePage
      name={job.name}
      id={job.id}
      quote={quote}
      own={own}
      above={<Beside id={job.id} at="take-off" />}
    />
  );
}
