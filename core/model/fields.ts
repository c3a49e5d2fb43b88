import { z } from 'zod';
import { say } from '../words/model';

/** An id within a job file. */
export const Id = z
  .string()
  .regex(/^[a-z0-9][a-z0-9-]{0,39}$/, say('fields.idLowerCaseLettersDigits'))
  .describe('Unique within its list');
/** What a person calls a thing. */
export const Name = z
  .string()
  .trim()
  .min(1, say('fields.nameNeeded'))
  .max(80, say('fields.nameMost80Characters'));
