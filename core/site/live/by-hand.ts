import { isPlug } from '../../job/model/called';
import { PANEL } from '../../job/model/design';
import { inBox } from '../../job/model/in-box';
import { GLOW_V } from '../../power/energize/instruments';
import { movables } from './rewire';
import { type Scene, type Happening, EMPTY_SCENE } from './scene';
import { isLive, standing, type Setting } from './standing';

/** A hand on an end that is live, before it moves, or among what is always live in a panel. */
export function worked(setting: Setting, scene: Scene, end: string | undefined): Happening[] {
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
export function closed(setting: Setting, scene: Scene, boxes: readonly string[]): Scene {
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
export function opened(setting: Setting, scene: Scene, boxes: readonly string[]): Scene {
  const now = standing(setting, scene);
  const live = (box: string): boolean => {
    const { splices, tails, terminations, caps } = inBox(now.house.wiring, box);
    return [
      ...splices.map(({ id }) => id),
      ...tails.map(({ to }) => to),
      ...terminations.map(({ terminal }) => terminal),
      ...caps.map(({ end }) => end),
    ].some((id) => isLive(now, id));
  };
  return {
    ...scene,
    covered: scene.covered.filter((box) => !boxes.includes(box)),
    happened: boxes
      .filter((box) => scene.covered.includes(box) && ((box === PANEL && !isPlug(setting.job)) || live(box)))
      .map((box) => ({ what: 'opened live' as const, box })),
  };
}
