import { wishKind } from '../../trade/devices';
import { cableRow, type CableType } from '../../trade/standards/cables';
import { isHome, PANEL, type Design, type Device, type Run } from './design';
import { say } from '../../base/words/layout';

/* How a place, a part, a run and a circuit of a job are called. */

/** True where all that leaves the panel are cords: in its place stands a plug, and the receptacle it is put into. */
export function isPlug({ runs }: Pick<Design, 'runs'>): boolean {
  const home = runs.filter(isHome);
  return home.length > 0 && home.every(({ cord }) => cord);
}

/** A box that hangs on cords alone is moved about: no part of what a breaker is said to serve. */
export function isOnCord({ runs }: Pick<Design, 'runs'>, box: string): boolean {
  const own = runs.filter(({ from, to }) => from === box || to === box);
  return own.length > 0 && own.every(({ cord }) => cord);
}

/** "14-2"; a cord counts its ground: "14/3 cord". */
export const cableTypeName = ({
  type,
  cord,
}: {
  readonly type: CableType;
  readonly cord: boolean;
}): string => {
  const { gauge, insulated } = cableRow(type);
  return cord ? say('names.cord', { gauge, conductors: insulated.length + 1 }) : type;
};

export function placeName(job: Design, id: string): string {
  return id === PANEL
    ? isPlug(job)
      ? say('names.plug')
      : say('names.panel')
    : (job.boxes.find((box) => box.id === id)?.name ?? id);
}

/** A half of an outlet, a light or another part, by its place: "Console, upper half". */
export const partName = (job: Design, { box, kind }: Device, part: string): string =>
  `${placeName(job, box)}, ${wishKind(kind).parts.find(({ id }) => id === part)?.name ?? part}`;

export const runName = (job: Design, run: Run): string =>
  say('names.run', { from: placeName(job, run.from), to: placeName(job, run.to) });

/** As in the breaker directory: "14". */
export const circuitNumber = ({ circuits }: Pick<Design, 'circuits'>, id: string): string =>
  circuits.find((circuit) => circuit.id === id)?.number ?? id;

export const circuitName = (job: Design, id: string): string =>
  say('names.circuit', { number: circuitNumber(job, id) });
