/** What the map is asked about: a run, or what is to grow out of a box. */
export interface MapMenuAt {
  readonly kind: 'run' | 'grow';
  readonly id: string;
}
