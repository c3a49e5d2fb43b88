import { deviceKind, powerParts } from '../trade/devices';
import type { Wired } from '../power/faults';
import { groupBy } from '../base/group-by';
import { partKey, type PartKey } from '../job/model/wiring';

/** What somebody sets who reads what is to be done before a test. */
export interface SetUp {
  readonly positions: ReadonlyMap<string, number>;
  /** Breakers that are off, by circuit. */
  readonly off: readonly string[];
  readonly lifted: boolean;
  readonly pressed: boolean;
  readonly plugged: ReadonlyMap<PartKey, number>;
}

/**
 * Reads the words of a test as a hand at the wall does: a handle by its box where it is the only one there, by its kind,
 * by its kind and gang; an outlet by its box and half. Throws where a name fits nothing, or more than one thing.
 */
export function readState({ job, wiring }: Wired, words: string): SetUp {
  const boxName = (id: string) => job.boxes.find((box) => box.id === id)!.name;
  const handles = wiring.devices.filter(({ kind }) => deviceKind(kind).positions.length > 0);
  const byName = groupBy(handles, ({ box, gang, kind }) => {
    const { name } = deviceKind(kind);
    return [boxName(box), `${name} at ${boxName(box)}`, `${name} (gang ${gang + 1}) at ${boxName(box)}`];
  });
  /** A list with commas, whose names may hold some. */
  const list = (text: string): string[] => {
    if (text === '') return [];
    for (const [name, own] of byName) {
      if (own.length !== 1 || (text !== name && !text.startsWith(`${name}, `))) continue;
      try {
        return [own[0]!.id, ...list(text.slice(name.length + 2))];
      } catch {
        // Another name may fit.
      }
    }
    throw new Error(`No handle, or more than one: "${text}"`);
  };
  const all = (at: number) => new Map(handles.map(({ id }) => [id, at]));
  const positions = (): ReadonlyMap<string, number> => {
    if (words.includes('All switches off, 3-ways and 4-ways down.')) return all(0);
    if (words.includes('All switches on, 3-ways and 4-ways up.')) return all(1);
    const some = /Up or on: (.*); all others down or off\./.exec(words);
    if (some) return new Map([...all(0), ...list(some[1]!).map((id) => [id, 1] as const)]);
    if (handles.length > 0) throw new Error(`Nothing is said of the handles: "${words}"`);
    return new Map();
  };
  const parts = wiring.devices.flatMap((device) =>
    powerParts(deviceKind(device.kind)).map((part) => ({ device, part })),
  );
  const outlets = groupBy(parts, ({ device: { kind, box, gang }, part }) => {
    const plain = `${boxName(box)}, ${part.name}`;
    const whole = `${plain} of the ${deviceKind(kind).name}`;
    return [plain, whole, `${whole} (gang ${gang + 1})`];
  });
  const plugged = [...words.matchAll(/(\d+) W plugged in at (.+?)\.(?= |$)/g)].map(([, watts, name]) => {
    const own = outlets.get(name!) ?? [];
    if (own.length !== 1) throw new Error(`No outlet, or more than one: "${name}"`);
    const { device, part } = own[0]!;
    return [partKey(device.id, part.id), Number(watts)] as const;
  });
  const one = /Breaker (.+?) off, the others on\./.exec(words)?.[1];
  const tied = /Breakers (.+?) and (.+?), tied, off, the others on\./.exec(words)?.slice(1);
  // A plug that is pulled takes hot, neutral and ground off together.
  const off = /Breakers off, proved dead|Plug pulled/.test(words)
    ? job.circuits.map(({ number }) => number)
    : (tied ?? (one === undefined ? [] : [one]));
  return {
    positions: positions(),
    off: job.circuits.flatMap(({ id, number }) => (off.includes(number) ? [id] : [])),
    lifted: /the neutrals lifted from their bar|Plug pulled\./.test(words),
    pressed: words.includes('TEST pressed on every GFCI and AFCI device.'),
    plugged: new Map(plugged),
  };
}
