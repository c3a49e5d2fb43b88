import { placeName } from '../layout/names';
import { PANEL, type Job } from '../model/job';
import type { WiredCable } from '../model/wiring';
import type { Drawable } from '../plan';

/** What to write on a cable's jacket in one box. */
export interface CableName {
  /** "12-3 to Garden door" */
  readonly title: string;
  /** "feed, circuit 14", "switch", "onward". */
  readonly role: string;
  /** Short mark for the jacket: "feed", "Garden door". */
  readonly mark: string;
}

/** How a cable is called in a box: by where its other end is and what comes through it. */
export function cableName({ job, layout }: Drawable, cable: WiredCable, box: string): CableName {
  const far = cable.from === box ? cable.to : cable.from;
  const circuit = cable.conductors.find((one) => one.circuit !== null)?.circuit ?? null;
  const feeds = circuit !== null && layout.trees.get(circuit)?.parents.get(box)?.run.id === cable.run;
  const number = job.circuits.find(({ id }) => id === circuit)?.number;
  const where = placeName(job, far);
  return {
    title: `${cable.type} ${feeds ? 'from' : 'to'} ${where}`,
    role: feeds ? `feed, circuit ${number ?? ''}` : purpose(job, far),
    mark: feeds ? 'feed' : where,
  };
}

function purpose(job: Job, box: string): string {
  if (box === PANEL) return 'panel';
  const kinds = new Set(job.devices.filter((device) => device.box === box).map(({ kind }) => kind));
  if (kinds.has('switch')) return kinds.size > 1 ? 'switch and outlet' : 'switch';
  if (kinds.has('luminaire')) return 'light';
  return kinds.size > 0 ? 'outlet' : 'onward';
}
