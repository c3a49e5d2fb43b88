import type { Network } from '../../power/network/network';
import type { Scene, Opener, Happening } from './scene';
import { type Setting, standing, type Standing } from './standing';

/** A breaker with whatever its handle is tied to. */
export function tiedWith({ job }: Setting, circuit: string): string[] {
  const tied = job.circuits.find(({ id }) => id === circuit)?.tiedWith ?? null;
  return [circuit, ...(tied === null ? [] : [tied])];
}

export const tripped = (setting: Setting, scene: Scene, { at, by }: Opener): Scene =>
  by === 'device'
    ? { ...scene, tripped: [...new Set([...scene.tripped, at])] }
    : { ...scene, trippedBreakers: [...new Set([...scene.trippedBreakers, ...tiedWith(setting, at)])] };

/** What opens by itself in a scene stays open; with what happened before it. */
export function settled(setting: Setting, scene: Scene, before: readonly Happening[] = []): Scene {
  const { energized, state } = standing(setting, scene);
  return { ...withOpened(scene, state, energized), happened: [...before, ...happenings(energized)] };
}

export function withOpened(scene: Scene, before: Standing['state'], { state }: Standing['energized']): Scene {
  const fresh = (now: ReadonlySet<string>, then: ReadonlySet<string>) =>
    [...now].filter((id) => !then.has(id));
  return {
    ...scene,
    trippedBreakers: [...scene.trippedBreakers, ...fresh(state.openBreakers, before.openBreakers)],
    tripped: [...scene.tripped, ...fresh(state.tripped, before.tripped)],
  };
}

const happenings = ({ trips, groundFaults }: Standing['energized']): Happening[] => [
  ...trips.map((one) => ({ what: 'short' as const, ...one })),
  ...groundFaults.map((one) => ({ what: 'ground fault' as const, ...one })),
];

export function protectingOf(network: Network, device: string) {
  return network.protecting.find((one) => one.device === device);
}
