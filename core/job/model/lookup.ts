import { deviceKind, type Terminal } from '../../trade/devices';
import {
  endId,
  terminalId,
  type EndId,
  type TerminalId,
  type WiredCable,
  type WiredConductor,
  type WiredDevice,
  type Wiring,
} from './wiring';

/** A conductor's end with what it belongs to. */
export interface OwnEnd {
  readonly conductor: WiredConductor;
  readonly cable: WiredCable;
  readonly box: string;
}

export interface OwnTerminal {
  readonly device: WiredDevice;
  readonly terminal: Terminal;
}

const ends = new WeakMap<Wiring, ReadonlyMap<EndId, OwnEnd>>();
const terminals = new WeakMap<Wiring, ReadonlyMap<TerminalId, OwnTerminal>>();

/** What every conductor end of a wiring belongs to. Built once a wiring. */
export function endsOf(wiring: Wiring): ReadonlyMap<EndId, OwnEnd> {
  const known = ends.get(wiring);
  if (known) return known;
  const fresh = new Map(
    wiring.cables.flatMap((cable) =>
      cable.conductors.flatMap((conductor) =>
        [cable.from, cable.to].map((box) => [endId(conductor.id, box), { conductor, cable, box }] as const),
      ),
    ),
  );
  ends.set(wiring, fresh);
  return fresh;
}

/** What every device terminal of a wiring belongs to. Built once a wiring. */
export function terminalsOf(wiring: Wiring): ReadonlyMap<TerminalId, OwnTerminal> {
  const known = terminals.get(wiring);
  if (known) return known;
  const fresh = new Map(
    wiring.devices.flatMap((device) =>
      deviceKind(device.kind).terminals.map(
        (terminal) => [terminalId(device.id, terminal.id), { device, terminal }] as const,
      ),
    ),
  );
  terminals.set(wiring, fresh);
  return fresh;
}
