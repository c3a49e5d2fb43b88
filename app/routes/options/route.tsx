import { useState } from 'react';
import { useNavigate } from 'react-router';
import { wishKind } from '@core/trade/devices';
import { placeName } from '@core/job/model/called';
import type { Device } from '@core/job/model/design';
import {
  CARDS,
  EVEN,
  isStopped,
  ranked,
  weighed,
  type Option,
  type Weights,
} from '@core/choices/options/option';
import { outletsOf, removalOf } from '@core/choices/options/wish';
import { whoWorks } from '~/storage/who-works';
import { AnswerLine } from '~/ui/answer-line';
import { Fold } from '~/ui/fold';
import { Select } from '~/ui/select';
import { SeverityMark } from '~/ui/severity';
import { useJob } from '../job/context';
import { BestThree } from './best-three';
import { OptionTable } from './option-table';
import { useSearch } from './use-search';
import { WeightSliders } from '~/ui/weight-sliders';
import { say } from '~/words/options';

export { StageError as ErrorBoundary } from '../job/stage-error';

const WEIGHT_NAMES = [
  ['money', say('weightSliders.material')],
  ['time', say('weightSliders.labor')],
  ['holes', say('weightSliders.holesWall')],
  ['disturbance', say('weightSliders.disturbance')],
  ['room', say('weightSliders.roomBoxes')],
  ['findings', say('weightSliders.findings')],
] as const;

/** What the log says of an option that is taken: what it costs, and what stands against it. */
const loggedAs = ({ says, figures, worst }: Option, of: number): string =>
  say('route.logged', {
    option: says,
    of,
    usd: Math.round(figures.materialUsd),
    minutes: figures.laborMin,
    holes: figures.holes,
    against: worst.length > 0,
    worst: worst[0]?.says ?? '',
  });

/** The ways to get an outlet, compiled, proved and ruled beside the page; pick one and it becomes the Lay out. */
export default function OptionsStage() {
  const { job, run } = useJob();
  const navigate = useNavigate();
  const outlets = outletsOf(job);
  const [chosen, setChosen] = useState(() => firstNew(outlets, job.boxes)?.id ?? '');
  const [weights, setWeights] = useState<Weights>(EVEN);
  const outlet = outlets.find(({ id }) => id === chosen) ?? outlets[0];
  const { options, progress, failed, search, cancel } = useSearch(job, outlet?.id ?? '');
  if (!outlet) {
    return (
      <main className="mx-auto grid w-full max-w-xl content-start gap-3 p-6">
        <AnswerLine>{say('route.noOutletJobYet')}</AnswerLine>
        <p>{say('route.addOne')}</p>
      </main>
    );
  }
  const points = options ? weighed(options, weights) : new Map<string, number>();
  const first = options ? ranked(options, weights).slice(0, CARDS) : (progress?.best ?? []);
  const [best] = options ? first : [];
  const pick = (option: Option) => {
    run(...removalOf(job, outlet), ...option.commands, {
      do: 'log',
      entry: {
        at: new Date().toISOString(),
        by: whoWorks(),
        kind: 'option',
        box: null,
        says: loggedAs(option, options?.length ?? progress?.found ?? 1),
        corrects: null,
      },
    });
    void navigate(`/job/${job.id}/lay-out`);
  };
  const name = (device: Device) => `${placeName(job, device.box)}, ${wishKind(device.kind).name}`;
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start gap-5 p-4 sm:p-5">
      <div className="grid gap-3">
        <AnswerLine>
          {best && isStopped(best) ? (
            <>
              <SeverityMark severity="stop" />{' '}
            </>
          ) : null}
          {best
            ? isStopped(best)
              ? say('route.allHazards', { best: best.says })
              : `${best.says}.`
            : progress
              ? say('route.tryingWays', { tried: progress.tried, of: progress.of })
              : options
                ? say('route.none')
                : say('route.whatWaysAddOutlet')}
        </AnswerLine>
        {best && options ? (
          <p>
            {say('route.best', {
              optionsCount: options.length,
              materialUsd: best.figures.materialUsd,
              laborMin: best.figures.laborMin,
              holes: best.figures.holes,
            })}
          </p>
        ) : null}
        <div className="flex flex-wrap items-end gap-3">
          <div className="min-w-[min(14rem,100%)]">
            <Select
              label={say('route.outlet')}
              value={outlet.id}
              options={outlets.map((one) => ({ value: one.id, label: name(one) }))}
              onChange={setChosen}
            />
          </div>
          <button
            type="button"
            className="button button-strong"
            disabled={progress !== null}
            onClick={search}
          >
            {options ? say('route.searchAgain') : say('route.findWays')}
          </button>
          {progress ? (
            <button type="button" className="button" onClick={cancel}>
              {say('route.stop')}
            </button>
          ) : null}
        </div>
        {progress ? (
          <progress
            className="h-3 w-full accent-(--plum)"
            value={progress.tried}
            max={progress.of}
            aria-label={say('route.waysTried')}
          />
        ) : null}
      </div>
      {failed ? (
        <p role="alert" className="rounded-xl border-2 border-ink p-3">
          {say('route.failed', { failed })}
        </p>
      ) : null}
      {first.length > 0 ? (
        <>
          {options ? null : <h2 className="eyebrow">{say('route.bestSoFar')}</h2>}
          <BestThree job={job} outlet={outlet.id} options={first} onPick={pick} />
        </>
      ) : null}
      {options && options.length > 0 ? (
        <>
          <Fold title={say('route.allSideBySide', { optionsCount: options.length })}>
            {() => (
              <div className="grid gap-5">
                <OptionTable options={options} points={points} onPick={pick} />
                <WeightSliders
                  title={say('weightSliders.whatMatters')}
                  names={WEIGHT_NAMES}
                  weights={weights}
                  onChange={(key, value) => setWeights({ ...weights, [key]: value })}
                />
              </div>
            )}
          </Fold>
          <p className="text-sm text-ink-soft">{say('route.materialByShop')}</p>
        </>
      ) : null}
    </main>
  );
}

/** The outlet that this job is about: one in a box that is new, else the first. */
const firstNew = (
  outlets: readonly Device[],
  boxes: readonly { readonly id: string; readonly existing: boolean }[],
) => outlets.find(({ box }) => boxes.some(({ id, existing }) => id === box && !existing)) ?? outlets[0];
