import { neutralNetId } from '../layout/domains';
import { bringsGround, groundedBoxes } from '../layout/grounds';
import type { Layout } from '../layout/layout';
import type { Net } from '../layout/nets';
import type { Strand } from '../layout/strands';
import { groupBy } from '../../base/group-by';
import { PANEL, type Box, type Device, type Design } from '../../job/model/design';
import {
  boxGroundId,
  cableId,
  conductorId,
  endId,
  GROUND_NET,
  PANEL_GROUND,
  PANEL_NEUTRAL,
  panelHotId,
  panelNeutralId,
  type Cap,
  type ConductorId,
  type EndId,
  type NetId,
  type NetRole,
  type Splice,
  type Tail,
  type TerminalId,
  type Termination,
  type WiredCable,
  type WiredConductor,
  type WiredDevice,
  type Wiring,
} from '../../job/model/wiring';
import { isMetal } from '../../trade/standards/boxes';
import { cableRow, isWhite, type Insulation } from '../../trade/standards/cables';
import { gaugeForBreaker, type Gauge } from '../../trade/standards/conductors';
import { largestSplice } from '../../trade/standards/connectors';
import { join } from './join';
import { schoolFor } from './school';
import { isOneJoint, jointOfTerminal, kindOf, meetings, type Joint, type Meets } from './meetings';

/** Pigtail length, in. Common practice: 6 to 7. */
const TAIL_IN = 7;

/** A device's own lead: 18 AWG and thicker, taken as 14 here; about as long as a pigtail. Common practice. */
const LEAD_GAUGE: Gauge = 14;
const LEAD_IN = 6;

/** The order in which a box is made up: grounds, neutrals, hots, then what stays single. */
export const MAKE_UP_ORDER: readonly NetRole[] = ['ground', 'neutral', 'hot', 'switched', 'traveler'];

const TAIL_INSULATION: Record<NetRole, Insulation> = {
  ground: 'bare',
  neutral: 'white',
  hot: 'black',
  switched: 'red',
  traveler: 'red',
};

/** Joins the routed conductors in every box: splices, tails, terminals, caps, tabs. */
export function makeUp(job: Design, layout: Layout): Wiring {
  const grounded = new Set([PANEL, ...groundedBoxes(job)]);
  const made = layout.runs.flatMap((run) => wiredCables(run, layout.notes, grounded));
  const cables = made.map(({ cable }) => cable);
  const strands = new Map(made.flatMap((one) => one.strands));
  const nets = new Map(layout.nets.map((net) => [net.id, net]));
  const sharedNeutrals = new Set(
    job.circuits
      .filter(({ multiwireWith }) => multiwireWith !== null)
      .map(({ id }) => neutralNetId(job, { circuit: id, via: null })),
  );
  const devicesIn = groupBy(job.devices, ({ box }) => [box]);
  const cablesIn = groupBy(cables, ({ from, to }) => [from, to]);
  const meetingsIn = (place: string): Meets[] =>
    meetings(
      cablesIn.get(place) ?? [],
      devicesIn.get(place) ?? [],
      place,
      layout,
      strands,
      grounded.has(place),
    );

  const splices: Splice[] = [];
  const tails: Tail[] = [];
  const terminations: Termination[] = [];
  const caps: Cap[] = [];
  const joinAt = (place: string, meeting: Meets, box: Box | null, numbers: Map<NetId, number>) => {
    const own = cablesIn.get(place) ?? [];
    const { net, ends } = meeting;
    const role = nets.get(net)?.role ?? 'ground';
    const terminals = [
      ...meeting.terminals,
      ...(net === GROUND_NET && box && isMetal(box.family)
        ? [{ terminal: boxGroundId(box.id), lead: null, twin: null }]
        : []),
    ];
    const joined = join(
      {
        box: place,
        net,
        role,
        shared: sharedNeutrals.has(net),
        ends,
        terminals,
        capacity: largestSplice(job.connectors, schoolFor(job, role), spliceGauge(own)),
        first: (numbers.get(net) ?? 0) + 1,
      },
      job.habits,
    );
    numbers.set(net, (numbers.get(net) ?? 0) + joined.splices.length);
    splices.push(...joined.splices);
    if (joined.tails.length > 0) {
      const insulation = tailInsulation(role, ends, strands, place, own);
      const gauge = tailGauge(job, nets.get(net), own);
      for (const { id, from, to, uncut, leadColor } of joined.tails) {
        const lead = leadColor !== null;
        tails.push({
          id,
          box: place,
          net,
          role,
          insulation: leadColor ?? insulation,
          gauge: lead ? LEAD_GAUGE : gauge,
          lengthIn: lead ? LEAD_IN : TAIL_IN,
          lead,
          from,
          to,
          uncut,
        });
      }
    }
    terminations.push(...joined.terminations.map((one) => ({ box: place, ...one })));
    caps.push(...joined.caps.map((end) => ({ box: place, end })));
  };
  for (const box of job.boxes) {
    const numbers = new Map<NetId, number>();
    caps.push(...sparesIn(cablesIn.get(box.id) ?? [], box.id));
    for (const meeting of meetingsIn(box.id)) joinAt(box.id, meeting, box, numbers);
  }
  const numbers = new Map<NetId, number>();
  caps.push(...sparesIn(cablesIn.get(PANEL) ?? [], PANEL));
  for (const meeting of meetingsIn(PANEL)) {
    const landing = panelTerminal(job, meeting, nets.get(meeting.net), layout);
    if (landing === null) joinAt(PANEL, meeting, null, numbers);
    else terminations.push(...meeting.ends.map((end) => ({ box: PANEL, end, terminal: landing })));
  }
  const order = (role: NetRole) => MAKE_UP_ORDER.indexOf(role);
  splices.sort((a, b) => order(a.role) - order(b.role));
  return {
    cables,
    devices: job.devices.map((device) => wiredDevice(device, layout)),
    splices,
    tails,
    terminations,
    caps,
  };
}

