import { jobFrom } from '../handover/starts/job-from';
import { startDefaults } from '../handover/starts/start';
import { startOf } from '../handover/starts/starts';
import type { Design } from '../job/model/design';

/** The box on a cord for the bench, with its own outlet worked by the switch, and with a light on a second cord. */
export function benchJobs(): Design[] {
  const start = startOf('bench');
  if (!start) return [];
  return (['outlet', 'light'] as const).flatMap((works) => {
    const made = jobFrom(start, `bench-${works}`, { ...startDefaults(start), answers: { works } });
    return made.ok ? [{ ...made.value.design, name: `Bench, ${works}` }] : [];
  });
}
