import type { Insulation } from '../../trade/standards/cables';
import type { SeenCable, Survey } from '../../job/model/survey';
import { spliceId, terminalId } from '../../job/model/wiring';
import { UnionFind } from '../../base/graph/union-find';
import { deviceKind } from '../../trade/devices';
import { farSides, HURTS, stiffTo, type FarSide, type Port } from './far-sides';
import { conductorKey } from './far-side-wiring';

/** A box with more guesses than this even so is more than Find can sort out. */
export const MOST_GUESSES = 1500;
/** How odd the others may be beside a far side that hurts; and beside any one that is odd. */
const PLAIN_ODD = 0.2;

const BESIDE_ODD = 0.45;

export interface Arrangement {
  readonly sides: ReadonlyMap<string, FarSide>;
  readonly odd: number;
}

/** What a conductor that is capped here makes likelier of a far side in which it is a spare, or cut off. */
const CAPPED_ODD = 0.4;

/** How unusual a far side is of a cable whose ends are seen. */
export const oddAsSeen = (cable: string, { odd, ports }: FarSide, capped: ReadonlySet<string>): number => {
  const spares = (Object.entries(ports) as [Insulation, Port][]).filter(
    ([insulation, port]) => port === 'open' && capped.has(conductorKey(cable, insulation)),
  );
  return Math.max(0, odd - CAPPED_ODD * spares.length);
};

/** Far sides for all cables that tie no node of the box to two sources, plainest first. */
export function arrangements(
  cables: readonly SeenCable[],
  nodes: ReadonlyMap<string, number>,
  {
    limit,
    fedElsewhere,
    oddOf,
    oneOdd = false,
  }: {
    limit: number;
    fedElsewhere: boolean;
    oddOf: (cable: string, side: FarSide) => number;
    oneOdd?: boolean;
  },
): Arrangement[] {
  const beside = oneOdd ? BESIDE_ODD : PLAIN_ODD;
  const found: Arrangement[] = [];
  const stiff = new Map<number, string>();
  const sides = new Map<string, FarSide>();
  /** `hurt`: how odd the one side is that hurts, kept whatever the limit; 0 where none was taken so. */
  const choose = (index: number, odd: number, sources: number, own: number, hurt = 0): void => {
    const cable = cables[index];
    if (!cable) {
      const total = odd + hurt + (sources === 0 && !fedElsewhere ? 1.5 : 0);
      if (total - hurt <= Math.max(limit, oneOdd ? beside + 1.5 : 0))
        found.push({ sides: new Map(sides), odd: total });
      return;
    }
    for (const side of farSides(cable.type)) {
      const ports = Object.values(side.ports);
      // One circuit seldom arrives twice; how odd a second circuit is, its own row says.
      const feeds = ports.includes('hot');
      const arrives = feeds || ports.includes('hot-second');
      const sideOdd = oddOf(cable.id, side);
      const total = odd + sideOdd + (feeds && own > 0 ? 0.8 : 0);
      if (found.length > MOST_GUESSES) break;
      // Beside one that hurts the others are plain.
      const over = total > (hurt > 0 || oneOdd ? beside : limit);
      const kept = over && hurt === 0 && (oneOdd || HURTS.has(side.id)) && odd <= beside;
      if (over && !kept) continue;
      const added = tie(side, cable.id, nodes, stiff);
      if (added.fits) {
        sides.set(cable.id, side);
        choose(
          index + 1,
          kept ? odd : total,
          sources + (arrives || leads(side) || isDeadFeed(side) ? 1 : 0),
          own + (feeds ? 1 : 0),
          kept ? sideOdd : hurt,
        );
        sides.delete(cable.id);
      }
      for (const node of added.nodes) stiff.delete(node);
    }
  };
  choose(0, 0, 0, 0);
  return found.sort((a, b) => a.odd - b.odd);
}

/** Notes the source that each node is tied to; does not fit where it was tied to another. */
function tie(side: FarSide, cable: string, nodes: ReadonlyMap<string, number>, stiff: Map<number, string>) {
  const added: number[] = [];
  for (const [insulation, port] of Object.entries(side.ports) as [Insulation, Port][]) {
    const source = stiffTo(port);
    const node = nodes.get(conductorKey(cable, insulation));
    if (source === undefined || node === undefined) continue;
    const before = stiff.get(node);
    if (before === undefined) {
      stiff.set(node, source);
      added.push(node);
    } else if (before !== source) {
      return { fits: false, nodes: added };
    }
  }
  return { fits: true, nodes: added };
}

/** A feed whose hot is open: nothing is live, and it is where the circuit arrives all the same. */
const isDeadFeed = (side: FarSide): boolean => {
  const ports = Object.values(side.ports);
  return ports.includes('neutral') && ports.includes('open') && !leads(side);
};

const leads = (side: FarSide): boolean =>
  Object.values(side.ports).some((port) => stiffTo(port) !== undefined && port !== 'neutral');

/** Conductors joined by splices, tails and unbroken tabs are one node. */
export function nodesOf(survey: Survey): Map<string, number> {
  const numbers = new Map<string, number>();
  const number = (id: string): number => {
    const known = numbers.get(id) ?? numbers.size;
    numbers.set(id, known);
    return known;
  };
  const pairs: [number, number][] = [];
  for (const box of survey.boxes) {
    for (const { cable, insulation, sits } of box.ends) {
      const end = number(conductorKey(cable, insulation));
      if (sits.at === 'splice') pairs.push([end, number(spliceId(box.id, sits.splice))]);
      if (sits.at === 'terminal') pairs.push([end, number(terminalId(sits.device, sits.terminal))]);
    }
    for (const { splice, device, terminal } of box.tails) {
      pairs.push([number(spliceId(box.id, splice)), number(terminalId(device, terminal))]);
    }
    for (const { id, kind, brokenTabs } of box.devices) {
      for (const tab of deviceKind(kind).tabs) {
        if (!brokenTabs.includes(tab.id))
          pairs.push([number(terminalId(id, tab.joins[0])), number(terminalId(id, tab.joins[1]))]);
      }
    }
  }
  const joined = new UnionFind(numbers.size);
  for (const [a, b] of pairs) joined.join(a, b);
  return new Map([...numbers].map(([id, at]) => [id, joined.find(at)]));
}
