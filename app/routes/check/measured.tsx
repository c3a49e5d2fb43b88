import { placeName } from '@core/job/model/called';
import type { Box, Run } from '@core/job/model/design';
import { Fold } from '~/ui/fold';
import { useJob } from '../job/context';
import { say } from '~/words/load';

type BoxFigure = {
  [Key in keyof Box['rough']]: Box['rough'][Key] extends number | null ? Key : never;
}[keyof Box['rough']];
type RunFigure = {
  [Key in keyof Run['rough']]: Run['rough'][Key] extends number | null ? Key : never;
}[keyof Run['rough']];

const BOX_FIGURES: readonly (readonly [BoxFigure, string])[] = [
  ['freeIn', say('measured.freeConductor')],
  ['pastFrontIn', say('measured.pastFront')],
  ['sheathIn', say('measured.sheathInside')],
  ['stapleIn', say('measured.firstStaple')],
  ['setBackIn', say('measured.setBack')],
];
const RUN_FIGURES: readonly (readonly [RunFigure, string])[] = [
  ['supportFt', say('measured.widestGap')],
  ['holeEdgeIn', say('measured.holeStudEdge')],
  ['besideIn', say('measured.alongStudEdge')],
];

/** What is measured before the wall is closed: B02 to B06 and S06 speak where a figure stands. */
export function Measured() {
  const { job, run } = useJob();
  return (
    <Fold title={say('measured.measuredBeforeWallClosed')}>
      {() => (
        <>
          <div className="mt-2 grid gap-4">
            {job.boxes.map((box) => (
              <fieldset key={box.id} className="grid gap-2 border-t border-line pt-2">
                <legend className="font-semibold">{box.name}</legend>
                <div className="grid grid-cols-2 items-end gap-2 sm:grid-cols-3">
                  {BOX_FIGURES.map(([key, label]) => (
                    <Figure
                      key={key}
                      label={label}
                      value={box.rough[key]}
                      onCommit={(value) =>
                        run({ do: 'set box', box: box.id, change: { rough: { ...box.rough, [key]: value } } })
                      }
                    />
                  ))}
                </div>
              </fieldset>
            ))}
            {job.runs.map((one) => (
              <fieldset key={one.id} className="grid gap-2 border-t border-line pt-2">
                <legend className="font-semibold">
                  {say('measured.run', {
                    from: placeName(job, one.from),
                    to: placeName(job, one.to),
                  })}
                </legend>
                <div className="grid grid-cols-2 items-end gap-2 sm:grid-cols-3">
                  {RUN_FIGURES.map(([key, label]) => (
                    <Figure
                      key={key}
                      label={label}
                      value={one.rough[key]}
                      onCommit={(value) =>
                        run({ do: 'set run', run: one.id, change: { rough: { ...one.rough, [key]: value } } })
                      }
                    />
                  ))}
                  <Figure
                    label={say('measured.cablesThroughHole')}
                    value={one.rough.bundled}
                    onCommit={(value) =>
                      run({
                        do: 'set run',
                        run: one.id,
                        change: { rough: { ...one.rough, bundled: Math.max(Math.round(value ?? 1), 1) } },
                      })
                    }
                  />
                </div>
                <div className="flex flex-wrap gap-2">
                  {(
                    [
                      ['plate', say('measured.steelPlate')],
                      ['fished', say('measured.fishedThroughFinishedWall')],
                    ] as const
                  ).map(([key, label]) => (
                    <button
                      key={key}
                      type="button"
                      className="chip"
                      aria-pressed={one.rough[key]}
                      onClick={() =>
                        run({
                          do: 'set run',
                          run: one.id,
                          change: { rough: { ...one.rough, [key]: !one.rough[key] } },
                        })
                      }
                    >
                      {label}
                    </button>
                  ))}
                </div>
              </fieldset>
            ))}
          </div>
        </>
      )}
    </Fold>
  );
}

/** A figure that may be left empty; kept when the field is left, put back when it is not a number. */
function Figure({
  label,
  value,
  onCommit,
}: {
  label: string;
  value: number | null;
  onCommit: (value: number | null) => void;
}) {
  return (
    <label className="grid gap-1">
      <span className="eyebrow">{label}</span>
      <input
        key={value}
        className="field num"
        inputMode="decimal"
        defaultValue={value ?? ''}
        onBlur={(event) => {
          const text = event.currentTarget.value.trim();
          const next = text === '' ? null : Number(text);
          if (next !== null && (!Number.isFinite(next) || next < 0))
            event.currentTarget.value = String(value ?? '');
          else if (next !== value) onCommit(next);
        }}
      />
    </label>
  );
}