/** Spares are capped at both ends. */
const sparesIn = (cables: readonly WiredCable[], box: string): Cap[] =>
  cables.flatMap(({ conductors }) =>
    conductors.flatMap(({ id, net }) => (net === null ? [{ box, end: endId(id, box) }] : [])),
  );

/** The thickest conductor that can come into a splice of the box. */
const spliceGauge = (cables: readonly WiredCable[]): Gauge =>
  cables
    .map(({ type }) => cableRow(type).gauge)
    .reduce<Gauge>((thick, gauge) => (gauge < thick ? gauge : thick), 14);

/** The cables of a run with what each conductor carries; none for a new run that nothing needs. */
function wiredCables(
  { run, strands, cables }: Layout['runs'][number],
  notes: Layout['notes'],
  grounded: ReadonlySet<string>,
): { cable: WiredCable; strands: [ConductorId, Strand][] }[] {
  const unused = notes.some(({ code, at }) => code === 'unused run' && at.some(({ id }) => id === run.id));
  if (unused && run.existing === null) return [];
  return cables.map((fit, index) => {
    const id = cableId(run.id, index);
    const carried: [ConductorId, Strand][] = [];
    const insulated = cableRow(fit.type).insulated.map((insulation, slot): WiredConductor => {
      const strand = strands.find((candidate) => candidate.id === fit.nets[slot]);
      const own = conductorId(id, insulation);
      if (strand) carried.push([own, strand]);
      return {
        id: own,
        insulation,
        net: strand?.net.id ?? null,
        role: strand?.net.role ?? null,
        circuit: strand?.net.circuit ?? null,
        domain: strand?.net.domain ?? null,
        toward: strand?.far ?? null,
        reidentified: strand !== undefined && strand.net.role !== 'neutral' && isWhite(insulation),
      };
    });
    const insulation = run.cord ? 'green' : 'bare';
    const ground: WiredConductor = {
      id: conductorId(id, insulation),
      insulation,
      // A ground that leads nowhere is capped: none is run on from where there is none (406.4(D)(2)).
      net: bringsGround(run) && grounded.has(run.from) && grounded.has(run.to) ? GROUND_NET : null,
      role: 'ground',
      circuit: null,
      domain: null,
      toward: null,
      reidentified: false,
    };
    return {
      cable: {
        id,
        run: run.id,
        type: fit.type,
        cord: run.cord,
        from: run.from,
        to: run.to,
        lengthFt: run.lengthFt,
        existing: run.existing !== null,
        conductors: run.existing !== null && run.found.ground === 'none' ? insulated : [...insulated, ground],
      },
      strands: carried,
    };
  });
}

/** A tab is broken where its terminals are joined to different things; one that nothing is joined to may stay. */
function wiredDevice(device: Device, layout: Layout): WiredDevice {
  const kind = kindOf(device, layout);
  const joint = (terminal: string) => jointOfTerminal(device, terminal, layout);
  const differ = (a: Joint | null, b: Joint | null) => a !== null && b !== null && !isOneJoint(a, b);
  return {
    id: device.id,
    box: device.box,
    gang: device.gang,
    kind: kind.id,
    brokenTabs: kind.tabs.filter(({ joins: [a, b] }) => differ(joint(a), joint(b))).map(({ id }) => id),
  };
}

/**
 * A pigtail has the color of the conductor that it extends: the one that comes from the source. Behind a white taped
 * as a hot it is black or red, since tape on a pigtail would only be more to read.
 */
function tailInsulation(
  role: NetRole,
  ends: readonly EndId[],
  strands: ReadonlyMap<ConductorId, Strand>,
  place: string,
  cables: readonly WiredCable[],
): Insulation {
  if (role === 'ground' || role === 'neutral') return TAIL_INSULATION[role];
  const own = cables.flatMap(({ conductors }) =>
    conductors.filter(({ id }) => ends.includes(endId(id, place))),
  );
  const arriving = own.find(({ id }) => strands.get(id)?.far === place) ?? own[0];
  return arriving && !isWhite(arriving.insulation) ? arriving.insulation : TAIL_INSULATION[role];
}

/** A tail is as large as its circuit's breaker asks; a ground tail as large as the largest ground in the box. */
function tailGauge(job: Design, net: Net | undefined, cables: readonly WiredCable[]): Gauge {
  const breakerA = job.circuits.find(({ id }) => id === net?.circuit)?.breakerA;
  if (breakerA !== undefined) return gaugeForBreaker(breakerA) ?? 10;
  return spliceGauge(cables);
}

/** Where something that came to the panel lands there; null where it was only to pass. */
function panelTerminal(job: Design, { way }: Meets, net: Net | undefined, layout: Layout): TerminalId | null {
  if (!net) return PANEL_GROUND;
  if (net.source !== PANEL || way !== layout.wayFromPanel) return null;
  if (net.role === 'hot') return panelHotId(net.circuit);
  // A breaker that protects must see the neutral's current: the neutral lands on it and not on the bar.
  const own = job.circuits.find(({ id }) => id === net.circuit);
  return own && own.protection !== 'none' ? panelNeutralId(own.id) : PANEL_NEUTRAL;
}
