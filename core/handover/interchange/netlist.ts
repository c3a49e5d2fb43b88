import { UnionFind } from '../../base/graph/union-find';
import type { Network } from '../../power/network/network';
import { SOURCE_OHMS } from '../../power/network/network';
import { joinedInState, LEG_V, stateResistors } from '../../power/energize/solve';
import type { State } from '../../power/energize/state';

export interface Netlist {
  /** A SPICE deck that asks for the operating point. */
  readonly text: string;
  /** Node name by point; points on islands without a path to a source have none. */
  readonly nodeOf: (point: number) => string | undefined;
  readonly nodes: readonly string[];
}

/**
 * The network in one state as a SPICE deck. Points that metal joins share a node, node 0 is the service neutral,
 * legs are DC sources of +120 V and −120 V behind the source resistance. Islands are left out: circuit engines
 * call them singular.
 */
export function writeNetlist(network: Network, state: State, title: string): Netlist {
  const joined = joinedInState(network, state);
  const resistors = [...network.wires, ...stateResistors(network, state)];
  const reach = new UnionFind(network.points.length);
  network.points.forEach((_, point) => reach.join(point, joined.find(point)));
  for (const { a, b } of resistors) reach.join(a, b);
  for (const leg of [network.legs.A, network.legs.B]) reach.join(network.reference, leg);

  const names = new Map<number, string>([[joined.find(network.reference), '0']]);
  const nodeOf = (point: number): string | undefined => {
    if (reach.find(point) !== reach.find(network.reference)) return undefined;
    const root = joined.find(point);
    const name = names.get(root) ?? `n${names.size}`;
    names.set(root, name);
    return name;
  };
  const lines = [`* ${title.replace(/\s+/g, ' ')}`];
  for (const leg of ['A', 'B'] as const) {
    lines.push(
      `V${leg} src${leg} 0 DC ${LEG_V[leg]}`,
      `Rsource${leg} src${leg} ${nodeOf(network.legs[leg])} ${SOURCE_OHMS}`,
    );
  }
  resistors.forEach(({ id, a, b, ohms }, index) => {
    const [from, to] = [nodeOf(a), nodeOf(b)];
    if (from === undefined || to === undefined || from === to) return;
    lines.push(`* ${id}`, `R${index + 1} ${from} ${to} ${ohms}`);
  });
  network.points.forEach((id, point) => {
    const node = nodeOf(point);
    if (node !== undefined) lines.push(`* ${node} = ${id}`);
  });
  lines.push('.op', '.end', '');
  return { text: lines.join('\n'), nodeOf, nodes: [...new Set(names.values())] };
}
