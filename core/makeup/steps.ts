import { deviceKind, type Terminal } from '../devices';
import { inBox } from '../model/in-box';
import type { Plan } from '../plan';
import type { Gauge } from '../standards/conductors';
import { connectorFor, type Connector } from '../standards/connectors';
import { cableRow, type Insulation } from '../standards/cables';
import { endId, terminalId, type NetRole, type Splice, type Tail } from '../model/wiring';
import { cableName } from './cable-names';
import { MAKE_UP_ORDER, schoolFor } from './make-up';

/** One thing to do at the open box. */
export interface Step {
  readonly id: string;
  readonly stage: 'mark' | 'strip' | NetRole | 'cap' | 'tab' | 'tape' | 'land' | 'fold';
  readonly title: string;
  /** Numbers and where: "5-port lever connector, 2 spare". */
  readonly detail: string;
  /** Why, with its section (from memory) or "common practice". */
  readonly why: string;
  /** Ids of what it handles, to light up in the drawing: splices, tails, ends, terminals, tabs. */
  readonly touches: readonly string[];
}

const ROLE_TITLE: Record<NetRole, string> = {
  ground: 'Grounds',
  neutral: 'Neutrals',
  hot: 'Hots',
  switched: 'Switched hots',
  traveler: 'Travelers',
};

const ROLE_WHY: Record<NetRole, string> = {
  ground: 'Every ground in the box is joined, so that taking out a device never opens it (250.148).',
  neutral:
    'Neutrals of one net only; a tail lets a device come out without opening the rest (common practice).',
  hot: 'The constant hot, with a tail for each device that needs it. Never the switch leg (common practice).',
  switched: 'From the switch on to what it controls.',
  traveler: 'Between switches only.',
};

/** "black", "white, taped": how a conductor is called at the box. */
const colorName = (insulation: Insulation, taped: boolean): string =>
  `${INSULATION_NAME[insulation] ?? insulation}${taped ? ', taped' : ''}`;

const INSULATION_NAME: Partial<Record<Insulation, string>> = { 'white-red': 'striped white', bare: 'ground' };

/**
 * What to do at one box, in the order in which it is done: mark, strip, grounds, neutrals, hots, caps, tabs, land
 * on the terminals, fold. Empty for a box with nothing in it.
 */
