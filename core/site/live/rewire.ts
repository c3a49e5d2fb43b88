import { PANEL } from '../../job/model/design';
import {
  boxGroundId,
  endId,
  handSpliceId,
  hangingId,
  tabId,
  tailEnd,
  terminalId,
  type Cap,
  type EndId,
  type Splice,
  type SpliceId,
  type Tail,
  type TerminalId,
  type Termination,
  type WiredConductor,
  type Wiring,
} from '../../job/model/wiring';
import type { House } from '../../power/faults/fault';
import { deviceKind } from '../../trade/devices';
import { panelTerminals } from '../../wiring/makeup/panel';
import { looseContact, touching, type Disturbance } from '../../power/network/disturbance';
import type { Placement, Rewiring } from './scene';

/** A house as it was rewired by hand. */
export interface Rewired {
  readonly wiring: Wiring;
  readonly disturbances: readonly Disturbance[];
}

/** A conductor end, or the free end of a pigtail, that a hand can move. */
export interface Movable {
  readonly end: EndId;
  readonly box: string;
  /** The conductor or pigtail. */
  readonly wire: string;
  readonly pigtail: boolean;
  /** Where it is in the wiring as planned. */
  readonly planned: Placement;
}

/** Everything that a hand can move, in boxes and in the panel: conductor ends, pigtails that end on a screw. */
export function movables(wiring: Wiring): ReadonlyMap<string, Movable> {
  const known = gathered.get(wiring) ?? gather(wiring);
  gathered.set(wiring, known);
  return known;
}
/** A wiring is never changed: what of it can be moved is gathered once. */
const gathered = new WeakMap<Wiring, ReadonlyMap<string, Movable>>();

function gather(wiring: Wiring): Map<string, Movable> {
  const placed = placements(wiring);
  const found = new Map<string, Movable>();
  for (const { conductors, from, to } of wiring.cables)
    for (const { id } of conductors)
      for (const box of [from, to]) {
        const end = endId(id, box);
        const planned = placed.get(end);
        if (planned) found.set(end, { end, box, wire: id, pigtail: false, planned });
      }
  const splices = new Set<string>(wiring.splices.map(({ id }) => id));
  for (const { id, to, box } of wiring.tails) {
    if (splices.has(to)) continue;
    const end = tailEnd(id);
    found.set(end, { end, box, wire: id, pigtail: true, planned: { at: 'terminal', terminal: to } });
  }
  return found;
}

function placements(wiring: Wiring): Map<string, Placement> {
  const placed = new Map<string, Placement>();
  for (const { id, ends } of wiring.splices)
    for (const end of ends) placed.set(end, { at: 'splice', splice: id });
  for (const { end, terminal } of wiring.terminations) placed.set(end, { at: 'terminal', terminal });
  for (const { end, bare } of wiring.caps) placed.set(end, { at: bare ? 'bare' : 'cap' });
  return placed;
}

export const samePlace = (a: Placement, b: Placement): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The box of every screw and splice. */
const boxesOfPoints = ({
  wiring,
  circuits,
}: Pick<House, 'wiring' | 'circuits'>): ReadonlyMap<string, string> =>
  new Map<string, string>([
    ...wiring.devices.flatMap(({ id, box, kind }) =>
      deviceKind(kind).terminals.map((one) => [terminalId(id, one.id), box] as const),
    ),
    ...panelTerminals(circuits).map((terminal) => [terminal, PANEL] as const),
    ...wiring.splices.map(({ id, box }) => [id, box] as const),
  ]);

/** No conductor reaches into another box; a pigtail is on a screw or hangs. */
function goes(boxOf: ReadonlyMap<string, string>, { box, pigtail }: Movable, to: Placement): boolean {
  switch (to.at) {
    case 'terminal':
      return boxOf.get(to.terminal) === box || to.terminal === boxGroundId(box);
    case 'splice':
      return !pigtail && boxOf.get(to.splice) === box;
    case 'by hand':
    case 'cap':
      return !pigtail;
    case 'bare':
    case 'metal':
      return true;
  }
}

/** True where an end can be put by hand. */
export function canPut(house: Pick<House, 'wiring' | 'circuits'>, end: string, to: Placement): boolean {
  const what = movables(house.wiring).get(end);
  return what !== undefined && goes(boxesOfPoints(house), what, to);
}

/**
 * The wiring with what was moved by hand where it is now. What the wiring does not know (it may have been planned anew)
 * is left out. Every end stays in one place.
 */
