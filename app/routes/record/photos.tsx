import { Camera, ImagePlus } from 'lucide-react';
import { useEffect, useRef } from 'react';
import type { Problem } from '@core/job/model/problem';
import { DAY_MS } from '~/storage/day';
import { openStore } from '~/storage/opened';
import { whoWorks } from '~/storage/who-works';
import { useNotify } from '~/ui/notices';
import { useJob } from '../job/context';
import { PhotoCard } from './photo-card';
import { takenIn } from './take-in';
import { say } from '~/words/record';

/** The photos of the job: taken with the camera or chosen, kept in this browser, their position data removed. */
export function Photos() {
  const { job, record, run } = useJob();
  const notify = useNotify();
  const camera = useRef<HTMLInputElement>(null);
  const files = useRef<HTMLInputElement>(null);
  const take = async (input: HTMLInputElement | null) => {
    const chosen = [...(input?.files ?? [])];
    if (input) input.value = '';
    const problems: Problem[] = [];
    for (const file of chosen) {
      const taken = await takenIn(file, job.id, whoWorks());
      if (taken.ok) run({ do: 'add photo', photo: taken.value });
      else problems.push(...taken.problems);
    }
    if (problems.length > 0) notify(say('photos.notTaken'), problems);
  };
  // What was removed more than a day ago goes for good.
  const over = record.photos
    .filter(({ removed }) => removed !== null && Date.now() - Date.parse(removed) > DAY_MS)
    .map(({ id }) => id)
    .join();
  useEffect(() => {
    if (over === '') return;
    const ids = over.split(',');
    run({ do: 'drop photos', photos: ids });
    void openStore()
      .then(({ photos }) => photos())
      .then((store) => store.drop(ids));
  }, [over, run]);
  const total = record.photos.reduce((sum, { bytes }) => sum + bytes, 0);
  return (
    <section aria-labelledby="photos" className="grid gap-3">
      <h2 id="photos" className="eyebrow">
        {say('photos.title')}{' '}
        {total > 0 ? (
          <span className="num">{say('photos.total', { mb: (total / 1e6).toFixed(1) })}</span>
        ) : null}
      </h2>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button button-strong" onClick={() => camera.current?.click()}>
          <Camera aria-hidden size={18} /> {say('photos.take')}
        </button>
        <button type="button" className="button" onClick={() => files.current?.click()}>
          <ImagePlus aria-hidden size={18} /> {say('photos.choose')}
        </button>
      </div>
      <input
        ref={camera}
        type="file"
        accept="image/*"
        capture="environment"
        className="hidden"
        aria-label={say('photos.take')}
        onChange={(event) => void take(event.currentTarget)}
      />
      <input
        ref={files}
        type="file"
        accept="image/jpeg,image/png,image/webp"
        multiple
        className="hidden"
        aria-label={say('photos.choose')}
        onChange={(event) => void take(event.currentTarget)}
      />
      <ul className="grid gap-3">
        {record.photos.map((photo) => (
          <PhotoCard key={photo.id} photo={photo} />
        ))}
      </ul>
    </section>
  );
}
