import { isFields, isSame, type Fields } from './same';

/*
 * Two copies of one thing come together against what both grew from, thing by thing and field by field. What a list is of
 * is told by the rules; nothing here knows of wiring.
 */

/** How things of lists are known, and what is not taken apart. */
export interface Rules {
  /** By the name of a list of things, what each is known by; lists that are not named here are known by `id`. */
  readonly known: Readonly<Record<string, (thing: Fields) => string>>;
  /** Fields whose value is one: it is another, or it is not. */
  readonly whole: ReadonlySet<string>;
  /** True of two values that are of different kinds: one takes the place of the other as a whole. */
  readonly isOther: (a: Fields, b: Fields) => boolean;
  /** Lists of what happened: without a common origin what only one has is kept; each gets an id that no other has. */
  readonly logs: ReadonlySet<string>;
  /** By the name of a list: which of two counts where both have put in or changed the same thing, whichever is whose. */
  readonly settled: Readonly<Record<string, (a: Fields, b: Fields) => Fields>>;
}

export type Side = 'ours' | 'theirs';

/** What is otherwise than in what both grew from. */
export interface Change {
  /** Names of fields and keys of things, from the outside in. */
  readonly path: readonly string[];
  /** Who changed it; both the same; or both, each otherwise. */
  readonly by: Side | 'both' | 'conflict';
  readonly kind: 'set' | 'added' | 'removed';
  /** Undefined where it is not there. */
  readonly base: unknown;
  readonly ours: unknown;
  readonly theirs: unknown;
}

export interface Merged<T> {
  readonly value: T;
  readonly changes: readonly Change[];
}

/** What is taken at a place, where it was chosen; of a conflict that was not, ours stands. */
export type Choices = ReadonlyMap<string, Side>;

export const placeOf = (path: readonly string[]): string => JSON.stringify(path);

/** Nothing there. */
const NONE = undefined;

/**
 * Brings two copies together. `base`: what both grew from; null where nothing is known of it, and then whatever differs is a
 * conflict. The same whichever of both is ours, but for conflicts that nobody has chosen of.
 */
export function mergeThree<T extends object>(
  base: T | null,
  ours: T,
  theirs: T,
  rules: Rules,
  choices: Choices = new Map(),
): Merged<T> {
  const work = new Merge(rules, choices, base !== null);
  const value = work.value([], base ?? NONE, ours, theirs) as T;
  return { value, changes: work.changes };
}

const isThings = (value: unknown): value is readonly Fields[] =>
  Array.isArray(value) && value.length > 0 && value.every(isFields);
const isWords = (value: unknown): value is readonly string[] =>
  Array.isArray(value) && value.length > 0 && value.every((one) => typeof one === 'string');
const isEmpty = (value: unknown): boolean => value === NONE || (Array.isArray(value) && value.length === 0);

class Merge {
  readonly changes: Change[] = [];

  constructor(
    private readonly rules: Rules,
    private readonly choices: Choices,
    /** False where nothing is known of what both grew from. */
    private readonly isKin: boolean,
  ) {}

  value(path: readonly string[], base: unknown, ours: unknown, theirs: unknown): unknown {
    const name = path.at(-1) ?? '';
    if (!this.rules.whole.has(name)) {
      const all = [base, ours, theirs];
      // A list that one of both does not have at all is one value: it is there, or it is not.
      const isThere = Array.isArray(ours) && Array.isArray(theirs);
      if (isThere && all.some(isThings) && all.every((one) => isEmpty(one) || isThings(one)))
        return this.things(path, things(base), things(ours), things(theirs));
      if (isThere && all.some(isWords) && all.every((one) => isEmpty(one) || isWords(one)))
        return this.words(path, words(base), words(ours), words(theirs));
      if (isFields(ours) && isFields(theirs) && !this.rules.isOther(ours, theirs))
        if (base === NONE || (isFields(base) && !this.rules.isOther(base, ours)))
          return this.fields(path, base ?? {}, ours, theirs);
    }
    return this.one(path, base, ours, theirs);
  }

  /** A value that is not taken apart. */
  private one(path: readonly string[], base: unknown, ours: unknown, theirs: unknown): unknown {
    const kind = ours === NONE || theirs === NONE ? (base === NONE ? 'added' : 'removed') : 'set';
    const tell = (by: Change['by']): void => void this.changes.push({ path, by, kind, base, ours, theirs });
    const chosen = this.choices.get(placeOf(path));
    if (isSame(ours, theirs)) {
      if (!isSame(base, ours) && (this.isKin || base !== NONE)) tell('both');
      return ours;
    }
    const byOne = base === NONE && !this.isKin ? null : byOneAlone(base, ours, theirs);
    tell(byOne ?? 'conflict');
    return (chosen ?? byOne ?? 'ours') === 'ours' ? ours : theirs;
  }

  private fields(path: readonly string[], base: Fields, ours: Fields, theirs: Fields): Fields {
    const names = [...new Set([...Object.keys(ours), ...Object.keys(theirs), ...Object.keys(base)])];
    return Object.fromEntries(
      names.flatMap((name): [string, unknown][] => {
        const value = this.value([...path, name], base[name], ours[name], theirs[name]);
        return value === NONE ? [] : [[name, value]];
      }),
    );
  }

