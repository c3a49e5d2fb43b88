import { UnionFind } from '../graph/union-find';
import { endId, type Wiring } from '../model/wiring';
import { landings } from '../network/network';
import { isGround } from '../standards/cables';
import type { Report } from './proof';

/**
 * Hot and neutral conductors that form a loop: two paths in parallel, found as a cycle, since their currents may
 * still cancel (310.10(H), from 2020 310.10(G)). Grounds of circuits that share a box do so by right (250.148).
 */
export function findLoops(wiring: Wiring, find: Report) {
  const landing = landings(wiring);
  const numbers = new Map<string, number>();
  const number = (id: string) => {
    const known = numbers.get(id) ?? numbers.size;
    numbers.set(id, known);
    return known;
  };
  const conductors = wiring.cables.flatMap((cable) =>
    cable.conductors
      .filter(({ insulation }) => !isGround(insulation))
      .map(({ id, insulation }) => {
        const ends = [endId(id, cable.from), endId(id, cable.to)].map((end) => landing.get(end) ?? end);
        return { id, insulation, cable, a: number(ends[0] ?? ''), b: number(ends[1] ?? '') };
      }),
  );
  const joined = new UnionFind(numbers.size);
  for (const { id, cable, insulation, a, b } of conductors) {
    if (!joined.join(a, b)) {
      find(
        'loop',
        id,
        `The ${insulation} of ${cable.type} ${cable.id} closes a loop: its net has two paths.`,
      );
    }
  }
}
