import { testKey } from '@core/job/model/survey';
import { groupBy } from '@core/base/group-by';
import type { JobRecord } from '@core/job/model/record';
import { owedOf, type Owed } from '@core/site/survey/owed';
import { valueWords } from '@core/site/survey/words';
import { LiveCaution, ReadingEntry } from '../find/next-test';
import { useJob } from '../job/context';
import { say } from '~/words/field-test';

/** What Find left open, to be read at the new outlet before its cover goes on; nothing where nothing is owed. */
export function LeftFromFind() {
  const { record } = useJob();
  if (owedIn(record).length === 0) return null;
  return (
    <section aria-labelledby="left-from-find" className="grid gap-3" data-owed>
      <h3 id="left-from-find" className="eyebrow">
        {say('left.title')}
      </h3>
      <LiveCaution />
      {record.surveys.map((survey) =>
        [...groupBy(owedOf(survey), (one) => [testKey(one)])].map(([key, of]) => (
          <div
            key={`${survey.id} ${key}`}
            className="grid gap-2 rounded-xl border-2 border-line bg-paper p-3"
            data-owed-state={of[0]?.found}
          >
            <p className="text-sm text-ink-soft">{survey.name}</p>
            {of[0] ? <p className="font-bold">{of[0].how}</p> : null}
            {of.map((one) => (
              <p key={one.left}>
                {one.found === 'there'
                  ? say('left.there', { says: one.says, then: one.then })
                  : one.found === 'not there'
                    ? say('left.notThere', { says: one.says })
                    : say('left.tells', { says: one.says })}
              </p>
            ))}
            {of[0]?.reading ? (
              <p className="num">
                {valueWords(of[0].reading)}
                {of[0].found === 'open' ? ` ${say('left.saysNothing')}` : ''}
              </p>
            ) : null}
            {of[0] ? <ReadingEntry survey={survey} setup={of[0].setup} probe={of[0].probe} /> : null}
          </div>
        )),
      )}
    </section>
  );
}

/** All that is owed in a job, of every box that was laid out. */
export const owedIn = (record: Pick<JobRecord, 'surveys'>): readonly Owed[] => record.surveys.flatMap(owedOf);
