import { deviceKind, wishKind } from '../../trade/devices';
import { consumers } from '../../wiring/layout/nets';
import { energize } from '../../power/energize/energize';
import { REST, type State } from '../../power/energize/state';
import { networkOf, soundHouse, type Wired } from '../../power/faults';
import { partKey, type PartKey } from '../../job/model/wiring';
import type { Network } from '../../power/network/network';
import { switchStates } from '../../power/proof/states';

/** What is done before anything is read: handles, loads, breakers, buttons. */
export interface Stimulus {
  readonly key: string;
  readonly is: 'handles' | 'load' | 'breaker off' | 'buttons';
  readonly state: State;
  /** The breaker that is off, where one is. */
  readonly circuit?: string;
  /** Parts that carry a known load, and how much, W. */
  readonly loads: ReadonlyMap<PartKey, number>;
}

/** A known load: a hair dryer or heater, W; the other circuits get one that differs, so that neither hides the other. */
const KNOWN_W = [1440, 600] as const;

/** Combinations of one group's handles beyond which a sample stands for all. */
const MOST_COMBINATIONS = 16;

/** Switch places by control group, of handles that move metal. */
function handlesByGroup({ job, wiring }: Wired): ReadonlyMap<string, readonly string[]> {
  const wiredKinds = new Map(wiring.devices.map(({ id, kind }) => [id, deviceKind(kind)]));
  const groups = new Map<string, string[]>();
  for (const { id, wants } of job.devices) {
    if ((wiredKinds.get(id)?.positions.length ?? 0) === 0) continue;
    for (const want of Object.values(wants))
      if (want.does === 'control') groups.set(want.group, [...(groups.get(want.group) ?? []), id]);
  }
  return groups;
}

/** A lamp whose watts are not said. */
const LAMP_W = 60;

/** Lamps are in unless somebody takes them out: what is built in draws its load wherever it has power. */
function lampsOf({ job }: Wired, network: Network): ReadonlyMap<PartKey, number> {
  const said = new Map(
    consumers(job).map(({ device, part, want }) => [partKey(device.id, part), want.watts ?? 0] as const),
  );
  return new Map(
    network.parts.filter(({ part }) => !part.plug).map(({ key }) => [key, said.get(key) || LAMP_W] as const),
  );
}

/**
 * The states that a house is tried in. Every group is worked at once, since no group bears on another in a sound
 * house: the k-th state has each group in the k-th of its combinations.
 */
export function stimuliOf(wired: Wired): readonly Stimulus[] {
  const { job } = wired;
  const groups = [...handlesByGroup(wired).values()].map((devices) => ({
    states: switchStates(devices).states.slice(0, MOST_COMBINATIONS),
  }));
  const most = Math.max(1, ...groups.map(({ states }) => states.length));
  const network = networkOf(soundHouse(wired));
  const lamps = lampsOf(wired, network);
  const REST_LIT: State = { ...REST, loads: lamps };
  const handles = Array.from({ length: most }, (_, index): Stimulus => ({
    key: `handles ${index}`,
    is: 'handles',
    loads: new Map(),
    state: {
      ...REST_LIT,
      positions: new Map(groups.flatMap(({ states }) => [...(states[index % states.length] ?? [])])),
    },
  }));
  const sound = handles.map(({ state }) => energize(network, state).point);
  const rank = new Map(job.circuits.map(({ id }, index) => [id, index]));
  /** By circuit, the parts to load and the states in which each is live. */
  const loaded = new Map<string, { key: PartKey; positions: State['positions'] }[]>();
  for (const { device, part, want } of consumers(job)) {
    if (wishKind(device.kind).radio) continue;
    const key = partKey(device.id, part);
    const own = network.parts.find((one) => one.key === key);
    // A load is plugged in: nobody wires a heater to a luminaire.
    if (!own?.part.plug) continue;
    const lives = handles.filter((_, index) => {
      const point = sound[index];
      return point !== undefined && Math.abs(point.volts(own.hot) - point.volts(own.neutral)) > 60;
    });
    const tried = want.control === null ? lives.slice(0, 1) : lives;
    const list = loaded.get(want.circuit) ?? [];
    for (const { state } of tried) list.push({ key, positions: state.positions });
    loaded.set(want.circuit, list);
  }
  const rounds = Math.max(0, ...[...loaded.values()].map((list) => list.length));
  const loads = Array.from({ length: rounds }, (_, index): Stimulus[] => {
    // Parts of several circuits share a round where their handles stand alike.
    const byHandles = new Map<State['positions'], Map<PartKey, number>>();
    for (const [circuit, list] of loaded) {
      const one = list[index];
      if (!one) continue;
      const watts = KNOWN_W[(rank.get(circuit) ?? 0) % 2] ?? KNOWN_W[0];
      byHandles.set(
        one.positions,
        (byHandles.get(one.positions) ?? new Map<PartKey, number>()).set(one.key, watts),
      );
    }
    return [...byHandles].map(([positions, own], at) => ({
      key: `load ${index} ${at}`,
      is: 'load',
      loads: own,
      state: { ...REST, positions, loads: new Map([...lamps, ...own]) },
    }));
  }).flat();
  const used = new Set(consumers(job).map(({ want }) => want.circuit));
  const off = job.circuits
    .filter(({ id }) => used.has(id))
    .map(({ id, tiedWith }): Stimulus => ({
      key: `off ${id}`,
      is: 'breaker off',
      circuit: id,
      loads: new Map(),
      state: { ...REST_LIT, openBreakers: new Set([id, ...(tiedWith === null ? [] : [tiedWith])]) },
    }));
  return [
    ...handles,
    ...off,
    ...handles
      .filter(() => network.protecting.length > 0)
      .map(({ state }, index): Stimulus => ({
        key: `buttons ${index}`,
        is: 'buttons',
        loads: new Map(),
        state: { ...state, tripped: new Set(network.protecting.map(({ device }) => device)) },
      })),
    ...loads,
  ];
}
