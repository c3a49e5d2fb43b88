/** What a finding is about, so that a screen can point at it. */
export interface At {
  readonly kind: 'box' | 'run' | 'device' | 'circuit' | 'room' | 'job';
  readonly id: string;
}

export const at = (kind: At['kind'], id: string): At => ({ kind, id });
