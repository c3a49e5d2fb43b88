import { deviceKind, type DeviceKind } from '../../trade/devices';
import { isPlug, placeName } from '../../job/model/called';
import { colorName } from '../../wiring/makeup/cable-names';
import { PANEL } from '../../job/model/design';
import {
  endId,
  tailEnd,
  tailStart,
  terminalId,
  type DomainId,
  type EndId,
  type NetRole,
  type SpliceId,
  type TerminalId,
  type WiredCable,
  type WiredConductor,
  type WiredDevice,
} from '../../job/model/wiring';
import { Names } from '../proof/names';
import { say } from '../../base/words/faults';
import type { Wired } from './fault';

/** A contact: an end of a conductor or of a pigtail, and where it lands. */
export interface Contact {
  readonly end: EndId;
  readonly box: string;
  readonly role: NetRole;
  readonly domain: DomainId | null;
  readonly at: TerminalId | SpliceId;
  readonly place: string;
  /** The conductor or pigtail whose end it is. */
  readonly wire: string;
}

export interface Placeable {
  readonly wired: WiredDevice;
  readonly kind: DeviceKind;
  readonly place: string;
  readonly terminal: (id: string) => TerminalId;
  /** True where something lands on the terminal. */
  readonly used: (id: string) => boolean;
}

/** What faults ask of a wiring: its contacts and devices, each with its place in words. */
export class Places {
  readonly names: Names;
  readonly contacts: readonly Contact[];
  readonly devices: readonly Placeable[];
  readonly landed: ReadonlyMap<string, TerminalId | SpliceId>;
  private readonly taken = new Set<string>();

  constructor(readonly wired: Wired) {
    const { job, wiring } = wired;
    this.names = new Names(job, wiring);
    const landed = new Map<string, TerminalId | SpliceId>();
    for (const { id, ends } of wiring.splices) for (const end of ends) landed.set(end, id);
    for (const { end, terminal } of wiring.terminations) landed.set(end, terminal);
    this.landed = landed;
    for (const at of landed.values()) this.taken.add(at);
    for (const { to, from } of wiring.tails) {
      this.taken.add(to);
      if (from.at === 'terminal') this.taken.add(from.terminal);
    }
    this.devices = wiring.devices.map((device) => ({
      wired: device,
      kind: deviceKind(device.kind),
      place: this.device(device.id),
      terminal: (id) => terminalId(device.id, id),
      used: (id) => this.taken.has(terminalId(device.id, id)),
    }));
    this.contacts = [
      ...wiring.cables.flatMap((cable) =>
        cable.conductors.flatMap((conductor) =>
          [cable.from, cable.to].flatMap((box) => this.contact(cable, conductor, box)),
        ),
      ),
      ...wiring.tails.flatMap((tail): Contact[] => {
        const place = say('places.pigtail', { color: colorName(tail.insulation), box: this.box(tail.box) });
        const start = tail.from.at === 'splice' ? tail.from.splice : tail.from.terminal;
        const own = { box: tail.box, role: tail.role, domain: null, place, wire: tail.id };
        return [
          ...(tail.uncut === null ? [{ ...own, end: tailStart(tail.id), at: start }] : []),
          { ...own, end: tailEnd(tail.id), at: tail.to },
        ];
      }),
    ];
  }

  private contact(cable: WiredCable, conductor: WiredConductor, box: string): Contact[] {
    const end = endId(conductor.id, box);
    const at = this.landed.get(end);
    if (conductor.net === null || conductor.role === null || at === undefined) return [];
    return [
      {
        end,
        box,
        role: conductor.role,
        domain: conductor.domain,
        at,
        place: this.end(cable, conductor, box),
        wire: conductor.id,
      },
    ];
  }

  box = (id: string): string =>
    id !== PANEL
      ? placeName(this.wired.job, id)
      : isPlug(this.wired.job)
        ? say('places.plug')
        : say('places.panel');
  device = (id: string): string => say('places.the', { thing: this.names.device(id) });
  /** "the white of the 14-2 from Panel to Shelf, at Shelf" */
  end = (cable: WiredCable, conductor: WiredConductor, box: string): string =>
    say('places.end', {
      color: colorName(conductor.insulation, conductor.reidentified),
      cable: this.names.cable(cable),
      box: this.box(box),
    });
}
