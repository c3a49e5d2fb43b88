import { enablePatches, produceWithPatches, type Draft, type Patch } from 'immer';
import { z } from 'zod';
import { zodProblems } from '../model/job-file';
import { bad, good, type Checked, type Problem } from '../model/problem';
import { say } from '../../base/words/commands';
import type { Entry } from './entry';

enablePatches();

type SchemaOf<Row> = Row extends { readonly schema: infer Schema extends z.ZodType } ? Schema : never;
/** What a table of commands can be asked. */
export type CommandOf<Table extends readonly unknown[]> = z.output<SchemaOf<Table[number]>>;

/** Any command of some tables. */
export const oneOf = <Of>(tables: readonly { readonly schema: z.ZodType }[]): z.ZodType<Of> =>
  z.discriminatedUnion(
    'do',
    tables.map(({ schema }) => schema) as unknown as [z.ZodObject<{ do: z.ZodLiteral }>],
  ) as unknown as z.ZodType<Of>;

/** The rows of a table by the name of their command. */
export const rows = <On>(table: readonly unknown[]): ReadonlyMap<string, Entry<On>> =>
  new Map(
    (table as readonly (Entry<On> & { schema: z.ZodObject<{ do: z.ZodLiteral }> })[]).map((entry) => [
      String(entry.schema.shape.do.value),
      entry as Entry<On>,
    ]),
  );
/** A command carried out. */
export interface Carried<On> {
  readonly next: On;
  readonly label: string;
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}

export type Known = Readonly<Record<string, readonly { readonly id: string }[] | null | undefined>>;

/** The course of every command: what it names is there, nothing stands in its way, and what comes of it is sound. */
export function carry<On extends object>(
  table: ReadonlyMap<string, Entry<On>>,
  known: Known,
  schema: z.ZodType<On>,
  references: (next: On) => Problem[],
  on: On,
  command: { readonly do: string },
): Checked<Carried<On>> {
  const entry = table.get(command.do);
  if (!entry) return bad({ path: 'do', message: say('command.noCommand', { do: command.do }) });
  const before = missing(known, command) ?? entry.unless?.(command, on) ?? null;
  if (before) return bad(before);
  const [next, patches, inverse] = produceWithPatches(on, (draft: Draft<On>) => entry.change(draft, command));
  const parsed = staysSound(schema, on, next) ? null : schema.safeParse(next);
  if (parsed && !parsed.success) return { ok: false, problems: zodProblems(parsed.error) };
  const problems = references(next);
  if (problems.length > 0) return { ok: false, problems };
  return good({ next, label: entry.label(command, on), patches, inverse });
}

/**
 * True where what was sound before still is: only what a change has made anew is looked at, since all else is the very
 * thing it was. False where something is wrong, or the schema is none that can be looked at field by field.
 */
function staysSound<On extends object>(schema: z.ZodType<On>, before: On, after: On): boolean {
  if (!(schema instanceof z.ZodObject) || (schema.def.checks?.length ?? 0) > 0) return false;
  const shape = schema.shape as Readonly<Record<string, z.ZodType>>;
  const [was, is] = [before, after] as readonly Readonly<Record<string, unknown>>[];
  if (!was || !is || Object.keys(is).some((field) => !(field in shape))) return false;
  return Object.entries(shape).every(([field, own]) => {
    const [old, fresh] = [was[field], is[field]];
    if (old === fresh) return true;
    if (!(own instanceof z.ZodArray) || !Array.isArray(old) || !Array.isArray(fresh))
      return own.safeParse(fresh).success;
    if (old.length !== fresh.length && !shellOf(own).safeParse(fresh).success) return false;
    const known = new Set<unknown>(old);
    const element = own.element as z.ZodType;
    return fresh.every((one) => known.has(one) || element.safeParse(one).success);
  });
}

/** A list as its schema wants it, whatever is in it: how long it may be. */
function shellOf(list: z.ZodArray): z.ZodType {
  const shell = shells.get(list) ?? new z.ZodArray({ ...list.def, element: z.unknown() });
  shells.set(list, shell);
  return shell;
}
const shells = new WeakMap<z.ZodArray, z.ZodType>();

/** Fields of a command that name something that is not there. */
function missing(known: Known, command: { readonly do: string }): Problem | null {
  for (const [field, list] of Object.entries(known)) {
    const id = (command as Record<string, unknown>)[field];
    if (list && typeof id === 'string' && !list.some((one) => one.id === id)) {
      return { path: field, message: say('command.no', { field, id }), wayOut: say('command.reloadJob') };
    }
  }
  return null;
}
