import { SENSES } from '../../trade/devices';
import { energize, TRIP_TIMES } from '../../power/energize/energize';
import { groundFaultLongestS, hasLinePower } from '../../power/energize/ground-fault';
import { solve, type OperatingPoint } from '../../power/energize/solve';
import { GLOW_V } from '../../power/energize/instruments';
import { isPlug } from '../../job/model/called';
import { inBox } from '../../job/model/in-box';
import { PANEL } from '../../job/model/design';
import { PERSON_WIRE } from '../../job/model/wiring';
import type { Network } from '../../power/network/network';
import { longestS } from '../../trade/standards/breaker-band';
import type { PlugInId } from '../../trade/standards/loads';
import { strike } from './arc';
import { movables } from './rewire';
import { EMPTY_SCENE, type Happening, type Opener, type Rewiring, type Scene } from './scene';
import { standing, type Setting, type Standing } from './standing';

/** One thing that is done on the bench. Points, wires, parts and devices by their keys. */
export type Act =
  | { readonly do: 'breaker'; readonly circuit: string }
  | { readonly do: 'breaker test'; readonly circuit: string }
  | { readonly do: 'handle'; readonly device: string }
  | { readonly do: 'plug'; readonly part: string; readonly what: PlugInId | 'tester' | null }
  | { readonly do: 'test' | 'reset'; readonly device: string }
  | { readonly do: 'probe'; readonly point: string; readonly impedance: Scene['meter']['impedance'] }
  | { readonly do: 'clamp'; readonly round: string }
  | { readonly do: 'tip'; readonly at: string }
  | { readonly do: 'touch'; readonly point: string }
  | { readonly do: 'strike an arc'; readonly wire: string }
  | { readonly do: 'generation'; readonly device: string }
  | { readonly do: 'ground-fault share'; readonly at: string }
  /** `end`: the one that is in the hand, where one is. */
  | { readonly do: 'rewire'; readonly rewired: Rewiring; readonly end?: string }
  | { readonly do: 'cover'; readonly boxes: readonly string[]; readonly on: boolean }
  | { readonly do: 'wait'; readonly seconds: number }
  | { readonly do: 'clear' };

/** How fast a breaker that is not overloaded cools, share of its longest time a second. A plausible figure. */
const COOLS = 1 / 600;

/** The bench after something was done, with what opened by itself. Total: what is not there is left alone. */
export function operate(setting: Setting, scene: Scene, act: Act): Scene {
  switch (act.do) {
    case 'breaker':
      return settled(setting, withBreaker(setting, scene, act.circuit));
    case 'breaker test': {
      const isOpen = [...scene.openBreakers, ...scene.trippedBreakers].includes(act.circuit);
      if (isOpen) return { ...scene, happened: [] };
      const tested: Happening = { what: 'tested', at: act.circuit, by: 'breaker' };
      const opened = tiedWith(setting, act.circuit);
      return settled(setting, { ...scene, trippedBreakers: [...scene.trippedBreakers, ...opened] }, [tested]);
    }
    case 'handle': {
      const at = scene.positions[act.device] === 1 ? 0 : 1;
      return settled(setting, { ...scene, positions: { ...scene.positions, [act.device]: at } });
    }
    case 'plug': {
      const { [act.part]: there, ...rest } = scene.plugged;
      return settled(setting, {
        ...scene,
        plugged: act.what === null || there === act.what ? rest : { ...rest, [act.part]: act.what },
      });
    }
    case 'test':
      return pressTest(setting, scene, act.device);
    case 'reset':
      return pressReset(setting, scene, act.device);
    case 'probe': {
      const { from, to } = scene.meter;
      const { impedance, point } = act;
      const first = from === null || to !== null || scene.meter.impedance !== impedance;
      return settled(setting, {
        ...scene,
        meter: first ? { impedance, from: point, to: null } : { impedance, from, to: point },
      });
    }
    case 'clamp':
      return { ...scene, clamp: scene.clamp === act.round ? null : act.round };
    case 'tip':
      return { ...scene, tip: act.at };
    case 'touch': {
      const { from, to } = scene.touch;
      return from === null || to !== null
        ? { ...scene, touch: { from: act.point, to: null }, happened: [] }
        : touched(setting, { ...scene, touch: { from, to: act.point } }, from, act.point);
    }
    case 'strike an arc': {
      const now = standing(setting, scene);
      const arc = strike(now, act.wire);
      return arc.opened
        ? settled(setting, tripped(setting, scene, arc.opened), [arc])
        : { ...scene, happened: [arc] };
    }
    case 'generation':
      return settled(setting, { ...scene, older: toggled(scene.older, act.device) });
    case 'ground-fault share':
      return settled(setting, { ...scene, groundFaultShare: toggled(scene.groundFaultShare, act.at) });
    case 'rewire':
      return settled(setting, { ...scene, rewired: act.rewired }, worked(setting, scene, act.end));
    case 'cover':
      return act.on ? closed(setting, scene, act.boxes) : opened(setting, scene, act.boxes);
    case 'wait':
      return passed(setting, scene, act.seconds);
    case 'clear':
      return {
        ...EMPTY_SCENE,
        rewired: scene.rewired,
        older: scene.older,
        groundFaultShare: scene.groundFaultShare,
        covered: scene.covered,
      };
  }
}

