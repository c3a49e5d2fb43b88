import { Box, Circuit, Device, PANEL, Run, type Design } from '../../job/model/design';
import type { SeenBox, Survey } from '../../job/model/survey';
import { cableRow, isWhite, type Insulation } from '../../trade/standards/cables';
import { maxBreakerA } from '../../trade/standards/conductors';
import { deviceKind, wishKind, type WishKind } from '../../trade/devices';
import type { Standing } from './evidence';
import type { FarSide, Port } from './far-sides';
import { conductorKey, OWN } from './scene';
import { proofsOf } from './proofs';
import { pairOf } from './verdict';
import { cableName } from './words';
import { say } from '../../base/words/survey';

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
  'electronic-three-way': 'electronic-switch',
  'illuminated-single-pole': 'illuminated-switch',
  'illuminated-three-way': 'illuminated-switch',
  afci: 'afci',
  'dual-function': 'dual-function',
  'combination-gfci': 'combination-gfci',
};
const CIRCUIT_OF: Partial<Record<Port, string>> = {
  hot: OWN,
  'hot-second': 'second',
  'hot-other-leg': 'other',
};

/** Where the job and the wall say different things of one circuit. */
export interface Difference {
  readonly says: string;
  /** True where it is decided by taking one of the two; false where it stays to be put right. */
  readonly decides: boolean;
}

/** What differs between the job's circuit of that number and what was seen: shown, and decided by the user. */
export function differences(job: Design, survey: Survey): Difference[] {
  const known = job.circuits.find(({ number }) => number === survey.breaker);
  const found: Difference[] = [];
  if (known && known.breakerA !== survey.breakerA) {
    found.push({
      says: say('layOutFound.circuitJobWhatFound', {
        breaker: survey.breaker,
        breakerA: known.breakerA,
        breakerA2: survey.breakerA,
      }),
      decides: true,
    });
  }
  const breakerA = known?.breakerA ?? survey.breakerA;
  for (const { cables, name } of survey.boxes) {
    for (const { type } of cables) {
      const most = maxBreakerA(cableRow(type).gauge);
      if (breakerA > most)
        found.push({
          says: say('layOutFound.breakerAwgCopperAllows240', {
            type,
            name,
            breakerA,
            gauge: cableRow(type).gauge,
            most,
          }),
          decides: false,
        });
    }
  }
  return [...new Map(found.map((one) => [one.says, one])).values()];
}

/**
 * The most believed guess as a Lay out: every seen cable a run that is there and stays, boxes at their far ends with
 * what they were found to hold, and the always-on outlet that is wished in the target box. Keeps the job's name,
 * habits and all that it knows of its circuits; replaces its boxes, runs and devices. Grounds that are missing
 * or not proven to be separate, pairs changed over and conductors that lead nowhere are carried along. `onReadings`: the
 * yes is of the first grade, and what it leaves open is read later.
 */
