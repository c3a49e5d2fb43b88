import { Box, Circuit, Device, PANEL, Run, type Design } from '../../job/model/design';
import { freshId } from '../../job/model/fresh-id';
import type { SeenBox, Survey } from '../../job/model/survey';
import { cableRow, isWhite, type Insulation } from '../../trade/standards/cables';
import { deviceKind, wishKind, type WishKind } from '../../trade/devices';
import type { Standing } from './evidence';
import type { FarSide, Port } from './far-sides';
import { conductorKey, OWN } from './far-side-wiring';
import { proofsOf } from './proofs';
import { pairOf } from './verdict';
import { cableName } from './words';
import { say } from '../../base/words/survey';
import { type PortOf, CIRCUIT_OF, any, LAMP, SWITCHED, FED, LIT, LOAD, SOURCE, WAY, LEG } from './port-kinds';
import { NEW_OUTLET, type Seen, groupOf, switchesOf, plainOf, controlling, nameOf } from './seen-switches';

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
  const found = new Found(job, survey, standing, onReadings);
  for (const box of survey.boxes) found.takeBox(box);
  return found.asDesign(take);
}

/** A Lay out as it grows, box by box and cable by cable. */
class Found {
  private readonly boxes: Design['boxes'][number][] = [];
  private readonly runs: Run[] = [];
  private readonly devices: Device[] = [];
  private readonly groups = new Map<string, string>();
  private readonly circuits = new Set<string>([OWN]);
  /** Circuits that come in one cable. */
  private readonly shared: (readonly [string, string])[] = [];
  private readonly own: Circuit | undefined;
  private readonly groundProven: boolean;

  constructor(
    private readonly job: Design,
    private readonly survey: Survey,
    private readonly standing: Standing,
    onReadings: boolean,
  ) {
    const pair = pairOf(standing);
    this.own = job.circuits.find(({ number }) => number === survey.breaker);
    // On few readings it is taken for what it reads as: that it is no bootleg is read at the new outlet.
    this.groundProven =
      onReadings ||
      (pair !== null &&
        proofsOf(survey, pair).some(({ of, reading }) => of === 'ground' && reading !== null));
  }

  /** A box as it was seen, its cables to what is past them, and the new outlet where it is wished. */
  takeBox(box: SeenBox): void {
    const yokes = box.devices.filter(({ kind }) => deviceKind(kind).yoke);
    const target = box.id === this.survey.target;
    const wished = target && !yokes.some(({ kind }) => deviceKind(kind).receptacle);
    const gangs = Math.min(Math.max(yokes.length + (wished ? 1 : 0), 1), 4);
    this.addBox(box.id, box.name, gangs, box.devices.length > 0 && yokes.length === 0 && !target, box.metal);
    for (const device of box.devices) {
      const kind = KIND[device.kind];
      this.addDevice(
        device.id,
        box.id,
        Math.max(yokes.indexOf(device), 0),
        kind,
        this.wantsOf(device, kind, box),
      );
    }
    if (wished && yokes.length < 4) {
      const always = this.power(null);
      this.addDevice(NEW_OUTLET, box.id, yokes.length, 'duplex', { upper: always, lower: always });
    }
    for (const cable of box.cables) this.takeCable(box, cable);
  }

  asDesign(take: 'job' | 'wall'): Design {
    const made = [...this.circuits].map((id) => this.circuit(id, take));
    const kept = this.job.circuits.filter(({ id }) => !made.some((one) => one.id === id));
    return {
      ...this.job,
      circuits: [...made, ...kept],
      boxes: this.boxes,
      runs: this.runs,
      devices: this.devices,
      groups: [...this.groups].map(([id, name]) => ({ id, name })),
      rooms: [],
    };
  }

  /** What a seen device does: a switch works what is past it, a light what the first switch says. */
  private wantsOf(device: Seen, kind: WishKind, box: SeenBox): Device['wants'] {
    const wants: Device['wants'] = {};
    for (const part of wishKind(kind).parts) {
      if (part.does === 'control') {
        const group = this.group(groupOf(device), say('layOutFound.switch', { box: box.name }));
        wants[part.id] = { does: 'control', group };
        continue;
      }
      const by = part.plug ? undefined : switchesOf(this.survey)[0];
      wants[part.id] = this.power(by ? this.groupBehind(by) : null);
    }
    return wants;
  }

  private takeCable(box: SeenBox, cable: SeenBox['cables'][number]): void {
    const { survey } = this;
    const twin = survey.same.find(({ a, b }) => a === cable.id || b === cable.id);
    if (!twin) {
      const side = this.standing.weighed.guess.sides.get(cable.id);
      if (side) this.takeFarEnd(box, cable, side);
      return;
    }
    const other = survey.boxes.find(
      (one) => one !== box && one.cables.some(({ id }) => id === twin.a || id === twin.b),
    );
    if (twin.a === cable.id && other)
      this.addRun(cable.id, box.id, other.id, cable.type, { found: this.found(cable) });
  }

