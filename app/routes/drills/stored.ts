import { DEMO_LIST } from '@core/handover/jobs/demo-list';
import type { PlayedDrill } from '~/storage/drill-history';
import { openStore } from '~/storage/opened';
import type { Option } from '~/ui/choice';

/** What drills need of this browser: the jobs to play on beside the demo's, and what was played. */
export interface StoredDrills {
  readonly own: readonly Option[];
  readonly played: readonly (PlayedDrill & { readonly at: number })[];
}

export async function readStored(): Promise<StoredDrills> {
  const { store, drills } = await openStore();
  const [jobs, played] = await Promise.all([store.list(), drills().then((history) => history.all())]);
  const demo = new Set(DEMO_LIST.map(({ id }): string => id));
  const own = jobs.filter(({ id }) => !demo.has(id)).map(({ id, name }) => ({ value: id, label: name }));
  return { own, played };
}
