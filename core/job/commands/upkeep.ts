import type { Draft } from 'immer';
import type { Design } from '../model/design';

/* What must follow from a change, so that nothing in a job points at what is gone. */

/** Groups that no switch is left for: what they controlled is always on. */
export function dropUnused(job: Draft<Design>): void {
  const switched = new Set(
    job.devices.flatMap(({ wants }) =>
      Object.values(wants).flatMap((want) => (want.does === 'control' ? [want.group] : [])),
    ),
  );
  job.groups = job.groups.filter(({ id }) => switched.has(id));
  for (const { wants } of job.devices) {
    for (const want of Object.values(wants)) {
      if (want.does === 'power' && want.control !== null && !switched.has(want.control)) want.control = null;
    }
  }
}

/** The thing with this id; that it is there was checked before. */
export function find<T extends { id: string }>(list: T[], id: string): T {
  const item = list.find((one) => one.id === id);
  if (!item) throw new Error(`"${id}" was checked to be there`);
  return item;
}

/** What hung on a LOAD side that is gone is fed from the panel side. */
export function dropVia(job: Draft<Design>, device: string): void {
  for (const { wants } of job.devices) {
    for (const want of Object.values(wants))
      if (want.does === 'power' && want.via === device) want.via = null;
  }
}

/** A circuit's partner names it back, and whoever named either before lets go. */
export function keepMutual(job: Draft<Design>, circuit: string, field: 'tiedWith' | 'multiwireWith'): void {
  const partner = find(job.circuits, circuit)[field];
  for (const one of job.circuits) {
    if (one.id === circuit) continue;
    if (one.id === partner) one[field] = circuit;
    else if (one[field] === circuit || (partner !== null && one[field] === partner)) one[field] = null;
  }
}

/** Circuits that share a neutral sit on one two-pole breaker, which protects both or neither. */
export function keepPairProtected(job: Draft<Design>, circuit: string): void {
  const { multiwireWith, protection } = find(job.circuits, circuit);
  for (const one of job.circuits) if (one.id === multiwireWith) one.protection = protection;
}
