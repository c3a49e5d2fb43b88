import { readJsonText } from '@core/job/model/json';
import { bad, good, type Checked } from '@core/job/model/problem';

/** JSON text of a file, or the problem that keeps it from being read. */
export function readJson(text: string, what: string): Checked<unknown> {
  const read = readJsonText(text);
  return read.ok ? good(read.value) : bad({ path: what, message: read.message, wayOut: read.wayOut });
}
