import { Box, Circuit, Device, PANEL, Run, type Job } from '../model/job';
import type { SeenBox, Survey } from '../model/survey';
import { cableRow } from '../standards/cables';
import { deviceKind, type WishKind } from '../devices';
import type { Standing } from './evidence';
import type { FarSide, Port } from './far-sides';
import { OWN } from './scene';
import { cableName } from './words';

const KIND: Record<SeenBox['devices'][number]['kind'], WishKind> = {
  'single-pole': 'switch',
  'three-way': 'switch',
  'four-way': 'switch',
  duplex: 'duplex',
  single: 'single',
  gfci: 'gfci',
  combination: 'combination',
  luminaire: 'luminaire',
  'dimmer-single-pole': 'dimmer',
  'dimmer-three-way': 'dimmer',
  'electronic-single-pole': 'electronic-switch',
};
const POWER_PARTS: Partial<Record<WishKind, readonly string[]>> = {
  duplex: ['upper', 'lower'],
  single: ['outlet'],
  gfci: ['outlet'],
  combination: ['outlet'],
  luminaire: ['lamp'],
};
const CIRCUIT_OF: Partial<Record<Port, string>> = {
  hot: OWN,
  'hot-second': 'second',
  'hot-other-leg': 'other',
};

/**
 * The most believed guess as a Lay out: every seen cable a run that is there and stays, boxes at their far ends with
 * what they were found to hold, and the always-on outlet that is wished in the target box. Keeps the job's name,
 * brief, habits and surveys; replaces its boxes, runs and devices.
 */
