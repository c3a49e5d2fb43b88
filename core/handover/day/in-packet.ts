import { jobTasks } from '../../choices/day/done';
import { plannedDay } from '../../choices/day/plan-day';
import { EXAMPLE_SHOP } from '../../choices/takeoff/shop';
import type { Plan } from '../../wiring/plan';
import type { PacketOf } from '../packet/packet-of';
import type { Section } from '../packet/section';
import { crewSheet, customerNotice } from './outs';
import { minuteOf } from './words';

/** What is left of the work in its order, and when the power is off; once its first day is set. */
export function dayInPacket(
  { design, record, house, minutes = EXAMPLE_SHOP.minutes }: PacketOf,
  plan: Plan,
): Section[] {
  const { day } = record;
  if (day.date === null) return [];
  const jobs = [jobTasks(plan, record, { minutes, walls: day.walls })];
  const order = plannedDay(jobs, { ...day, minutes });
  if (order.visits.length === 0) return [];
  const { id, name, site } = design;
  const begins = minuteOf(day.from);
  const out = { id, name, site, jobs, day, plan: order, house: house?.house ?? null, begins };
  return [...crewSheet(out), customerNotice(out)];
}
