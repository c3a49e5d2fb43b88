import { inBox } from '../../job/model/in-box';
import { deviceKind } from '../../trade/devices';
import { endId, tabId } from '../../job/model/wiring';
import type { Drawable } from '../plan';
import { connectorOf } from './splice-steps';

/**
 * What each thing in a box is joined with, and by what, as text: the type of a cable and where it goes, the ends of a
 * splice and its connector, the two ends of a pigtail. Two steps that touch the same are the same work, whatever the
 * words.
 */
export class Structure {
  private readonly said = new Map<string, string>();

  constructor(plan: Drawable, box: string) {
    const { cables, devices, splices, tails, terminations, caps } = inBox(plan.wiring, box);
    for (const { id, type, from, to, conductors } of cables) {
      const carries = conductors.map(
        ({ insulation, role, toward }) => `${insulation} ${role} ${toward === box}`,
      );
      this.said.set(id, `${type} ${from === box ? to : from} ${carries.join()}`);
      for (const one of conductors)
        this.said.set(endId(one.id, box), `${type} ${one.insulation}${one.reidentified ? ' taped' : ''}`);
    }
    for (const { terminal, end } of terminations) this.said.set(terminal, `${terminal} ${end}`);
    for (const { end } of caps) this.said.set(end, `${this.said.get(end) ?? ''} capped`);
    for (const { id, insulation, gauge, from, to, uncut } of tails) {
      const start = from.at === 'splice' ? from.splice : from.terminal;
      this.said.set(id, `${insulation} ${gauge} ${start} ${to} ${uncut ?? ''}`);
    }
    for (const splice of splices)
      this.said.set(splice.id, `${connectorOf(plan, splice)?.id ?? ''} ${[...splice.ends].sort().join()}`);
    for (const { id, kind } of devices) {
      for (const { id: tab } of deviceKind(kind).tabs) this.said.set(tabId(id, tab), kind);
    }
  }

  /** A short name for what a step does. */
  of(stage: string, touches: readonly string[]): string {
    const parts = touches.map((id) => `${id}=${this.said.get(id) ?? ''}`).sort();
    return digest([stage, ...parts].join('\n'));
  }
}

/** 64 bits of a text as two FNV-1a hashes of 32 bits with different starts, in base 36. */
function digest(text: string): string {
  const half = (start: number): number => {
    let hash = start;
    for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), 16777619) >>> 0;
    return hash;
  };
  return `${half(2166136261).toString(36)}-${half(3735928559).toString(36)}`;
}