export function makeUpSteps(plan: Plan, box: string): Step[] {
  const { wiring } = plan;
  const { cables, devices, splices, tails, caps } = inBox(wiring, box);
  if (cables.length === 0) return [];
  const names = new Map(cables.map((cable) => [cable.id, cableName(plan, cable, box)]));
  const conductorOf = new Map(
    cables.flatMap((cable) =>
      cable.conductors.map((conductor) => [endId(conductor.id, box), { conductor, cable }] as const),
    ),
  );
  const endName = (end: string): string => {
    const known = conductorOf.get(end);
    if (!known) return end;
    const { conductor, cable } = known;
    return `${colorName(conductor.insulation, conductor.reidentified)} (${names.get(cable.id)?.mark ?? ''})`;
  };
  const steps: Step[] = [];

  steps.push({
    id: 'mark',
    stage: 'mark',
    title:
      cables.length === 1
        ? 'Mark the jacket'
        : `Mark ${cables.length === 2 ? 'both' : `all ${cables.length}`} jackets`,
    detail: cables.map(({ id }) => names.get(id)?.mark ?? '').join(' · '),
    why: 'Once the sheath is off, a cable can no longer be told by its jacket (common practice).',
    touches: cables.map(({ id }) => id),
  });
  steps.push({
    id: 'strip',
    stage: 'strip',
    title: 'Strip the sheath',
    detail: 'leave ¼ in inside the box, 7 to 8 in of free conductor',
    why: 'At least 6 in from the sheath and 3 in past the front of the box (300.14); sheath ¼ in inside (314.17).',
    touches: cables.map(({ id }) => id),
  });

  const taped = cables.flatMap(({ conductors }) => conductors.filter((one) => one.reidentified));
  if (taped.length > 0) {
    steps.push({
      id: 'tape',
      stage: 'tape',
      title: taped.length === 1 ? 'Tape the white that is a hot' : 'Tape the whites that are hots',
      detail: 'black or red tape, all the way round, here and at the other end',
      why: 'A white used as a hot is re-identified wherever it shows (200.7(C)(1)).',
      touches: taped.map(({ id }) => endId(id, box)),
    });
  }

  const spliceSteps = splices.map((splice) => spliceStep(plan, splice, tails, endName));
  for (const role of MAKE_UP_ORDER) steps.push(...spliceSteps.filter(({ stage }) => stage === role));

  for (const { end } of caps) {
    const role = conductorOf.get(end)?.conductor.role;
    steps.push({
      id: `cap ${end}`,
      stage: 'cap',
      title: `Cap ${endName(end)}`,
      detail: role === 'neutral' ? 'neutral for a later switch; leave it reachable' : 'spare; fold it back',
      why:
        role === 'neutral'
          ? 'A neutral waits at the switch for a later electronic switch (404.2(C), habit of the house).'
          : 'A conductor that ends in a box is closed off (110.14(B)).',
      touches: [end],
    });
  }

  for (const device of devices) {
    const kind = deviceKind(device.kind);
    const many = devices.length > 1;
    const prefix = many ? `${kind.name}: ` : '';
    for (const tab of kind.tabs.filter(({ id }) => device.brokenTabs.includes(id))) {
      steps.push({
        id: `tab ${device.id} ${tab.id}`,
        stage: 'tab',
        title: `${prefix}Break the ${tab.name}${device.brokenTabs.length === 1 ? ' only' : ''}`,
        detail: device.brokenTabs.length === 1 ? 'the other tab stays whole' : '',
        why: 'The two screws are on different nets; a whole tab would join them (210.7).',
        touches: [`${device.id}:${tab.id}`],
      });
    }
    const landing = (terminal: Terminal) =>
      landingStep(plan, box, device.id, terminal, tails, endName, prefix);
    const order = ['green', 'silver', 'lead', 'brass', 'dark'];
    steps.push(
      ...[...kind.terminals]
        .sort((a, b) => order.indexOf(a.screw) - order.indexOf(b.screw))
        .flatMap((terminal) => landing(terminal) ?? []),
    );
  }
  const boxGround = tails.find(({ to }) => to === `${box}:box-ground`);
  if (boxGround) {
    const at = steps.findIndex(({ stage }) => stage === 'land' || stage === 'tab');
    steps.splice(at < 0 ? steps.length : at, 0, {
      id: 'box ground',
      stage: 'land',
      title: 'Ground tail → box screw',
      detail: 'green 10-32 screw in the back of the box',
      why: 'A metal box is bonded to the equipment ground (250.148(C), 314.4).',
      touches: [boxGround.id, boxGround.to],
    });
  }
  if (devices.length > 0) {
    steps.push({
      id: 'fold',
      stage: 'fold',
      title: 'Fold and mount',
      detail: 'grounds to the back, then neutrals, then hots; no bare ground near a terminal',
      why: 'A ground that touches a neutral screw trips GFCI and AFCI devices (common practice).',
      touches: [],
    });
  }
  return steps;
}

function spliceStep(
  { wiring, job }: Plan,
  splice: Splice,
  tails: readonly Tail[],
  endName: (end: string) => string,
): Step {
  const own = tails.filter(({ from }) => from.at === 'splice' && from.splice === splice.id);
  const jumpers = tails.filter(
    ({ id, to }) => id.endsWith('-jumper') && (to === splice.id || own.some((one) => one.id === id)),
  );
  const whole = own.find(({ uncut }) => uncut !== null);
  const cut = own.filter(({ id, uncut }) => uncut === null && !id.endsWith('-jumper')).length;
  const gauge = spliceGauge(inBox(wiring, splice.box).cables, splice, own);
  const count = spliceCount(splice, tails);
  const connector = connectorOf({ wiring, job }, splice, gauge);
  const ports = connector?.ports ?? null;
  const todo = [
    ...(splice.ends.length > 0 ? [`join ${splice.ends.length}`] : []),
    ...(cut > 0 ? [`add ${cut} tail${cut === 1 ? '' : 's'}`] : []),
  ];
  return {
    id: `splice ${splice.id}`,
    stage: splice.role,
    title: `${ROLE_TITLE[splice.role]}${whichConnector(splice)}: ${todo.join(', ')}`,
    detail: [
      `${connector?.name ?? 'no connector of the catalog holds these'}${ports === null || ports === count ? '' : `, ${ports - count} spare`}`,
      ...(jumpers.length > 0 ? ['too many for one connector: a jumper to the other one'] : []),
      ...(whole ? [`${endName(whole.uncut ?? '')} left whole and folded through as its own tail`] : []),
      `strip ${connector?.stripIn ?? '¾'} in`,
      ...(cut > 0 ? [`${gauge} AWG tail, ${own[0]?.lengthIn ?? 7} in`] : []),
      ...(splice.role === 'ground' ? [] : [splice.ends.map(endName).join(', ')]),
    ]
      .filter(Boolean)
      .join(' · '),
    why: ROLE_WHY[splice.role],
    touches: [splice.id, ...splice.ends, ...own.map(({ id }) => id), ...jumpers.map(({ id }) => id)],
  };
}

