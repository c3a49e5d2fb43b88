import { wishKind } from '../../trade/devices';
import { energize, type Energized } from '../../power/energize/energize';
import { hasLinePower } from '../../power/energize/ground-fault';
import { GLOW_V } from '../../power/energize/instruments';
import { solve } from '../../power/energize/solve';
import { REST, type State } from '../../power/energize/state';
import { networkOf, stateIn, type House } from '../../power/faults/fault';
import { consumers } from '../../wiring/layout/nets';
import type { Design } from '../../job/model/design';
import { partKey, pluggedPart, type PartKey } from '../../job/model/wiring';
import { withAllOff } from '../../power/network/disturbance';
import type { Network, NetworkProtection } from '../../power/network/network';
import { plugIn } from '../../trade/standards/loads';
import { rewired } from './rewire';
import type { Rewiring, Scene } from './scene';

/** A house on the bench: the job it was planned from, and how it is really wired. */
export interface Setting {
  readonly job: Design;
  readonly house: House;
}

/** The house as it is wired now, what is set, and what that comes to. */
export interface Standing {
  readonly house: House;
  readonly network: Network;
  readonly state: State;
  readonly energized: Energized;
}

/** Solved once a scene: the screen, its instruments and the next act all ask for the same. */
export function standing(setting: Setting, scene: Scene): Standing {
  const before = solved.get(scene);
  if (before?.setting === setting) return before.standing;
  const { job, house } = setting;
  const { now, network } = wiredNow(house, scene);
  const state = stateOf(job, now, scene);
  const standing = { house: now, network, state, energized: energize(network, state) };
  solved.set(scene, { setting, standing });
  return standing;
}
const solved = new WeakMap<Scene, { readonly setting: Setting; readonly standing: Standing }>();

/** True where a tip glows: 50 V to ground and up. */
export function isLive({ network, energized }: Standing, id: string): boolean {
  const at = network.point(id);
  return at !== undefined && Math.abs(energized.point.volts(at)) >= GLOW_V;
}

/** Watts of what is built in, by part: a lamp burns with its own. */
const LAMP_W = 60;
const builtIn = (job: Design): (readonly [PartKey, number])[] =>
  consumers(job).flatMap(({ device, part, want }) =>
    wishKind(device.kind).receptacle ? [] : [[partKey(device.id, part), want.watts ?? LAMP_W] as const],
  );

/** The scene as a state of the simulator. Nobody touches anything in it. */
function stateOf(job: Design, house: House, scene: Scene): State {
  const loads = new Map<string, number>(builtIn(job));
  const testers = new Set<string>();
  for (const [plug, what] of Object.entries(scene.plugged)) {
    const part = pluggedPart(plug);
    if (what === 'tester') testers.add(part);
    else loads.set(part, (loads.get(part) ?? 0) + plugIn(what).watts);
  }
  const { from, to, impedance } = scene.meter;
  return stateIn(house, {
    ...REST,
    openBreakers: new Set([...scene.openBreakers, ...scene.trippedBreakers]),
    positions: new Map(Object.entries(scene.positions)),
    loads,
    testers,
    tripped: new Set(scene.tripped),
    meter: from !== null && to !== null && impedance !== 'ohms' ? { impedance, from, to } : null,
    groundFaultShare: new Set(scene.groundFaultShare),
  });
}

interface WiredNow {
  readonly rewired: Rewiring;
  readonly older: readonly string[];
  readonly now: House;
  readonly network: Network;
}
const last = new WeakMap<House, WiredNow>();

/** The house rewired by hand, built once for as long as nothing of it changes. */
function wiredNow(house: House, scene: Scene): WiredNow {
  const before = last.get(house);
  if (before?.rewired === scene.rewired && before.older === scene.older) return before;
  const by = rewired(house, scene.rewired);
  const asWired: House = {
    ...house,
    wiring: by.wiring,
    disturbances: [...house.disturbances, ...by.disturbances],
  };
  const network = networkOf(asWired);
  const now = withLockedOut(asWired, network, new Set(scene.older));
  const fresh = {
    rewired: scene.rewired,
    older: scene.older,
    now,
    network: now === asWired ? network : networkOf(now),
  };
  last.set(house, fresh);
  return fresh;
}

/**
 * Devices of the current generation that are fed on LOAD: they ship open and do not close without line power, so they
 * join nothing and their face is dead. Of an older one the face is fed from LOAD, whatever its contacts do.
 */
function withLockedOut(house: House, network: Network, older: ReadonlySet<string>): House {
  return network.protecting
    .filter((own) => !older.has(own.device) && [0, 1].some((position) => fedOnLoad(network, own, position)))
    .reduce((so, { device }) => {
      const contacts = network.devices.find(({ wired }) => wired.id === device)?.kind.protection;
      if (!contacts) return so;
      const { line, load } = contacts;
      const screws = [line.hot, load.hot, line.neutral, load.neutral];
      return { ...so, wiring: withAllOff(so.wiring, device, screws) };
    }, house);
}

function fedOnLoad(network: Network, own: NetworkProtection, position: number): boolean {
  const point = solve(network, {
    ...REST,
    positions: new Map(network.devices.map(({ wired }) => [wired.id, position])),
    tripped: new Set([own.device]),
  });
  return !hasLinePower(point, own) && hasLinePower(point, { ...own, line: own.load });
}
