import { useEffect, useState } from 'react';
import type { Sketch } from '@core/glance/sketch';
import type { Design } from '@core/model/design';
import type { Option } from '@core/options/option';
import { SketchFigure } from '~/drawing/sketch';
import { SeverityMark } from '~/ui/severity';
import { glanceWorker } from '~/workers/core';
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
  const sketches = useSketches(job, outlet, options);
  return (
    <ul className="grid gap-3 lg:grid-cols-3">
      {options.map((option, index) => {
        const { id, says, figures, worst, guessed } = option;
        const sketch = sketches.get(id);
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
              {say('optionTable.useOption2')}
            </button>
          </li>
        );
      })}
    </ul>
  );
}

/** The drawings of options, by their ids; none until they are worked out. */
function useSketches(job: Design, outlet: string, options: readonly Option[]): ReadonlyMap<string, Sketch> {
  const [drawn, setDrawn] = useState<ReadonlyMap<string, Sketch>>(new Map());
  const ids = options.map(({ id }) => id).join(' ');
  useEffect(() => {
    let left = false;
    void glanceWorker
      .ask((worker) =>
        worker.optionSketches(
          job,
          outlet,
          options.map((option) => option.job),
        ),
      )
      .then(
        (sketches) =>
          !left &&
          setDrawn(
            new Map(
              options.flatMap(({ id }, index) => {
                const sketch = sketches[index];
                return sketch ? [[id, sketch] as const] : [];
              }),
            ),
          ),
        // Without a picture the card says all the same.
        () => undefined,
      );
    return () => {
      left = true;
    };
    // The options of a search are the same as long as their ids are.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [job, outlet, ids]);
  return drawn;
}