const ORDINALS = ['', '', ' (second connector)', ' (third connector)', ' (fourth connector)'];

/** Which of several connectors a splice of one net is, in words; nothing for the first. */
function whichConnector({ id, box, net }: Splice): string {
  const number = Number(id.slice(`${box}:${net}-`.length));
  return ORDINALS[number] ?? (Number.isNaN(number) ? '' : ` (connector ${number})`);
}

/**
 * The connector of a splice. A neutral that only passes a switch box gets a spare port where there is one, for a
 * later electronic switch (common practice).
 */
export function connectorOf(
  { wiring, job }: Pick<Plan, 'wiring' | 'job'>,
  splice: Splice,
  gauge: Gauge,
): Connector | undefined {
  const { tails, devices } = inBox(wiring, splice.box);
  const count = spliceCount(splice, tails);
  const used = tails.some(({ from }) => from.at === 'splice' && from.splice === splice.id);
  const switches = devices.some(({ kind }) => deviceKind(kind).parts.some(({ does }) => does === 'control'));
  const school = schoolFor(job, splice.role);
  const spare = splice.role === 'neutral' && !used && switches && school === 'lever';
  return (
    (spare ? connectorFor(job.connectors, school, count + 1, gauge) : undefined) ??
    connectorFor(job.connectors, school, count, gauge)
  );
}

/** Conductors in a splice: ends, tails, jumpers; a ground that passes through uncut counts once. */
export function spliceCount(splice: Splice, tails: readonly Tail[]): number {
  return (
    splice.ends.length +
    tails.filter(
      ({ from, to, uncut }) =>
        to === splice.id || (from.at === 'splice' && from.splice === splice.id && uncut === null),
    ).length
  );
}

function spliceGauge(cables: Plan['wiring']['cables'], splice: Splice, tails: readonly Tail[]): Gauge {
  const ofEnds = cables
    .filter(({ conductors }) => conductors.some(({ id }) => splice.ends.includes(endId(id, splice.box))))
    .map(({ type }) => cableRow(type).gauge);
  return [...ofEnds, ...tails.map(({ gauge }) => gauge)].reduce<Gauge>((a, b) => (b < a ? b : a), 14);
}

function landingStep(
  plan: Plan,
  box: string,
  device: string,
  terminal: Terminal,
  tails: readonly Tail[],
  endName: (end: string) => string,
  prefix: string,
): Step | null {
  const id = terminalId(device, terminal.id);
  const tail = tails.find(({ to }) => to === id);
  const jumper = tails.find(({ from }) => from.at === 'terminal' && from.terminal === id);
  const termination = inBox(plan.wiring, box).terminations.find((one) => one.terminal === id);
  const wire = tail ?? jumper;
  if (!wire && !termination) return null;
  const what = termination
    ? capitalize(endName(termination.end))
    : jumper || tail?.from.at === 'terminal'
      ? `${capitalize(colorName(wire?.insulation ?? 'black', false))} jumper`
      : `${capitalize(wire?.role === 'ground' ? 'ground' : colorName(wire?.insulation ?? 'black', false))} tail`;
  return {
    id: `land ${id}`,
    stage: 'land',
    title: `${prefix}${what} → ${terminal.name}`,
    detail: purposeOf(plan, box, device, terminal.id),
    why:
      terminal.screw === 'green'
        ? 'Ground first, then neutral, then hot (common practice).'
        : 'Loop clockwise, no insulation under the screw; torque as marked on the device (110.14(D)).',
    touches: [id, ...(wire ? [wire.id] : []), ...(termination ? [termination.end] : [])],
  };
}

/** "always on", "from the switch": what a hot screw is for. */
function purposeOf({ job, wiring }: Plan, box: string, device: string, terminal: string): string {
  const wired = inBox(wiring, box).devices.find(({ id }) => id === device);
  if (!wired) return '';
  const wants = job.devices.find(({ id }) => id === device)?.wants ?? {};
  const said = deviceKind(wired.kind).parts.flatMap((part) => {
    if (part.does !== 'power' || part.hot !== terminal) return [];
    const want = wants[part.id];
    if (want?.does !== 'power') return [];
    const group = job.groups.find(({ id }) => id === want.control);
    return [`${part.name} ${group ? `from ${group.name}` : 'always on'}`];
  });
  return said.join(', ');
}

const capitalize = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
