import type { Sketch } from '@core/handover/glance/sketch';
import type { Design } from '@core/job/model/design';
import type { Option } from '@core/choices/options/option';
import { SketchFigure } from '~/drawing/sketch';
import { SeverityMark } from '~/ui/severity';
import { glanceWorker } from '~/workers/core';
import { useAnswer } from '~/workers/use-answer';
import { say } from '~/words/options';

/** The best options as cards, each drawn small with what it changes. */
export function BestThree({
  job,
  outlet,
  options,
  onPick,
}: {
  job: Design;
  outlet: string;
  options: readonly Option[];
  onPick: (option: Option) => void;
}) {
  // Without its picture a card says all the same.
  const { answer: sketches } = useAnswer<Asked, readonly Sketch[]>(
    { job, outlet, options: options.map((option) => option.job) },
    draw,
  );
  return (
    <ul className="grid gap-3 lg:grid-cols-3">
      {options.map((option, index) => {
        const { id, says, figures, worst, guessed } = option;
        const sketch = sketches?.[index];
        return (
          <li
            key={id}
            data-best={option.way}
            className="grid content-start gap-2 rounded-xl border-2 border-line bg-paper p-3"
          >
            <span className="block h-24">
              {sketch ? <SketchFigure sketch={sketch} className="h-24 w-full" /> : null}
            </span>
            <h2 className="leading-tight font-bold">
              {index + 1}. {says}
            </h2>
            <p className="num text-sm">
              {say('bestThree.figures', {
                usd: figures.materialUsd,
                minutes: figures.laborMin,
                holes: figures.holes,
                feet: figures.newCableFt,
                guessed,
              })}
            </p>
            {worst.length === 0 ? (
              <p className="text-sm">{say('bestThree.nothingAgainst')}</p>
            ) : (
              worst.slice(0, 2).map((one) => (
                <p key={one.says} className="flex items-baseline gap-1 text-sm">
                  <SeverityMark severity={one.severity} /> {one.says}
                </p>
              ))
            )}
            <button
              type="button"
              className={`button ${index === 0 ? 'button-strong' : ''}`}
              aria-label={say('optionTable.useOption', { option: says })}
              onClick={() => onPick(option)}
            >
              {say('optionTable.useThis')}
            </button>
          </li>
        );
      })}
    </ul>
  );
}

interface Asked {
  readonly job: Design;
  readonly outlet: string;
  readonly options: readonly Design[];
}

const draw = ({ job, outlet, options }: Asked) =>
  glanceWorker.ask((worker) => worker.optionSketches(job, outlet, options));
