import {
  Area,
  AreaChart,
  Bar,
  BarChart,
  CartesianGrid,
  Line,
  LineChart,
  ReferenceLine,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { partName } from '@core/job/model/called';
import { dayProfile } from '@core/power/load/day-profile';
import { besideVA } from '@core/power/load/load';
import { DROP_SHARE, formulaDropV } from '@core/power/load/voltage-drop';
import type { Circuit } from '@core/job/model/design';
import { GAUGES, gaugeForBreaker } from '@core/trade/standards/conductors';
import { NOMINAL_V } from '@core/trade/standards/loads';
import { useJob } from '../job/context';
import { Chart } from './chart';
import { say } from '~/words/load';
import { Breaker } from './breaker-chart';
import { SHADES, INK, AXIS, TIP, SOFT, PLUM } from './chart-look';

/** A circuit's load against its limits, its day, its breaker and its drop. Loaded only where it is looked at. */
export default function Charts({ circuit }: { circuit: Circuit }) {
  return (
    <div className="grid content-start gap-5 xl:grid-cols-2">
      <ByItem circuit={circuit} />
      <Day circuit={circuit} />
      <Breaker circuit={circuit} />
      <DropOverDistance circuit={circuit} />
    </div>
  );
}

function ByItem({ circuit }: { circuit: Circuit }) {
  const { job } = useJob();
  const items = job.devices.flatMap((device) =>
    Object.entries(device.wants).flatMap(([part, want]) =>
      want.does === 'power' && want.circuit === circuit.id && (want.watts ?? 0) > 0
        ? [
            {
              key: `${device.id}/${part}`,
              name: partName(job, device, part),
              watts: want.watts ?? 0,
            },
          ]
        : [],
    ),
  );
  const row = Object.fromEntries([
    ['now', besideVA(circuit)],
    ...items.map(({ key, watts }) => [key, watts] as const),
  ]);
  const full = circuit.breakerA * NOMINAL_V;
  const total = besideVA(circuit) + items.reduce((sum, { watts }) => sum + watts, 0);
  return (
    <Chart
      title={say('charts.loadItem')}
      says={say('charts.limits', { total, full: full * 0.8, limit: full })}
      colors={[
        { name: say('charts.thereNow'), color: SHADES[3] ?? INK },
        ...items.map(({ name }, index) => ({ name, color: SHADES[index % 3] ?? INK })),
      ]}
    >
      <BarChart
        layout="vertical"
        data={[{ name: circuit.number, ...row }]}
        margin={{ top: 18, left: 0, right: 24 }}
      >
        <XAxis
          type="number"
          domain={[0, Math.max(full * 1.05, total * 1.05)]}
          ticks={[0, 0.25, 0.5, 0.75, 1].map((share) => full * share)}
          unit=" VA"
          {...AXIS}
        />
        <YAxis type="category" dataKey="name" width={34} {...AXIS} />
        <Tooltip {...TIP} />
        <Bar
          dataKey="now"
          name={say('charts.thereNow')}
          stackId="a"
          fill={SHADES[3] ?? INK}
          isAnimationActive={false}
        />
        {items.map(({ key, name }, index) => (
          <Bar
            key={key}
            dataKey={key}
            name={name}
            stackId="a"
            fill={SHADES[index % 3] ?? INK}
            stroke="var(--paper)"
            isAnimationActive={false}
          />
        ))}
        <ReferenceLine
          x={full * 0.8}
          stroke={INK}
          strokeDasharray="6 4"
          label={{ value: '80 %', position: 'top', fill: SOFT, fontSize: 12 }}
        />
        <ReferenceLine
          x={full}
          stroke={INK}
          strokeWidth={2}
          label={{ value: `${circuit.breakerA} A`, position: 'top', fill: SOFT, fontSize: 12 }}
        />
      </BarChart>
    </Chart>
  );
}

function Day({ circuit }: { circuit: Circuit }) {
  const { job } = useJob();
  const day = dayProfile(job, circuit);
  const most = day.reduce((top, one) =>
    one.existingVA + one.addedVA > top.existingVA + top.addedVA ? one : top,
  );
  return (
    <Chart
      title={say('charts.typicalDay')}
      says={say('charts.busiestFrom00VaTypical', {
        hour: most.hour,
        round: Math.round(most.existingVA + most.addedVA),
      })}
      colors={[
        { name: say('charts.existingVA'), color: SOFT },
        { name: say('charts.addedVA'), color: PLUM },
      ]}
    >
      <AreaChart data={day} margin={{ left: 0, right: 12 }}>
        <CartesianGrid stroke="var(--line)" vertical={false} />
        <XAxis
          dataKey="hour"
          {...AXIS}
          ticks={[0, 3, 6, 9, 12, 15, 18, 21]}
          tickFormatter={(hour: number) => `${hour}:00`}
        />
        <YAxis width={46} {...AXIS} />
        <Tooltip {...TIP} labelFormatter={(hour) => `${Number(hour)}:00`} />
        <Area
          dataKey="existingVA"
          name={say('charts.existingVA')}
          stackId="a"
          type="step"
          fill={SOFT}
          stroke={SOFT}
          isAnimationActive={false}
        />
        <Area
          dataKey="addedVA"
          name={say('charts.addedVA')}
          stackId="a"
          type="step"
          fill={PLUM}
          stroke={PLUM}
          isAnimationActive={false}
        />
        <ReferenceLine y={circuit.breakerA * NOMINAL_V} stroke={INK} strokeWidth={2} />
      </AreaChart>
    </Chart>
  );
}

/** Lines told apart by their dashes as well as their shade. */
const DASHES = { 14: '2 3', 12: '8 4', 10: '0' } as const;

function DropOverDistance({ circuit }: { circuit: Circuit }) {
  const amps = circuit.breakerA * 0.8;
  const own = gaugeForBreaker(circuit.breakerA);
  const rows = Array.from({ length: 16 }, (_, index) => {
    const feet = index * 10;
    return { feet, ...Object.fromEntries(GAUGES.map((gauge) => [gauge, formulaDropV(gauge, feet, amps)])) };
  });
  return (
    <Chart
      title={say('charts.voltageDropDistance')}
      says={say('charts.dropAdvice', {
        amps,
        own: own ? say('charts.awg', { own, breakerA: circuit.breakerA }) : '',
        adviceV: (NOMINAL_V * DROP_SHARE).toFixed(1),
      })}
      colors={GAUGES.map((gauge) => ({ name: `${gauge} AWG`, color: gauge === own ? PLUM : INK }))}
    >
      <LineChart data={rows} margin={{ left: 0, right: 12 }}>
        <CartesianGrid stroke="var(--line)" vertical={false} />
        <XAxis dataKey="feet" unit=" ft" {...AXIS} />
        <YAxis unit=" V" width={50} {...AXIS} />
        <Tooltip
          {...TIP}
          formatter={(volts) => `${Number(volts).toFixed(2)} V`}
          labelFormatter={(feet) => say('charts.ft', { feet: Number(feet) })}
        />
        {GAUGES.map((gauge) => (
          <Line
            key={gauge}
            dataKey={String(gauge)}
            name={`${gauge} AWG`}
            stroke={gauge === own ? PLUM : INK}
            strokeWidth={2.2}
            strokeDasharray={DASHES[gauge]}
            dot={false}
            isAnimationActive={false}
          />
        ))}
        <ReferenceLine y={NOMINAL_V * DROP_SHARE} stroke={SOFT} strokeDasharray="6 4" />
      </LineChart>
    </Chart>
  );
}
