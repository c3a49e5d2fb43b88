import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Probe, Setup, type Spot, type Survey } from '@core/model/survey';
import { isGround } from '@core/standards/cables';
import { costOf } from '@core/survey/cost';
import { groundEnd } from '@core/survey/scene';
import { probeWords, setupWords, spotName, valueWords } from '@core/survey/words';
import { deviceKind } from '@core/devices';
import { Choice } from '~/ui/choice';
import { Select } from '~/ui/select';
import { useJob } from '../job/context';
import { LiveCaution, ReadingEntry } from './next-test';

/** What was read so far, and a reading of one's own choosing. */
export function Readings({ survey, suspects }: { survey: Survey; suspects: readonly string[] }) {
  const { run } = useJob();
  return (
    <section className="grid gap-2" aria-label="Readings">
      <h3 className="text-lg font-bold">Readings</h3>
      {survey.readings.length === 0 ? <p className="text-ink-soft">None yet.</p> : null}
      <ol className="grid gap-2">
        {survey.readings.map((reading) => (
          <li
            key={reading.id}
            className={`flex items-start gap-2 rounded-xl border-2 bg-paper p-2 pl-3 ${suspects.includes(reading.id) ? 'border-ink' : 'border-line'}`}
          >
            <div className="flex-1">
              <p>
                {suspects.includes(reading.id) ? '▲ ' : ''}
                {probeWords(survey, reading.setup, reading.probe)}{' '}
                <strong className="num whitespace-nowrap">{valueWords(reading)}</strong>
                {reading.times > 1 ? ` (${reading.times} times)` : ''}
              </p>
              <p className="text-sm text-ink-soft">{setupWords(survey, reading.setup).join(' ')}</p>
            </div>
            <button
              type="button"
              className="button button-quiet px-2.5"
              aria-label={`Take off: ${probeWords(survey, reading.setup, reading.probe)}`}
              onClick={() => run({ do: 'remove reading', survey: survey.id, reading: reading.id })}
            >
              <Trash2 aria-hidden size={18} />
            </button>
          </li>
        ))}
      </ol>
      <details>
        <summary className="min-h-6 cursor-pointer font-semibold">Another reading</summary>
        <OwnReading survey={survey} />
      </details>
    </section>
  );
}

const INSTRUMENTS = [
  { value: 'meter low', label: 'Meter, low-impedance volts' },
  { value: 'meter high', label: 'Meter, high-impedance volts' },
  { value: 'continuity', label: 'Meter, ohms (dead)' },
  { value: 'non-contact', label: 'Non-contact tester' },
  { value: 'tester', label: 'Plug-in tester' },
  { value: 'lamp', label: 'Test lamp' },
  { value: 'clamp', label: 'Clamp meter' },
] as const;

function OwnReading({ survey }: { survey: Survey }) {
  const spots = survey.boxes.flatMap((box): { value: string; label: string; spot: Spot }[] => [
    ...box.ends
      .filter(({ insulation }) => !isGround(insulation))
      .map(({ cable, insulation }) => {
        const spot = { on: 'conductor', cable, insulation } as const;
        return { value: `${cable}:${insulation}`, label: spotName(survey, spot), spot };
      }),
    ...(groundEnd(survey, box) === null
      ? []
      : [
          {
            value: `ground ${box.id}`,
            label: `ground in ${box.name}`,
            spot: { on: 'ground', box: box.id } as const,
          },
        ]),
  ]);
  const outlets = survey.boxes.flatMap(({ devices }) =>
    devices.flatMap(({ id, kind }) =>
      deviceKind(kind)
        .parts.filter((part) => part.does === 'power' && part.plug)
        .map((part) => ({ value: `${id}/${part.id}`, label: `${deviceKind(kind).name}, ${part.name}` })),
    ),
  );
  const [instrument, setInstrument] = useState<string>('meter low');
  const [from, setFrom] = useState(spots[0]?.value ?? '');
  const [to, setTo] = useState(spots[1]?.value ?? '');
  const [outlet, setOutlet] = useState(outlets[0]?.value ?? '');
  const [breakers, setBreakers] = useState('on');
  const [apart, setApart] = useState('as found');
  const [switches, setSwitches] = useState('as they are');
  const [loads, setLoads] = useState('in');
  const spotOf = (value: string) => spots.find((one) => one.value === value)?.spot;
  const setup = Setup.safeParse({
    breakers: instrument === 'continuity' ? 'all off' : breakers,
    apart,
    switches,
    loadsOut: loads === 'out',
  });
  const [device = '', part = ''] = outlet.split('/');
  const probe = Probe.safeParse(
    instrument === 'tester'
      ? { with: 'tester', device, part }
      : instrument === 'non-contact' || instrument === 'clamp'
        ? { with: instrument, at: spotOf(from) }
        : instrument === 'lamp' || instrument === 'continuity'
          ? { with: instrument, from: spotOf(from), to: spotOf(to) }
          : { with: 'meter', impedance: instrument.slice(6), from: spotOf(from), to: spotOf(to) },
  );
  const two = ['meter low', 'meter high', 'continuity', 'lamp'].includes(instrument);
  const toGround = two && (from.startsWith('ground') || to.startsWith('ground'));
  return (
    <div className="mt-2 grid gap-3">
      <Select label="Instrument" value={instrument} options={INSTRUMENTS} onChange={setInstrument} />
      {instrument === 'tester' ? (
        outlets.length > 0 ? (
          <Select label="In" value={outlet} options={outlets} onChange={setOutlet} />
        ) : (
          <p>No outlet is open here.</p>
        )
      ) : (
        <div className="grid grid-cols-2 gap-2">
          <Select label={two ? 'From' : 'At'} value={from} options={spots} onChange={setFrom} />
          {two ? <Select label="To" value={to} options={spots} onChange={setTo} /> : null}
        </div>
      )}
      {instrument === 'continuity' ? null : (
        <Choice
          label="Breaker"
          value={breakers}
          options={[
            { value: 'on', label: 'On' },
            { value: 'off', label: `${survey.breaker} off` },
          ]}
          onChange={setBreakers}
        />
      )}
      <Select
        label="Conductors"
        value={apart}
        options={[
          { value: 'as found', label: 'As found' },
          { value: 'hots', label: 'Hots lifted and capped' },
          { value: 'all', label: 'All apart and capped' },
        ]}
        onChange={setApart}
      />
      <Select
        label="Switches"
        value={switches}
        options={[
          { value: 'as they are', label: 'As they are' },
          { value: 'worked', label: 'All worked while I watched' },
          { value: 'off here', label: 'Off in this box' },
          { value: 'on here', label: 'On in this box' },
        ]}
        onChange={setSwitches}
      />
      <Choice
        label="Lamps and plugs"
        value={loads}
        options={[
          { value: 'in', label: 'In' },
          { value: 'out', label: 'Out' },
        ]}
        onChange={setLoads}
      />
      {toGround && (instrument === 'meter low' || instrument === 'lamp') ? (
        <p className="text-sm">
          ▲ Never low-impedance or a lamp to a ground that is not proven: it trips a GFCI, and on an open
          ground it lifts every metal part to 120 V.
        </p>
      ) : null}
      {setup.success && probe.success && costOf(setup.data, probe.data).live ? <LiveCaution /> : null}
      {setup.success && probe.success && (!two || from !== to) ? (
        <ReadingEntry survey={survey} setup={setup.data} probe={probe.data} />
      ) : (
        <p>Choose two different places.</p>
      )}
    </div>
  );
}
