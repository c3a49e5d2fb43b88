import { wishKind } from '../../trade/devices';
import { PANEL, type Design, type Device, type Run } from './design';
import { say } from '../../base/words/layout';

/* How a place, a part, a run and a circuit of a job are called. */

export function placeName(job: Design, id: string): string {
  return id === PANEL ? say('names.panel') : (job.boxes.find((box) => box.id === id)?.name ?? id);
}

/** A half of an outlet, a light or another part, by its place: "Console, upper half". */
export const partName = (job: Design, { box, kind }: Device, part: string): string =>
  `${placeName(job, box)}, ${wishKind(kind).parts.find(({ id }) => id === part)?.name ?? part}`;

export const runName = (job: Design, run: Run): string =>
  say('names.runFrom', { placeName: placeName(job, run.from), placeName2: placeName(job, run.to) });

export const circuitName = (job: Design, id: string): string =>
  say('names.circuit', { number: job.circuits.find((circuit) => circuit.id === id)?.number ?? id });
