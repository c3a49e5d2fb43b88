import encodeQR from 'qr';
import { useEffect, useRef, useState } from 'react';
import { Frames } from '@core/handover/light/frames';
import type { Thing } from '@core/job/merge/relation';
import { problemText } from '@core/job/model/problem';
import { lightOf } from './give';
import { say } from '~/words/crew';

/** Frames shown a second: a phone's camera sees each of them at least once (common practice: 30 pictures a second). */
const A_SECOND = 6;
/** For whom a flicker is too much: no more than three a second (WCAG 2.3.1). */
const CALM_A_SECOND = 3;
const aSecond = (): number =>
  matchMedia('(prefers-reduced-motion: reduce)').matches ? CALM_A_SECOND : A_SECOND;
/** Modules of white around a code (ISO/IEC 18004). */
const QUIET = 4;

/** A row of codes on the screen, again and again, for the other device's camera. */
export default function LightShown({
  thing,
  to,
  everything,
}: {
  thing: Thing;
  to: string;
  everything: boolean;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [all, setAll] = useState(everything);
  const [row, setRow] = useState<{ frames: Frames; bytes: number; photos: number } | null>(null);
  const [wrong, setWrong] = useState('');
  const [shown, setShown] = useState(0);
  const { kind, id } = thing;
  useEffect(() => {
    let gone = false;
    void lightOf({ kind, id }, all, to).then(({ bytes, photos }) => {
      if (gone) return;
      const frames = Frames.of(bytes);
      setWrong(frames.ok ? '' : frames.problems.map(problemText).join(' '));
      setRow(frames.ok ? { frames: frames.value, bytes: bytes.length, photos } : null);
    });
    return () => {
      gone = true;
    };
  }, [kind, id, all, to]);
  useEffect(() => {
    if (!row) return;
    let frame = 0;
    const draw = () => {
      if (canvas.current) drawCode(canvas.current, row.frames.text(frame));
      frame++;
      setShown(frame);
    };
    draw();
    const every = setInterval(draw, 1000 / aSecond());
    return () => clearInterval(every);
  }, [row]);
  return (
    <div className="grid gap-2">
      {wrong === '' ? null : <p role="alert">▲ {wrong}</p>}
      <canvas
        ref={canvas}
        role="img"
        aria-label={say('light.code')}
        data-light={row ? row.frames.count : 0}
        className="mx-auto aspect-square w-full max-w-[min(34rem,70dvh)] rounded-lg bg-white [image-rendering:pixelated]"
      />
      {row ? (
        <p className="num text-center" aria-live="off">
          {say('light.shown', {
            kb: (row.bytes / 1000).toFixed(1),
            round: Math.floor((shown - 1) / row.frames.count) + 1,
            count: row.frames.count,
          })}
        </p>
      ) : null}
      <p>{say('light.hold')}</p>
      {row && row.photos > 0 ? <p className="text-sm">{say('light.photos', { count: row.photos })}</p> : null}
      {everything ? null : (
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-6"
            checked={all}
            onChange={(event) => setAll(event.target.checked)}
          />
          {say('light.everything')}
        </label>
      )}
    </div>
  );
}

function drawCode(canvas: HTMLCanvasElement, text: string): void {
  const rows = encodeQR(text, 'raw', { border: QUIET, ecc: 'low', encoding: 'alphanumeric' });
  const size = rows.length;
  if (canvas.width !== size) [canvas.width, canvas.height] = [size, size];
  const context = canvas.getContext('2d');
  if (!context) return;
  const image = context.createImageData(size, size);
  rows.forEach((row, y) =>
    row.forEach((dark, x) =>
      image.data.set(dark ? [0, 0, 0, 255] : [255, 255, 255, 255], (y * size + x) * 4),
    ),
  );
  context.putImageData(image, 0, 0);
}
