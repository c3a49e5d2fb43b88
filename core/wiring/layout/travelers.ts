import type { Design } from '../../job/model/design';
import { closedClusters } from './route';
import { cableRow } from '../../trade/standards/cables';
import { fitsLike, type Fit } from './fit';
import type { RunLayout } from './run-layout';

interface Place {
  readonly run: number;
  readonly cable: number;
  /** Its fits that are about as plain as the one it has: the plainest by the colors of the travelers in it. */
  readonly fits: ReadonlyMap<string, Fit>;
}

/**
 * The runs with the two travelers of each group in the same two colors from box to box, wherever a cable allows it
 * without being much odder: one who opens the next box knows them again (common practice). What stays spliced in a
 * closed box, and a cable with a broken conductor, stay as they are.
 */
export function travelersAlike(job: Design, runs: readonly RunLayout[]): RunLayout[] {
  const result = runs.map((one) => ({ ...one, cables: [...one.cables] }));
  const fixed = new Set(closedClusters(job).flat());
  const groups = new Set(
    runs.flatMap(({ nets }) =>
      nets.flatMap(({ role, group }) => (role === 'traveler' && group ? [group] : [])),
    ),
  );
  for (const group of groups) {
    const places = result.flatMap(({ run: own, strands, cables }, run) =>
      cables.flatMap((fit, cable): Place[] => {
        const carried = strands.filter(({ id }) => fit.nets.includes(id));
        const [a, b, third] = carried.filter(({ net }) => net.role === 'traveler' && net.group === group);
        if (!a || !b || third) return [];
        const free = !fixed.has(own.id) && own.found.lost.length === 0;
        const nets = carried.map(({ id, net }) => ({ ...net, id }));
        const fits = new Map<string, Fit>();
        for (const one of [fit, ...(free ? fitsLike(fit, nets, job.habits) : [])]) {
          const pair = colorsOf(one, [a.id, b.id]);
          if (one.oddness < (fits.get(pair)?.oddness ?? Number.POSITIVE_INFINITY)) fits.set(pair, one);
        }
        return [{ run, cable, fits }];
      }),
    );
    if (places.length < 2) continue;
    const wanted = mostWanted(places);
    for (const { run, cable, fits } of places) {
      const fit = fits.get(wanted);
      const own = result[run];
      if (fit && own) own.cables[cable] = fit;
    }
  }
  return result;
}

/** The pair that most cables can have; of those the plainest over all, the first of those alike. */
function mostWanted(places: readonly Place[]): string {
  const pairs = [...new Set(places.flatMap(({ fits }) => [...fits.keys()]))].map((pair) => {
    const own = places.flatMap(({ fits }) => fits.get(pair) ?? []);
    return { pair, count: own.length, oddness: own.reduce((sum, { oddness }) => sum + oddness, 0) };
  });
  const [best] = pairs.sort((a, b) => b.count - a.count || a.oddness - b.oddness);
  return best?.pair ?? '';
}

/** The colors of some nets in a cable, in their order. */
const colorsOf = ({ type, nets }: Fit, ids: readonly string[]): string =>
  ids.map((id) => cableRow(type).insulated[nets.indexOf(id)]).join();
