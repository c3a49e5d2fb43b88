import { SENSES } from '../../trade/devices';
import { energize } from '../../power/energize/energize';
import { groundFaultLongestS, hasLinePower } from '../../power/energize/ground-fault';
import { solve } from '../../power/energize/solve';
import { PERSON_WIRE } from '../../job/model/wiring';
import type { Network } from '../../power/network/network';
import type { PlugInId } from '../../trade/standards/loads';
import { strike } from './arc';
import { EMPTY_SCENE, type Happening, type Opener, type Rewiring, type Scene } from './scene';
import { standing, type Setting } from './standing';
import { settled, tiedWith, tripped, protectingOf, withOpened } from './settle';
import { passed } from './pass-time';
import { worked, closed, opened } from './by-hand';

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
