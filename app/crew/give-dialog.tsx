import { FileDown, ScanLine, Share2 } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import type { Thing } from '@core/job/merge/relation';
import { locale } from '@core/base/words/language';
import { PlainDialog } from '~/ui/plain-dialog';
import { handsOf, share, type Hands } from './give';
import { say } from '~/words/crew';

const LightShown = lazy(() => import('./light-shown'));

/** Gives a job or a house to somebody: as a file, or as light from screen to camera; who had it when stands beside. */
export default function GiveDialog({
  thing,
  name,
  people,
  onClose,
}: {
  thing: Thing;
  name: string;
  /** Who else works there. */
  people: readonly string[];
  onClose: () => void;
}) {
  const [known, setKnown] = useState<Hands | null>(null);
  const [shown, setShown] = useState(false);
  const [to, setTo] = useState(people.length === 1 ? (people[0] ?? '') : '');
  const { kind, id } = thing;
  useEffect(() => {
    let gone = false;
    void handsOf({ kind, id }).then((hands) => gone || setKnown(hands));
    return () => {
      gone = true;
    };
  }, [kind, id]);
  return (
    <PlainDialog title={say('give.title', { name })} close={say('give.close')} onClose={onClose}>
      {shown ? (
        <Suspense>
          <LightShown thing={thing} to={to} everything={known?.since === null} />
        </Suspense>
      ) : (
        <>
          <p>{say('give.says')}</p>
          {people.length > 0 ? (
            <div className="flex flex-wrap gap-1" role="toolbar" aria-label={say('give.toWhom')}>
              {['', ...people].map((person) => (
                <button
                  key={person}
                  type="button"
                  className="chip"
                  aria-pressed={to === person}
                  onClick={() => setTo(person)}
                >
                  {person === '' ? say('give.anybody') : person}
                </button>
              ))}
            </div>
          ) : null}
          <div className="flex flex-wrap gap-2">
            <button type="button" className="button button-strong" onClick={() => setShown(true)}>
              <ScanLine aria-hidden size={20} /> {say('give.light')}
            </button>
            <button type="button" className="button" onClick={() => void share(thing, to).then(onClose)}>
              {'canShare' in navigator ? (
                <Share2 aria-hidden size={20} />
              ) : (
                <FileDown aria-hidden size={20} />
              )}{' '}
              {say('give.file')}
            </button>
          </div>
          {known === null ? null : known.since === null ? (
            <p className="text-sm text-ink-soft">{say('give.nobody')}</p>
          ) : (
            <section aria-labelledby="hands" className="grid gap-1">
              <h3 id="hands" className="eyebrow">
                {say('give.hands')}
              </h3>
              <p className="font-bold" data-since={known.since}>
                {say('give.since', { count: known.since })}
              </p>
              {known.hands[0]?.how === 'given' ? <p>{say('give.out')}</p> : null}
              <ul className="text-sm">
                {known.hands.map(({ how, at, by }) => (
                  <li key={`${how} ${at}`}>{handWords(how, at, by)}</li>
                ))}
              </ul>
            </section>
          )}
        </>
      )}
    </PlainDialog>
  );
}

function handWords(how: 'given' | 'taken', at: string, by: string): string {
  const time = new Date(at).toLocaleString(locale, { weekday: 'long', hour: 'numeric', minute: '2-digit' });
  return how === 'given'
    ? by === ''
      ? say('give.given', { time })
      : say('give.givenTo', { name: by, time })
    : say('give.taken', { time, by: by === '' ? say('give.somebody') : by });
}
