import { z } from 'zod';
import { say } from '../../base/words/model';

/** An id within a job file. */
export const Id = z
  .string()
  .regex(/^[a-z0-9][a-z0-9-]{0,39}$/, say('fields.id'))
  .describe('Unique within its list');
/** Control characters, and marks that turn the direction of what follows: in a name they hide what it says. */
const UNSEEN = /[\p{Cc}\u061c\u200e\u200f\u202a-\u202e\u2066-\u2069]/gu;

/** A line of text as it is read: without characters that are not seen, or that turn text round. */
export const Line = z
  .string()
  .overwrite((text) => text.replace(UNSEEN, ''))
  .trim();
/** What a person calls a thing. */
export const Name = Line.min(1, say('fields.nameNeeded')).max(80, say('fields.nameMost80Characters'));
