import { UnionFind } from '../../base/graph/union-find';
import { sure } from '../../base/sure';
import type { Network } from './network';

/**
 * The same graph with every wire taken as having no resistance, and one point for all that wires and metal join:
 * enough where only "about 120 V" or "nothing" counts, and a fraction of the nodes. It knows no current in a wire.
 */
export function withoutWireOhms(network: Network): Network {
  const metal = network.metal.copy();
  for (const { a, b } of network.wires) metal.join(a, b);
  const numbers = new Map<number, number>();
  const points: string[] = [];
  const classOf = network.points.map((id, point) => {
    const root = metal.find(point);
    const known = numbers.get(root);
    if (known !== undefined) return known;
    numbers.set(root, points.length);
    points.push(id);
    return points.length - 1;
  });
  const at = (point: number): number => sure(classOf[point], 'such point');
  const pair = ({ hot, neutral }: { hot: number; neutral: number }) => ({
    hot: at(hot),
    neutral: at(neutral),
  });
  return {
    ...network,
    points,
    point: (id) => {
      const point = network.point(id);
      return point === undefined ? undefined : at(point);
    },
    devices: network.devices.map((one) => ({ ...one, point: (terminal) => at(one.point(terminal)) })),
    protecting: network.protecting.map((one) => ({ ...one, line: pair(one.line), load: pair(one.load) })),
    parts: network.parts.map((part) => ({
      ...part,
      hot: at(part.hot),
      neutral: at(part.neutral),
      ground: at(part.ground),
    })),
    wires: [],
    metal: new UnionFind(points.length),
    reference: at(network.reference),
    ground: at(network.ground),
    legs: { A: at(network.legs.A), B: at(network.legs.B) },
  };
}
