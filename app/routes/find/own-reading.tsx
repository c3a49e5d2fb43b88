import { useState } from 'react';
import { deviceKind } from '@core/trade/devices';
import { Probe, Setup, type Spot, type Survey } from '@core/job/model/survey';
import { isGround } from '@core/trade/standards/cables';
import { costOf } from '@core/site/survey/cost';
import { groundEnd } from '@core/site/survey/scene';
import { probeWords, spotName } from '@core/site/survey/words';
import { Choice } from '~/ui/choice';
import { Select } from '~/ui/select';
import { INSTRUMENTS, type Place } from './instruments';
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

/** Somewhere a probe can be put, with what it is called. */
interface SpotAt {
  readonly label: string;
  readonly spot: Spot;
}

/** Where each probe of an instrument can go: conductors, the ground of a box, or either. */
function spotsOf(survey: Survey): (place: Place) => readonly SpotAt[] {
  const conductors = survey.boxes.flatMap((box) =>
    box.ends
      .filter(({ insulation }) => !isGround(insulation))
      .map(({ cable, insulation }): SpotAt => {
        const spot: Spot = { on: 'conductor', cable, insulation };
        return { label: spotName(survey, spot), spot };
      }),
  );
  const grounds = survey.boxes
    .filter((box) => groundEnd(survey, box) !== null)
    .map(({ id, name }): SpotAt => ({
      label: say('ownReading.groundIn', { name }),
      spot: { on: 'ground', box: id },
    }));
  return (place) =>
    place === 'ground'
      ? grounds
      : place === 'hot' || place === 'neutral'
        ? conductors
        : [...conductors, ...grounds];
}

const outletsOf = (survey: Survey) =>
  survey.boxes.flatMap(({ devices }) =>
    devices.flatMap(({ id: device, kind }) =>
      deviceKind(kind)
        .parts.filter((part) => part.does === 'power' && part.plug)
        .map(({ id: part, name }) => ({
          label: `${deviceKind(kind).name}, ${name}`,
          at: { device, part },
        })),
    ),
  );

/** Things to choose from, by their place in the list. */
const numbered = (list: readonly { readonly label: string }[]) =>
  list.map(({ label }, index) => ({ value: String(index), label }));

/** A reading of one's own choosing, with any instrument, anywhere in the opened boxes. */
export function OwnReading({ survey }: { survey: Survey }) {
  const placesFor = spotsOf(survey);
  const outlets = outletsOf(survey);
  const [chosenBy, setChosenBy] = useState('meter low');
  const [chosen, setChosen] = useState<Partial<Record<Place, number>>>({});
  const [outlet, setOutlet] = useState(0);
  const [asked, setAsked] = useState(AS_FOUND);

  const instrument = INSTRUMENTS[chosenBy];
  if (!instrument) return null;
  // The second of two probes begins beside the first.
  const indexOf = (place: Place): number => chosen[place] ?? (place === 'to' || place === 'neutral' ? 1 : 0);
  const spots = instrument.places.map((place) => [place, placesFor(place)[indexOf(place)]?.spot] as const);
  const { loads, ...as } = asked;
  const setup = Setup.safeParse({
    ...as,
    breakers: instrument.breakers ?? as.breakers,
    loadsOut: loads === 'out',
  });
  const probe = Probe.safeParse({
    ...instrument.probe,
    ...Object.fromEntries(spots),
    ...(chosenBy === 'tester' ? outlets[outlet]?.at : {}),
    ...(chosenBy === 'sweep' ? { box: survey.target } : {}),
  });
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
          <Select
            label={say('ownReading.in')}
            value={String(outlet)}
            options={numbered(outlets)}
            onChange={(value) => setOutlet(Number(value))}
          />
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
              value={String(indexOf(place))}
              options={numbered(placesFor(place))}
              onChange={(value) => setChosen({ ...chosen, [place]: Number(value) })}
            />
          ))}
        </div>
      ) : null}
      <SetUpFields
        asked={asked}
        breaker={instrument.breakers === undefined ? survey.breaker : null}
        onChange={(change) => setAsked({ ...asked, ...change })}
      />
      {spots.some(([, spot]) => spot?.on === 'ground') &&
      (chosenBy === 'meter low' || chosenBy === 'lamp') ? (
        <p className="text-sm">{say('ownReading.lowImpedanceCaution')}</p>
      ) : null}
      {setup.success && probe.success && costOf(setup.data, probe.data).live ? <LiveCaution /> : null}
      {new Set(spots.map(([, spot]) => spot)).size < spots.length ? (
        <p>{say('ownReading.chooseTwoDifferentPlaces')}</p>
      ) : setup.success && probe.success ? (
        <>
          {instrument.breakers === undefined ? null : (
            <p className="text-sm">{probeWords(survey, setup.data, probe.data)}</p>
          )}
          <ReadingEntry survey={survey} setup={setup.data} probe={probe.data} />
        </>
      ) : instrument.places.includes('ground') && placesFor('ground').length === 0 ? (
        <p>{say('ownReading.noGround')}</p>
      ) : null}
    </div>
  );
}

const AS_FOUND = { breakers: 'on', apart: 'as found', switches: 'as they are', loads: 'in' };

/** What is done before the reading: breakers, what is lifted, switches, loads. */
function SetUpFields({
  asked,
  breaker,
  onChange,
}: {
  asked: typeof AS_FOUND;
  /** The breaker that can be off; null where the instrument says which are. */
  breaker: string | null;
  onChange: (change: Partial<typeof AS_FOUND>) => void;
}) {
  return (
    <>
      {breaker !== null ? (
        <Choice
          label={say('ownReading.breaker')}
          value={asked.breakers}
          options={[
            { value: 'on', label: say('ownReading.on') },
            { value: 'off', label: say('ownReading.off', { breaker }) },
          ]}
          onChange={(breakers) => onChange({ breakers })}
        />
      ) : null}
      <Select
        label={say('ownReading.conductors')}
        value={asked.apart}
        options={[
          { value: 'as found', label: say('ownReading.found') },
          { value: 'hots', label: say('ownReading.hotsLiftedCapped') },
          { value: 'all', label: say('ownReading.allApartCapped') },
        ]}
        onChange={(apart) => onChange({ apart })}
      />
      <Select
        label={say('ownReading.switches')}
        value={asked.switches}
        options={[
          { value: 'as they are', label: say('ownReading.asTheyAre') },
          { value: 'worked', label: say('ownReading.allWorked') },
          { value: 'off here', label: say('ownReading.offBox') },
          { value: 'on here', label: say('ownReading.box') },
        ]}
        onChange={(switches) => onChange({ switches })}
      />
      <Choice
        label={say('ownReading.lampsPlugs')}
        value={asked.loads}
        options={[
          { value: 'in', label: say('ownReading.loadsIn') },
          { value: 'out', label: say('ownReading.out') },
        ]}
        onChange={(loads) => onChange({ loads })}
      />
    </>
  );
}
