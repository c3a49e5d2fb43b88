import { useContext, useState } from 'react';
import { testKey, type Probe, type Setup, type Survey, type Value } from '@core/job/model/survey';
import type { Study } from '@core/site/survey/study';
import { mayBeGhost, probeWords, setupWords, valueWords } from '@core/site/survey/words';
import { NumberField } from '~/ui/number-field';
import { useJob } from '../job/context';
import { Simulated } from './simulated';
import { outcomeWords, quickValues } from './values';
import { say } from '~/words/find';

/** The one test that tells most now, as an instruction, with its readings as large buttons. */
export function NextTest({
  survey,
  study,
  busy,
  onSkip,
}: {
  survey: Survey;
  study: Study;
  /** The next study is under way: what stands here is done with. */
  busy: boolean;
  onSkip: (key: string) => void;
}) {
  const { suggestion, expected } = study;
  if (!suggestion) return null;
  const { test, together, again } = suggestion;
  return (
    <section
      className="grid gap-3 rounded-xl border-2 border-plum bg-paper p-4"
      aria-label={say('nextTest.nextTest')}
    >
      <p className="eyebrow">
        {again ? say('nextTest.retestOne') : say('nextTest.nextTest')} ·{' '}
        {test.live ? say('nextTest.live') : say('nextTest.dead')}
      </p>
      <div className="grid gap-1 text-lg leading-snug">
        {setupWords(survey, test.setup).map((words) => (
          <p key={words} className="text-base">
            {words}
          </p>
        ))}
        <p className="font-bold" data-test>
          {probeWords(survey, test.setup, test.probe)}
        </p>
      </div>
      {test.live ? <LiveCaution /> : null}
      <ReadingEntry survey={survey} setup={test.setup} probe={test.probe} disabled={busy} />
      {mayBeGhost(test.probe) ? <p className="text-sm text-ink-soft">{say('nextTest.floating')}</p> : null}
      {together.map((one) => (
        <div key={testKey(one)} className="grid gap-2 border-t-2 border-line pt-3">
          <p className="eyebrow">{say('nextTest.sameSetup')}</p>
          <p className="font-bold">{probeWords(survey, one.setup, one.probe)}</p>
          <ReadingEntry survey={survey} setup={one.setup} probe={one.probe} disabled={busy} />
        </div>
      ))}
      <details>
        <summary className="min-h-6 cursor-pointer text-sm text-ink-soft">{say('nextTest.meanings')}</summary>
        <table className="mt-1 w-full text-sm">
          <tbody>
            {expected.slice(0, 5).map(({ outcome, share, speaksFor }) => (
              <tr key={outcome} className="align-top">
                <td className="py-0.5 pr-2 font-semibold whitespace-nowrap">
                  {outcomeWords(test.probe, outcome)}
                </td>
                <td className="num pr-2 text-right">{Math.round(share * 100)} %</td>
                <td>{speaksFor}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
      <button
        type="button"
        className="button button-quiet justify-self-start px-0"
        onClick={() => onSkip(testKey(test))}
      >
        {say('nextTest.skipOne')}
      </button>
    </section>
  );
}

/** Stands beside every reading that is taken with power on, suggested or one's own. */
export const LiveCaution = () => <p className="text-sm">{say('nextTest.liveCaution')}</p>;

/** What the instrument shows, in one tap; an exact figure where one is wanted. */
export function ReadingEntry({
  survey,
  setup,
  probe,
  disabled = false,
}: {
  survey: Survey;
  setup: Setup;
  probe: Probe;
  disabled?: boolean;
}) {
  const { run } = useJob();
  const simulated = useContext(Simulated);
  const [exact, setExact] = useState(false);
  const take = (value: Value) => {
    setExact(false);
    run({
      do: 'add reading',
      survey: survey.id,
      reading: { setup, probe, value },
      says: say('nextTest.logged', {
        name: survey.name,
        what: [...setupWords(survey, setup), probeWords(survey, setup, probe)].join(' '),
        value: valueWords({ probe, value }),
      }),
    });
  };
  if (simulated)
    return (
      <button
        type="button"
        className="button button-strong min-h-14"
        disabled={disabled}
        onClick={() => simulated(setup, probe)}
      >
        {say('nextTest.takeReading')}
      </button>
    );
  const quick = quickValues(setup, probe);
  const figures = figuresOf(probe);
  return (
    <div className="grid gap-2">
      <div className={`grid gap-2 ${quick.length === 3 ? 'grid-cols-3' : 'grid-cols-2'}`}>
        {quick.map(({ label, value }) => (
          <button
            key={label}
            type="button"
            className="button min-h-14 px-2 text-lg leading-tight"
            disabled={disabled}
            onClick={() => take(value)}
          >
            {label}
          </button>
        ))}
      </div>
      {figures && !exact ? (
        <button
          type="button"
          className="button button-quiet justify-self-start px-0"
          onClick={() => setExact(true)}
        >
          {say('nextTest.enterExactFigure')}
        </button>
      ) : null}
      {figures && exact ? <ExactFigures {...figures} onTake={take} /> : null}
    </div>
  );
}

/** The figures that an instrument shows, and the reading that they make; null where it only says yes or no. */
function figuresOf(probe: Probe): Figures | null {
  switch (probe.with) {
    case 'meter':
    case 'residual':
      return {
        asks: [[say('nextTest.shows'), 'V', 600]],
        make: ([v = 0]) => ({ is: 'volts', low: v, high: v }),
      };
    case 'clamp':
    case 'panel clamp':
    case 'feed clamp':
      return { asks: [[say('nextTest.shows'), 'A', 400]], make: ([a = 0]) => ({ is: 'amps', amps: a }) };
    case 'continuity':
    case 'lifted neutral':
      return { asks: [[say('nextTest.shows'), 'Ω', 1e7]], make: ([ohms = 0]) => ({ is: 'ohms', ohms }) };
    case 'drop':
      return {
        asks: [
          [say('nextTest.hotNeutralFalls'), 'V', 600],
          [say('nextTest.neutralGroundRises'), 'V', 600],
        ],
        make: ([sagV = 0, riseV = 0]) => ({ is: 'drop', sagV, riseV }),
      };
    default:
      return null;
  }
}

interface Figures {
  readonly asks: readonly (readonly [label: string, unit: string, most: number])[];
  readonly make: (figures: readonly number[]) => Value;
}

function ExactFigures({ asks, make, onTake }: Figures & { onTake: (value: Value) => void }) {
  const [known, setKnown] = useState<readonly (number | undefined)[]>(asks.map(() => undefined));
  const commit = (index: number, figure: number) => {
    const next = known.with(index, figure);
    const all = next.flatMap((one) => one ?? []);
    if (all.length === asks.length) onTake(make(all));
    else setKnown(next);
  };
  return asks.map(([label, unit, most], index) => (
    <NumberField
      key={label}
      label={label}
      unit={unit}
      value={known[index] ?? null}
      min={0}
      max={most}
      onCommit={(figure) => commit(index, figure)}
    />
  ));
}
