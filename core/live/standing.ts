import { wishKind } from '../devices';
import { energize, type Energized } from '../energize/energize';
import { hasLinePower } from '../energize/ground-fault';
import { solve } from '../energize/solve';
import { REST, type State } from '../energize/state';
import type { House } from '../faults/fault';
import type { Design } from '../model/design';
import { partKey, pluggedPart, terminalId, type PartKey } from '../model/wiring';
import { withRelanded } from '../network/disturbance';
import { buildNetwork, type Network, type NetworkProtection } from '../network/network';
import { plugIn } from '../standards/loads';
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

export function standing({ job, house }: Setting, scene: Scene): Standing {
  const { now, network } = wiredNow(house, scene);
  const state = stateOf(job, now, scene);
  return { house: now, network, state, energized: energize(network, state) };
}

/** Watts of what is built in, by part: a lamp burns with its own. */
const LAMP_W = 60;
const known = new WeakMap<Design, ReadonlyMap<PartKey, number>>();
function builtIn(job: Design): ReadonlyMap<PartKey, number> {
  const found =
    known.get(job) ??
    new Map(
      job.devices
        .filter(({ kind }) => !wishKind(kind).receptacle)
        .flatMap(({ id, wants }) =>
          Object.entries(wants).flatMap(([part, want]) =>
            want.does === 'power' ? [[partKey(id, part), want.watts ?? LAMP_W] as const] : [],
          ),
        ),
    );
  known.set(job, found);
  return found;
}

/** The scene as a state of the simulator. Nobody touches anything in it. */
export function stateOf(job: Design, house: House, scene: Scene): State {
  const loads = new Map<string, number>(builtIn(job));
  const testers = new Set<string>();
  for (const [plug, what] of Object.entries(scene.plugged)) {
    const part = pluggedPart(plug);
    if (what === 'tester') testers.add(part);
    else loads.set(part, (loads.get(part) ?? 0) + plugIn(what).watts);
  }
  const { from, to, impedance } = scene.meter;
  return {
    ...REST,
    openBreakers: new Set([...scene.openBreakers, ...scene.trippedBreakers, ...house.openBreakers]),
    positions: new Map(Object.entries(scene.positions)),
    loads,
    testers,
    tripped: new Set([...scene.tripped, ...house.tripped]),
    meter: from !== null && to !== null && impedance !== 'ohms' ? { impedance, from, to } : null,
    groundFaultShare: new Set(scene.groundFaultShare),
  };
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
  const by = rewired(house.wiring, scene.rewired);
  const asWired: House = {
    ...house,
    wiring: by.wiring,
    disturbances: [...house.disturbances, ...by.disturbances],
  };
  const now = withLockedOut(asWired, new Set(scene.older));
  const fresh = {
    rewired: scene.rewired,
    older: scene.older,
    now,
    network: buildNetwork(now.wiring, now.circuits, now.disturbances),
  };
  last.set(house, fresh);
  return fresh;
}

/**
 * Devices of the current generation that are fed on LOAD: they ship open and do not close without line power, so they
 * join nothing and their face is dead. Of an older one the face is fed from LOAD, whatever its contacts do.
 */
function withLockedOut(house: House, older: ReadonlySet<string>): House {
  const network = buildNetwork(house.wiring, house.circuits, house.disturbances);
  const suspects = network.protecting.filter(({ device }) => !older.has(device));
  if (suspects.length === 0) return house;
  const locked = suspects.filter((own) => [0, 1].some((position) => fedOnLoad(network, own, position)));
  return locked.reduce((so, { device }) => {
    const kind = network.devices.find(({ wired }) => wired.id === device)?.kind.protection;
    if (!kind) return so;
    const screws = [kind.line.hot, kind.load.hot, kind.line.neutral, kind.load.neutral];
    return {
      ...so,
      wiring: screws.reduce(
        (wiring, screw) => withRelanded(wiring, terminalId(device, screw), terminalId(device, `${screw}!`)),
        so.wiring,
      ),
    };
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
