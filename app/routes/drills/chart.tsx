import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { PlayedDrill } from '~/storage/drill-history';
import { say } from '~/words/drills';

const SOFT = 'var(--ink-soft)';

/** The points of the drills that were played, one after the other. Loaded only where there are some. */
export default function Chart({ played }: { played: readonly (PlayedDrill & { readonly at: number })[] }) {
  const data = played.map(({ points }, index) => ({ number: index + 1, points }));
  const mean = Math.round(data.reduce((sum, { points }) => sum + points, 0) / data.length);
  const says = say('route.chartSays', { count: data.length, last: data.at(-1)?.points ?? 0, mean });
  return (
    <figure className="grid gap-1 rounded-xl border-2 border-line bg-paper p-3">
      <figcaption>
        <span className="font-bold">{say('route.chart')}</span>{' '}
        <span className="text-sm text-ink-soft">{says}</span>
      </figcaption>
      <div className="h-48" role="img" aria-label={says}>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={data} margin={{ top: 8, right: 12, bottom: 0, left: -16 }}>
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis dataKey="number" stroke={SOFT} tick={{ fill: SOFT, fontSize: 13 }} allowDecimals={false} />
            <YAxis domain={[0, 100]} stroke={SOFT} tick={{ fill: SOFT, fontSize: 13 }} />
            <Tooltip
              contentStyle={{ background: 'var(--paper)', border: '2px solid var(--ink)', borderRadius: 10 }}
            />
            <Line
              type="linear"
              dataKey="points"
              stroke="var(--plum)"
              strokeWidth={3}
              dot={{ r: 4, fill: 'var(--plum)' }}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
