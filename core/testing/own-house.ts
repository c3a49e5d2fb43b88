import type { House } from '../power/faults/fault';
import type { FieldTest, Outcome } from '../site/script/field-test';
import { Sets } from './judge';
import { DEVICES } from './judged-devices';

/*
 * What instruments show in a house, worked out a second time: no network, no solver, no verification, no device file and
 * nothing of the script is used, only wirings read as plain lists, the judge's table of devices, and Ohm's law solved by
 * elimination. Ohms per 1000 ft from NEC Chapter 9 Table 8 (solid copper, from memory); what instruments show and what
 * opens by itself is common practice, UL 943 from memory.
 */

const OHMS_PER_FT: Readonly<Record<string, number>> = { 14: 3.07e-3, 12: 1.93e-3, 10: 1.21e-3 };
const CONTACT = 0.001;
const BAR = 't panel#neutral';
const [LEG_A, LEG_B] = ['t panel#leg:A', 't panel#leg:B'];

interface Resistor {
  readonly id: string;
  readonly a: string;
  readonly b: string;
  readonly ohms: number;
}
interface Guard {
  readonly device: string;
  readonly people: boolean;
}
/** What is set, whether by hand or by itself. */
interface Setting {
  readonly off: ReadonlySet<string>;
  readonly thrown: ReadonlyMap<string, number>;
  readonly watts: ReadonlyMap<string, number>;
  readonly open: ReadonlySet<string>;
}
interface Solved {
  readonly volts: (place: string) => number;
  /** From the first place of a resistor to the second, A. */
  readonly amps: (id: string) => number;
}

const at = (device: string, terminal: string): string => `t ${device}:${terminal}`;
const PEOPLE: ReadonlySet<string> = new Set(['gfci', 'dual-function', 'combination-gfci']);

export class OwnHouse {
  private readonly wires: Resistor[] = [];
  private readonly lies = new Map<string, string>();
  private readonly guards: Guard[];

  constructor(private readonly house: House) {
    const { wiring, circuits, disturbances } = house;
    for (const { id, ends } of wiring.splices) for (const end of ends) this.lies.set(end, `s ${id}`);
    for (const { end, terminal } of wiring.terminations) this.lies.set(end, `t ${terminal}`);
    const loose = new Map(
      disturbances.flatMap((one) => (one.kind === 'contact' ? [[one.end, one.ohms]] : [])),
    );
    const contact = (end: string): number => loose.get(end) ?? CONTACT;
    const add = (id: string, a: string, b: string, ohms: number) => {
      if (Number.isFinite(ohms)) this.wires.push({ id, a, b, ohms });
    };
    for (const { type, from, to, lengthFt, conductors } of wiring.cables)
      for (const { id } of conductors) {
        const [near, far] = [`${id}@${from}`, `${id}@${to}`];
        const own = (OHMS_PER_FT[type.slice(0, 2)] ?? Number.NaN) * lengthFt;
        add(id, this.placeOf(near), this.placeOf(far), own + contact(near) + contact(far));
      }
    for (const { id, from, to, gauge, lengthIn } of wiring.tails) {
      const start = from.at === 'splice' ? `s ${from.splice}` : `t ${from.terminal}`;
      const own = ((OHMS_PER_FT[gauge] ?? Number.NaN) * lengthIn) / 12;
      add(id, start, this.known(to), own + contact(`${id}@start`) + contact(`${id}@end`));
    }
    for (const { id, protection } of circuits)
      if (protection !== 'none') add(`bar ${id}`, `t panel#neutral:${id}`, BAR, CONTACT);
    disturbances.forEach((one, index) => {
      if (one.kind === 'bridge') add(`bridge ${index}`, this.known(one.a), this.known(one.b), one.ohms);
    });
    this.guards = wiring.devices.flatMap(({ id, kind }) =>
      DEVICES[kind]?.contacts ? [{ device: id, people: PEOPLE.has(kind) }] : [],
    );
  }

  private placeOf(end: string): string {
    return this.lies.get(end) ?? `loose ${end}`;
  }

  /** A splice, a screw, or a conductor end, by the id that a wiring gives it. */
  private known(id: string): string {
    if (this.house.wiring.splices.some((one) => String(one.id) === id)) return `s ${id}`;
    return this.lies.has(id) || /@/.test(id) ? this.placeOf(id) : `t ${id}`;
  }

