import { BRIGHT_V, GLOW_V, LIT_V, readTester } from '@core/power/energize/instruments';
import { deviceKind } from '@core/trade/devices';
import { placeName } from '@core/job/model/called';
import { flowOf, type LoadFlow } from '@core/site/live/flow';
import { clampShows, hotSpots, metalVolts, meterShows, tipShows } from '@core/site/live/instruments';
import type { Scene } from '@core/site/live/scene';
import { isLive, standing, type Setting } from '@core/site/live/standing';
import { BenchWords, saidAmps, saidMeter, saidTip } from '@core/site/live/words';
import { pluggedPart, type PartKey } from '@core/job/model/wiring';
import type { NetworkPart } from '@core/power/network/network';
import { PLUG_INS } from '@core/trade/standards/loads';
import { SHOWS_A, type Flow, type LiveView } from '~/drawing/live';
import { say } from '~/words/energize';

/** A load that draws something, and the way of its current. */
export interface ShownLoad {
  readonly part: PartKey;
  readonly says: string;
  readonly flow: LoadFlow;
}

/** A scene energized: what the drawings show and what the instruments read. */
export interface BenchView {
  readonly live: LiveView;
  readonly words: BenchWords;
  /** What happened last, and what goes on. */
  readonly notes: readonly string[];
  readonly meter: string | null;
  readonly clamp: string | null;
  readonly tip: string | null;
  readonly testers: readonly { readonly key: string; readonly text: string }[];
  readonly heat: readonly string[];
  readonly loads: readonly ShownLoad[];
}

/** What things are called goes with the house, not with what is done in it. */
const wordsOf = (setting: Setting): BenchWords => {
  const known = named.get(setting) ?? new BenchWords(setting);
  named.set(setting, known);
  return known;
};
const named = new WeakMap<Setting, BenchWords>();

/**
 * `only`: the load whose way is shown alone. `closed`: nothing is shown but what stands before the eyes with every box
 * closed: handles, lamps, testers, what tripped.
 */
export function viewBench(
  setting: Setting,
  scene: Scene,
  only: string | null = null,
  closed = false,
): BenchView {
  const { job } = setting;
  const now = standing(setting, scene);
  const { network, state, energized } = now;
  const { point, overloads } = energized;
  const words = wordsOf(setting);
  const parts = new Map<string, NetworkPart>(network.parts.map((part) => [part.key, part]));
  const volts = (key: string): number => {
    const part = parts.get(key);
    const across = part ? Math.abs(point.volts(part.hot) - point.volts(part.neutral)) : 0;
    return Number.isNaN(across) ? 0 : across;
  };
  const nameOf = (key: string): string => {
    const part = parts.get(key);
    if (!part) return '';
    const name = deviceKind(part.device.kind).parts.find(({ id }) => id === part.part.id)?.name ?? '';
    return say('bench.part', { box: placeName(job, part.device.box), name });
  };
  // With the boxes closed nobody sees a current: no way is followed.
  const loads = (closed ? [] : [...state.loads.keys()]).flatMap((key): ShownLoad[] => {
    const flow = flowOf(network, state, point, key as PartKey);
    if (!flow) return [];
    const watts = (flow.amps * volts(key)).toFixed(0);
    return [
      {
        part: flow.part,
        flow,
        says: say('bench.load', { part: nameOf(key), watts, amps: flow.amps.toFixed(2) }),
      },
    ];
  });
  const shown = only === null ? loads : loads.filter(({ part }) => part === only);
  const flow = (wire: string): Flow | null => {
    const to = shown.some((load) => load.flow.to.has(wire));
    const back = shown.some((load) => load.flow.back.has(wire));
    if (closed || (only !== null && !to && !back)) return null;
    const amps = point.wireCurrent(wire);
    if (Math.abs(amps) <= SHOWS_A) return null;
    const way = to ? (back ? 'both' : 'to') : back ? 'back' : 'stray';
    // Out and back, whichever leg: only where two ways meet does the larger one say where it runs.
    const [most] = [...shown]
      .filter((load) => load.flow.to.has(wire) || load.flow.back.has(wire))
      .sort((a, b) => b.flow.amps - a.flow.amps);
    return { way, forward: most?.flow.to.get(wire) ?? most?.flow.back.get(wire) ?? amps > 0 };
  };
  const metal = metalVolts(setting, now);
  const live: LiveView = {
    isLive: (id) => !closed && isLive(now, id),
    flow,
    breaker: (circuit) =>
      scene.openBreakers.includes(circuit)
        ? 'off'
        : energized.state.openBreakers.has(circuit)
          ? 'tripped'
          : 'on',
    metalLive: (box) => !closed && (metal.get(box) ?? 0) >= GLOW_V,
    tripped: (device) => energized.state.tripped.has(device),
    position: (device) => scene.positions[device] ?? 0,
    part: (plug) => {
      const key = pluggedPart(plug);
      const part = parts.get(key);
      if (!part) return undefined;
      const what = scene.plugged[plug];
      return {
        live:
          volts(key) >= GLOW_V && (!closed || !part.part.plug || (what !== undefined && what !== 'tester')),
        light:
          volts(key) > BRIGHT_V ? 'bright' : volts(key) >= LIT_V ? 'lit' : volts(key) > 15 ? 'dim' : 'dark',
        plugged:
          what === undefined
            ? null
            : what === 'tester'
              ? what
              : (PLUG_INS.find(({ id }) => id === what)?.short ?? what),
        lights: what === 'tester' ? readTester(point, part).lights : undefined,
      };
    },
  };
  const { from, to } = scene.meter;
  const read = meterShows(now, scene);
  return {
    live,
    words,
    notes: [
      ...scene.happened.map((one) => words.happened(one, closed)),
      ...(closed ? [] : overloads.map((one) => words.carries(one))),
      ...(closed ? [] : [...metal]).flatMap(([box, own]) =>
        own >= GLOW_V ? [say('bench.metalLive', { box: placeName(job, box), volts: own.toFixed(0) })] : [],
      ),
    ],
    meter: from === null || to === null || read === null ? null : saidMeter(read),
    clamp: scene.clamp === null ? null : saidAmps(clampShows(now, scene.clamp)),
    tip: scene.tip === null ? null : saidTip(tipShows(now, scene.tip)),
    testers: Object.entries(scene.plugged).flatMap(([plug, what]) => {
      const part = parts.get(pluggedPart(plug));
      if (what !== 'tester' || !part) return [];
      const { legend, lights } = readTester(point, part);
      return [
        {
          key: plug,
          text: say('bench.tester', {
            lights: lights.map((lit) => (lit ? '●' : '○')).join('\u00a0'),
            legend,
            boxName: nameOf(part.key),
          }),
        },
      ];
    }),
    heat: hotSpots(setting, now, scene).map((spot) => words.heat(spot)),
    loads,
  };
}
