import { wishKind } from '../devices';
import { PANEL, type Device, type Design, type Run } from '../model/design';
import type { Carried } from './fit';

export function placeName(job: Design, id: string): string {
  return id === PANEL ? 'panel' : (job.boxes.find((box) => box.id === id)?.name ?? id);
}

/** A half of an outlet, a light or another part, by its place: "Console, upper half". */
export const partName = (job: Design, { box, kind }: Device, part: string): string =>
  `${placeName(job, box)}, ${wishKind(kind).parts.find(({ id }) => id === part)?.name ?? part}`;

export const runName = (job: Design, run: Run): string =>
  `The run from ${placeName(job, run.from)} to ${placeName(job, run.to)}`;

export const circuitName = (job: Design, id: string): string =>
  `circuit ${job.circuits.find((circuit) => circuit.id === id)?.number ?? id}`;

const ROLE_WORDS = {
  ground: 'ground',
  neutral: 'neutral',
  hot: 'constant hot',
  switched: 'switched hot',
  traveler: 'traveler',
} as const;

export const netWords = (net: Carried): string =>
  `${net.source === PANEL || net.group !== null ? '' : 'protected '}${ROLE_WORDS[net.role]}`;

export const listNets = (nets: readonly Carried[]): string => nets.map(netWords).join(', ');