export function layOutFound(job: Job, survey: Survey, standing: Standing): Job {
  const { roles } = standing.weighed.facts;
  const sides = standing.weighed.guess.sides;
  const boxes: Job['boxes'][number][] = [];
  const runs: Run[] = [];
  const devices: Device[] = [];
  const circuits = new Set<string>([OWN]);
  const groups = new Map<string, string>();
  const shared: [string, string][] = [];
  const group = (id: string, name: string): string => {
    if (!groups.has(id)) groups.set(id, name);
    return id;
  };
  const power = (control: string | null) => ({ does: 'power' as const, circuit: OWN, control, via: null });
  const addBox = (id: string, name: string, gangs: number, hangs: boolean, metal = false) => {
    boxes.push(
      Box.parse({
        id,
        name,
        family: hangs ? 'ceiling' : metal ? 'metal square' : 'cut-in',
        gangs,
        volumeIn3: hangs ? 20 : metal ? 30.3 : gangs > 1 ? 31 : 20,
        existing: true,
      }),
    );
  };
  const addDevice = (id: string, box: string, gang: number, kind: WishKind, wants: Device['wants']) =>
    devices.push(Device.parse({ id, box, gang, kind, wants, was: id !== NEW_OUTLET }));

  for (const box of survey.boxes) {
    const yokes = box.devices.filter(({ kind }) => kind !== 'luminaire');
    const target = box.id === survey.target;
    const hasOutlet = yokes.some(({ kind }) => kind === 'duplex' || kind === 'single' || kind === 'gfci');
    const gangs = Math.min(Math.max(yokes.length + (target && !hasOutlet ? 1 : 0), 1), 4);
    addBox(box.id, box.name, gangs, box.devices.length > 0 && yokes.length === 0 && !target, box.metal);
    box.devices.forEach((device) => {
      const kind = KIND[device.kind];
      const gang = Math.max(yokes.indexOf(device), 0);
      const controlled = switchesOf(survey)[0];
      const wants: Device['wants'] = {};
      for (const part of POWER_PARTS[kind] ?? []) {
        const lamp = part === 'lamp';
        wants[part] = power(lamp && controlled ? groupOf(controlled) : null);
        if (lamp && controlled) group(groupOf(controlled), `the ${nameOf(survey, controlled)} switch`);
      }
      if (['switch', 'dimmer', 'electronic-switch', 'combination'].includes(kind)) {
        wants['handle'] = { does: 'control', group: group(groupOf(device), `the ${box.name} switch`) };
      }
      addDevice(device.id, box.id, gang, kind, wants);
    });
    if (target && !hasOutlet && yokes.length < 4) {
      addDevice(NEW_OUTLET, box.id, yokes.length, 'duplex', { upper: power(null), lower: power(null) });
    }
    for (const cable of box.cables) {
      const twin = survey.same.find(({ a, b }) => a === cable.id || b === cable.id);
      if (twin) {
        const other = survey.boxes.find(
          (one) => one !== box && one.cables.some(({ id }) => id === twin.a || id === twin.b),
        );
        if (twin.a === cable.id && other) runs.push(run(cable.id, box.id, other.id, cable.type));
        continue;
      }
      const side = sides.get(cable.id);
      if (side) farEnd(box, cable.id, cable.type, side);
    }
  }

  function run(id: string, from: string, to: string, type: Run['existing'], own?: string[]): Run {
    return Run.parse({ id, from, to, lengthFt: 20, existing: type, ...(own ? { circuits: own } : {}) });
  }

  function farEnd(box: SeenBox, cable: string, type: NonNullable<Run['existing']>, side: FarSide): void {
    const ports = cableRow(type).insulated.map((insulation) => ({
      insulation,
      port: roles.get(`${cable}:${insulation}`) ?? side.ports[insulation] ?? 'open',
    }));
    const has = (test: RegExp) => ports.some(({ port }) => test.test(port));
    if (!has(/^(?!open)/)) return;
    const feeds = [...new Set(ports.flatMap(({ port }) => CIRCUIT_OF[port] ?? []))];
    feeds.forEach((circuit) => circuits.add(circuit));
    const direct = feeds.length > 0 && !has(/lamp|switched|fed|lit|load/);
    if (direct) {
      const [first, second] = feeds;
      if (first !== undefined && second !== undefined) shared.push([first, second]);
      runs.push(run(cable, PANEL, box.id, type, feeds));
      return;
    }
    const far = `past-${cable}`.slice(0, 40);
    const light = has(/lamp|lit|load/);
    const name = `Past the ${cableName(survey, cable)}`.slice(0, 80);
    addBox(far, name, 1, light && !has(/lit/));
    const fedThere = has(/lamp|switched|fed|^hot|^neutral$/);
    if (fedThere)
      runs.push(
        run(`feed-${cable}`.slice(0, 40), PANEL, far, `${cableRow(type).gauge}-2` as Run['existing'], [OWN]),
      );
    runs.push(run(cable, fedThere ? far : box.id, fedThere ? box.id : far, type));
    if (has(/switched|fed|lit|way|leg|switch-common/)) {
      const own = has(/fed|lit|way/) ? switchesOf(survey)[0] : undefined;
      const id = own
        ? group(groupOf(own), `the ${nameOf(survey, own)} switch`)
        : group(far, `the far switch of the ${cableName(survey, cable)}`.slice(0, 80));
      addDevice(`${far}-switch`.slice(0, 40), far, 0, 'switch', { handle: { does: 'control', group: id } });
    }
    if (light) {
      const lit = ports.filter(({ port }) => /lamp|lit-1|load/.test(port));
      lit.forEach(({ insulation }, index) => {
        const by = controlling(box, cable, insulation);
        const control = by ? group(groupOf(by), `the ${nameOf(survey, by)} switch`) : null;
        addDevice(`${far}-light${index > 0 ? '-2' : ''}`.slice(0, 40), far, 0, 'luminaire', {
          lamp: { ...power(control), watts: 60 },
        });
      });
    }
  }

  const circuit = (id: string): Job['circuits'][number] => {
    const partner = shared.find((pair) => pair.includes(id))?.find((other) => other !== id) ?? null;
    const multiwire = partner !== null && [id, partner].includes('other') ? partner : null;
    return Circuit.parse({
      id,
      number: id === OWN ? survey.breaker : `${survey.breaker}${id === 'second' ? ' b' : ' c'}`.slice(0, 12),
      breakerA: survey.breakerA,
      leg: id === 'other' ? 'B' : 'A',
      multiwireWith: multiwire,
      tiedWith: multiwire,
    });
  };
  return {
    ...job,
    circuits: [...circuits].map(circuit),
    boxes,
    runs,
    devices,
    groups: [...groups].map(([id, name]) => ({ id, name })),
    rooms: [],
    ticks: [],
    brief: { ...job.brief, lines: [] },
  };
}

/** The outlet that is wished for. */
const NEW_OUTLET = 'new-outlet';

type Seen = SeenBox['devices'][number];

const isSwitch = ({ kind }: Seen): boolean => deviceKind(kind).parts.some(({ does }) => does === 'control');
const switchesOf = (survey: Survey): Seen[] =>
  survey.boxes.flatMap(({ devices }) => devices.filter(isSwitch));

/** 3-ways and 4-ways work on one thing together; any other switch on its own. */
const groupOf = ({ id, kind }: Seen): string => (/three-way|four-way/.test(kind) ? 'together' : id);

const nameOf = (survey: Survey, device: Seen): string =>
  survey.boxes.find(({ devices }) => devices.includes(device))?.name ?? device.id;

/** The switch that a conductor sits on, itself or by its splice; none where it joins a constant hot. */
function controlling(box: SeenBox, cable: string, insulation: string): Seen | undefined {
  const end = box.ends.find((one) => one.cable === cable && one.insulation === insulation);
  if (!end) return undefined;
  const { sits } = end;
  const on =
    sits.at === 'terminal'
      ? sits.device
      : sits.at === 'splice'
        ? box.tails.find(({ splice }) => splice === sits.splice)?.device
        : undefined;
  const device = box.devices.find(({ id }) => id === on);
  if (device && isSwitch(device))
    return sits.at === 'splice' && device.kind === 'single-pole' ? undefined : device;
  return undefined;
}
