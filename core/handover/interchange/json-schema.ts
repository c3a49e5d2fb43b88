import { z } from 'zod';
import { JobFile, VERSION } from '../../job/model/job-file';

/** JSON Schema (draft 2020-12) of what a writer of job files may write: fields with a default may be left out. */
export const jobFileSchema = (): Record<string, unknown> => ({
  title: `Split Tap job file, version ${VERSION}`,
  ...z.toJSONSchema(JobFile, { io: 'input' }),
});
