import type { Design } from '../../job/model/design';
import type { Survey } from '../../job/model/survey';
import { cableRow } from '../../trade/standards/cables';
import { maxBreakerA } from '../../trade/standards/conductors';
import { say } from '../../base/words/survey';

/** Where the job and the wall say different things of one circuit. */
export interface Difference {
  readonly says: string;
  /** True where it is decided by taking one of the two; false where it stays to be put right. */
  readonly decides: boolean;
}

/** What differs between the job's circuit of that number and what was seen: shown, and decided by the user. */
export function differences(job: Design, survey: Survey): Difference[] {
  const known = job.circuits.find(({ number }) => number === survey.breaker);
  const found: Difference[] = [];
  if (known && known.breakerA !== survey.breakerA) {
    found.push({
      says: say('layOutFound.otherRating', {
        breaker: survey.breaker,
        inJobA: known.breakerA,
        foundA: survey.breakerA,
      }),
      decides: true,
    });
  }
  const breakerA = known?.breakerA ?? survey.breakerA;
  for (const { cables, name } of survey.boxes) {
    for (const { type } of cables) {
      const most = maxBreakerA(cableRow(type).gauge);
      if (breakerA > most)
        found.push({
          says: say('layOutFound.breakerTooLarge', {
            type,
            name,
            breakerA,
            gauge: cableRow(type).gauge,
            most,
          }),
          decides: false,
        });
    }
  }
  return [...new Map(found.map((one) => [one.says, one])).values()];
}