const toggled = (list: readonly string[], one: string): string[] =>
  list.includes(one) ? list.filter((other) => other !== one) : [...list, one];

/** A breaker with whatever its handle is tied to. */
function tiedWith({ job }: Setting, circuit: string): string[] {
  const tied = job.circuits.find(({ id }) => id === circuit)?.tiedWith ?? null;
  return [circuit, ...(tied === null ? [] : [tied])];
}

/** Off, on; one that tripped is put off and on again. */
function withBreaker(setting: Setting, scene: Scene, circuit: string): Scene {
  const together = tiedWith(setting, circuit);
  const without = (list: readonly string[]) => list.filter((id) => !together.includes(id));
  const isOpen = [...scene.openBreakers, ...scene.trippedBreakers].some((id) => together.includes(id));
  return {
    ...scene,
    trippedBreakers: without(scene.trippedBreakers),
    openBreakers: isOpen ? without(scene.openBreakers) : [...scene.openBreakers, ...together],
  };
}

const tripped = (setting: Setting, scene: Scene, { at, by }: Opener): Scene =>
  by === 'device'
    ? { ...scene, tripped: [...new Set([...scene.tripped, at])] }
    : { ...scene, trippedBreakers: [...new Set([...scene.trippedBreakers, ...tiedWith(setting, at)])] };

/** A hand on an end that is live, before it moves, or among what is always live in a panel. */
function worked(setting: Setting, scene: Scene, end: string | undefined): Happening[] {
  if (end === undefined) return [];
  const { house, network, energized } = standing(setting, scene);
  const own = movables(house.wiring).get(end);
  const wire = network.wires.find(({ id }) => id === own?.wire);
  const points = wire ? [wire.a, wire.b] : [network.point(end) ?? -1];
  const live = points.some((at) => Math.abs(energized.point.volts(at)) >= GLOW_V);
  const inPanel = own?.box === PANEL && !isPlug(setting.job);
  return [
    ...(live ? [{ what: 'worked live' as const, end }] : []),
    ...(inPanel ? [{ what: 'worked in panel' as const, end }] : []),
  ];
}

/** Covers put on: what was measured with comes away first. An end that hangs bare behind one is said. */
function closed(setting: Setting, scene: Scene, boxes: readonly string[]): Scene {
  const { wiring } = standing(setting, scene).house;
  const { meter, clamp, tip, touch } = EMPTY_SCENE;
  return {
    ...scene,
    meter: { ...meter, impedance: scene.meter.impedance },
    clamp,
    tip,
    touch,
    covered: [...new Set([...scene.covered, ...boxes])],
    happened: boxes
      .filter((box) => inBox(wiring, box).caps.some(({ bare }) => bare === true))
      .map((box) => ({ what: 'covered bare' as const, box })),
  };
}

/** Covers taken off: what is live behind one is said, and of a panel what always is. */
function opened(setting: Setting, scene: Scene, boxes: readonly string[]): Scene {
  const { house, network, energized } = standing(setting, scene);
  const hot = (id: string): boolean => {
    const at = network.point(id);
    return at !== undefined && Math.abs(energized.point.volts(at)) >= GLOW_V;
  };
  const live = (box: string): boolean => {
    const { splices, tails, terminations, caps } = inBox(house.wiring, box);
    return [
      ...splices.map(({ id }) => id),
      ...tails.map(({ to }) => to),
      ...terminations.map(({ terminal }) => terminal),
      ...caps.map(({ end }) => end),
    ].some(hot);
  };
  return {
    ...scene,
    covered: scene.covered.filter((box) => !boxes.includes(box)),
    happened: boxes
      .filter((box) => scene.covered.includes(box) && ((box === PANEL && !isPlug(setting.job)) || live(box)))
      .map((box) => ({ what: 'opened live' as const, box })),
  };
}

/** What opens by itself in a scene stays open; with what happened before it. */
function settled(setting: Setting, scene: Scene, before: readonly Happening[] = []): Scene {
  const { energized, state } = standing(setting, scene);
  return { ...withOpened(scene, state, energized), happened: [...before, ...happenings(energized)] };
}

