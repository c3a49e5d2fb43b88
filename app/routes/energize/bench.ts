import { energize, type Energized } from '@core/energize/energize';
import { GLOW_V, readMeter, readNonContact, readTester } from '@core/energize/instruments';
import { wishKind } from '@core/devices';
import type { Design } from '@core/model/design';
import type { Network, NetworkPart } from '@core/network/network';
import { partKey } from '@core/model/wiring';
import { PLUG_INS } from '@core/standards/loads';
import type { LiveView } from '~/drawing/live';
import { stateOf, type Scene } from '~/storage/scene';
import { say } from '~/words/energize';

/** A scene energized: what the drawings show and what the instruments read. */
export interface Bench {
  readonly live: LiveView;
  readonly energized: Energized;
  readonly meter: string | null;
  /** What the plug-in testers say, by place. */
  readonly testers: readonly { readonly key: string; readonly text: string }[];
  readonly notes: readonly string[];
  /** What a non-contact tester does at a point. */
  readonly sniff: (point: string) => string;
  readonly volts: (key: string) => number;
}

/** Lamps that are not plugged in burn with their own watts. */
function builtIn(job: Design): Map<string, number> {
  return new Map(
    job.devices
      .filter(({ kind }) => !wishKind(kind).receptacle)
      .flatMap(({ id, wants }) =>
        Object.entries(wants).flatMap(([part, want]) =>
          want.does === 'power' ? [[partKey(id, part), want.watts ?? 60] as const] : [],
        ),
      ),
  );
}

export function runBench(job: Design, network: Network, scene: Scene): Bench {
  const state = stateOf(scene, builtIn(job));
  const energized = energize(network, state);
  const { point, trips, groundFaults, overloads } = energized;
  const number = (circuit: string) => job.circuits.find(({ id }) => id === circuit)?.number ?? circuit;
  const parts = new Map<string, NetworkPart>(network.parts.map((part) => [part.key, part]));
  const volts = (key: string): number => {
    const part = parts.get(key);
    const across = part ? Math.abs(point.volts(part.hot) - point.volts(part.neutral)) : 0;
    return Number.isNaN(across) ? 0 : across;
  };
  const plugName = (what: string | undefined): string | null =>
    what === undefined
      ? null
      : what === 'tester'
        ? 'tester'
        : (PLUG_INS.find(({ id }) => id === what)?.name ?? what);
  const live: LiveView = {
    isLive: (id) => {
      const at = network.point(id);
      return at !== undefined && Math.abs(point.volts(at)) >= GLOW_V;
    },
    current: (wire) => point.wireCurrent(wire),
    tripped: (device) => energized.state.tripped.has(device),
    position: (device) => scene.positions[device] ?? 0,
    part: (key) => {
      const part = parts.get(key);
      if (!part) return undefined;
      const plugged = scene.plugged[key];
      return {
        live: volts(key) >= GLOW_V,
        plugged: plugName(plugged),
        lights: plugged === 'tester' ? readTester(point, part).lights : undefined,
      };
    },
  };
  const boxName = (key: string) => {
    const part = parts.get(key);
    const box = job.boxes.find(({ id }) => id === part?.device.box)?.name ?? '';
    return `${box}, ${part?.part.name ?? ''}`;
  };
  const deviceName = (id: string) => {
    const device = job.devices.find((one) => one.id === id);
    const box = job.boxes.find((one) => one.id === device?.box)?.name ?? id;
    return device ? say('bench.theAt', { wishKind: wishKind(device.kind).name, box }) : id;
  };
  return {
    live,
    energized,
    volts,
    meter: readingText(network, scene, job),
    testers: [...state.testers].flatMap((key) => {
      const part = parts.get(key);
      if (!part) return [];
      const { legend, lights } = readTester(point, part);
      return [
        {
          key,
          text: say('bench.tester', {
            lights: lights.map((lit) => (lit ? '●' : '○')).join('\u00a0'),
            legend,
            boxName: boxName(key),
          }),
        },
      ];
    }),
    notes: [
      ...trips.map(({ circuit, amps, times }) =>
        say('bench.breakerTripsTimesRatingShort', {
          number: number(circuit),
          amps: amps.toFixed(0),
          times: times.toFixed(1),
        }),
      ),
      ...groundFaults.map(({ at, by, reason, amps }) =>
        say('bench.trips', {
          by: by === 'breaker' ? say('bench.breaker', { number: number(at) }) : deviceName(at),
          reason:
            reason === 'imbalance'
              ? say('bench.maFindAnotherWayBack', { amps: (amps * 1000).toFixed(0) })
              : say('bench.loadNeutralTouchesGround'),
        }),
      ),
      ...overloads.map(({ circuit, amps, band }) =>
        say('bench.breakerCarries', { number: number(circuit), amps: amps.toFixed(1), band }),
      ),
    ],
    sniff: (id) => {
      const at = network.point(id);
      if (at === undefined) return say('bench.noReading');
      const reading = readNonContact(energized, at);
      return reading === 'glows'
        ? say('bench.lightsHot')
        : reading === 'dark'
          ? say('bench.noLight')
          : say('bench.inconclusiveFloatingConductorUseLow');
    },
  };
}

function readingText(network: Network, scene: Scene, job: Design): string | null {
  const { from, to, impedance } = scene.meter;
  if (from === null || to === null) return null;
  const reading = readMeter(network, stateOf(scene, builtIn(job)), { impedance, from, to });
  if (!reading) return null;
  if (reading.kind === 'ghost') return say('bench.ghostVoltageConductorFloatingSo');
  return `${reading.volts.toFixed(1)} V`;
}
