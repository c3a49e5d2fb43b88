import { z } from 'zod';

/**
 * A change of some fields: each may be left out and then keeps what it was. Defaults are taken off first, since
 * they would otherwise fill in what was left out.
 */
export function someOf<Shape extends z.ZodRawShape>(object: z.ZodObject<Shape>): z.ZodType<SomeOf<Shape>> {
  const fields = Object.entries(object.shape).map(([key, field]) => {
    const bare = field instanceof z.ZodDefault ? field.unwrap() : field;
    return [key, z.optional(bare as z.ZodType)] as const;
  });
  return z.strictObject(Object.fromEntries(fields)) as unknown as z.ZodType<SomeOf<Shape>>;
}
type SomeOf<Shape extends z.ZodRawShape> = Partial<z.output<z.ZodObject<Shape>>>;
