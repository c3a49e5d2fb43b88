/** Something that went wrong, as it is shown for a while. */
export interface Notice {
  readonly id: number;
  readonly title: string;
  readonly lines: readonly string[];
  /** What can be done about it with one tap. */
  readonly way?: Way;
}

export interface Way {
  readonly name: string;
  readonly act: () => void;
}
