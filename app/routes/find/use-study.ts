import type { Survey } from '@core/job/model/survey';
import type { Study } from '@core/site/survey/study';
import { findWorker } from '~/workers/core';
import { useAnswer, type Answer } from '~/workers/use-answer';

const ask = ({ survey, skipped }: { survey: Survey; skipped: readonly string[] }): Promise<Study> =>
  findWorker.ask((worker) => worker.study(survey, [...skipped]));

/** What Find has to say of a survey, worked out beside the page. */
export const useStudy = (survey: Survey | undefined, skipped: readonly string[]): Answer<Study> =>
  useAnswer(survey ? { survey, skipped } : null, ask);
