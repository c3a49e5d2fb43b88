import type { Draft } from 'immer';
import { z } from 'zod';
import type { Problem } from '../model/problem';

/** A row of a command table: what it is called, what it takes, what undo calls it, what it changes. */
export interface Entry<On, Schema extends z.ZodType = z.ZodType> {
  readonly schema: Schema;
  readonly label: (command: z.output<Schema>, on: On) => string;
  /** Carries it out on a draft whose named things were checked to be there. */
  readonly change: (draft: Draft<On>, command: z.output<Schema>) => void;
  /** What stands in its way, seen before anything is changed. */
  readonly unless?: ((command: z.output<Schema>, on: On) => Problem | null) | undefined;
}

/** Makes rows of a table over `On`: a name, its fields, its label, its change. */
export const entryOn =
  <On>() =>
  <Name extends string, Shape extends z.ZodRawShape>(
    name: Name,
    shape: Shape,
    label: string | ((command: z.output<z.ZodObject<Shape>>, on: On) => string),
    change: (draft: Draft<On>, command: z.output<z.ZodObject<Shape>>) => void,
    unless?: (command: z.output<z.ZodObject<Shape>>, on: On) => Problem | null,
  ) => {
    const schema = z.strictObject({ do: z.literal(name), ...shape });
    type Own = z.output<typeof schema>;
    const plain = (command: Own) => command as unknown as z.output<z.ZodObject<Shape>>;
    return {
      schema,
      label: (command: Own, on: On) => (typeof label === 'string' ? label : label(plain(command), on)),
      change: (draft: Draft<On>, command: Own) => change(draft, plain(command)),
      unless: unless && ((command: Own, on: On) => unless(plain(command), on)),
    } satisfies Entry<On, typeof schema>;
  };
