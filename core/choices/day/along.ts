import { isHome, PANEL } from '../../job/model/design';
import { endId } from '../../job/model/wiring';
import { mixedHouse } from '../../site/stops/mixed';
import { tickOf } from '../../wiring/makeup/ticks';
import type { Drawable } from '../../wiring/plan';
import { standingOf } from './done';
import type { Task } from './task';

/** A house in the middle of a day: how far it is wired, and which breakers are off then. */
export interface Along {
  readonly plan: Drawable;
  /** Circuits whose breakers are off, by id: locked for the work, or new and not on yet. */
  readonly off: readonly string[];
}

/**
 * The house after some of a day's tasks, which are all done and no others: new cables are there once they are pulled, landed in the
 * panel when that is their turn; a box is made up as far as its tasks are done. What was in a box that changes is not known: its ends
 * are drawn loose until it is made up.
 */
export function houseAfter(plan: Drawable, tasks: readonly Task[], done: ReadonlySet<string>): Along {
  const none = standingOf(plan, tasks, { ticks: [], tasks: [] });
  const at = new Date(0);
  const ticks = tasks.flatMap(({ id, place }) =>
    done.has(id) ? (none.get(id)?.steps ?? []).map(({ step }) => tickOf(place, step, at)) : [],
  );
  const { wiring } = mixedHouse(plan, ticks);
  const of = (does: Task['does']) => tasks.filter((task) => task.does === does);
  const waiting = new Set(of('cable').flatMap(({ id, run }) => (done.has(id) ? [] : (run ?? []))));
  const landed = (circuit: string | null) =>
    of('land').every(({ id, circuits }) => done.has(id) || !circuits.includes(numberOf(circuit)));
  const numberOf = (circuit: string | null) =>
    plan.job.circuits.find(({ id }) => id === circuit)?.number ?? '';
  const cables = wiring.cables.filter(({ existing, run }) => existing || !waiting.has(run));
  const gone = new Set(
    wiring.cables
      .filter((cable) => !cables.includes(cable))
      .flatMap(({ conductors, from, to }) =>
        conductors.flatMap(({ id }) => [from, to].map((box) => endId(id, box))),
      ),
  );
  for (const { existing, from, to, conductors } of cables)
    if (!existing && isHome({ from, to }))
      for (const { id, circuit } of conductors)
        if (conductors.some((one) => !landed(one.circuit)) && (circuit === null || !landed(circuit)))
          gone.add(endId(id, PANEL));
  const off = plan.job.circuits.flatMap(({ id, number, fresh }) => {
    const own = (does: Task['does']) => of(does).find(({ circuits }) => circuits.includes(number));
    const [offTask, onTask] = [own('off'), own('on')];
    const isOn = onTask !== undefined && done.has(onTask.id);
    return isOn || (!fresh && !(offTask && done.has(offTask.id))) ? [] : [id];
  });
  const terminations = wiring.terminations.filter(({ end }) => !gone.has(end));
  const caps = wiring.caps.filter(({ end }) => !gone.has(end));
  const splices = wiring.splices
    .map((splice) => ({ ...splice, ends: splice.ends.filter((end) => !gone.has(end)) }))
    .filter(({ ends }) => ends.length > 0);
  const held = new Set<string>([
    ...terminations.map(({ end }) => end),
    ...caps.map(({ end }) => end),
    ...splices.flatMap(({ ends }) => ends),
  ]);
  const bare = cables.flatMap(({ from, to, conductors }) =>
    [from, to].flatMap((box) =>
      conductors.flatMap(({ id }) => {
        const end = endId(id, box);
        return held.has(end) ? [] : [{ box, end, bare: true as const }];
      }),
    ),
  );
  return {
    plan: { ...plan, wiring: { ...wiring, cables, terminations, splices, caps: [...caps, ...bare] } },
    off,
  };
}
