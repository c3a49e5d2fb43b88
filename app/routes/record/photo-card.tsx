import { Trash2 } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { runName } from '@core/job/model/called';
import type { Design } from '@core/job/model/design';
import type { Photo, PhotoMark } from '@core/job/model/record';
import { INSULATIONS } from '@core/trade/standards/cables';
import { DAY_MS } from '~/storage/day';
import { openStore } from '~/storage/opened';
import { useNotify } from '~/ui/notices';
import { Select } from '~/ui/select';
import { TextField } from '~/ui/text-field';
import { useJob } from '../job/context';
import { blobOf, madeSmaller } from './take-in';
import { INSULATION_NAME } from '@core/trade/standards/names';
import { locale } from '@core/base/words/language';
import { say } from '~/words/record';

const MarkedWire = lazy(() => import('./marked-wire'));

/** The address of a photo's bytes, as long as it is shown; undefined while they are read, null where they are not there. */
export function usePhotoUrl({
  id,
  type,
  bytes,
}: Pick<Photo, 'id' | 'type' | 'bytes'>): string | null | undefined {
  const [url, setUrl] = useState<string | null>();
  useEffect(() => {
    let gone = false;
    let made: string | null = null;
    void openStore()
      .then(({ photos }) => photos())
      .then((store) => store.bytes(id))
      .then((kept) => {
        if (gone) return;
        if (!kept) return setUrl(null);
        made = URL.createObjectURL(blobOf(kept, type));
        setUrl(made);
      });
    return () => {
      gone = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [id, type, bytes]);
  return url;
}

/** What a mark on a photo points at, in words. */
export function markWords(job: Design, { run, insulation }: PhotoMark, number: number): string {
  const cable = job.runs.find(({ id }) => id === run);
  return say('photos.markSays', {
    number,
    cable: cable ? runName(job, cable) : say('photos.gone'),
    part: insulation === null ? say('photos.wholeCable') : INSULATION_NAME[insulation],
  });
}

/** A photo with its marks, each of which is a cable or a conductor of the drawing. */
export function PhotoCard({ photo }: { photo: Photo }) {
  const { job, run } = useJob();
  const notify = useNotify();
  const [at, setAt] = useState<{ x: number; y: number } | null>(null);
  const [marking, setMarking] = useState(false);
  /** The mark whose conductor stands in the drawing. */
  const [lit, setLit] = useState<string | null>(null);
  const { id, caption, box, marks, widthPx, heightPx, bytes, removed } = photo;
  const set = (change: Partial<Pick<Photo, 'caption' | 'box' | 'removed'>>) =>
    run({ do: 'set photo', photo: id, change });
  if (removed !== null)
    return (
      <li className="flex items-center gap-2 rounded-xl border-2 border-dashed border-line p-3">
        <span className="flex-1">
          {say('photos.removed', { time: new Date(Date.parse(removed) + DAY_MS).toLocaleString(locale) })}
        </span>
        <button type="button" className="button px-3" onClick={() => set({ removed: null })}>
          {say('photos.putBack')}
        </button>
      </li>
    );
  const shrink = async () => {
    try {
      const small = await madeSmaller(photo, job.id);
      if (small) run({ do: 'set photo', photo: id, change: small });
    } catch {
      notify(say('photos.full'));
    }
  };
  return (
    <li className="grid gap-2 rounded-xl border-2 border-line bg-paper p-3" data-photo={id}>
      <Marked photo={photo} at={at} {...(marking ? { onTap: setAt } : {})} />
      <p className="num text-sm">{say('photos.size', { widthPx, heightPx, kb: Math.ceil(bytes / 1000) })}</p>
      <ul className="grid gap-1">
        {marks.map((mark, index) => (
          <li key={mark.id} className="flex items-center gap-2">
            <span className="flex-1">{markWords(job, mark, index + 1)}</span>
            <button
              type="button"
              className="chip"
              aria-pressed={lit === mark.id}
              aria-label={say('photos.light', { number: index + 1 })}
              onClick={() => setLit(lit === mark.id ? null : mark.id)}
            >
              {say('photos.show')}
            </button>
            <button
              type="button"
              className="button button-quiet px-2"
              aria-label={say('photos.unmark', { number: index + 1 })}
              onClick={() => run({ do: 'unmark photo', photo: id, mark: mark.id })}
            >
              <Trash2 aria-hidden size={16} />
            </button>
          </li>
        ))}
      </ul>
      {marks
        .filter((mark) => mark.id === lit)
        .map((mark) => (
          <Suspense key={mark.id}>
            <MarkedWire mark={mark} box={box} />
          </Suspense>
        ))}
      {marking ? (
        <MarkForm
          at={at}
          onMark={(mark) => {
            run({ do: 'mark photo', photo: id, mark });
            setAt(null);
            setMarking(false);
          }}
        />
      ) : null}
      <TextField
        label={say('photos.caption')}
        clearable
        value={caption}
        onCommit={(next) => set({ caption: next })}
      />
      <Select
        label={say('route.place')}
        value={box ?? ''}
        options={[
          { value: '', label: say('route.placeWhole') },
          ...job.boxes.map((one) => ({ value: one.id, label: one.name })),
        ]}
        onChange={(next) => set({ box: next === '' ? null : next })}
      />
      <div className="flex flex-wrap gap-2">
        {job.runs.length > 0 ? (
          <button
            type="button"
            className="chip"
            aria-pressed={marking}
            onClick={() => {
              setMarking(!marking);
              setAt(null);
            }}
          >
            {say('photos.mark')}
          </button>
        ) : null}
        <button type="button" className="chip" onClick={() => void shrink()}>
          {say('photos.smaller')}
        </button>
        <button type="button" className="chip" onClick={() => set({ removed: new Date().toISOString() })}>
          {say('photos.remove')}
        </button>
      </div>
    </li>
  );
}

/** The photo with its marks on it, numbered; where they are being made it takes taps. */
export function Marked({
  photo,
  at = null,
  onTap,
}: {
  photo: Photo;
  at?: { readonly x: number; readonly y: number } | null;
  onTap?: (at: { x: number; y: number }) => void;
}) {
  const url = usePhotoUrl(photo);
  const { caption, widthPx, heightPx, marks } = photo;
  const spots = [
    ...marks.map(({ id, x, y }, index) => ({ id, x, y, label: String(index + 1) })),
    ...(at ? [{ id: 'new', ...at, label: '+' }] : []),
  ];
  if (url === null) return <p className="text-sm">{say('photos.notKept')}</p>;
  const picture = (
    <>
      <img
        src={url}
        alt={say('photos.alt', { caption })}
        width={widthPx}
        height={heightPx}
        className="w-full rounded-lg"
      />
      {spots.map(({ id, x, y, label }) => (
        <span
          key={id}
          className="num absolute grid size-7 -translate-x-1/2 -translate-y-1/2 place-items-center rounded-full border-2 border-sand bg-plum text-sm text-on-plum"
          style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
        >
          {label}
        </span>
      ))}
    </>
  );
  return onTap ? (
    <button
      type="button"
      className="relative block w-full cursor-crosshair"
      aria-label={say('photos.markHint')}
      onClick={(event) => {
        const { left, top, width, height } = event.currentTarget.getBoundingClientRect();
        // Pressed by keyboard it is the middle.
        const x = event.detail === 0 ? 0.5 : (event.clientX - left) / width;
        const y = event.detail === 0 ? 0.5 : (event.clientY - top) / height;
        onTap({ x: Math.min(Math.max(x, 0), 1), y: Math.min(Math.max(y, 0), 1) });
      }}
    >
      {picture}
    </button>
  ) : (
    <div className="relative">{picture}</div>
  );
}

function MarkForm({
  at,
  onMark,
}: {
  at: { readonly x: number; readonly y: number } | null;
  onMark: (mark: Omit<PhotoMark, 'id'>) => void;
}) {
  const { job } = useJob();
  const [cable, setCable] = useState(job.runs[0]?.id ?? '');
  const [insulation, setInsulation] = useState('');
  if (at === null) return <p>{say('photos.markHint')}</p>;
  return (
    <div className="grid gap-2">
      <Select
        label={say('photos.markCable')}
        value={cable}
        options={job.runs.map((one) => ({ value: one.id, label: runName(job, one) }))}
        onChange={setCable}
      />
      <Select
        label={say('photos.markConductor')}
        value={insulation}
        options={[
          { value: '', label: say('photos.whole') },
          ...INSULATIONS.map((one) => ({ value: one, label: INSULATION_NAME[one] })),
        ]}
        onChange={setInsulation}
      />
      <button
        type="button"
        className="button button-strong justify-self-start"
        onClick={() =>
          onMark({ ...at, run: cable, insulation: INSULATIONS.find((one) => one === insulation) ?? null })
        }
      >
        {say('photos.addMark')}
      </button>
    </div>
  );
}
