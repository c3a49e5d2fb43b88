import { Printer } from 'lucide-react';
import { Link } from 'react-router';
import { directoryOf } from '@core/directory/directory';
import { drawBox } from '@core/geometry/box-drawing';
import { placeName } from '@core/layout/names';
import { placesToMakeUp } from '@core/makeup/panel';
import { capitalize } from '@core/capitalize';
import { makeUpSteps } from '@core/makeup/steps';
import type { ShownPlan } from '@core/plan';
import { BoxFigure } from '~/drawing/box-figure';
import { spineOrder } from '@core/layout/spine-order';
import { Refusals } from '~/ui/answer';
import { usePlan } from '../job/context';
import { DirectorySheet } from './directory-sheet';
import { ScriptSheet } from './script-sheet';
import { say } from '~/words/print';

export { StageError as ErrorBoundary } from '../job/stage-error';

/** One box a page: the drawing, the steps with room for a tick, the fill. Black and white. */
export default function Print() {
  const { job, outcome } = usePlan();
  if (!outcome.ok) {
    return (
      <main className="p-4">
        <Refusals refusals={outcome.refusals} />
      </main>
    );
  }
  const places = placesToMakeUp(job, outcome.plan.wiring);
  const boxes = spineOrder(job).flatMap(({ place }) => (places.has(place) ? [place] : []));
  return (
    <main className="p-4 print:p-0">
      <div className="mb-4 flex gap-2 print:hidden">
        <button type="button" className="button button-strong" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> {say('route.printOneOther', { boxesCount: boxes.length + 2 })}
        </button>
        <Link to={`/job/${job.id}/make-up`} className="button">
          {say('route.backMakeUp')}
        </Link>
      </div>
      {boxes.map((box) => (
        <Sheet key={box} plan={outcome.plan} box={box} name={capitalize(placeName(job, box))} />
      ))}
      <ScriptSheet plan={outcome.plan} />
      <DirectorySheet title={job.name} site={job.site} lines={directoryOf([job])} />
    </main>
  );
}

function Sheet({ plan, box, name }: { plan: ShownPlan; box: string; name: string }) {
  const { job, fills } = usePlan();
  const fill = fills.get(box);
  return (
    <section className="sheet" aria-label={name}>
      <header className="flex items-baseline justify-between border-b-2 border-current pb-1">
        <h2 className="text-lg font-bold">{name}</h2>
        <p className="text-sm">
          {[job.name, job.site, say('route.code', { edition: job.edition })].filter(Boolean).join(' · ')}
        </p>
      </header>
      <div className="grid grid-cols-[1fr_1fr] gap-4 pt-3">
        <BoxFigure
          drawing={drawBox(plan, box)}
          title={say('route.openBox', { name })}
          className="max-h-[7.2in] w-full"
        />
        <div>
          <ol className="grid gap-1.5 text-sm leading-snug">
            {makeUpSteps(plan, box).map(({ id, title, detail }, index) => (
              <li key={id} className="grid grid-cols-[1.4rem_1.2rem_1fr] gap-1">
                <span className="size-4 border border-current" />
                <span>{index + 1}</span>
                <span>
                  <span className="font-bold">{title}</span> {detail}
                </span>
              </li>
            ))}
          </ol>
          {fill ? (
            <table className="mt-3 w-full text-sm">
              <caption className="text-left font-bold">
                {say('route.boxFillTrueOther', {
                  totalIn3: fill.totalIn3.toFixed(2),
                  volumeIn3: fill.volumeIn3,
                  fits: fill.fits,
                })}
              </caption>
              <tbody>
                {fill.lines.map((line) => (
                  <tr key={line.what}>
                    <td>{line.what}</td>
                    <td className="text-right">
                      {line.count} × {line.eachIn3.toFixed(2)} = {line.totalIn3.toFixed(2)}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          ) : null}
        </div>
      </div>
      {job.amendments.length > 0 ? (
        <div className="mt-3 text-sm">
          <p className="font-bold">{say('route.rulesWaivedJob')}</p>
          <ul>
            {job.amendments.map(({ rule, reason }) => (
              <li key={rule}>
                {rule}: {reason}
              </li>
            ))}
          </ul>
        </div>
      ) : null}
      <footer className="mt-3 border-t border-current pt-1 text-xs">
        {say('route.deEnergizeLockTagBreaker')}
      </footer>
    </section>
  );
}
