import type { Survey } from '../model/survey';

/** Another breaker turned out to feed it: the directory is noted, and what was read with the first one off is void. */
export function withBreaker(survey: Survey, breaker: string): Survey {
  if (survey.readings.length === 0) return { ...survey, breaker };
  return {
    ...survey,
    breaker,
    listed: survey.listed ?? survey.breaker,
    readings: survey.readings.filter(({ setup }) => setup.breakers !== 'off'),
  };
}
