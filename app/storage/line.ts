import { houseJob } from '@core/choices/house/circuits';
import type { Design } from '@core/job/model/design';
import { summaryOf, type StoredSummary } from './database';

/** The line of a job whose design is sound. */
export function lineOf(
  id: string,
  design: Design,
  house: string | undefined,
  updatedAt = Date.now(),
): StoredSummary {
  const { circuits, adds } = houseJob(design);
  const holds = {
    places: design.boxes.map(({ name }) => name),
    kinds: [...new Set(design.devices.map(({ kind }) => kind))],
  };
  return {
    ...summaryOf(id, design, updatedAt),
    circuits,
    adds,
    holds,
    ...(house === undefined ? {} : { house }),
  };
}
