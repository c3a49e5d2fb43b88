import { UnionFind } from '../../base/graph/union-find';
import type { Day } from '../../job/model/day';
import { type Design, PANEL } from '../../job/model/design';

/** How many runs each box is from the panel; from the first box of what hangs on none. */
export function hops({ runs, boxes }: Design): Map<string, number> {
  const far = new Map<string, number>();
  const reach = (start: string) => {
    const queue = [start];
    far.set(start, 0);
    for (const place of queue)
      for (const { from, to } of runs) {
        const next = from === place ? to : to === place ? from : null;
        if (next === null || far.has(next)) continue;
        far.set(next, (far.get(place) ?? 0) + 1);
        queue.push(next);
      }
  };
  reach(PANEL);
  for (const { id } of boxes) if (!far.has(id)) reach(id);
  return far;
}

/** Circuits that go off together: a multiwire pair, tied handles. */
export function grouped({ circuits }: Design): string[][] {
  const at = new Map(circuits.map(({ id }, index) => [id, index]));
  const joined = new UnionFind(circuits.length);
  circuits.forEach(({ multiwireWith, tiedWith }, index) => {
    for (const other of [multiwireWith, tiedWith]) {
      const partner = other === null ? undefined : at.get(other);
      if (partner !== undefined) joined.join(index, partner);
    }
  });
  const groups = new Map<number, string[]>();
  circuits.forEach(({ id }, index) => {
    const of = joined.find(index);
    groups.set(of, [...(groups.get(of) ?? []), id]);
  });
  return [...groups.values()];
}

/** The walls of a job: open where a new box is one that is set on bare studs. */
export const hasOpenWalls = ({ boxes }: Pick<Design, 'boxes'>, walls: Day['walls']): boolean =>
  walls === 'as planned'
    ? boxes.some(({ existing, family }) => !existing && family !== 'cut-in')
    : walls === 'open';