export function layOutFound(
  job: Design,
  survey: Survey,
  standing: Standing,
  take: 'job' | 'wall' = 'job',
  onReadings = false,
): Design {
  const { roles } = standing.weighed.facts;
  const pair = pairOf(standing);
  // On few readings it is taken for what it reads as: that it is no bootleg is read at the new outlet.
  const groundProven =
    onReadings ||
    (pair !== null && proofsOf(survey, pair).some(({ of, reading }) => of === 'ground' && reading !== null));
  const sides = standing.weighed.guess.sides;
  const boxes: Design['boxes'][number][] = [];
  const runs: Run[] = [];
  const devices: Device[] = [];
  const own = job.circuits.find(({ number }) => number === survey.breaker);
  const idOf = (circuit: string): string =>
    circuit === OWN ? (own?.id ?? freshCircuit('found')) : freshCircuit(circuit);
  const freshCircuit = (name: string): string =>
    job.circuits.some(({ id }) => id === name) ? `${name}-found` : name;
  const circuits = new Set<string>([OWN]);
  const groups = new Map<string, string>();
  const shared: [string, string][] = [];
  const group = (id: string, name: string): string => {
    if (!groups.has(id)) groups.set(id, name);
    return id;
  };
  const power = (control: string | null) => ({
    does: 'power' as const,
    circuit: idOf(OWN),
    control,
    via: null,
  });
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
    const yokes = box.devices.filter(({ kind }) => deviceKind(kind).yoke);
    const target = box.id === survey.target;
    const hasOutlet = yokes.some(({ kind }) => deviceKind(kind).receptacle);
    const gangs = Math.min(Math.max(yokes.length + (target && !hasOutlet ? 1 : 0), 1), 4);
    addBox(box.id, box.name, gangs, box.devices.length > 0 && yokes.length === 0 && !target, box.metal);
    box.devices.forEach((device) => {
      const kind = KIND[device.kind];
      const gang = Math.max(yokes.indexOf(device), 0);
      const controlled = switchesOf(survey)[0];
      const wants: Device['wants'] = {};
      for (const part of wishKind(kind).parts) {
        if (part.does === 'control') {
          wants[part.id] = {
            does: 'control',
            group: group(groupOf(device), say('layOutFound.switch', { box: box.name })),
          };
          continue;
        }
        const by = part.plug ? undefined : controlled;
        wants[part.id] = power(by ? groupOf(by) : null);
        if (by) group(groupOf(by), say('layOutFound.switch2', { name: nameOf(survey, by) }));
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
        if (twin.a === cable.id && other)
          runs.push(run(cable.id, box.id, other.id, cable.type, undefined, found(cable.id, cable.hasGround)));
        continue;
      }
      const side = sides.get(cable.id);
      if (side) farEnd(box, cable.id, cable.type, side, cable.hasGround);
    }
  }

  function run(
    id: string,
    from: string,
    to: string,
    type: Run['existing'],
    circuitIds?: string[],
    state?: Partial<Run['found']>,
  ): Run {
    return Run.parse({
      id,
      from,
      to,
      lengthFt: 20,
      existing: type,
      ...(circuitIds ? { circuits: circuitIds } : {}),
      ...(state ? { found: state } : {}),
    });
  }

  /** What was found of a cable: its ground, a pair changed over, conductors that lead nowhere. */
  function found(cable: string, hasGround: boolean): Partial<Run['found']> {
    const { grounding } = standing.weighed;
    const side = sides.get(cable);
    const own = Object.entries(side?.ports ?? {}) as [Insulation, Port][];
    const lives = own.some(([, port]) => port !== 'open' && port !== 'tied');
    return {
      ground: !hasGround
        ? 'none'
        : grounding === 'open'
          ? 'open'
          : grounding === 'over a neutral' || !groundProven
            ? 'not proven'
            : 'sound',
      reversed: own.some(([insulation, port]) => port === 'neutral' && !isWhite(insulation)),
      lost: lives
        ? own.flatMap(([insulation, port]) => (port === 'open' || port === 'tied' ? [insulation] : []))
        : [],
    };
  }

  function farEnd(
    box: SeenBox,
    cable: string,
    type: NonNullable<Run['existing']>,
    side: FarSide,
    hasGround: boolean,
  ): void {
    const ports = cableRow(type).insulated.map((insulation) => ({
      insulation,
      port: roles.get(conductorKey(cable, insulation)) ?? side.ports[insulation] ?? 'open',
    }));
    const has = (test: RegExp) => ports.some(({ port }) => test.test(port));
    if (!has(/^(?!open)/)) return;
    const feeds = [...new Set(ports.flatMap(({ port }) => CIRCUIT_OF[port] ?? []))];
    feeds.forEach((circuit) => circuits.add(circuit));
    const direct = feeds.length > 0 && !has(/lamp|switched|fed|lit|load/);
    if (direct) {
      const [first, second] = feeds;
      if (first !== undefined && second !== undefined) shared.push([first, second]);
      runs.push(run(cable, PANEL, box.id, type, feeds.map(idOf), found(cable, hasGround)));
      return;
    }
    const far = `past-${cable}`.slice(0, 40);
    const light = has(/lamp|lit|load/);
    const name = say('layOutFound.past', { cableName: cableName(survey, cable) }).slice(0, 80);
    addBox(far, name, 1, light && !has(/lit/));
    const fedThere = has(/lamp|switched|fed|^hot|^neutral$/);
    if (fedThere)
      runs.push(
        run(`feed-${cable}`.slice(0, 40), PANEL, far, `${cableRow(type).gauge}-2` as Run['existing'], [
          idOf(OWN),
        ]),
      );
    runs.push(
      run(cable, fedThere ? far : box.id, fedThere ? box.id : far, type, undefined, found(cable, hasGround)),
    );
    if (has(/switched|fed|lit|way|leg|switch-common/)) {
      const own = has(/fed|lit|way/) ? switchesOf(survey)[0] : undefined;
      const id = own
        ? group(groupOf(own), say('layOutFound.switch2', { name: nameOf(survey, own) }))
        : group(far, say('layOutFound.farSwitch', { cableName: cableName(survey, cable) }).slice(0, 80));
      addDevice(`${far}-switch`.slice(0, 40), far, 0, 'switch', { handle: { does: 'control', group: id } });
    }
    if (light) {
      const lit = ports.filter(({ port }) => /lamp|lit-1|load/.test(port));
      lit.forEach(({ insulation }, index) => {
        const by = controlling(box, cable, insulation);
        const control = by
          ? group(groupOf(by), say('layOutFound.switch2', { name: nameOf(survey, by) }))
          : null;
        addDevice(`${far}-light${index > 0 ? '-2' : ''}`.slice(0, 40), far, 0, 'luminaire', {
          lamp: { ...power(control), watts: 60 },
        });
      });
    }
  }

  const circuit = (id: string): Design['circuits'][number] => {
    const partner = shared.find((pair) => pair.includes(id))?.find((other) => other !== id) ?? null;
    const multiwire = partner !== null && [id, partner].includes('other') ? idOf(partner) : null;
    // What the job knows of its circuit stays: rating, protection, load.
    if (id === OWN && own) {
      return {
        ...own,
        breakerA: take === 'wall' ? survey.breakerA : own.breakerA,
        multiwireWith: multiwire ?? own.multiwireWith,
        tiedWith: multiwire ?? own.tiedWith,
      };
    }
    const [first] = survey.others;
    return Circuit.parse({
      id: idOf(id),
      number:
        id === OWN
          ? survey.breaker
          : (first ?? say('layOutFound.secondOther', { breaker: survey.breaker, id }).slice(0, 12)),
      breakerA: survey.breakerA,
      leg: id === 'other' ? (own?.leg === 'B' ? 'A' : 'B') : (own?.leg ?? 'A'),
      multiwireWith: multiwire,
      tiedWith: multiwire,
    });
  };
  const made = [...circuits].map(circuit);
  const kept = job.circuits.filter(({ id }) => !made.some((one) => one.id === id));
  return {
    ...job,
    circuits: [...made, ...kept],
    boxes,
    runs,
    devices,
    groups: [...groups].map(([id, name]) => ({ id, name })),
    rooms: [],
  };
}

/** The outlet that is wished for. */
const NEW_OUTLET = 'new-outlet';

type Seen = SeenBox['devices'][number];

const isSwitch = ({ kind }: Seen): boolean => deviceKind(kind).parts.some(({ does }) => does === 'control');
const switchesOf = (survey: Survey): Seen[] =>
  survey.boxes.flatMap(({ devices }) => devices.filter(isSwitch));

/** 3-ways and 4-ways work on one thing together; any other switch on its own. */
const groupOf = ({ id, kind }: Seen): string =>
  deviceKind(kind).parts.some(
    (part) => part.does === 'control' && Math.max(part.feedSide.length, part.loadSide.length) > 1,
  )
    ? 'together'
    : id;

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
    return sits.at === 'splice' && deviceKind(device.kind).equalScrews ? undefined : device;
  return undefined;
}