  /** A set of words: what either put in is in it, what either took out is not. */
  private words(
    path: readonly string[],
    base: readonly string[],
    ours: readonly string[],
    theirs: readonly string[],
  ): readonly string[] {
    if (isSame(ours, theirs) || (isSame(base, ours) && this.isKin) || (isSame(base, theirs) && this.isKin))
      return this.one(path, base, ours, theirs) as readonly string[];
    // Without an origin nobody knows whether one put it in or the other took it out.
    if (!this.isKin) return this.one(path, NONE, ours, theirs) as readonly string[];
    const all = [...new Set([...base, ...[...ours, ...theirs].sort()])];
    const merged = all.filter((one) =>
      base.includes(one) ? ours.includes(one) && theirs.includes(one) : true,
    );
    this.changes.push({ path, by: 'both', kind: 'set', base, ours, theirs });
    return merged;
  }

  private things(
    path: readonly string[],
    base: readonly Fields[],
    ours: readonly Fields[],
    theirs: readonly Fields[],
  ): readonly Fields[] {
    const name = path.at(-1) ?? '';
    const isLog = this.rules.logs.has(name);
    const known = this.rules.known[name] ?? ((thing: Fields) => String(thing['id']));
    const [was, mine, other] = [base, ours, theirs].map((all) => keyed(all, known)) as [Keyed, Keyed, Keyed];
    const order = orderOf(was, mine, other, this.isKin);
    const merged = order.flatMap((key): Fields[] => {
      const at = [...path, key];
      const [before, own, coming] = [was.get(key), mine.get(key), other.get(key)];
      if (own && coming) {
        const settled = this.rules.settled[name];
        if (!settled || isSame(own, coming) || (before && byOneAlone(before, own, coming)))
          return [this.value(at, before, own, coming) as Fields];
        this.changes.push({ path: at, by: 'both', kind: 'set', base: before, ours: own, theirs: coming });
        return [settled(own, coming)];
      }
      const only = own ?? coming;
      // Only one has it: put in by that one, or taken out by the other.
      if (only && isLog && !before) {
        const side: Side = own ? 'ours' : 'theirs';
        this.changes.push({ path: at, by: side, kind: 'added', base: before, ours: own, theirs: coming });
        return (this.choices.get(placeOf(at)) ?? side) === side ? [only] : [];
      }
      const kept = this.one(at, before, own, coming);
      return kept === NONE ? [] : [kept as Fields];
    });
    return withOwnIds(merged);
  }
}

/** Who changed what both grew from, where one alone did. */
const byOneAlone = (base: unknown, ours: unknown, theirs: unknown): Side | null =>
  isSame(base, ours) ? 'theirs' : isSame(base, theirs) ? 'ours' : null;

type Keyed = ReadonlyMap<string, Fields>;

const things = (value: unknown): readonly Fields[] => (value as readonly Fields[] | undefined) ?? [];
const words = (value: unknown): readonly string[] => (value as readonly string[] | undefined) ?? [];

/** Things by what they are known by; the same twice is told apart by its place. */
function keyed(all: readonly Fields[], known: (thing: Fields) => string): Keyed {
  const map = new Map<string, Fields>();
  for (const thing of all) {
    let key = known(thing);
    for (let again = 2; map.has(key); again++) key = `${known(thing)} ${again}`;
    map.set(key, thing);
  }
  return map;
}

/** The order of whoever changed it; of both, what was there in its order, then what came by its time and what it is known by. */
function orderOf(was: Keyed, ours: Keyed, theirs: Keyed, isKin: boolean): readonly string[] {
  const [before, own, coming] = [[...was.keys()], [...ours.keys()], [...theirs.keys()]];
  if (isSame(own, coming)) return own;
  if (isKin && isSame(before, own)) return [...coming, ...own.filter((key) => !theirs.has(key))];
  if (isKin && isSame(before, coming)) return [...own, ...coming.filter((key) => !ours.has(key))];
  const when = (key: string): string => {
    const at = (ours.get(key) ?? theirs.get(key))?.['at'];
    return typeof at === 'string' ? at : '';
  };
  const fresh = [...new Set([...own, ...coming])]
    .filter((key) => !was.has(key))
    .sort((a, b) => (when(a) === when(b) ? (a < b ? -1 : 1) : when(a) < when(b) ? -1 : 1));
  return [...before, ...fresh];
}

/** An id that two things of a list came to have is one of the first of them alone. */
function withOwnIds(things: readonly Fields[]): readonly Fields[] {
  const taken = new Set<unknown>();
  return things.map((thing) => {
    const { id } = thing;
    if (typeof id !== 'string' || !taken.has(id)) {
      taken.add(id);
      return thing;
    }
    const ids = new Set(things.map((one) => one['id']));
    let number = 2;
    const next = () => `${id.slice(0, 34)}-${number}`;
    while (taken.has(next()) || ids.has(next())) number++;
    taken.add(next());
    return { ...thing, id: next() };
  });
}
