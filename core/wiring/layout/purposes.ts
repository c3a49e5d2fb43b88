import { sure } from '../../base/sure';
import { wishKind } from '../../trade/devices';
import { PANEL, type Device, type Design } from '../../job/model/design';
import type { DomainId } from '../../job/model/wiring';
import { onlyTree, treesFor, type AtPanel } from './candidates';
import { domainId, hotNetId, neutralNetId, type Feed } from './domains';
import type { Carried } from './fit';
import {
  constantPurpose,
  consumers,
  groupPurpose,
  type ControlGroup,
  type PurposeId,
  type SpareNeutrals,
} from './nets';
import { ordersOn } from './orders';
import type { Choice, Load } from './board';
import { endsInPanel, threadsTo, wayTo, type House, type Ways } from './strands';
import { serves, type Tree } from '../../job/model/trees';

/** What a purpose must reach, and from where. */
export interface Purpose {
  readonly id: PurposeId;
  readonly feed: Feed;
  readonly root: string;
  readonly panel: AtPanel;
  /** Null for what is always on. */
  readonly group: ControlGroup | null;
  /** Boxes of what it feeds. */
  readonly loads: readonly string[];
  /** Boxes of switches that need the neutral of what they control. */
  readonly neutrals: readonly string[];
  /** Boxes where a neutral waits for a later switch. */
  readonly spares: readonly string[];
}

/** How a purpose is served: by which tree, its switches in which order. */
export interface Service {
  readonly purpose: Purpose;
  readonly tree: Tree;
  readonly order: readonly Device[];
}

/** All purposes of a job, in the order of its lists. */
export function purposesOf(job: Design, groups: readonly ControlGroup[], spares: SpareNeutrals): Purpose[] {
  const rootOf = ({ via }: Feed): string =>
    via === null ? PANEL : (job.devices.find(({ id }) => id === via)?.box ?? PANEL);
  const purpose = (feed: Feed, group: ControlGroup | null): Purpose => {
    const root = rootOf(feed);
    const crossed =
      group === null && root === PANEL ? 'starts' : root === PANEL ? 'starts on one run' : 'barred';
    return {
      id: group ? groupPurpose(group.group.id) : constantPurpose(feed),
      feed: { circuit: feed.circuit, via: feed.via },
      root,
      panel: job.panelSplices && crossed !== 'starts' ? 'passes' : crossed,
      group,
      loads: group ? group.loads.map(({ device }) => device.box) : [],
      neutrals: group
        ? group.places.flatMap(({ kind, box }) =>
            wishKind(kind).parts.some((part) => part.does === 'control' && part.neutral !== undefined)
              ? [box]
              : [],
          )
        : [],
      spares: spares.flatMap((spare) => (group && spare.group === group.group.id ? [spare.box] : [])),
    };
  };
  const constant = new Map<PurposeId, { feed: Feed; boxes: string[] }>();
  for (const { device, want } of consumers(job)) {
    if (want.control !== null) continue;
    const id = constantPurpose(want);
    const known = constant.get(id) ?? { feed: want, boxes: [] };
    constant.set(id, known);
    known.boxes.push(device.box);
  }
  return [
    ...[...constant.values()].map(({ feed, boxes }) => ({ ...purpose(feed, null), loads: boxes })),
    ...groups.flatMap((group) => {
      const [first] = group.loads;
      return first && group.places.length > 0 ? [purpose(first.want, group)] : [];
    }),
  ];
}

const placesOf = ({ group }: Purpose): readonly Device[] => group?.places ?? [];

/** Boxes that a purpose must reach. */
const needsOf = (purpose: Purpose): Set<string> =>
  new Set([...purpose.loads, ...placesOf(purpose).map(({ box }) => box)]);

