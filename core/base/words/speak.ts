import { pseudo } from './pseudo';

/** What may stand in a sentence: the name of a place, a figure, or words that were said before. */
export type Text = string | number;

/** A catalog as `npm run words` compiles it: a code, and how its sentence is put together from typed parameters. */
type Messages = Readonly<Record<string, (with_: never) => string>>;

type With<M extends Messages, C extends keyof M> = Parameters<M[C]> extends [] ? [] : Parameters<M[C]>;

/** A sentence, and what it was made of for whoever must not read prose. */
export interface Told {
  readonly message: string;
  readonly says: {
    /** Its code in the catalog. */
    readonly code: string;
    /** Who and how much: the parameters by name. */
    readonly with: Readonly<Record<string, Text | boolean>>;
  };
}

interface Speaker<M extends Messages> {
  /** The sentence of a code in the language in use. */
  readonly say: <C extends keyof M & string>(code: C, ...with_: With<M, C>) => string;
  /** The sentence with its code and parameters. */
  readonly tell: <C extends keyof M & string>(code: C, ...with_: With<M, C>) => Told;
}

type Said = Readonly<Record<string, Text | boolean>>;
type Message = (with_: Said) => string;

/** The sentence of a message; what the catalogs are built into (`scripts/build/words-plugin.ts`) calls it directly. */
export const sayMessage = (message: Message, said: Said = {}): string =>
  pseudo.on ? pseudo.say(message, said) : message(said);

/** The sentence of a message, with its code and parameters. */
export const tellMessage = (message: Message, code: string, said: Said = {}): Told => ({
  message: sayMessage(message, said),
  says: { code, with: said },
});

/**
 * One catalog, as functions. A code that is not in it, a parameter that is missing or misnamed,
 * or a figure where the plural needs a number, does not compile.
 */
export function speaker<M extends Messages>(messages: M): Speaker<M> {
  const of = (code: keyof M): Message => messages[code] as Message;
  return {
    say: (code, ...[said]) => sayMessage(of(code), said),
    tell: (code, ...[said]) => tellMessage(of(code), code, said),
  };
}

export { en } from './plurals';
