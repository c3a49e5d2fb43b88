// Writes the JSON Schema of the job file, generated from the Zod schema, to docs/.
import { writeFileSync } from 'node:fs';
import { jobFileSchema } from '../core/handover/interchange/json-schema';

writeFileSync('docs/job-file.schema.json', `${JSON.stringify(jobFileSchema(), null, 2)}\n`);
