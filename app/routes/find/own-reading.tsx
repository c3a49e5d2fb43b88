import { useState } from 'react';
import { deviceKind } from '@core/trade/devices';
import { Probe, Setup, type Spot, type Survey } from '@core/job/model/survey';
import { isGround } from '@core/trade/standards/cables';
import { costOf } from '@core/site/survey/cost';
import { groundEnd } from '@core/site/survey/scene';
import { probeWords, spotName } from '@core/site/survey/words';
import { Choice } from '~/ui/choice';
import { Select } from '~/ui/select';
import { INSTRUMENTS, type Instrument, type Place } from './instruments';
import { LiveCaution, ReadingEntry } from './next-test';
import { say } from '~/words/find';

const PLACE_SAYS: Record<Place, string> = {
  from: say('ownReading.from'),
  to: say('ownReading.to'),
  at: say('ownReading.at'),
  hot: say('ownReading.hot'),
  neutral: say('ownReading.neutral'),
  ground: say('ownReading.ground'),
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
      return { value: `ground ${id}`, label: say('ownReading.ground3', { name }), spot };
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

  const [chosenBy, setChosenBy] = useState('meter low');
  const [chosen, setChosen] = useState<Partial<Record<Place, string>>>({});
  const [outlet, setOutlet] = useState(outlets[0]?.value ?? '');
  const [breakers, setBreakers] = useState('on');
  const [apart, setApart] = useState('as found');
  const [switches, setSwitches] = useState('as they are');
  const [loads, setLoads] = useState('in');

  const instrument = INSTRUMENTS[chosenBy];
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
    ...(chosenBy === 'tester' ? outlets.find(({ value }) => value === outlet)?.at : {}),
    ...(chosenBy === 'sweep' ? { box: survey.target } : {}),
  });
  const apartPlaces = new Set(instrument.places.map(valueOf)).size === instrument.places.length;
  const toGround = instrument.places.some((place) => valueOf(place).startsWith('ground '));
  return (
    <div className="mt-2 grid gap-3">
      <Select
        label={say('ownReading.instrument')}
        value={chosenBy}
        options={Object.entries(INSTRUMENTS).map(([value, { label }]) => ({ value, label }))}
        onChange={setChosenBy}
      />
      {chosenBy === 'tester' ? (
        outlets.length > 0 ? (
          <Select label={say('ownReading.in')} value={outlet} options={outlets} onChange={setOutlet} />
        ) : (
          <p>{say('ownReading.noOutletOpenHere')}</p>
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
          label={say('ownReading.breaker')}
          value={breakers}
          options={[
            { value: 'on', label: 'On' },
            { value: 'off', label: say('ownReading.off', { breaker: survey.breaker }) },
          ]}
          onChange={setBreakers}
        />
      ) : null}
      <Select
        label={say('ownReading.conductors')}
        value={apart}
        options={[
          { value: 'as found', label: say('ownReading.found') },
          { value: 'hots', label: say('ownReading.hotsLiftedCapped') },
          { value: 'all', label: say('ownReading.allApartCapped') },
        ]}
        onChange={setApart}
      />
      <Select
        label={say('ownReading.switches')}
        value={switches}
        options={[
          { value: 'as they are', label: say('ownReading.they2') },
          { value: 'worked', label: say('ownReading.allWorkedWhileIWatched') },
          { value: 'off here', label: say('ownReading.offBox') },
          { value: 'on here', label: say('ownReading.box') },
        ]}
        onChange={setSwitches}
      />
      <Choice
        label={say('ownReading.lampsPlugs')}
        value={loads}
        options={[
          { value: 'in', label: 'In' },
          { value: 'out', label: say('ownReading.out') },
        ]}
        onChange={setLoads}
      />
      {toGround && (chosenBy === 'meter low' || chosenBy === 'lamp') ? (
        <p className="text-sm">{say('ownReading.neverLowImpedanceLampGround')}</p>
      ) : null}
      {setup.success && probe.success && costOf(setup.data, probe.data).live ? <LiveCaution /> : null}
      {!apartPlaces ? (
        <p>{say('ownReading.chooseTwoDifferentPlaces')}</p>
      ) : setup.success && probe.success ? (
        <>
          {instrument.breakers === undefined ? null : (
            <p className="text-sm">{probeWords(survey, setup.data, probe.data)}</p>
          )}
          <ReadingEntry survey={survey} setup={setup.data} probe={probe.data} />
        </>
      ) : toGroundMissing(instrument, grounds.length) ? (
        <p>{say('ownReading.noGroundSeenHereRead')}</p>
      ) : null}
    </div>
  );
}

const toGroundMissing = ({ places }: Instrument, grounds: number): boolean =>
  places.includes('ground') && grounds === 0;
