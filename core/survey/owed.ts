import type { HazardLeft, Probe, Reading, Setup, Spot, Survey } from '../model/survey';
import { evidenceKey } from './evidence-key';
import { NO, ONE_PATH, SEPARATE, valueMask, YES } from './outcomes';
import { say } from '../words/survey';

/*
 * What a yes on few readings left open is read at the new outlet, once it is made up and before its cover goes on: a
 * load plugged in tells of a bootleg, the breaker off with all else running of a neutral that is not the circuit's own,
 * a clamp round the feed of a hot and a neutral by two cables (common practice). The readings are the survey's own.
 */

export interface Owed {
  readonly left: HazardLeft;
  /** What it is, how common, and how it is tested at the outlet. */
  readonly says: string;
  readonly common: string;
  readonly how: string;
  readonly setup: Setup;
  readonly probe: Probe;
  readonly reading: Reading | null;
  /** What the reading says of it; a load that made no sag says nothing yet. */
  readonly found: 'open' | 'not there' | 'there';
  /** What is done about it, where it is there. */
  readonly then: string;
}

type Row = (
  spots: Spots,
  breaker: string,
) => Pick<Owed, 'says' | 'common' | 'how' | 'probe' | 'then'> & {
  /** The setup differs from a live one with everything as it is in this alone. */
  readonly breakers: Setup['breakers'];
  /** What shows that it is not there, and that it is. */
  readonly absent: number;
  readonly present: number;
};
interface Spots {
  readonly hot: Spot;
  readonly neutral: Spot;
  readonly ground: Spot;
}

const residual =
  (says: string, common: string): Row =>
  ({ neutral, ground }, breaker) => ({
    says,
    common,
    how: say('owed.residual', { breaker }),
    then: say('owed.thenNeutral'),
    probe: { with: 'residual', neutral, ground },
    breakers: 'off',
    absent: NO,
    present: YES,
  });

const ROWS: Record<HazardLeft, Row> = {
  bootleg: ({ hot, neutral, ground }) => ({
    says: say('hazard.bootleg'),
    common: say('left.bootleg'),
    how: say('owed.drop'),
    then: say('owed.thenBootleg'),
    probe: { with: 'drop', hot, neutral, ground, loadA: 12 },
    breakers: 'on',
    absent: SEPARATE,
    present: ONE_PATH,
  }),
  'borrowed neutral': residual(say('hazard.borrowedNeutral'), say('left.borrowedNeutral')),
  'neutrals joined': residual(say('hazard.neutralsJoined'), say('left.neutralsJoined')),
  'two cables': ({ hot, neutral }) => ({
    says: say('hazard.twoCables'),
    common: say('left.twoCables'),
    how: say('owed.feedClamp'),
    then: say('owed.thenTwoCables'),
    probe: { with: 'feed clamp', hot, neutral },
    breakers: 'on',
    absent: NO,
    present: YES,
  }),
};

/** What was left open when a survey was laid out, with what was read of it since; nothing where nothing was. */
export function owedOf(survey: Survey): readonly Owed[] {
  if (!survey.laidOut) return [];
  const { pair, left } = survey.laidOut;
  const spot = (insulation: typeof pair.hot): Spot => ({ on: 'conductor', cable: pair.cable, insulation });
  const spots: Spots = {
    hot: spot(pair.hot),
    neutral: spot(pair.neutral),
    ground: { on: 'ground', box: survey.target },
  };
  return left.map((one): Owed => {
    const { breakers, absent, present, probe, ...words } = ROWS[one](spots, survey.breaker);
    const setup: Setup = { breakers, apart: 'as found', switches: 'as they are', loadsOut: false };
    const key = evidenceKey(survey, { setup, probe });
    const reading = survey.readings.find((taken) => evidenceKey(survey, taken) === key) ?? null;
    const mask = reading ? valueMask(reading.probe, reading.value) : null;
    const found = mask === absent ? 'not there' : mask === present ? 'there' : 'open';
    return { left: one, ...words, setup, probe, reading, found };
  });
}
