import type { Text } from './speak';

const ACCENTED: Readonly<Record<string, string>> = {
  a: 'á',
  e: 'é',
  i: 'í',
  o: 'ó',
  u: 'ú',
  y: 'ý',
  A: 'Á',
  E: 'É',
  I: 'Í',
  O: 'Ó',
  U: 'Ú',
  c: 'ç',
  n: 'ñ',
  s: 'š',
};

/** Private marks round what was put in, so that only the catalog's own words are changed. */
const OPEN = '\uE000';
const CLOSE = '\uE001';

/** Share by which the words grow: about what a translation takes. */
const LONGER = 0.3;

/** The catalog's words with accents and a third longer; what was put in stays as it is. */
function strange(sentence: string): string {
  let depth = 0;
  let own = 0;
  let out = '';
  for (const letter of sentence) {
    if (letter === OPEN) depth += 1;
    else if (letter === CLOSE) depth -= 1;
    else if (depth > 0) out += letter;
    else {
      own += 1;
      out += ACCENTED[letter] ?? letter;
    }
  }
  return out + '~'.repeat(Math.round(own * LONGER));
}

/**
 * A language for development: every sentence of the catalogs comes out accented and longer. What stands
 * on a screen without accents is not in a catalog; what is cut or overflows would not fit a translation.
 * On where the page says so before anything is said (`app/ui/theme.ts`), and in a worker of that name.
 */
export const pseudo = {
  get on(): boolean {
    const scope = globalThis as { splitTapWords?: string | null; name?: string };
    return (scope.splitTapWords ?? scope.name) === 'pseudo';
  },
  say(
    message: (with_: Readonly<Record<string, Text | boolean>>) => string,
    said: Readonly<Record<string, Text | boolean>>,
  ): string {
    const marked = Object.fromEntries(
      Object.entries(said).map(([name, value]) => [
        name,
        typeof value === 'string' ? `${OPEN}${value}${CLOSE}` : value,
      ]),
    );
    return strange(message(marked));
  },
};
