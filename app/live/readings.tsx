import type { ReactNode } from 'react';
import type { Act } from '@core/site/live/operate';
import { isAsPlanned } from '@core/site/live/rewire';
import { AS_PLANNED, type Scene } from '@core/site/live/scene';
import type { Setting } from '@core/site/live/standing';
import { saidTime } from '@core/site/live/words';
import { deviceKind, SENSES } from '@core/trade/devices';
import { Names } from '@core/power/proof/names';
import type { BenchView } from './bench-view';
import { say } from '~/words/energize';

export type Mode = 'bench' | 'closed' | 'to make up';

interface Props {
  readonly mode: Mode;
  readonly setting: Setting;
  readonly scene: Scene;
  readonly view: BenchView;
  readonly act: (act: Act) => void;
  readonly only: string | null;
  readonly onOnly: (part: string | null) => void;
  /** What stands between the readings and what can be set. */
  readonly children?: ReactNode;
}

const WAITS = [
  [10, say('readings.wait.tenSeconds')],
  [60, say('readings.wait.minute')],
  [3600, say('readings.wait.hour')],
] as const;

/** What happened, what the instruments read, what runs where, how long; and what was changed by hand. */
export function Readings({ setting, scene, view, act, only, onOnly, mode, children }: Props) {
  const changes = view.words.changes(scene.rewired);
  return (
    <>
      <section aria-live="polite" aria-label={say('house.readings')} className="grid gap-2">
        <h3 className="eyebrow">{say('house.readings')}</h3>
        {view.notes.map((note) => (
          <p key={note} className="rounded-lg border-2 border-ink p-2 font-semibold" data-note>
            ▲ {note}
          </p>
        ))}
        <p>
          <span className="text-sm text-ink-soft">
            {say('readings.meter', { impedance: scene.meter.impedance })}
          </span>
          <span className={view.meter === null ? '' : 'num text-lg'} data-meter>
            {view.meter ??
              (scene.meter.from !== null && scene.meter.to === null
                ? say('readings.secondPoint')
                : say('readings.firstPoint'))}
          </span>
        </p>
        {view.clamp === null ? null : (
          <p>
            <span className="text-sm text-ink-soft">{say('readings.clamp')}</span>
            <span className="num text-lg" data-amps>
              {view.clamp}
            </span>
          </p>
        )}
        {view.tip === null ? null : (
          <p>
            <span className="text-sm text-ink-soft">{say('readings.tip')}</span>
            <span data-tip>{view.tip}</span>
          </p>
        )}
        {view.testers.map(({ key, text }) => (
          <p key={key} data-tester={key}>
            {text}
          </p>
        ))}
        {view.heat.map((text) => (
          <p key={text} className="font-semibold" data-heat>
            ▲ {text}
          </p>
        ))}
      </section>
      {mode !== 'bench' || isAsPlanned(scene.rewired) ? null : (
        <section aria-label={say('readings.differences')} className="grid gap-2">
          <h3 className="eyebrow">{say('readings.differences')}</h3>
          <ul className="grid gap-1">
            {changes.map(({ key, kind, says }) => (
              <li
                key={`${kind} ${key}`}
                className="flex items-center gap-2 rounded-lg border-2 border-line p-2"
              >
                <span className="flex-1 text-sm">{says}</span>
                <button
                  type="button"
                  className="button px-2 text-sm"
                  onClick={() => act({ do: 'rewire', rewired: withoutChange(scene, kind, key) })}
                >
                  {say('readings.putBack')}
                </button>
              </li>
            ))}
          </ul>
          <button
            type="button"
            className="button justify-self-start"
            onClick={() => act({ do: 'rewire', rewired: AS_PLANNED })}
          >
            {say('readings.putAllBack')}
          </button>
        </section>
      )}
      {children}
      {mode !== 'closed' && view.loads.length > 0 ? (
        <section aria-label={say('readings.currents')} className="grid gap-2">
          <h3 className="eyebrow">{say('readings.currents')}</h3>
          <p className="text-sm text-ink-soft">{say('readings.currentsLegend')}</p>
          <div className="flex flex-wrap gap-1">
            <button type="button" className="chip" aria-pressed={only === null} onClick={() => onOnly(null)}>
              {say('readings.allCurrents')}
            </button>
            {view.loads.map(({ part, says }) => (
              <button
                key={part}
                type="button"
                className="chip"
                aria-pressed={only === part}
                onClick={() => onOnly(only === part ? null : part)}
              >
                {says}
              </button>
            ))}
          </div>
        </section>
      ) : null}
      <section aria-label={say('readings.time')} className="grid gap-2">
        <h3 className="eyebrow">{say('readings.time')}</h3>
        <div className="flex flex-wrap items-center gap-1">
          {WAITS.map(([seconds, label]) => (
            <button
              key={seconds}
              type="button"
              className="button px-3"
              onClick={() => act({ do: 'wait', seconds })}
            >
              {label}
            </button>
          ))}
          {scene.clock.seconds > 0 ? (
            <span className="text-sm text-ink-soft" data-clock>
              {say('readings.passed', { time: saidTime(scene.clock.seconds) })}
            </span>
          ) : null}
        </div>
      </section>
      {mode === 'bench' ? <Kinds setting={setting} scene={scene} act={act} /> : null}
      {mode === 'bench' ? (
        <button type="button" className="button justify-self-start" onClick={() => act({ do: 'clear' })}>
          {say('readings.clear')}
        </button>
      ) : null}
    </>
  );
}

function withoutChange({ rewired }: Scene, kind: 'ends' | 'tabs' | 'loose', key: string) {
  const without = <T,>(own: Readonly<Record<string, T>>): Record<string, T> =>
    Object.fromEntries(Object.entries(own).filter(([one]) => one !== key));
  if (kind === 'ends') return { ...rewired, ends: without(rewired.ends) };
  if (kind === 'tabs') return { ...rewired, tabs: without(rewired.tabs) };
  return { ...rewired, loose: without(rewired.loose) };
}

/** Which generation a protecting device is of, and whether an AFCI senses ground faults: what its marking says. */
function Kinds({ setting: { job, house }, scene, act }: Pick<Props, 'setting' | 'scene' | 'act'>) {
  const names = new Names(job, house.wiring);
  const devices = house.wiring.devices.flatMap(({ id, kind }) => {
    const { protection } = deviceKind(kind);
    return protection ? [{ id, kind: protection.kind, name: names.device(id) }] : [];
  });
  const afcis = [
    ...job.circuits
      .filter(({ protection }) => SENSES[protection].share)
      .map(({ id, number }) => ({ id, name: say('breakers.breaker', { number }) })),
    ...devices.filter(({ kind }) => SENSES[kind].share),
  ];
  if (devices.length + afcis.length === 0) return null;
  return (
    <section aria-label={say('readings.kinds')} className="grid gap-1">
      <h3 className="eyebrow">{say('readings.kinds')}</h3>
      {devices.map(({ id, name }) => (
        <label key={id} className="flex min-h-11 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="size-5 accent-(--plum)"
            checked={scene.older.includes(id)}
            onChange={() => act({ do: 'generation', device: id })}
          />
          {say('readings.older', { device: name })}
        </label>
      ))}
      {afcis.map(({ id, name }) => (
        <label key={id} className="flex min-h-11 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="size-5 accent-(--plum)"
            checked={scene.groundFaultShare.includes(id)}
            onChange={() => act({ do: 'ground-fault share', at: id })}
          />
          {say('readings.share', { device: name })}
        </label>
      ))}
    </section>
  );
}