  /** What is past a cable: the panel, or a box with the switch and the light that its ports speak of. */
  private takeFarEnd(box: SeenBox, cable: SeenBox['cables'][number], side: FarSide): void {
    const { survey } = this;
    const ports = cableRow(cable.type).insulated.map((insulation): PortOf => ({
      insulation,
      port:
        this.standing.weighed.facts.roles.get(conductorKey(cable.id, insulation)) ??
        side.ports[insulation] ??
        'open',
    }));
    if (ports.every(({ port }) => port === 'open')) return;
    const feeds = [...new Set(ports.flatMap(({ port }) => CIRCUIT_OF[port] ?? []))];
    feeds.forEach((circuit) => this.circuits.add(circuit));
    const found = this.found(cable);
    if (feeds.length > 0 && !any(ports, LAMP, SWITCHED, FED, LIT, LOAD)) {
      const [first, second] = feeds;
      if (first !== undefined && second !== undefined) this.shared.push([first, second]);
      this.addRun(cable.id, PANEL, box.id, cable.type, {
        circuits: feeds.map((one) => this.idOf(one)),
        found,
      });
      return;
    }
    const far = freshId([...this.boxes, ...survey.boxes], `past ${cable.id}`);
    const called = cableName(survey, cable.id);
    this.addBox(
      far,
      say('layOutFound.past', { cableName: called }).slice(0, 80),
      1,
      any(ports, LAMP, LOAD) && !any(ports, LIT),
    );
    const fedThere = any(ports, LAMP, SWITCHED, FED, SOURCE);
    if (fedThere)
      this.addRun(this.freshRun(`feed ${cable.id}`), PANEL, far, plainOf(cable.type), {
        circuits: [this.idOf(OWN)],
      });
    this.addRun(cable.id, fedThere ? far : box.id, fedThere ? box.id : far, cable.type, { found });
    if (any(ports, SWITCHED, FED, LIT, WAY, LEG)) {
      const own = any(ports, FED, LIT, WAY) ? switchesOf(survey)[0] : undefined;
      const group = own
        ? this.groupBehind(own)
        : this.group(far, say('layOutFound.farSwitch', { cableName: called }).slice(0, 80));
      this.addDevice(freshId(this.devices, `${far} switch`), far, 0, 'switch', {
        handle: { does: 'control', group },
      });
    }
    const lit = ports.filter(({ port }) => LAMP.has(port) || LOAD.has(port) || port === 'lit-1');
    for (const { insulation } of lit) {
      const by = controlling(box, cable.id, insulation);
      const lamp = { ...this.power(by ? this.groupBehind(by) : null), watts: 60 };
      this.addDevice(freshId(this.devices, `${far} light`), far, 0, 'luminaire', { lamp });
    }
  }

  /** What was found of a cable: its ground, a pair changed over, conductors that lead nowhere. */
  private found({ id, hasGround }: SeenBox['cables'][number]): Partial<Run['found']> {
    const { grounding, guess } = this.standing.weighed;
    const own = Object.entries(guess.sides.get(id)?.ports ?? {}) as [Insulation, Port][];
    const lost = own.flatMap(([insulation, port]) =>
      port === 'open' || port === 'tied' ? [insulation] : [],
    );
    const notProven = grounding === 'over a neutral' || !this.groundProven;
    return {
      ground: !hasGround ? 'none' : grounding === 'open' ? 'open' : notProven ? 'not proven' : 'sound',
      reversed: own.some(([insulation, port]) => port === 'neutral' && !isWhite(insulation)),
      lost: lost.length < own.length ? lost : [],
    };
  }

  /** A circuit as the job knows it, rating, protection and load; one that only the wall knows is new. */
  private circuit(id: string, take: 'job' | 'wall'): Design['circuits'][number] {
    const { own, survey } = this;
    const partner = this.shared.find((pair) => pair.includes(id))?.find((other) => other !== id) ?? null;
    const multiwire = partner !== null && [id, partner].includes('other') ? this.idOf(partner) : null;
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
      id: this.idOf(id),
      number:
        id === OWN
          ? survey.breaker
          : (first ?? say('layOutFound.secondOther', { breaker: survey.breaker, id }).slice(0, 12)),
      breakerA: survey.breakerA,
      leg: id === 'other' ? (own?.leg === 'B' ? 'A' : 'B') : (own?.leg ?? 'A'),
      multiwireWith: multiwire,
      tiedWith: multiwire,
    });
  }

  /** The id of a circuit in the job: its own by its number, another by a name that is free. */
  private idOf(circuit: string): string {
    const name = circuit === OWN ? 'found' : circuit;
    if (circuit === OWN && this.own) return this.own.id;
    return this.job.circuits.some(({ id }) => id === name) ? `${name}-found` : name;
  }

  /** Runs are called as their cables are, seen or still to come. */
  private freshRun(name: string): string {
    return freshId([...this.runs, ...this.survey.boxes.flatMap(({ cables }) => cables)], name);
  }

  private group(id: string, name: string): string {
    if (!this.groups.has(id)) this.groups.set(id, name);
    return id;
  }
  private groupBehind = (device: Seen): string =>
    this.group(groupOf(device), say('layOutFound.namedSwitch', { name: nameOf(this.survey, device) }));

  private power = (control: string | null) => ({
    does: 'power' as const,
    circuit: this.idOf(OWN),
    control,
    via: null,
  });

  private addBox(id: string, name: string, gangs: number, hangs: boolean, metal = false): void {
    const family = hangs ? 'ceiling' : metal ? 'metal square' : 'cut-in';
    const volumeIn3 = hangs ? 20 : metal ? 30.3 : gangs > 1 ? 31 : 20;
    this.boxes.push(Box.parse({ id, name, family, gangs, volumeIn3, existing: true }));
  }

  private addDevice(id: string, box: string, gang: number, kind: WishKind, wants: Device['wants']): void {
    this.devices.push(Device.parse({ id, box, gang, kind, wants, was: id !== NEW_OUTLET }));
  }

  private addRun(
    id: string,
    from: string,
    to: string,
    existing: Run['existing'],
    more: { readonly circuits?: readonly string[]; readonly found?: Partial<Run['found']> },
  ): void {
    this.runs.push(Run.parse({ id, from, to, lengthFt: 20, existing, ...more }));
  }
}