  /** What metal joins without any resistance worth the name, as the handles stand. */
  private metal(thrown: ReadonlyMap<string, number>): Sets {
    const joined = new Sets();
    joined.join('t panel#ground', BAR);
    for (const { id, kind, brokenTabs } of this.house.wiring.devices) {
      const { tabs = {}, inner } = DEVICES[kind] ?? {};
      for (const [tab, [a, b]] of Object.entries(tabs))
        if (!brokenTabs.includes(tab)) joined.join(at(id, a), at(id, b));
      for (const [a, b] of inner?.[thrown.get(id) ?? 0] ?? []) joined.join(at(id, a), at(id, b));
    }
    return joined;
  }

  private solved(
    { off, thrown, watts, open }: Setting,
    more: readonly Resistor[] = [],
    pushed?: string,
  ): Solved {
    const metal = this.metal(thrown);
    const node = (place: string) => metal.find(place);
    const all: Resistor[] = [...this.wires, ...more];
    for (const { id, leg } of this.house.circuits)
      if (!off.has(id))
        all.push({ id: `breaker ${id}`, a: `t panel#leg:${leg}`, b: `t panel#hot:${id}`, ohms: 0.002 });
    for (const { device } of this.guards)
      if (!open.has(device))
        for (const pole of ['hot', 'neutral'])
          all.push({
            id: `${device} ${pole}`,
            a: at(device, `line-${pole}`),
            b: at(device, `load-${pole}`),
            ohms: CONTACT,
          });
    for (const { id, kind } of this.house.wiring.devices)
      for (const [part, [hot, neutral]] of Object.entries(DEVICES[kind]?.parts ?? {})) {
        const own = watts.get(`${id}/${part}`) ?? 0;
        if (own > 0)
          all.push({ id: `${id}/${part}`, a: at(id, hot), b: at(id, neutral), ohms: 14_400 / own });
      }
    // What has no way to the panel floats.
    const linked = new Sets();
    for (const { a, b } of all) linked.join(node(a), node(b));
    linked.join('source A', node(BAR));
    for (const leg of [LEG_A, LEG_B]) linked.join(node(leg), 'source A');
    const floats = (place: string) => linked.find(node(place)) !== linked.find('source A');
    const index = new Map<string, number>();
    const number = (place: string): number => {
      const own = node(place);
      if (own === node(BAR)) return -1;
      const known = index.get(own);
      if (known !== undefined) return known;
      index.set(own, index.size);
      return index.size - 1;
    };
    const inside = all
      .filter(({ a }) => !floats(a))
      .map((one) => ({ ...one, i: number(one.a), j: number(one.b) }));
    const [legA, legB] = [number(LEG_A), number(LEG_B)];
    const at1 = pushed === undefined || floats(pushed) ? null : number(pushed);
    const size = index.size;
    const rows = Array.from({ length: size }, () => new Float64Array(size + 1));
    for (const { i, j, ohms } of inside) {
      if (i === j) continue;
      for (const [one, other] of [
        [i, j],
        [j, i],
      ] as const) {
        if (one < 0) continue;
        rows[one]![one]! += 1 / ohms;
        if (other >= 0) rows[one]![other]! -= 1 / ohms;
      }
    }
    // Each leg behind a hundredth of an ohm; where a current is pushed in to measure with, the legs are quiet.
    for (const [leg, volts] of [
      [legA, 120],
      [legB, -120],
    ] as const) {
      rows[leg]![leg]! += 100;
      rows[leg]![size]! += at1 === null ? 100 * volts : 0;
    }
    if (at1 !== null && at1 >= 0) rows[at1]![size]! += 1;
    const x = eliminated(rows);
    const volts = (place: string): number => {
      if (node(place) === node(BAR)) return 0;
      const own = index.get(node(place));
      return own === undefined || floats(place) ? Number.NaN : x[own]!;
    };
    const byId = new Map(inside.map((one) => [one.id, one]));
    return {
      volts,
      amps: (id) => {
        const own = byId.get(id);
        return own ? (volts(own.a) - volts(own.b)) / own.ohms : 0;
      },
    };
  }

