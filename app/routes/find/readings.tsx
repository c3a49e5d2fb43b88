import { Trash2 } from 'lucide-react';
import type { Survey } from '@core/job/model/survey';
import { probeWords, setupWords, valueWords } from '@core/site/survey/words';
import { useContext } from 'react';
import { useJob } from '../job/context';
import { Simulated } from './simulated';
import { OwnReading } from './own-reading';
import { say } from '~/words/find';

/** What was read so far, and a reading of one's own choosing. */
export function Readings({ survey, suspects }: { survey: Survey; suspects: readonly string[] }) {
  const { run } = useJob();
  const simulated = useContext(Simulated) !== null;
  return (
    <section className="grid gap-2" aria-label={say('readings.readings')}>
      <h3 className="text-lg font-bold">{say('readings.readings')}</h3>
      {survey.readings.length === 0 ? <p className="text-ink-soft">{say('readings.noneYet')}</p> : null}
      <ol className="grid gap-2">
        {survey.readings.map((reading) => (
          <li
            key={reading.id}
            className={`flex items-start gap-2 rounded-xl border-2 bg-paper p-2 pl-3 ${suspects.includes(reading.id) ? 'border-ink' : 'border-line'}`}
          >
            <div className="flex-1">
              <p>
                {suspects.includes(reading.id) ? '▲ ' : ''}
                {probeWords(survey, reading.setup, reading.probe)}{' '}
                <strong className="num whitespace-nowrap">{valueWords(reading)}</strong>
                {reading.times > 1 ? say('readings.times', { times: reading.times }) : ''}
              </p>
              <p className="text-sm text-ink-soft">{setupWords(survey, reading.setup).join(' ')}</p>
            </div>
            {simulated ? null : (
              <button
                type="button"
                className="button button-quiet px-2.5"
                aria-label={say('readings.takeOff', {
                  probeWords: probeWords(survey, reading.setup, reading.probe),
                })}
                onClick={() => run({ do: 'remove reading', survey: survey.id, reading: reading.id })}
              >
                <Trash2 aria-hidden size={18} />
              </button>
            )}
          </li>
        ))}
      </ol>
      <details open={simulated}>
        <summary className="min-h-6 cursor-pointer font-semibold">{say('readings.anotherReading')}</summary>
        <OwnReading survey={survey} />
      </details>
    </section>
  );
}
