import { useMemo } from 'react';
import type { Design } from '@core/job/model/design';
import { quoteOf } from '@core/choices/takeoff/quote';
import { houseWorker } from '~/workers/core';
import { useAnswer } from '~/workers/use-answer';
import { QuotePage } from '../take-off/quote-page';
import { loadShop, useShop } from '../take-off/use-shop';
import type { Route } from './+types/take-off';
import { useHouse } from './context';
import { JobChips, useLeftOut } from './job-chips';
import { useWholeJobs } from './whole-jobs';
import { say } from '~/words/house';

const add = ({ jobs, shop }: { jobs: readonly Design[]; shop: Parameters<typeof quoteOf>[2] }) =>
  houseWorker.ask((worker) => worker.houseTakeOff(jobs, shop));

export const clientLoader = ({ params: { houseId } }: Route.ClientLoaderArgs) => loadShop(`house ${houseId}`);

/** What several jobs of the house take together, or all of them. */
export default function HouseTakeOff({ loaderData }: Route.ComponentProps) {
  const { house, jobs, revision } = useHouse();
  const own = useShop(loaderData);
  const chips = useLeftOut();
  const designs = useDesigns(house.id, revision, jobs.map(({ updatedAt }) => updatedAt).join());
  const wanted = designs?.filter(({ id }) => !chips.left.has(id)) ?? null;
  const { answer } = useAnswer(wanted && { jobs: wanted, shop: own.shop }, add);
  const above = (
    <>
      <JobChips title={say('takeOff.jobs')} {...chips} />
      {answer && answer.refused.length > 0 ? (
        <p className="pt-2">▲ {say('takeOff.refused', { names: answer.refused.join(', ') })}</p>
      ) : null}
    </>
  );
  return answer && wanted ? (
    <QuotePage
      name={say('takeOff.title', { house: house.name, count: wanted.length })}
      id={house.id}
      quote={quoteOf(answer.lines, answer.minutes, own.shop)}
      own={own}
      above={above}
    />
  ) : (
    <main className="grid content-start gap-4 p-4">
      {above}
      <p aria-busy>{say('takeOff.working')}</p>
    </main>
  );
}

/** The designs of the house's jobs, read anew when the house or one of them changes. */
export function useDesigns(house: string, revision: number, changed: string): readonly Design[] | null {
  const jobs = useWholeJobs(house, `${revision} ${changed}`);
  return useMemo(() => jobs && jobs.map(({ design }) => design), [jobs]);
}
