import { drawBox } from '@core/wiring/geometry/box-drawing';
import type { Fill } from '@core/wiring/boxfill/box-fill';
import { capitalize } from '@core/base/capitalize';
import { placeName } from '@core/job/model/called';
import { makeUpSteps } from '@core/wiring/makeup/steps';
import type { NamedStep } from '@core/wiring/makeup/step';
import type { Design } from '@core/job/model/design';
import type { ShownPlan } from '@core/wiring/plan';
import { BoxFigure } from '~/drawing/box-figure';
import { say } from '~/words/print';

/** Height of the words of a sheet that leaves room for another one on its page, in. */
const HALF_PAGE_IN = 4;
/** Letters of a line in the column of steps, and heights of a line of it and of the fill, in. */
const LINE = { letters: 44, stepIn: 0.2, fillIn: 0.19 };

/** How high the words of a sheet stand, in, about. */
const inchesOf = (steps: readonly NamedStep[], fill: Fill | undefined): number =>
  steps.reduce(
    (sum, { title, detail }) =>
      sum + Math.ceil((title.length + detail.length + 1) / LINE.letters) * LINE.stepIn + 0.06,
    0,
  ) + (fill ? (fill.lines.length + 1) * LINE.fillIn + 0.15 : 0);

/** One box for the wall: its drawing, its steps with room for a tick, its fill. Two of them share a page where they fit. */
export function BoxSheet({
  job,
  plan,
  fill,
  box,
}: {
  job: Design;
  plan: ShownPlan;
  fill: Fill | undefined;
  box: string;
}) {
  const name = capitalize(placeName(job, box));
  const steps = makeUpSteps(plan, box);
  const half = inchesOf(steps, fill) + (job.amendments.length > 0 ? 0.5 : 0) <= HALF_PAGE_IN;
  return (
    <section className={half ? 'sheet sheet-half' : 'sheet'} aria-label={name}>
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
          className={half ? 'max-h-[3.9in] w-full' : 'max-h-[7.2in] w-full'}
        />
        <div>
          <ol className="grid gap-1.5 text-sm leading-snug">
            {steps.map(({ id, title, detail }, index) => (
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
                {say('route.boxFill', {
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
      <footer className="mt-3 border-t border-current pt-1 text-xs">{say('route.caution')}</footer>
    </section>
  );
}
