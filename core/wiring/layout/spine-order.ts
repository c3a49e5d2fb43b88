import { PANEL, type Design } from '../../job/model/design';

/** A place on the way from the panel, with the run that leads to it. */
export interface Stop {
  readonly place: string;
  readonly run: Design['runs'][number] | null;
  readonly from: string;
  readonly previous: string;
}

/** Depth first from the panel; boxes that nothing reaches come last. */
export function spineOrder(job: Design): Stop[] {
  const stops: Stop[] = [];
  const seen = new Set<string>();
  const visit = (place: string, run: Stop['run'], from: string) => {
    if (seen.has(place)) return;
    seen.add(place);
    stops.push({ place, run, from, previous: stops.at(-1)?.place ?? PANEL });
    for (const next of job.runs) {
      if (next.from === place) visit(next.to, next, place);
      else if (next.to === place) visit(next.from, next, place);
    }
  };
  visit(PANEL, null, PANEL);
  for (const box of job.boxes) visit(box.id, null, PANEL);
  return stops;
}
