import type { Fill } from '@core/wiring/boxfill/box-fill';
import { say } from '~/words/ui';

/** Box fill as a bar and a figure, with the arithmetic on request. */
export function FillBar({ fill }: { fill: Fill }) {
  const share = Math.min(fill.totalIn3 / fill.volumeIn3, 1);
  return (
    <div data-fill={fill.totalIn3.toFixed(2)}>
      <p className="flex items-baseline justify-between gap-2">
        <span className="font-semibold">
          {fill.fits ? say('fillBar.boxFill') : say('fillBar.boxOverFilled')}
        </span>
        <span>
          <span className="num">
            {say('fillBar.of', { totalIn3: fill.totalIn3.toFixed(2), volumeIn3: fill.volumeIn3 })}
          </span>
          {say('fillBar.in')}
        </span>
      </p>
      <Bar share={share} over={!fill.fits} />
      <details className="mt-1">
        <summary className="min-h-6 cursor-pointer text-sm text-ink-soft">{say('fillBar.lineLine')}</summary>
        <table className="mt-1 w-full text-sm">
          <tbody>
            {fill.lines.map((line) => (
              <tr key={line.what}>
                <td className="py-0.5">
                  {line.what} <span className="text-ink-soft">{line.section}</span>
                </td>
                <td className="num text-right whitespace-nowrap">
                  {line.count} × {line.eachIn3.toFixed(2)} = {line.totalIn3.toFixed(2)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </div>
  );
}

export function Bar({ share, over }: { share: number; over: boolean }) {
  return (
    <div className="mt-1 h-4 overflow-hidden rounded-full border-2 border-ink bg-paper" aria-hidden>
      <div
        className="h-full bg-ink"
        style={{
          width: `${share * 100}%`,
          ...(over
            ? { background: 'repeating-linear-gradient(135deg, var(--ink) 0 6px, var(--paper) 6px 10px)' }
            : {}),
        }}
      />
    </div>
  );
}