/** The trees a purpose may run on; `whole` is what its circuit reaches from the panel. */
export function treesOf(purpose: Purpose, house: House, whole: Tree | undefined): Tree[] {
  const wanted = { root: purpose.root, panel: purpose.panel, needs: needsOf(purpose) };
  const only = house.loops || !whole ? null : onlyTree(whole, wanted);
  return only ?? treesFor(house.roads, (run) => serves(run, purpose.feed.circuit), wanted);
}

/** Choices of one purpose kept for the search, the lightest first where there are more. */
const MOST_CHOICES = 240;

/** Every way to serve a purpose: on each tree, its switches in each order. `runs` numbers the runs. */
export const servicesOf = (
  purpose: Purpose,
  trees: readonly Tree[],
  runs: ReadonlyMap<string, number>,
): Service[] =>
  trees.flatMap((tree) =>
    ordersOn(tree, placesOf(purpose), runs).map((order): Service => ({ purpose, tree, order })),
  );

/** The ways to serve a purpose with what each puts into the runs. `runs` numbers them; one past is the panel. */
export function choicesOf(
  job: Design,
  purpose: Purpose,
  services: readonly Service[],
  house: House,
  ways: Ways,
  runs: ReadonlyMap<string, number>,
  sharedTerminals: readonly { readonly name: string; readonly purpose: PurposeId; readonly box: string }[],
): Choice<Service>[] {
  const hot = hotNetId(purpose.feed);
  const neutral = neutralNetId(job, purpose.feed);
  const domain = domainId(job, purpose.feed);
  const meeting = sharedTerminals.filter((one) => one.purpose === purpose.id);
  const choices = services.map((service): Choice<Service> => {
    const { tree, order } = service;
    const put = new Puts(house, ways, tree, runs, purpose, domain);
    const boxes = order.map(({ box }) => box);
    const [first] = boxes;
    const last = boxes.at(-1);
    put.net(hot, 'hot', purpose.root, first === undefined ? purpose.loads : [first]);
    put.net(neutral, 'neutral', purpose.root, [...purpose.loads, ...purpose.neutrals]);
    put.net(neutral, 'neutral', purpose.root, purpose.spares, true);
    boxes.slice(1).forEach((box, rank) => {
      const from = boxes[rank] ?? box;
      for (const wire of ['a', 'b']) put.net(`${purpose.id} ${rank}${wire}`, 'traveler', from, [box]);
    });
    if (last !== undefined) put.net(purpose.id, 'switched', last, purpose.loads);
    return {
      own: service,
      loads: put.loads,
      meets: new Map(meeting.map(({ name, box }) => [name, wayTo(ways, tree, purpose.root, box)])),
    };
  });
  if (choices.length <= MOST_CHOICES) return choices;
  return choices.sort((a, b) => a.loads.length - b.loads.length).slice(0, MOST_CHOICES);
}

/** Gathers what a choice puts into the runs. */
class Puts {
  readonly loads: Load[] = [];
  private readonly known = new Set<string>();

  constructor(
    private readonly house: House,
    private readonly ways: Ways,
    private readonly tree: Tree,
    private readonly runs: ReadonlyMap<string, number>,
    private readonly purpose: Purpose,
    private readonly domain: DomainId,
  ) {}

  net(id: string, role: Carried['role'], source: string, boxes: readonly string[], soft = false): void {
    const { circuit } = this.purpose.feed;
    const group = role === 'hot' || role === 'neutral' ? null : (this.purpose.group?.group.id ?? null);
    for (const thread of threadsTo(this.ways, this.house, this.tree, source, boxes).values()) {
      const key = `${id} ${thread.farWay}`;
      if (this.known.has(key)) continue;
      this.known.add(key);
      const net = { id: key, role, domain: this.domain, circuit, group, source };
      this.loads.push({ run: sure(this.runs.get(thread.run.id), `run ${thread.run.id}`), key, net, soft });
      if (endsInPanel(thread, this.ways) && !(this.purpose.panel === 'passes'))
        this.loads.push({ run: this.runs.size, key, net, soft: false });
    }
  }
}
