/** What the map is asked about: a run, what is to grow out of a box, or the circuits of the panel. */
export interface MapMenuAt {
  readonly kind: 'run' | 'grow' | 'panel';
  readonly id: string;
}
