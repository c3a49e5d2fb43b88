import type { Job } from '../model/job';

/**
 * A protection domain: what shares one hot-and-neutral source. Straight from the panel, or behind the LOAD
 * terminals of one protecting device. A load's hot and neutral lie in one domain. Two circuits that share a neutral
 * are one domain at the panel.
 */
export interface Feed {
  readonly circuit: string;
  /** The protecting device, or null at the panel. */
  readonly via: string | null;
}

export const hotNetId = ({ circuit, via }: Feed): string =>
  via === null ? `hot-${circuit}` : `hot-${circuit}-after-${via}`;

/** The neutral of a domain; circuits of a multiwire pair share theirs at the panel, not after a device. */
export function neutralNetId(job: Job, { circuit, via }: Feed): string {
  if (via !== null) return `neutral-${circuit}-after-${via}`;
  return `neutral-${sharedName(job, circuit)}`;
}

/** What the currents of one cable must add to zero by. */
export function domainId(job: Job, { circuit, via }: Feed): string {
  return via === null ? sharedName(job, circuit) : `${circuit}-after-${via}`;
}

function sharedName(job: Job, circuit: string): string {
  const partner = job.circuits.find(({ id }) => id === circuit)?.multiwireWith ?? null;
  return partner === null ? circuit : [circuit, partner].sort().join('-');
}

export const sameFeed = (a: Feed, b: Feed): boolean => a.circuit === b.circuit && a.via === b.via;
