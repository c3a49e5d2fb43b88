/** The same shape with every id as plain text: tests write wirings by hand. */
export type Loose<T> = T extends string
  ? string
  : T extends readonly (infer Each)[]
    ? readonly Loose<Each>[]
    : T extends object
      ? { readonly [Field in keyof T]: Loose<T[Field]> }
      : T;

/** A wiring, or a piece of one, that a test wrote by hand. Only its ids are not checked. */
export const byHand = <T>(written: Loose<T>): T => written as unknown as T;
