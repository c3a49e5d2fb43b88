import { type EndId, endId } from '../../job/model/keys';
import type { WiredCable } from '../../job/model/wiring';
import { withSwappedTerminals } from '../network/disturbance';
import { type Wired, type Placed, rewired } from './fault';
import { type Placeable, Places } from './places';

/** Something at a device; the points are terminals of it. */
export const atDevices = (
  wired: Wired,
  put: (
    device: Placeable,
    places: Places,
  ) => readonly {
    readonly key?: string;
    readonly terminals: readonly string[];
    readonly put: Placed['put'];
  }[],
): Placed[] => {
  const places = new Places(wired);
  return places.devices.flatMap((device) =>
    put(device, places).map((one) => ({
      key: [device.wired.id, ...(one.key === undefined ? [] : [one.key])].join('/'),
      box: device.wired.box,
      points: one.terminals.map(device.terminal),
      place: device.place,
      put: one.put,
    })),
  );
};

export const swap = (device: Placeable, ...pairs: readonly (readonly [string, string])[]): Placed['put'] =>
  rewired((wiring) => pairs.reduce((so, [a, b]) => withSwappedTerminals(so, device.wired.id, a, b), wiring));

/** The hot and neutral screws of a receptacle that something lands on, half by half. */
export const poles = ({ kind, used }: Placeable): (readonly [string, string])[] => {
  const pairs = kind.parts.flatMap((part) =>
    part.does === 'power' && part.plug ? [[part.hot, part.neutral] as const] : [],
  );
  return pairs.filter(([hot, neutral]) => used(hot) || used(neutral));
};

/** The screws of one side, each once. */
export const neutralScrews = (device: Placeable): string[] => [
  ...new Set(
    poles(device)
      .map(([, neutral]) => neutral)
      .filter((neutral) => device.used(neutral)),
  ),
];

/** The conductors of a box that land straight on the two sides of its single-pole switches: what feeds, what is fed. */
export function straight(places: Places, device: Placeable) {
  if (!device.kind.equalScrews) return null;
  const on = (terminal: string) =>
    places.contacts.find(({ at, box }) => at === device.terminal(terminal) && box === device.wired.box);
  const [line, leg] = [on('lower'), on('upper')];
  if (!line || !leg) return null;
  const [feed, fed] = line.role === 'hot' ? [line, leg] : [leg, line];
  const cableOf = (wire: string): WiredCable | undefined =>
    places.wired.wiring.cables.find(({ conductors }) => conductors.some(({ id }) => id === wire));
  return { feed, fed, from: cableOf(feed.wire), to: cableOf(fed.wire) };
}

export const end = (cable: WiredCable, insulation: string, box: string): EndId | null => {
  const conductor = cable.conductors.find((one) => one.insulation === insulation);
  return conductor ? endId(conductor.id, box) : null;
};
