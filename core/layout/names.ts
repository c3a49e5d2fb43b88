import { wishKind } from '../devices';
import { PANEL, type Device, type Design, type Run } from '../model/design';
import type { Carried } from './fit';
import { say } from '../words/layout';

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

const ROLE_WORDS = {
  ground: 'ground',
  neutral: 'neutral',
  hot: say('names.constantHot'),
  switched: say('names.switchedHot'),
  traveler: 'traveler',
} as const;

export const netWords = (net: Carried): string =>
  say('names.trueOther', { source: net.source === PANEL || net.group !== null, role: ROLE_WORDS[net.role] });

export const listNets = (nets: readonly Carried[]): string => nets.map(netWords).join(', ');
