import type { State } from '../../power/energize/state';
import type { Scene } from '../../site/live/scene';
import { standing, type Setting } from '../../site/live/standing';
import { pluggedPart, type PartKey } from '../../job/model/wiring';
import type { Probe } from '../../site/script/field-test';

/** Something that the player read on the bench: what was put where, and the state it was in. */
export interface Taken {
  readonly key: string;
  readonly probes: readonly Probe[];
  readonly state: State;
  /** True where something was live while it was done. */
  readonly live: boolean;
}

/**
 * All that can be read off the bench as it stands: each instrument that is in place, the lamps, what trips. What is read
 * again in the same state is the same reading.
 */
export function takenIn(setting: Setting, scene: Scene): Taken[] {
  const { network, state, energized, house } = standing(setting, scene);
  const live = network.circuits.some(({ id }) => !energized.state.openBreakers.has(id));
  const where = JSON.stringify([
    [...state.positions].filter(([, at]) => at !== 0).sort(),
    [...energized.state.openBreakers].sort(),
    [...energized.state.tripped].sort(),
    Object.entries(scene.plugged)
      .filter(([, what]) => what !== 'tester')
      .sort(),
  ]);
  const bare: State = { ...state, meter: null, testers: new Set() };
  const found: Taken[] = [];
  const add = (what: string, probes: readonly Probe[], own = live) =>
    found.push({ key: `${what} ${where}`, probes, state: bare, live: own });
  const { from, to, impedance } = scene.meter;
  if (from !== null && to !== null)
    add(
      `${impedance} ${from} ${to}`,
      impedance === 'ohms' ? [{ read: 'joined', from, to, lifted: false }] : [{ read: 'volts', from, to }],
      impedance !== 'ohms' || live,
    );
  if (scene.tip !== null) add(`tip ${scene.tip}`, [{ read: 'glow', at: scene.tip }]);
  if (scene.clamp !== null)
    add(
      `clamp ${scene.clamp}`,
      house.wiring.cables.some(({ id }) => id === scene.clamp)
        ? [{ read: 'net amps', cable: scene.clamp }]
        : [],
    );
  const lamps: PartKey[] = network.parts.filter(({ part }) => !part.plug).map(({ key }) => key);
  for (const [plug, what] of Object.entries(scene.plugged)) {
    const part = pluggedPart(plug) as PartKey;
    if (what === 'tester') add(`tester ${part}`, [{ read: 'lights', part }]);
    else if (!lamps.includes(part)) lamps.push(part);
  }
  // To look at what is lit and what trips is one look, and needs no instrument; dead, there is nothing to see.
  if (live) add('look', [{ read: 'trips' }, ...lamps.map((part): Probe => ({ read: 'lit', part }))]);
  for (const one of scene.happened)
    if ((one.what === 'tested' && one.by === 'device') || one.what === 'no test')
      add(`button ${one.at}`, [{ read: 'opens', device: one.at }]);
  return found;
}
