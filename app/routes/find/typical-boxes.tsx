import { useMemo } from 'react';
import { blankJob } from '@core/handover/starts/job-from';
import { newSurvey, withChange } from '@core/job/seen/seen-box';
import { TYPICAL, type TypicalId } from '@core/job/seen/typical';
import { BoxFigure } from '~/drawing/box-figure';
import { drawSeen } from './seen-drawing';
import { say } from '~/words/find';

/** Boxes as they are mostly found, to start from; then corrected by tapping the drawing. */
export function TypicalBoxes({ onTake }: { onTake: (typical: TypicalId | null) => void }) {
  const drawn = useMemo(() => {
    const job = blankJob('seen', 'seen');
    const survey = newSurvey('seen', 'seen', '1');
    return TYPICAL.map(({ id, name }) => {
      const seen = withChange(survey, { what: 'typical', box: survey.target, typical: id });
      const [box] = seen.boxes;
      return { id, name, drawing: box && drawSeen(job, seen, box, null) };
    });
  }, []);
  return (
    <section aria-labelledby="most-like">
      <h2 id="most-like" className="text-lg font-bold">
        {say('typicalBoxes.whichMostLike')}
      </h2>
      <ul className="mt-2 grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-4">
        {drawn.map(({ id, name, drawing }) => (
          <li key={id} className="grid">
            <button
              type="button"
              data-typical={id}
              className="grid content-start gap-2 rounded-xl border-2 border-line bg-paper p-2 text-left hover:border-plum"
              onClick={() => onTake(id)}
            >
              {drawing ? (
                <BoxFigure drawing={drawing} title={name} className="pointer-events-none h-40 w-full" />
              ) : null}
              <span className="text-sm leading-tight font-semibold">{name}</span>
            </button>
          </li>
        ))}
        <li className="grid">
          <button
            type="button"
            data-typical="none"
            className="grid place-content-center rounded-xl border-2 border-dashed border-ink-soft p-3 text-center font-semibold hover:border-plum"
            onClick={() => onTake(null)}
          >
            {say('typicalBoxes.noneEnterIt')}
          </button>
        </li>
      </ul>
    </section>
  );
}
