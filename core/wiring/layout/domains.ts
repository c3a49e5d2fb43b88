import type { Design } from '../../job/model/design';
import { domainKey, feedNet, type DomainId, type NetId } from '../../job/model/wiring';

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

/** The hot of a domain: each circuit of a multiwire pair has its own. */
export const hotNetId = ({ circuit, via }: Feed): NetId => feedNet('hot', domainKey([circuit], via));

/** The neutral of a domain; circuits of a multiwire pair share theirs at the panel, not after a device. */
export const neutralNetId = (job: Design, feed: Feed): NetId => feedNet('neutral', domainId(job, feed));

/** What the currents of one cable must add to zero by. */
export function domainId(job: Design, { circuit, via }: Feed): DomainId {
  const partner = job.circuits.find(({ id }) => id === circuit)?.multiwireWith ?? null;
  return domainKey(via !== null || partner === null ? [circuit] : [circuit, partner], via);
}

export const sameFeed = (a: Feed, b: Feed): boolean => a.circuit === b.circuit && a.via === b.via;
