import { Printer } from 'lucide-react';
import { directoryOf } from '@core/handover/directory/directory';
import { spineOrder } from '@core/wiring/layout/spine-order';
import { placesToMakeUp } from '@core/wiring/makeup/panel';
import type { Design } from '@core/job/model/design';
import { houseWorker } from '~/workers/core';
import { useAnswer } from '~/workers/use-answer';
import { BoxSheet } from '../print/box-sheet';
import { DirectorySheet } from '../print/directory-sheet';
import { useHouse } from './context';
import { useDesigns } from './take-off';
import { InOtherLanguage } from '~/ui/in-other-language';
import { say } from '~/words/house';

const plan = (jobs: readonly Design[]) => houseWorker.ask((worker) => worker.plannedAll(jobs));

/** The sheets of every job of the house in one go, and the directory after them. */
export default function HousePrint() {
  const { house, jobs, revision } = useHouse();
  const designs = useDesigns(house.id, revision, jobs.map(({ updatedAt }) => updatedAt).join());
  const { answer } = useAnswer(designs, plan);
  if (!designs || !answer)
    return (
      <p className="p-4" aria-busy>
        {say('print.working')}
      </p>
    );
  const planned = designs.flatMap((job, index) => {
    const own = answer[index];
    return own ? [{ job, ...own }] : [];
  });
  const refused = planned.filter(({ outcome }) => !outcome.ok);
  return (
    <main className="p-4 print:p-0">
      <div className="mb-4 flex flex-wrap items-center gap-2 print:hidden">
        <button type="button" className="button button-strong" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> {say('print.all')}
        </button>
        <InOtherLanguage />
        {refused.length > 0 ? (
          <p>▲ {say('print.refused', { names: refused.map(({ job }) => job.name).join(', ') })}</p>
        ) : null}
      </div>
      {planned.flatMap(({ job, outcome, fills }) => {
        if (!outcome.ok) return [];
        const places = placesToMakeUp(job, outcome.plan.wiring);
        return spineOrder(job)
          .filter(({ place }) => places.has(place))
          .map(({ place }) => (
            <BoxSheet
              key={`${job.id} ${place}`}
              job={job}
              plan={outcome.plan}
              fill={fills.get(place)}
              box={place}
            />
          ));
      })}
      <DirectorySheet title={house.name} site={house.site} lines={directoryOf(designs, house)} whole />
    </main>
  );
}
