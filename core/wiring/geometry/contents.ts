import { sure } from '../../base/sure';
import {
  boxGroundId,
  endId,
  hangingId,
  PANEL_GROUND,
  PANEL_NEUTRAL,
  panelHotId,
  panelNeutralId,
  slotId,
  tailEnd,
  type Splice,
  type Tail,
  type TerminalId,
  type Termination,
  type WiredCable,
  type WiredDevice,
} from '../../job/model/wiring';
import { PANEL, type Design } from '../../job/model/design';
import { inBox } from '../../job/model/in-box';
import type { Drawable } from '../plan';
import { cableNames, type CableName } from '../makeup/cable-names';
import { connectorOf, spliceCount } from '../makeup/splice-steps';
import { layBottomRow, type BottomRow, type View } from './bottom-row';
import { panelContents, panelTerminals } from '../makeup/panel';
import type { DrawnScrew } from './drawing';
import type { CableEnds, MiddleElement } from './order';
import { SPLICE_COLUMNS } from './scale';
import { say } from '../../base/words/geometry';

/** What one box holds, sorted into the three rows of the drawing. */
export interface Contents {
  readonly cables: readonly WiredCable[];
  readonly devices: readonly WiredDevice[];
  readonly splices: readonly Splice[];
  readonly tails: readonly Tail[];
  /** Conductors that go straight to a terminal. */
  readonly passing: readonly Termination[];
  readonly caps: readonly { readonly end: string; readonly bare: boolean }[];
  readonly used: ReadonlySet<string>;
  /** Screws of the enclosure that something lands on; of a whole panel the empty ones too. */
  readonly screws: readonly Omit<DrawnScrew, 'at'>[];
  readonly bottom: BottomRow;
  /** The breaker or bar that a place in the panel is on; every other terminal is itself. */
  readonly pointOf: (terminal: string) => string;
  /** What each conductor end leads to in the middle row. */
  readonly targetOf: ReadonlyMap<string, string>;
  readonly tailsOf: (splice: string) => readonly Tail[];
  /** Jumpers from one splice to the next of the same net. */
  readonly jumpers: readonly Tail[];
  /** Ports of a splice's connector, spare ones counted. */
  readonly portsOf: (splice: string) => number;
  /** Ports of it that are used. */
  readonly countOf: (splice: string) => number;
  readonly topRow: readonly CableEnds[];
  readonly middleRow: readonly MiddleElement[];
  /** What its cables are called. */
  readonly names: ReadonlyMap<string, CableName>;
}

export const passId = (end: string): string => `pass ${end}`;
export const capId = (end: string): string => `cap ${end}`;

export function contentsOf(plan: Drawable, box: string, view: View): Contents {
  const { wiring, job } = plan;
  const own = box === PANEL && !view.wholePanel ? panelContents(wiring) : inBox(wiring, box);
  const { cables, devices, splices, tails, caps: capped } = own;
  // Each conductor has a place of its own on a breaker or bar.
  const passing =
    box === PANEL
      ? own.terminations.map((one) => ({ ...one, terminal: slotId(one.terminal, one.end) }))
      : own.terminations;
  const caps = capped.map(({ end, bare }) => ({ end, bare: bare === true }));
  const pointOf = new Map<string, string>(
    box === PANEL ? own.terminations.map((one) => [slotId(one.terminal, one.end), one.terminal]) : [],
  );
  const used = new Set([
    ...tails.flatMap(({ to, from }) => (from.at === 'terminal' ? [to, from.terminal] : [to])),
    ...passing.map(({ terminal }) => terminal),
  ]);
  const screws = box === PANEL ? panelScrews(job, passing, view.wholePanel) : boxScrews(box, tails, used);
  const bottom = layBottomRow(
    view,
    view.side === 'front' ? devices : [...devices].reverse(),
    used,
    screws.map(({ id }) => id),
  );
  const rank = new Map([...bottom.columns.keys()].map((terminal, index) => [terminal, index]));
  const rankOf = (terminal: string) => rank.get(terminal) ?? 0;

  const targetOf = new Map<string, string>();
  for (const splice of splices) for (const end of splice.ends) targetOf.set(end, splice.id);
  for (const { end } of passing) targetOf.set(end, passId(end));
  for (const { end } of caps) targetOf.set(end, capId(end));

  const tailsOf = (splice: string) =>
    tails
      .filter(
        ({ from, to }) =>
          from.at === 'splice' && from.splice === splice && !splices.some(({ id }) => id === to),
      )
      .sort((a, b) => rankOf(a.to) - rankOf(b.to));
  const { portsOf, countOf } = connectorsIn(plan, splices, tails);
  return {
    cables,
    devices,
    splices,
    tails,
    passing,
    caps,
    used,
    screws,
    bottom,
    pointOf: (terminal) => pointOf.get(terminal) ?? terminal,
    targetOf,
    tailsOf,
    jumpers: tails.filter(({ to }) => splices.some(({ id }) => id === to)),
    portsOf,
    countOf,
    names: view.names ?? cableNames(plan, box),
    topRow: cables.map((cable) => ({
      id: cable.id,
      ends: cable.conductors.map(({ id }) => {
        const end = endId(id, box);
        return { end, target: sure(targetOf.get(end), `place for ${end}`) };
      }),
    })),
    middleRow: [
      ...splices.map(({ id }): MiddleElement => ({
        id,
        kind: 'splice',
        width: Math.max(SPLICE_COLUMNS, portsOf(id) + 1, tailsOf(id).length + 2),
        below: tailsOf(id).map(({ to }) => rankOf(to)),
      })),
      ...passing.map(({ end, terminal }): MiddleElement => ({
        id: passId(end),
        kind: 'pass',
        width: 1,
        below: [rankOf(terminal)],
      })),
      ...caps.map(({ end }): MiddleElement => ({ id: capId(end), kind: 'cap', width: 2, below: [] })),
    ],
  };
}

