import {
  LineChart,
  CartesianGrid,
  XAxis,
  YAxis,
  Tooltip,
  ReferenceArea,
  Line,
  ReferenceLine,
  ReferenceDot,
} from 'recharts';
import type { Circuit } from '@core/job/model/design';
import { besideVA } from '@core/power/load/load';
import { breakerSays, BAND, PICK_UP, longestS } from '@core/trade/standards/breaker-band';
import { NOMINAL_V } from '@core/trade/standards/loads';
import { say } from '~/words/load';
import { usePlan } from '../job/context';
import { Chart } from './chart';
import { AXIS, TIP, INK, PLUM, SOFT } from './chart-look';

/** Left edge of the breaker's chart, in multiples of its rating, and the height at which it holds for good, s. */
const LEAST = 0.1;
const HOLDS_S = 5500;
const NOW = say('charts.now');

export function Breaker({ circuit }: { circuit: Circuit }) {
  const { loads } = usePlan();
  const load = loads.find((one) => one.circuit.id === circuit.id);
  const amps = (besideVA(circuit) + (load?.addedVA ?? 0)) / NOMINAL_V;
  const times = amps / circuit.breakerA;
  const marks = [
    { says: NOW, times: besideVA(circuit) / NOMINAL_V / circuit.breakerA },
    { says: say('charts.everything'), times },
  ].filter((one) => one.times > 0);
  return (
    <Chart
      title={say('charts.breaker')}
      says={say('charts.everythingOn', {
        amps: amps.toFixed(1),
        round: Math.round(times * 100),
        breakerSays: breakerSays(amps, circuit.breakerA),
      })}
    >
      <LineChart data={[...BAND]} margin={{ left: 0, right: 16 }}>
        <CartesianGrid stroke="var(--line)" />
        <XAxis
          dataKey="times"
          type="number"
          scale="log"
          domain={[LEAST, PICK_UP.to]}
          ticks={[0.1, 0.25, 0.5, 1, 2, 4, 6, 15]}
          allowDataOverflow
          {...AXIS}
          tickFormatter={(one: number) => `${one}×`}
        />
        <YAxis
          type="number"
          scale="log"
          domain={[0.5, 7200]}
          ticks={[1, 10, 60, 120, 600, 3600]}
          allowDataOverflow
          width={56}
          {...AXIS}
          tickFormatter={(s: number) => (s >= 60 ? say('charts.minutes', { minutes: s / 60 }) : `${s} s`)}
        />
        <Tooltip
          {...TIP}
          formatter={(seconds) => say('charts.sLongest', { seconds: Number(seconds).toFixed(0) })}
          labelFormatter={(one) => say('charts.rating', { one: Number(one) })}
        />
        <ReferenceArea x1={PICK_UP.from} x2={PICK_UP.to} fill="var(--well)" />
        <Line
          dataKey="seconds"
          name="longest time"
          stroke={INK}
          strokeWidth={2.5}
          dot={false}
          isAnimationActive={false}
        />
        <ReferenceLine x={1} stroke={INK} strokeDasharray="6 4" />
        {marks.map(({ says, times: at }) => {
          const longest = longestS(at);
          return (
            <ReferenceDot
              key={says}
              x={Math.min(Math.max(at, LEAST), PICK_UP.to)}
              y={Number.isFinite(longest) ? Math.max(longest, 1) : HOLDS_S}
              r={6}
              fill={PLUM}
              stroke={INK}
              label={{ value: says, position: says === NOW ? 'left' : 'right', fill: SOFT, fontSize: 12 }}
            />
          );
        })}
      </LineChart>
    </Chart>
  );
}
