import { green, still, terminal, type DeviceKind, type ProtectionKind, type WiredKind } from './kind';
import { say } from '../../base/words/devices';

const line = { hot: 'line-hot', neutral: 'line-neutral' } as const;
const load = { hot: 'load-hot', neutral: 'load-neutral' } as const;

const clamp = (...place: Parameters<typeof terminal>) => ({ ...terminal(...place), clamp: true });

export const lineAndLoad = [
  clamp('line-hot', say('protecting.lineBrassScrew'), 'brass', 'right', 0.72),
  clamp('load-hot', say('protecting.loadBrassScrew'), 'brass', 'right', 0.28),
  clamp('line-neutral', say('protecting.lineSilverScrew'), 'silver', 'left', 0.72),
  clamp('load-neutral', say('protecting.loadSilverScrew'), 'silver', 'left', 0.28),
] as const;

/** The face behind the contacts: it dies with what hangs on LOAD. */
export const protectedOutlet = {
  does: 'power',
  id: 'outlet',
  name: say('single.outlet'),
  hot: line.hot,
  neutral: line.neutral,
  ground: 'ground',
  plug: true,
  face: load,
} as const;

export const contacts = (kind: ProtectionKind) => ({ kind, line, load });

/** A receptacle that protects itself and what hangs on its LOAD terminals. Opens both poles. */
export const protecting = (id: WiredKind, name: string, kind: ProtectionKind): DeviceKind => ({
  ...still,
  id,
  name,
  serves: 'outlet',
  receptacle: true,
  yoke: true,
  terminals: [...lineAndLoad, green],
  parts: [protectedOutlet],
  protection: contacts(kind),
});
