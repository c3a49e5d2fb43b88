import { z } from 'zod';
import { Design } from './design';
import { JobRecord } from './record';

/** A job: what is to be built, and what was asked, found and done. */
export const Job = z.strictObject({ design: Design, record: JobRecord.prefault({}) });
export type Job = z.infer<typeof Job>;
