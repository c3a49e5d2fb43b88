import { Printer } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { countBox } from '@core/wiring/boxfill/box-fill';
import { boxesThatFit, totalVolumeIn3 } from '@core/wiring/boxfill/boxes-that-fit';
import { isHome } from '@core/job/model/design';
import type { ShownPlan } from '@core/wiring/plan';
import { roughInBox, roughInRun } from '@core/site/roughin/rough-in';
import { FillBar } from '~/ui/fill-bar';
import { NumberField } from '~/ui/number-field';
import { Fold } from '~/ui/fold';
import { useJob, usePlan } from '../job/context';
import { say } from '~/words/make-up';

/** What goes with a box: fill and the boxes that would do, rough-in, the connector catalog, the print. */
export function BoxPapers({ plan, box: id }: { plan: ShownPlan; box: string }) {
  const { run } = useJob();
  const { job, fills } = usePlan();
  const box = job.boxes.find((one) => one.id === id);
  const fill = fills.get(id);
  // Open at first where the box is over-filled; after that as it was left.
  const [open, setOpen] = useState(fill !== undefined && !fill.fits);
  if (!box || !fill) return null;
  const fitting = boxesThatFit(countBox(plan.wiring, box), box.gangs, job.edition);
  const runs = job.runs.filter(({ from, to }) => from === id || to === id);
  const rough = [...roughInBox(plan, box), ...runs.flatMap((own) => roughInRun(plan, own))];
  return (
    <>
      <FillBar fill={fill} />
      <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary className="min-h-11 cursor-pointer py-2 font-bold">
          {say('boxPapers.smallestBoxesFit')}
        </summary>
        <ul className="grid gap-1">
          {fitting.map((row) => (
            <li key={row.id} className="flex items-center gap-2">
              <span className="flex-1">{row.name}</span>
              <span className="num">{row.volumeIn3}</span> {say('boxPapers.in')}
              <button
                type="button"
                className="button px-3 text-sm"
                aria-label={say('boxPapers.use', { row: row.name })}
                onClick={() => {
                  const { family, gangs, volumeIn3, internalClamps } = row;
                  run({
                    do: 'set box',
                    box: id,
                    change: { family, gangs, volumeIn3, internalClamps, ringIn3: 0 },
                  });
                }}
              >
                {say('boxPapers.useThis')}
              </button>
            </li>
          ))}
        </ul>
        <div className="mt-2 grid grid-cols-2 gap-2">
          <NumberField
            label={say('boxPapers.stampedVolume')}
            unit="in³"
            value={box.volumeIn3}
            min={1}
            max={200}
            onCommit={(volumeIn3) => run({ do: 'set box', box: id, change: { volumeIn3 } })}
          />
          <NumberField
            label={say('boxPapers.ringsMarked')}
            unit="in³"
            value={box.ringIn3}
            min={0}
            max={60}
            onCommit={(ringIn3) => run({ do: 'set box', box: id, change: { ringIn3 } })}
          />
        </div>
        <p className="mt-1 text-sm text-ink-soft">
          {say('boxPapers.together')} <span className="num">{totalVolumeIn3(box)}</span>{' '}
          {say('boxPapers.nonmetallicVolumesStampedInside')}
        </p>
      </details>
      {rough.length > 0 ? (
        <Fold title={say('boxPapers.roughPoints', { roughCount: rough.length })}>
          {() => (
            <>
              <ul className="grid gap-2">
                {rough.map(({ what, why }) => (
                  <li key={what} className="leading-snug">
                    {what} <span className="text-sm text-ink-soft">{why}</span>
                  </li>
                ))}
              </ul>
            </>
          )}
        </Fold>
      ) : null}
      <Fold title={say('boxPapers.connectorCatalog')}>
        {() => (
          <>
            <p className="text-sm text-ink-soft">{say('boxPapers.connectorsHint')}</p>
            {job.connectors.map((connector) => (
              <fieldset key={connector.id} className="mt-2 grid grid-cols-3 gap-2">
                <legend className="text-sm font-bold">{connector.name}</legend>
                {([14, 12, 10] as const).map((gauge) => (
                  <NumberField
                    key={gauge}
                    label={`${gauge}`}
                    unit={say('boxPapers.awg')}
                    value={connector.holds[gauge]}
                    min={0}
                    max={12}
                    onCommit={(most) =>
                      run({
                        do: 'set connector',
                        connector: connector.id,
                        change: { holds: { ...connector.holds, [gauge]: Math.round(most) } },
                      })
                    }
                  />
                ))}
              </fieldset>
            ))}
          </>
        )}
      </Fold>
      <Link to={`/job/${job.id}/print`} className="button lg:hidden">
        <Printer aria-hidden size={18} /> {say('boxPapers.printAllBoxes')}
      </Link>
      {runs.some(isHome) ? <p className="text-sm text-ink-soft">{say('boxPapers.proveDead')}</p> : null}
    </>
  );
}
