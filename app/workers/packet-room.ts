import { REST } from '@core/energize/state';
import { writeNetlist } from '@core/interchange/netlist';
import type { Design } from '@core/model/design';
import { buildNetwork } from '@core/network/network';
import { ownerSheet } from '@core/packet/owner';
import { packetOf, type PacketOf } from '@core/packet/packet';
import { reminders } from '@core/packet/reminders';
import type { Section } from '@core/packet/section';
import { planJob } from '@core/plan';

export interface Packets {
  readonly packet: readonly Section[];
  readonly owner: readonly Section[];
}

export const packets = (of: PacketOf): Packets => ({ packet: packetOf(of), owner: ownerSheet(of.design) });

export const calendar = (...asked: Parameters<typeof reminders>): string | null => reminders(...asked);

/** The wiring with every switch as it comes, as a SPICE deck; null where the job cannot be wired. */
export function netlist(design: Design): string | null {
  const outcome = planJob(design);
  if (!outcome.ok) return null;
  const { job, wiring } = outcome.plan;
  return writeNetlist(buildNetwork(wiring, job.circuits), REST, job.name).text;
}
