import { readAnyFile, writeWorkshop, type Workshop } from '@core/handover/files/workshop';
import type { Checked } from '@core/job/model/problem';

export const readFile = (bytes: Uint8Array): Checked<Workshop> => readAnyFile(bytes);
export const writeFile = (workshop: Workshop): Uint8Array => writeWorkshop(workshop);
