import { UnionFind } from '../../base/graph/union-find';
import { endId, terminalId, type ConductorId, type Wiring } from '../../job/model/wiring';
import { deviceKind } from '../../trade/devices';
import { landings } from '../network/network';
import { isGround } from '../../trade/standards/cables';
import type { Names } from './names';
import type { Report } from './proof';
import { INSULATION_NAME } from '../../trade/standards/names';
import { tell } from '../../base/words/proof';

/**
 * Hots and neutrals of which a net has two paths: found as a cycle, since their currents may still cancel (310.10(H),
 * from 2020 310.10(G)). Pigtails, jumpers and whole tabs are paths like any other. Grounds of circuits that share a
 * box form loops by right (250.148).
 */
export function findLoops(wiring: Wiring, names: Names, find: Report) {
  const landing = landings(wiring);
  const numbers = new Map<string, number>();
  const number = (id: string) => {
    const known = numbers.get(id) ?? numbers.size;
    numbers.set(id, known);
    return known;
  };
  const short: [number, number][] = [
    ...wiring.tails
      .filter(({ role }) => role !== 'ground')
      .map(({ from, to }): [number, number] => [
        number(from.at === 'splice' ? from.splice : from.terminal),
        number(to),
      ]),
    ...wiring.devices.flatMap(({ id, kind, brokenTabs }) =>
      deviceKind(kind)
        .tabs.filter((tab) => !brokenTabs.includes(tab.id))
        .map(({ joins: [a, b] }): [number, number] => [number(terminalId(id, a)), number(terminalId(id, b))]),
    ),
  ];
  const conductors = wiring.cables.flatMap((cable) =>
    cable.conductors
      .filter(({ insulation }) => !isGround(insulation))
      .map(({ id, insulation }) => {
        const at = (box: string) => number(landing.get(endId(id, box)) ?? endId(id, box));
        return { id, insulation, cable, a: at(cable.from), b: at(cable.to) };
      }),
  );
  const joined = new UnionFind(numbers.size);
  for (const [a, b] of short) joined.join(a, b);
  for (const { id, cable, insulation, a, b } of conductors) {
    if (joined.join(a, b)) continue;
    find(
      'loop',
      { kind: 'conductor', conductor: id satisfies ConductorId, run: cable.run },
      tell('loops.parallelAnotherConductor', {
        insulation: INSULATION_NAME[insulation],
        cable: names.cable(cable),
      }),
    );
  }
}
