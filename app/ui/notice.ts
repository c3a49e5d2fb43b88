/** Something that went wrong, as it is shown for a while. */
export interface Notice {
  readonly id: number;
  readonly title: string;
  readonly lines: readonly string[];
}
