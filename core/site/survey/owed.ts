import type { HazardLeft, Survey } from '../../job/model/survey';
import { owedFound, type OwedTest } from './owed-found';
import { say } from '../../base/words/survey';

export interface Owed extends OwedTest {
  /** What it is, how common, and how it is tested at the outlet. */
  readonly says: string;
  readonly common: string;
  readonly how: string;
  /** What is done about it, where it is there. */
  readonly then: string;
}
type Words = (breaker: string) => Pick<Owed, 'says' | 'common' | 'how' | 'then'>;

const WORDS: Record<HazardLeft, Words> = {
  bootleg: () => ({
    says: say('hazard.bootleg'),
    common: say('left.bootleg'),
    how: say('owed.drop'),
    then: say('owed.thenBootleg'),
  }),
  'borrowed neutral': (breaker) => ({
    says: say('hazard.borrowedNeutral'),
    common: say('left.borrowedNeutral'),
    how: say('owed.residual', { breaker }),
    then: say('owed.thenNeutral'),
  }),
  'neutrals joined': (breaker) => ({
    says: say('hazard.neutralsJoined'),
    common: say('left.neutralsJoined'),
    how: say('owed.residual', { breaker }),
    then: say('owed.thenNeutral'),
  }),
  'two cables': () => ({
    says: say('hazard.twoCables'),
    common: say('left.twoCables'),
    how: say('owed.feedClamp'),
    then: say('owed.thenTwoCables'),
  }),
};

/** What is owed of a survey, in words. */
export const owedOf = (survey: Survey): readonly Owed[] =>
  owedFound(survey).map((one) => {
    const words = WORDS[one.left](survey.breaker);
    return one.probe.with === 'lifted neutral'
      ? { ...one, ...words, how: say('owed.lifted', { breaker: survey.breaker }) }
      : { ...one, ...words };
  });