  private alive({ device }: Guard, { volts }: Solved): boolean {
    return Math.abs(volts(at(device, 'line-hot')) - volts(at(device, 'line-neutral'))) > 85;
  }

  /** With its contacts open and nothing in use: ohms by which its LOAD neutral finds the panel, through metal alone. */
  private isGrounded({ device }: Guard, setting: Setting): boolean {
    const joined = this.metal(setting.thrown);
    for (const { a, b } of this.wires) joined.join(joined.find(a), joined.find(b));
    if (joined.find(at(device, 'line-neutral')) !== joined.find(BAR)) return false;
    const place = at(device, 'load-neutral');
    if (joined.find(place) !== joined.find(BAR)) return false;
    const quiet = { ...setting, watts: new Map(), open: new Set([...setting.open, device]) };
    return this.solved(quiet, [], place).volts(place) < 4;
  }

  /** Opens what opens by itself until nothing more does. */
  private settled(start: Setting): { solved: Solved; breakers: string[]; devices: string[] } {
    let setting = start;
    const [breakers, devices]: [string[], string[]] = [[], []];
    const opened = (circuit: string) => {
      breakers.push(circuit);
      const tied = this.house.circuits.find(({ id }) => id === circuit)?.tiedWith;
      setting = { ...setting, off: new Set([...setting.off, circuit, ...(tied ? [tied] : [])]) };
    };
    for (;;) {
      const solved = this.solved(setting);
      const [worst] = this.house.circuits
        .filter(({ id }) => !setting.off.has(id))
        .map(({ id, breakerA }) => ({ id, times: Math.abs(solved.amps(`breaker ${id}`)) / breakerA }))
        .sort((a, b) => b.times - a.times);
      if (worst && worst.times >= 6) {
        opened(worst.id);
        continue;
      }
      const guard = this.guards.find(
        (one) =>
          one.people &&
          !setting.open.has(one.device) &&
          this.alive(one, solved) &&
          (Math.abs(solved.amps(`${one.device} hot`) + solved.amps(`${one.device} neutral`)) >= 0.005 ||
            this.isGrounded(one, setting)),
      );
      if (guard) {
        devices.push(guard.device);
        setting = { ...setting, open: new Set([...setting.open, guard.device]) };
        continue;
      }
      const leaking = this.house.circuits.find(({ id, protection, multiwireWith }) => {
        if (!['gfci', 'dual'].includes(protection) || setting.off.has(id)) return false;
        const pair = this.house.circuits.filter(
          (one) => one.id === id || (one.id === multiwireWith && one.protection === protection),
        );
        const sum = (of: string) => pair.reduce((so, one) => so + solved.amps(`${of} ${one.id}`), 0);
        return Math.abs(sum('breaker') - sum('bar')) >= 0.005;
      });
      if (!leaking) return { solved, breakers, devices };
      opened(leaking.id);
    }
  }