export function rewired({ wiring, circuits }: Pick<House, 'wiring' | 'circuits'>, by: Rewiring): Rewired {
  const known = movables(wiring);
  const boxOf = boxesOfPoints({ wiring, circuits });
  const moved = new Map<string, { readonly what: Movable; readonly to: Placement }>();
  for (const [end, to] of Object.entries(by.ends)) {
    const what = known.get(end);
    if (what && goes(boxOf, what, to)) moved.set(end, { what, to });
  }
  const disturbances: Disturbance[] = Object.entries(by.loose).map(([end, ohms]) =>
    looseContact(end as EndId, ohms),
  );
  const conductors = new Map<string, WiredConductor>(
    wiring.cables.flatMap((cable) => cable.conductors.map((one) => [one.id, one] as const)),
  );
  const terminations: Termination[] = wiring.terminations.filter(({ end }) => !moved.has(end));
  const caps: Cap[] = wiring.caps.filter(({ end }) => !moved.has(end));
  const joins = new Map<string, EndId[]>();
  const byHand = new Map<string, { box: string; ends: EndId[] }>();
  for (const { what, to } of moved.values()) {
    if (to.at === 'metal') disturbances.push(touching(hanging(what), boxGroundId(what.box)));
    if (what.pigtail) continue;
    const { end, box } = what;
    if (to.at === 'terminal') terminations.push({ box, end, terminal: to.terminal as TerminalId });
    else if (to.at === 'splice') joins.set(to.splice, [...(joins.get(to.splice) ?? []), end]);
    else if (to.at === 'by hand') {
      const id = handSpliceId(box, to.number);
      byHand.set(id, { box, ends: [...(byHand.get(id)?.ends ?? []), end] });
    } else caps.push(to.at === 'cap' ? { box, end } : { box, end, bare: true });
  }
  const tails = wiring.tails.map((tail): Tail => {
    const own = moved.get(tailEnd(tail.id));
    return own
      ? { ...tail, to: own.to.at === 'terminal' ? (own.to.terminal as TerminalId) : hangingId(own.what.end) }
      : tail;
  });
  const held = new Map<string, number>();
  for (const { from, to } of tails)
    for (const id of from.at === 'splice' ? [from.splice, to] : [to]) held.set(id, (held.get(id) ?? 0) + 1);
  const kept = wiring.splices.flatMap((splice): Splice[] => {
    const ends = [...splice.ends.filter((end) => !moved.has(end)), ...(joins.get(splice.id) ?? [])];
    return ends.length + (held.get(splice.id) ?? 0) > 0 ? [{ ...splice, ends }] : [];
  });
  for (const [id, { box, ends }] of byHand) {
    const [first] = ends;
    const own = [...conductors.values()].find((one) => first === endId(one.id, box));
    kept.push({
      id: id as SpliceId,
      box,
      net: own?.net ?? (id as never),
      role: own?.role ?? 'hot',
      connector: 1,
      ends,
    });
  }
  return {
    wiring: {
      ...wiring,
      splices: kept,
      terminations,
      caps,
      tails,
      devices: wiring.devices.map((device) => {
        const tabs = deviceKind(device.kind).tabs.map(({ id }) => id);
        const brokenTabs = tabs.filter(
          (tab) =>
            (by.tabs[tabId(device.id, tab)] ?? (device.brokenTabs.includes(tab) ? 'broken' : 'whole')) ===
            'broken',
        );
        return { ...device, brokenTabs };
      }),
    },
    disturbances,
  };
}

/** The point of an end that hangs. */
const hanging = ({ end, pigtail }: Movable): string => (pigtail ? hangingId(end) : end);

/** An end put somewhere; back where it was planned it is a change no more. */
export function withPlaced(wiring: Wiring, by: Rewiring, end: string, to: Placement): Rewiring {
  const own = movables(wiring).get(end);
  const rest = Object.entries(by.ends).filter(([other]) => other !== end);
  const moved: readonly (readonly [string, Placement])[] =
    own && samePlace(own.planned, to) ? [] : [[end, to]];
  return { ...by, ends: Object.fromEntries([...rest, ...moved]) };
}

/** An end joined with another one that hangs or is capped: by a connector of their own. */
export function withJoined(wiring: Wiring, by: Rewiring, end: string, other: string): Rewiring {
  const known = movables(wiring);
  const there = by.ends[other] ?? known.get(other)?.planned;
  if (there?.at === 'splice' || there?.at === 'by hand') return withPlaced(wiring, by, end, there);
  const box = known.get(end)?.box;
  const taken = Object.entries(by.ends).flatMap(([one, place]) =>
    place.at === 'by hand' && known.get(one)?.box === box ? [place.number] : [],
  );
  let number = 1;
  while (taken.includes(number)) number++;
  return [end, other].reduce((so, one) => withPlaced(wiring, so, one, { at: 'by hand', number }), by);
}

/** A tab broken, or put back as only a screen can. */
export function withTabTurned(wiring: Wiring, by: Rewiring, device: string, tab: string): Rewiring {
  const id = tabId(device, tab);
  const planned = wiring.devices.find((one) => one.id === device)?.brokenTabs.includes(tab)
    ? 'broken'
    : 'whole';
  const { [id]: now, ...rest } = by.tabs;
  const next = (now ?? planned) === 'broken' ? 'whole' : 'broken';
  return { ...by, tabs: next === planned ? rest : { ...rest, [id]: next } };
}

export const isAsPlanned = ({ ends, tabs, loose }: Rewiring): boolean =>
  [ends, tabs, loose].every((own) => Object.keys(own).length === 0);

/** Every end of a box taken off and left hanging, every tab whole: the box before it was made up. */
export function undone(wiring: Wiring, box: string): Rewiring {
  const ends = [...movables(wiring).values()]
    .filter((one) => one.box === box)
    .map(({ end }) => [end, { at: 'bare' as const }] as const);
  const tabs = wiring.devices
    .filter((device) => device.box === box)
    .flatMap(({ id, brokenTabs }) => brokenTabs.map((tab) => [tabId(id, tab), 'whole' as const] as const));
  return { ends: Object.fromEntries(ends), tabs: Object.fromEntries(tabs), loose: {} };
}
