import { wishKind } from '@core/trade/devices';
import { cableTypeName, placeName } from '@core/job/model/called';
import { spineOrder } from '@core/wiring/layout/spine-order';
import { capitalize } from '@core/base/capitalize';
import { PANEL, type Design } from '@core/job/model/design';
import type { WiredCable } from '@core/job/model/wiring';
import type { ShownOutcome } from '@core/wiring/plan';
import { memo, useMemo, type ReactNode } from 'react';
import { useStable } from '~/ui/use-stable';
import { INSULATION_FILL } from './wire';
import { say } from '~/words/drawing';
import { wishName } from '@core/trade/devices';

interface Props {
  readonly job: Design;
  readonly outcome: ShownOutcome;
  readonly chosen: string;
  readonly onChoose: (box: string) => void;
  /** What stands in the panel's card, such as breakers. */
  readonly panel?: ReactNode;
  /** True where the panel itself can be chosen: it holds splices. */
  readonly panelOpens?: boolean;
}

/** The boxes from the panel outward, joined by ribbons of their actual conductors: map, navigation, status. */
export function RunSpine({ job, outcome, chosen, onChoose, panel, panelOpens = false }: Props) {
  const choose = useStable(onChoose);
  const refused = useMemo(
    () => new Set(outcome.ok ? [] : outcome.refusals.flatMap(({ at }) => at.map(({ id }) => id))),
    [outcome],
  );
  const places = useMemo(() => spineOrder(job), [job]);
  return (
    <ol
      aria-label={say('runSpine.runFromPanelOutward')}
      className="flex gap-0 overflow-x-auto px-3 py-2 lg:block lg:overflow-visible lg:px-0 lg:py-0"
    >
      {places.map((at) => (
        <li key={at.place} className="flex shrink-0 items-center lg:block">
          <Way job={job} at={at} outcome={outcome} refused={refused} />
          {at.place === PANEL && !panelOpens ? (
            <div className="rounded-xl border-2 border-ink bg-paper p-3">
              <p className="font-bold">{capitalize(placeName(job, PANEL))}</p>
              {panel ?? (
                <p className="text-sm text-ink-soft">
                  {job.circuits
                    .map(({ number, breakerA }) => say('runSpine.circuit', { number, breakerA }))
                    .join(', ')}
                </p>
              )}
            </div>
          ) : (
            <Place
              job={job}
              place={at.place}
              chosen={at.place === chosen}
              refused={refused.has(at.place)}
              onChoose={choose}
            />
          )}
        </li>
      ))}
    </ol>
  );
}

/** The run that leads to a place. */
const Way = memo(function Way({
  job,
  at: { run, from, previous },
  outcome,
  refused,
}: {
  job: Design;
  at: ReturnType<typeof spineOrder>[number];
  outcome: ShownOutcome;
  refused: ReadonlySet<string>;
}) {
  if (!run) return null;
  const cables = outcome.ok ? outcome.plan.wiring.cables.filter((cable) => cable.run === run.id) : [];
  return (
    <div className="flex items-center gap-2 px-1 lg:min-h-16 lg:px-6" data-run={run.id}>
      <Ribbon cables={cables} />
      <p className="w-20 text-sm leading-tight lg:w-auto">
        <span className="num block text-ink">
          {refused.has(run.id) ? '▲ ' : ''}
          {cables.map(cableTypeName).join(' + ') || run.existing || '?'}
        </span>
        <span className="text-ink-soft">
          {say('runSpine.ftTrueOther', {
            lengthFt: run.lengthFt,
            existing: Boolean(run.existing),
            from: from !== previous ? say('runSpine.from', { placeName: placeName(job, from) }) : '',
          })}
        </span>
      </p>
    </div>
  );
});

/** A box as a button, with what is in it. */
const Place = memo(function Place({
  job,
  place,
  chosen,
  refused,
  onChoose,
}: {
  job: Design;
  place: string;
  chosen: boolean;
  refused: boolean;
  onChoose: (box: string) => void;
}) {
  return (
    <button
      type="button"
      onClick={() => onChoose(place)}
      aria-current={chosen ? 'true' : undefined}
      className="w-full min-w-32 rounded-xl border-2 border-ink bg-paper p-3 text-left aria-[current=true]:border-4 aria-[current=true]:border-plum aria-[current=true]:bg-plum-tint"
    >
      <span className="block font-bold">
        {refused ? '▲ ' : ''}
        {capitalize(placeName(job, place))}
      </span>
      <span className="text-sm text-ink-soft">
        {place === PANEL ? say('runSpine.holdsSplices') : contents(job, place)}
      </span>
    </button>
  );
});

function Ribbon({ cables }: { cables: readonly WiredCable[] }) {
  const conductors = cables.flatMap((cable) =>
    cable.conductors.map(({ id, insulation }) => ({ id, insulation })),
  );
  const width = Math.max(conductors.length * 8, 8);
  return (
    <svg
      width={width + 4}
      height={64}
      viewBox={`0 0 ${width + 4} 64`}
      aria-hidden
      className="h-10 shrink-0 -rotate-90 lg:h-16 lg:rotate-0"
    >
      {conductors.map(({ id, insulation }, index) => (
        <g key={id}>
          <rect x={index * 8 + 2} y={-2} width={7} height={68} fill="var(--wire-outline)" />
          <rect x={index * 8 + 3.2} y={-2} width={4.6} height={68} fill={INSULATION_FILL[insulation][0]} />
        </g>
      ))}
      {conductors.length === 0 ? (
        <path d="M6 0v64" stroke="var(--ink)" strokeWidth="2" strokeDasharray="4 4" />
      ) : null}
    </svg>
  );
}

function contents(job: Design, box: string): string {
  const words = job.devices
    .filter((device) => device.box === box)
    .map(({ kind, wants }) => {
      if (!wishKind(kind).halves) return wishName(kind);
      const controls = Object.values(wants).map((want) => (want.does === 'power' ? want.control : null));
      const switched = controls.filter((control) => control !== null).length;
      return switched === 0
        ? 'duplex'
        : switched === 1
          ? say('runSpine.duplexHalfSwitched')
          : say('runSpine.duplexSwitched');
    });
  return words.join(' + ') || say('runSpine.splicesOnly');
}
