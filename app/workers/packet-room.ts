import { REST } from '@core/power/energize/state';
import { writeNetlist } from '@core/handover/interchange/netlist';
import type { Design } from '@core/job/model/design';
import { buildNetwork } from '@core/power/network/network';
import { ownerSheet } from '@core/handover/packet/owner';
import { packetOf } from '@core/handover/packet/packet';
import type { PacketOf } from '@core/handover/packet/packet-of';
import { reminders } from '@core/handover/packet/reminders';
import type { Section } from '@core/handover/packet/section';
import { planJob } from '@core/wiring/plan';

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
