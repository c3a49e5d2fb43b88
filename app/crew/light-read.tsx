import decodeQR from 'qr/decode.js';
import { useEffect, useRef, useState } from 'react';
import { Gathered, type Seen } from '@core/handover/light/frames';
import { useStable } from '~/ui/use-stable';
import { PlainDialog } from '~/ui/plain-dialog';
import { say } from '~/words/crew';

/** The longer side that a picture is read at, pixels: finer only costs time. */
const READ_PX = 900;

/** The camera reads the codes of another screen until all of it is here. */
export default function LightRead({
  onWhole,
  onClose,
}: {
  onWhole: (bytes: Uint8Array) => void;
  onClose: () => void;
}) {
  const video = useRef<HTMLVideoElement>(null);
  const [seen, setSeen] = useState<Extract<Seen, { is: 'more' }> | null>(null);
  const [failed, setFailed] = useState('');
  const whole = useStable(onWhole);
  useEffect(() => {
    const gathered = new Gathered();
    const canvas = document.createElement('canvas');
    let stream: MediaStream | null = null;
    let next = 0;
    let gone = false;
    const look = () => {
      next = requestAnimationFrame(look);
      const text = video.current && read(video.current, canvas);
      if (!text) return;
      const now = gathered.take(text);
      if (now.is === 'more') setSeen(now);
      if (now.is !== 'whole') return;
      cancelAnimationFrame(next);
      whole(now.bytes);
    };
    // A page that is not secure has no devices at all.
    const devices = navigator.mediaDevices as MediaDevices | undefined;
    void (
      devices?.getUserMedia({ video: { facingMode: 'environment', width: { ideal: 1280 } } }) ??
      Promise.reject(new Error('no camera'))
    ).then(
      (camera) => {
        if (gone) return camera.getTracks().forEach((track) => track.stop());
        stream = camera;
        if (!video.current) return;
        video.current.srcObject = camera;
        void video.current.play();
        next = requestAnimationFrame(look);
      },
      () => setFailed(say('read.noCamera')),
    );
    return () => {
      gone = true;
      cancelAnimationFrame(next);
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, [whole]);
  return (
    <PlainDialog title={say('read.title')} close={say('give.close')} onClose={onClose}>
      {failed === '' ? null : <p role="alert">▲ {failed}</p>}
      <video
        ref={video}
        muted
        playsInline
        className="mx-auto aspect-square w-full max-w-[min(30rem,60dvh)] rounded-lg bg-ink object-cover"
        aria-label={say('read.camera')}
      />
      <div role="status" className="grid gap-1">
        <p className="font-bold" data-read={seen ? `${seen.have}/${seen.of}` : ''}>
          {seen ? say('read.have', { have: seen.have, of: seen.of }) : say('read.hold')}
        </p>
        {seen ? (
          <p className="text-sm text-ink-soft">
            {say('read.missing', {
              count: seen.missing.length,
              numbers: seen.missing
                .slice(0, 8)
                .map((block) => block + 1)
                .join(', '),
            })}
          </p>
        ) : null}
      </div>
      <p className="text-sm">{say('read.nothingYet')}</p>
    </PlainDialog>
  );
}

/** The text of the code that the camera sees now; null where it sees none. */
function read(video: HTMLVideoElement, canvas: HTMLCanvasElement): string | null {
  const { videoWidth, videoHeight } = video;
  if (videoWidth === 0) return null;
  const scale = Math.min(1, READ_PX / Math.max(videoWidth, videoHeight));
  const [width, height] = [Math.round(videoWidth * scale), Math.round(videoHeight * scale)];
  if (canvas.width !== width || canvas.height !== height) [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return null;
  context.drawImage(video, 0, 0, width, height);
  try {
    return decodeQR(context.getImageData(0, 0, width, height));
  } catch {
    return null;
  }
}