function withOpened(scene: Scene, before: Standing['state'], { state }: Standing['energized']): Scene {
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

function protectingOf(network: Network, device: string) {
  return network.protecting.find((one) => one.device === device);
}

/** TEST opens a device that has line power; without it nothing moves. */
function pressTest(setting: Setting, scene: Scene, device: string): Scene {
  const { network, state, energized } = standing(setting, scene);
  const own = protectingOf(network, device);
  if (!own || state.tripped.has(device)) return { ...scene, happened: [] };
  if (!hasLinePower(energized.point, own)) return { ...scene, happened: [{ what: 'no test', at: device }] };
  return settled(setting, { ...scene, tripped: [...scene.tripped, device] }, [
    { what: 'tested', at: device, by: 'device' },
  ]);
}

/** RESET closes a device of the current generation only with line power; an older one latches by hand. */
function pressReset(setting: Setting, scene: Scene, device: string): Scene {
  const { network, state, energized } = standing(setting, scene);
  const own = protectingOf(network, device);
  if (!own) return { ...scene, happened: [] };
  const older = scene.older.includes(device);
  if (!older && !hasLinePower(energized.point, own)) {
    return { ...scene, happened: [{ what: 'no reset', at: device }] };
  }
  if (!state.tripped.has(device)) return { ...scene, happened: [] };
  return settled(setting, { ...scene, tripped: scene.tripped.filter((other) => other !== device) });
}

/** A person with a hand on two points: the current before anything opens, then what opens. */
function touched(setting: Setting, scene: Scene, from: string, to: string): Scene {
  const { network, state } = standing(setting, scene);
  const held = { ...state, person: { from, to } };
  const amps = Math.abs(solve(network, held).wireCurrent(PERSON_WIRE));
  const energized = energize(network, held);
  const [first] = energized.groundFaults;
  const happened: Happening = {
    what: 'touched',
    amps,
    opened: first
      ? {
          at: first.at,
          by: first.by,
          withinS: isForPeople(setting, network, first) ? finite(groundFaultLongestS(first.amps)) : null,
        }
      : null,
  };
  return { ...withOpened(scene, state, energized), happened: [happened] };
}

const finite = (seconds: number): number | null => (Number.isFinite(seconds) ? seconds : null);

/** True for a Class A element; the ground-fault share of an AFCI guards wiring, and no time is promised. */
function isForPeople({ job }: Setting, network: Network, { at, by }: Pick<Opener, 'at' | 'by'>): boolean {
  const kind =
    by === 'device' ? protectingOf(network, at)?.kind : job.circuits.find(({ id }) => id === at)?.protection;
  return SENSES[kind ?? 'none'].people;
}

/** Lets time pass: an overloaded breaker opens at the latest when its band says; others cool. */
function passed(setting: Setting, scene: Scene, seconds: number): Scene {
  let now: Scene = { ...scene, happened: [] };
  let left = seconds;
  for (;;) {
    const { network, energized } = standing(setting, now);
    const rates = heating(network, energized.point);
    const { heat } = now.clock;
    const [first, within] = soonest(rates, heat);
    const opens = first !== null && within <= left;
    const step = opens ? within : left;
    const warmed = Object.fromEntries(
      [...rates].flatMap(([id, rate]) => {
        const own = Math.max(0, (heat[id] ?? 0) + rate * step);
        return own > 0 ? [[id, own] as const] : [];
      }),
    );
    now = { ...now, clock: { seconds: now.clock.seconds + step, heat: warmed } };
    left -= step;
    if (!opens) return now;
    const trip: Happening = {
      what: 'overload',
      circuit: first,
      amps: energized.point.breakerCurrent(first),
      afterS: now.clock.seconds,
    };
    const rest = Object.fromEntries(Object.entries(warmed).filter(([id]) => id !== first));
    const before = now.happened;
    now = settled(
      setting,
      tripped(
        setting,
        { ...now, clock: { ...now.clock, heat: rest } },
        { at: first, by: 'breaker', withinS: null },
      ),
      [...before, trip],
    );
  }
}

/** By circuit, the share of its breaker's longest time that passes in a second. */
function heating(network: Network, point: OperatingPoint): Map<string, number> {
  return new Map(
    network.circuits.map(({ id, breakerA }) => {
      const times = point.breakerCurrent(id) / breakerA;
      const longest = times < TRIP_TIMES ? longestS(times) : Number.POSITIVE_INFINITY;
      return [id, Number.isFinite(longest) ? 1 / longest : -COOLS];
    }),
  );
}

function soonest(
  rates: ReadonlyMap<string, number>,
  heat: Readonly<Record<string, number>>,
): readonly [circuit: string | null, seconds: number] {
  let best: readonly [string | null, number] = [null, Number.POSITIVE_INFINITY];
  for (const [id, rate] of rates) {
    const within = rate > 0 ? Math.max(0, 1 - (heat[id] ?? 0)) / rate : Number.POSITIVE_INFINITY;
    if (within < best[1]) best = [id, within];
  }
  return best;
}