  /** What a test shows here. */
  outcome({ probe, stimulus }: Pick<FieldTest, 'probe' | 'stimulus'>): Outcome {
    if (probe.read === 'joined') return this.joined(probe) ? 'joined' : 'open';
    const { state, is } = stimulus;
    const setting = {
      off: new Set([...state.openBreakers, ...this.house.openBreakers]),
      thrown: state.positions,
      watts: state.loads,
      open: new Set(this.house.tripped),
    };
    const rest = { ...setting, off: new Set(this.house.openBreakers), thrown: new Map(), watts: new Map() };
    const works = (device: string): boolean => {
      const own = this.guards.find((one) => one.device === device);
      return own !== undefined && this.alive(own, this.settled(rest).solved);
    };
    if (probe.read === 'opens') return works(probe.device) ? 'trips' : 'does nothing';
    const pressed = [...state.tripped].filter((device) => is !== 'buttons' || works(device));
    const { solved, breakers, devices } = this.settled({
      ...setting,
      open: new Set([...setting.open, ...pressed]),
    });
    const between = (a: string, b: string) => Math.abs(solved.volts(a) - solved.volts(b));
    switch (probe.read) {
      case 'trips':
        return breakers.length + devices.length === 0
          ? 'holds'
          : `trips ${JSON.stringify({ breakers: [...new Set(breakers)].sort(), devices: [...new Set(devices)].sort() })}`;
      case 'lit': {
        const [hot, neutral] = this.slots(probe.part);
        const volts = between(hot, neutral);
        return !(volts >= 60) ? 'dark' : volts > 150 ? 'far too bright' : 'lit';
      }
      case 'lights': {
        const slots = this.slots(probe.part);
        const read = slots.map((place) => solved.volts(place));
        const there = read.filter((one) => !Number.isNaN(one));
        // Three lights alike: what floats lies between those that do not.
        const mean = there.reduce((sum, one) => sum + one, 0) / Math.max(there.length, 1);
        const [hot, neutral, ground] = read.map((one) => (Number.isNaN(one) ? mean : one));
        const lit = (a = 0, b = 0) => (Math.abs(a - b) >= 80 ? '1' : '0');
        return lit(hot, neutral) + lit(hot, ground) + lit(neutral, ground);
      }
      case 'volts': {
        const volts = between(this.known(probe.from), probe.to === null ? BAR : this.known(probe.to));
        if (Number.isNaN(volts)) return 'floating';
        if (is === 'load') return `${Math.round(volts / 5) * 5} V`;
        return volts < 10
          ? '0 V'
          : volts > 105 && volts < 130
            ? '120 V'
            : volts > 215
              ? '240 V'
              : 'in between';
      }
      case 'glow': {
        const volts = Math.abs(solved.volts(this.known(probe.at)));
        return Number.isNaN(volts) ? 'inconclusive' : volts >= 50 ? 'lights' : 'no light';
      }
      case 'net amps': {
        const cable = this.house.wiring.cables.find(({ id }) => String(id) === probe.cable);
        const sum = (cable?.conductors ?? [])
          .filter(({ role }) => role !== 'ground')
          .reduce((so, { id }) => so + solved.amps(id), 0);
        return Math.abs(sum) < 0.2 ? '0 A' : 'current';
      }
    }
  }

  /** Where a plug meets the wiring: hot, neutral, ground. */
  private slots(part: string): [string, string, string] {
    const [device = '', own = ''] = part.split('/');
    const kind = this.house.wiring.devices.find(({ id }) => id === device)?.kind ?? '';
    const [hot = '', neutral = ''] = DEVICES[kind]?.parts?.[own] ?? [];
    return [at(device, hot), at(device, neutral), at(device, 'ground')];
  }

  /** Whether metal joins two points, breakers off, handles down, devices reset; the neutrals off their bar where asked. */
  private joined({ from, to, lifted }: Extract<FieldTest['probe'], { read: 'joined' }>): boolean {
    const joined = this.metal(new Map());
    const off = new Set<string>();
    if (lifted)
      for (const cable of this.house.wiring.cables)
        for (const { id, role, insulation } of cable.conductors)
          if (
            (cable.from === 'panel' || cable.to === 'panel') &&
            (role === 'neutral' || (role !== 'ground' && insulation === 'white'))
          )
            off.add(id);
    for (const { id, a, b } of this.wires) if (!off.has(id)) joined.join(a, b);
    for (const { device } of this.guards)
      for (const pole of ['hot', 'neutral'])
        joined.join(at(device, `line-${pole}`), at(device, `load-${pole}`));
    return joined.find(this.known(from)) === joined.find(this.known(to));
  }
}

/** The unknowns of a square system, by elimination with the largest pivot first; the last column is the right side. */
function eliminated(rows: Float64Array[]): number[] {
  const size = rows.length;
  for (let column = 0; column < size; column++) {
    let best = column;
    for (let row = column + 1; row < size; row++)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[best]![column]!)) best = row;
    [rows[column], rows[best]] = [rows[best]!, rows[column]!];
    const pivot = rows[column]!;
    for (let row = column + 1; row < size; row++) {
      const own = rows[row]!;
      const factor = own[column]! / pivot[column]!;
      if (factor !== 0) for (let at = column; at <= size; at++) own[at]! -= factor * pivot[at]!;
    }
  }
  const x = Array.from({ length: size }, () => 0);
  for (let row = size - 1; row >= 0; row--) {
    const own = rows[row]!;
    let sum = own[size]!;
    for (let at = row + 1; at < size; at++) sum -= own[at]! * x[at]!;
    x[row] = sum / own[row]!;
  }
  return x;
}
