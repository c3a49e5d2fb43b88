import type { Draft } from 'immer';
import { isHome, type Circuit, type Design } from '../model/design';
import { find, keepMutual, keepPairProtected } from './upkeep';

/** Partners name each other, and a shared two-pole breaker protects both or neither. */
export function setCircuit(design: Draft<Design>, id: string, change: Partial<Circuit>): void {
  Object.assign(find(design.circuits, id), change);
  for (const field of ['tiedWith', 'multiwireWith'] as const)
    if (change[field] !== undefined) keepMutual(design, id, field);
  keepPairProtected(design, id);
}

/** A circuit goes, and another feeds what it fed; its partners let go. */
export function foldCircuit(design: Draft<Design>, id: string, into: string): void {
  design.circuits = design.circuits.filter((one) => one.id !== id);
  for (const circuit of design.circuits) {
    for (const field of ['tiedWith', 'multiwireWith'] as const)
      if (circuit[field] === id) circuit[field] = null;
  }
  for (const run of design.runs) {
    const rest = run.circuits?.filter((one) => one !== id);
    if (!run.circuits || !rest || rest.length === run.circuits.length) continue;
    // A home run must carry something: what started on it starts there still, on the other circuit.
    const home = isHome(run);
    run.circuits = home || rest.length === 0 ? [...new Set([...rest, into])] : rest;
  }
  for (const { wants } of design.devices) {
    for (const want of Object.values(wants))
      if (want.does === 'power' && want.circuit === id) want.circuit = into;
  }
}
