import type { PlanSymbol } from '@core/job/model/record';
import { say } from '~/words/drawing';

/** A standard plan symbol, 28 units wide, its middle at the origin. */
export function Symbol({ symbol }: { symbol: PlanSymbol | 'luminaire' }) {
  const ink = { fill: 'none', stroke: 'var(--ink)', strokeWidth: 1.8 } as const;
  switch (symbol) {
    case 'S':
    case 'S3':
    case 'S4':
      return (
        <text textAnchor="middle" y={6} fontSize={18} fontWeight={750} fill="var(--ink)">
          {say('symbols.s')}
          {symbol === 'S' ? null : (
            <tspan fontSize={11} dy={4}>
              {symbol.slice(1)}
            </tspan>
          )}
        </text>
      );
    case 'luminaire':
      return (
        <g {...ink}>
          <circle r={10} />
          <path d="M-7 -7l14 14m0 -14l-14 14" />
        </g>
      );
    case 'receptacle':
      return (
        <g {...ink}>
          <circle r={9} />
          <path d="M-13 0h26" />
        </g>
      );
    case 'half-switched':
    case 'duplex':
      return (
        <g {...ink}>
          {symbol === 'half-switched' ? (
            <path d="M-9 0a9 9 0 0 0 18 0z" fill="var(--ink)" stroke="none" />
          ) : null}
          <circle r={9} />
          <path d="M-13 -4h26M-13 4h26" />
        </g>
      );
  }
}
