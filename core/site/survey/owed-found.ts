import type { HazardLeft, Probe, Reading, Setup, Spot, Survey } from '../../job/model/survey';
import { sure } from '../../base/sure';
import { evidenceKey } from './evidence-key';
import { JOINED, NO, ONE_PATH, OPEN, SEPARATE, valueMask, YES } from '../../job/seen/outcomes';

/*
 * What a yes on few readings left open is read at the new outlet, once it is made up and before its cover goes on: a
 * load plugged in tells of a bootleg, the breaker off with all else running of a neutral that is not the circuit's own,
 * a clamp round the feed of a hot and a neutral by two cables (common practice). The readings are the survey's own.
 */

export interface OwedTest {
  readonly left: HazardLeft;
  readonly setup: Setup;
  readonly probe: Probe;
  readonly reading: Reading | null;
  /** What the reading says of it; a load that made no sag says nothing yet. */
  readonly found: 'open' | 'not there' | 'there';
}

type Spots = Readonly<Record<'hot' | 'neutral' | 'ground', Spot>>;
/** The setup differs from a live one with everything as it is in the breakers alone; what shows it is absent, or there. */
interface Tells {
  readonly probe: Probe;
  readonly breakers: Setup['breakers'];
  readonly absent: number;
  readonly present: number;
}
/** The light test first; a heavier one for where that says nothing. */
type Row = (spots: Spots) => readonly [Tells, ...Tells[]];

const residual: Row = ({ neutral, ground }) => [
  { probe: { with: 'residual', neutral, ground }, breakers: 'off', absent: NO, present: YES },
];

const ROWS: Record<HazardLeft, Row> = {
  bootleg: (spots) => [
    { probe: { with: 'drop', ...spots, loadA: 12 }, breakers: 'on', absent: SEPARATE, present: ONE_PATH },
    // On a short run too little sags.
    {
      probe: { with: 'lifted neutral', neutral: spots.neutral, ground: spots.ground },
      breakers: 'all off',
      absent: OPEN,
      present: JOINED,
    },
  ],
  'borrowed neutral': residual,
  'neutrals joined': residual,
  'two cables': ({ hot, neutral }) => [
    { probe: { with: 'feed clamp', hot, neutral }, breakers: 'on', absent: NO, present: YES },
  ],
};

/** What was left open when a survey was laid out, with what was read of it since; nothing where nothing was. */
export function owedFound(survey: Survey): readonly OwedTest[] {
  if (!survey.laidOut) return [];
  const { pair, left } = survey.laidOut;
  const spot = (insulation: typeof pair.hot): Spot => ({ on: 'conductor', cable: pair.cable, insulation });
  const spots: Spots = {
    hot: spot(pair.hot),
    neutral: spot(pair.neutral),
    ground: { on: 'ground', box: survey.target },
  };
  return left.map((one): OwedTest => {
    const tests = ROWS[one](spots).map(({ breakers, absent, present, probe }): OwedTest => {
      const setup: Setup = { breakers, apart: 'as found', switches: 'as they are', loadsOut: false };
      const key = evidenceKey(survey, { setup, probe });
      const reading = survey.readings.find((taken) => evidenceKey(survey, taken) === key) ?? null;
      const mask = reading ? valueMask(reading.probe, reading.value) : null;
      const found = mask === absent ? 'not there' : mask === present ? 'there' : 'open';
      return { left: one, setup, probe, reading, found };
    });
    const settled = tests.find(({ found }) => found !== 'open');
    const next = tests.find(({ reading }) => reading === null);
    return sure(settled ?? next ?? tests.at(-1), 'a test of what was left');
  });
}
