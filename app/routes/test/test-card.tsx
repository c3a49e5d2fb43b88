import { useState } from 'react';
import { voltsRead } from '@core/site/script/field-test';
import type { ShownTest } from '@core/site/script/report';
import { NumberField } from '~/ui/number-field';
import { say } from '~/words/field-test';

/** Readings offered as buttons at once; the rarer ones unfold. */
const OFFERED = 3;

/** One test: where, what is switched, what is done, and its possible readings as large buttons. */
export function TestCard({
  test,
  number,
  shown,
  why,
  busy,
  onRead,
  onClear,
}: {
  test: ShownTest;
  number: number | null;
  /** What was read last. */
  shown: string | null;
  /** Which mistakes it is there for. */
  why: string | null;
  busy: boolean;
  onRead: (code: string) => void;
  onClear?: () => void;
}) {
  const [more, setMore] = useState(false);
  const readings = [test.expected, ...test.others];
  const last =
    readings.find(({ code }) => code === shown) ??
    (shown !== null && test.figure ? { code: shown, says: shown } : undefined);
  const fits = shown === test.expected.code;
  return (
    <div
      className={`grid gap-2 rounded-xl border-2 bg-paper p-3 ${shown !== null && !fits ? 'border-4 border-ink' : 'border-line'}`}
      data-test={test.id}
      data-read={shown === null ? 'no' : fits ? 'fits' : 'odd'}
    >
      <p className="flex flex-wrap items-baseline gap-x-2 text-sm">
        {number === null ? null : <span className="num font-bold">{number}</span>}
        <span className="font-semibold">{test.box}</span>
        <span className="text-ink-soft">{test.live ? say('route.live') : say('route.dead')}</span>
      </p>
      {test.state === '' ? null : <p className="text-sm text-ink-soft">{test.state}</p>}
      <p className="text-lg leading-tight font-semibold">{test.what}</p>
      {last ? (
        <div className="flex flex-wrap items-center gap-2">
          <p className="flex-1 font-semibold" data-reading>
            {fits ? '✓ ' : '▲ '}
            {say('route.readAs', { reading: last.says })}
            {fits ? null : (
              <span className="font-normal"> · {say('route.mustShow', { reading: test.expected.says })}</span>
            )}
          </p>
          {onClear ? (
            <button type="button" className="button px-3" onClick={onClear}>
              {say('route.again')}
            </button>
          ) : null}
        </div>
      ) : (
        <>
          <p>{say('route.mustShowFirst', { reading: test.expected.says })}</p>
          <div className="grid gap-2 sm:grid-cols-2">
            {readings.slice(0, more ? undefined : OFFERED).map(({ code, says }) => (
              <button
                key={code}
                type="button"
                disabled={busy}
                className="button min-h-12 justify-start text-left"
                onClick={() => onRead(code)}
              >
                {says}
              </button>
            ))}
            {!more && (readings.length > OFFERED || test.figure) ? (
              <button type="button" className="button min-h-12" onClick={() => setMore(true)}>
                {say('route.other')}
              </button>
            ) : null}
          </div>
          {test.figure && more ? (
            <NumberField
              label={say('route.figure')}
              unit="V"
              value={null}
              min={0}
              max={600}
              onCommit={(read) => onRead(voltsRead(read, true))}
            />
          ) : null}
          {why === null ? null : <p className="text-sm text-ink-soft">{why}</p>}
        </>
      )}
    </div>
  );
}
