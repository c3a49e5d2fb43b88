import { ownerSheet } from '@core/packet/owner';
import { packetOf, type PacketOf } from '@core/packet/packet';
import { reminders } from '@core/packet/reminders';
import type { Section } from '@core/packet/section';

export interface Packets {
  readonly packet: readonly Section[];
  readonly owner: readonly Section[];
}

export const packets = (of: PacketOf): Packets => ({ packet: packetOf(of), owner: ownerSheet(of.design) });

export const calendar = (...asked: Parameters<typeof reminders>): string | null => reminders(...asked);
