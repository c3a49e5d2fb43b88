import { z } from 'zod';

/** An id within a job file. */
export const Id = z
  .string()
  .regex(/^[a-z0-9][a-z0-9-]{0,39}$/, 'an id is lower-case letters, digits and dashes, at most 40')
  .describe('Unique within its list');
/** What a person calls a thing. */
export const Name = z.string().trim().min(1, 'a name is needed').max(80, 'a name has at most 80 characters');
