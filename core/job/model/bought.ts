import { z } from 'zod';

/** What is bought of a take-off, by the key of what it is. */
export const Bought = z.array(z.string().max(200)).max(2000);
