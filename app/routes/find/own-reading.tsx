import { useState } from 'react';
import { deviceKind } from '@core/devices';
import { Probe, Setup, type Spot, type Survey } from '@core/model/survey';
import { isGround } from '@core/standards/cables';
import { costOf } from '@core/survey/cost';
import { groundEnd } from '@core/survey/scene';
import { probeWords, spotName } from '@core/survey/words';
import { Choice } from '~/ui/choice';
import { Select } from '~/ui/select';
import { INSTRUMENTS, type Instrument, type Place } from './instruments';
import { LiveCaution, ReadingEntry } from './next-test';

const PLACE_SAYS: Record<Place, string> = {
  from: 'From',
  to: 'To',
  at: 'At',
  hot: 'Hot',
  neutral: 'Neutral',
  ground: 'Ground',
};

/** A reading of one's own choosing, with any instrument, anywhere in the opened boxes. */
export function OwnReading({ survey }: { survey: Survey }) {
  const conductors = survey.boxes.flatMap((box) =>
    box.ends
      .filter(({ insulation }) => !isGround(insulation))
      .map(({ cable, insulation }) => {
        const spot: Spot = { on: 'conductor', cable, insulation };
        return { value: `${cable}:${insulation}`, label: spotName(survey, spot), spot };
      }),
  );
  const grounds = survey.boxes
    .filter((box) => groundEnd(survey, box) !== null)
    .map(({ id, name }) => {
      const spot: Spot = { on: 'ground', box: id };
      return { value: `ground ${id}`, label: `ground in ${name}`, spot };
    });
  const outlets = survey.boxes.flatMap(({ devices }) =>
    devices.flatMap(({ id: device, kind }) =>
      deviceKind(kind)
        .parts.filter((part) => part.does === 'power' && part.plug)
        .map(({ id: part, name }) => ({
          value: `${device}/${part}`,
          label: `${deviceKind(kind).name}, ${name}`,
          at: { device, part },
        })),
    ),
  );
  const placesFor = (place: Place) =>
    place === 'ground'
      ? grounds
      : place === 'hot' || place === 'neutral'
        ? conductors
        : [...conductors, ...grounds];

  const [name, setName] = useState('meter low');
  const [chosen, setChosen] = useState<Partial<Record<Place, string>>>({});
  const [outlet, setOutlet] = useState(outlets[0]?.value ?? '');
  const [breakers, setBreakers] = useState('on');
  const [apart, setApart] = useState('as found');
  const [switches, setSwitches] = useState('as they are');
  const [loads, setLoads] = useState('in');

  const instrument = INSTRUMENTS[name];
  if (!instrument) return null;
  const valueOf = (place: Place): string => {
    const second = place === 'to' || place === 'neutral';
    return chosen[place] ?? placesFor(place)[second ? 1 : 0]?.value ?? '';
  };
  const spots = instrument.places.map(
    (place) => [place, placesFor(place).find(({ value }) => value === valueOf(place))?.spot] as const,
  );
  const setup = Setup.safeParse({
    breakers: instrument.breakers ?? breakers,
    apart,
    switches,
    loadsOut: loads === 'out',
  });
  const probe = Probe.safeParse({
    ...instrument.probe,
    ...Object.fromEntries(spots),
    ...(name === 'tester' ? outlets.find(({ value }) => value === outlet)?.at : {}),
    ...(name === 'sweep' ? { box: survey.target } : {}),
  });
  const apartPlaces = new Set(instrument.places.map(valueOf)).size === instrument.places.length;
  const toGround = instrument.places.some((place) => valueOf(place).startsWith('ground '));
  return (
    <div className="mt-2 grid gap-3">
      <Select
        label="Instrument"
        value={name}
        options={Object.entries(INSTRUMENTS).map(([value, { label }]) => ({ value, label }))}
        onChange={setName}
      />
      {name === 'tester' ? (
        outlets.length > 0 ? (
          <Select label="In" value={outlet} options={outlets} onChange={setOutlet} />
        ) : (
          <p>No outlet is open here.</p>
        )
      ) : null}
      {instrument.places.length > 0 ? (
        <div className="grid grid-cols-2 gap-2">
          {instrument.places.map((place) => (
            <Select
              key={place}
              label={PLACE_SAYS[place]}
              value={valueOf(place)}
              options={placesFor(place)}
              onChange={(value) => setChosen({ ...chosen, [place]: value })}
            />
          ))}
        </div>
      ) : null}
      {instrument.breakers === undefined ? (
        <Choice
          label="Breaker"
          value={breakers}
          options={[
            { value: 'on', label: 'On' },
            { value: 'off', label: `${survey.breaker} off` },
          ]}
          onChange={setBreakers}
        />
      ) : null}
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
      {toGround && (name === 'meter low' || name === 'lamp') ? (
        <p className="text-sm">
          ▲ Never low-impedance or a lamp to a ground that is not verified: it trips a GFCI, and on an open
          ground it lifts every metal part to 120 V.
        </p>
      ) : null}
      {setup.success && probe.success && costOf(setup.data, probe.data).live ? <LiveCaution /> : null}
      {!apartPlaces ? (
        <p>Choose two different places.</p>
      ) : setup.success && probe.success ? (
        <>
          {instrument.breakers === undefined ? null : (
            <p className="text-sm">{probeWords(survey, setup.data, probe.data)}</p>
          )}
          <ReadingEntry survey={survey} setup={setup.data} probe={probe.data} />
        </>
      ) : toGroundMissing(instrument, grounds.length) ? (
        <p>No ground is seen here to read against.</p>
      ) : null}
    </div>
  );
}

const toGroundMissing = ({ places }: Instrument, grounds: number): boolean =>
  places.includes('ground') && grounds === 0;