/** How many ports the connectors of a box have, spare ones counted, and how many of them are used. */
function connectorsIn(
  { wiring, job }: Drawable,
  splices: readonly Splice[],
  tails: readonly Tail[],
): Pick<Contents, 'portsOf' | 'countOf'> {
  const counts = new Map<string, number>(splices.map((splice) => [splice.id, spliceCount(splice, tails)]));
  const ports = new Map<string, number>(
    splices.map((splice) => {
      const count = counts.get(splice.id) ?? 0;
      return [splice.id, Math.max(connectorOf({ wiring, job }, splice)?.ports ?? count, count)];
    }),
  );
  return {
    portsOf: (splice) => sure(ports.get(splice), `splice ${splice}`),
    countOf: (splice) => counts.get(splice) ?? 0,
  };
}

/** The ground screw of a box where something lands on it, and what hangs loose in it. */
function boxScrews(box: string, tails: readonly Tail[], used: ReadonlySet<string>): Contents['screws'] {
  const screw = (id: string, name: string, kind: 'green' | 'lead') => ({
    id,
    point: id,
    name,
    screw: kind,
    circuit: null,
  });
  const ground = boxGroundId(box);
  const loose = tails.filter(({ id, to }) => to === hangingId(tailEnd(id)));
  return [
    ...(used.has(ground) ? [screw(ground, say('contents.box'), 'green')] : []),
    ...loose.map(({ to }) => screw(to, say('contents.loose'), 'lead')),
  ];
}

/** The breakers and bars that the drawn conductors land on; `whole`: those too that nothing is on. */
function panelScrews(job: Design, landed: readonly Termination[], whole = false): Contents['screws'] {
  const empty = new Set(whole ? panelTerminals(job.circuits) : []);
  const kinds: (Omit<DrawnScrew, 'at' | 'id' | 'point'> & { terminal: TerminalId })[] = [
    ...job.circuits.flatMap(({ id, number }) => [
      { terminal: panelHotId(id), name: number, screw: 'brass' as const, circuit: id },
      { terminal: panelNeutralId(id), name: `${number} N`, screw: 'silver' as const, circuit: null },
    ]),
    { terminal: PANEL_NEUTRAL, name: say('contents.neutralBar'), screw: 'silver', circuit: null },
    { terminal: PANEL_GROUND, name: say('contents.groundBar'), screw: 'green', circuit: null },
  ];
  return kinds.flatMap(({ terminal, ...drawn }) => {
    const slots = landed
      .filter((one) => one.terminal === slotId(terminal, one.end))
      .map((one) => ({ id: one.terminal, point: terminal, ...drawn }));
    return slots.length === 0 && empty.has(terminal) ? [{ id: terminal, point: terminal, ...drawn }] : slots;
  });
}
