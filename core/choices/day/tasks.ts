import { sure } from '../../base/sure';
import { isHome, PANEL, type Circuit, type Design } from '../../job/model/design';
import { circuitsOf, inBox } from '../../job/model/in-box';
import type { Day } from '../../job/model/day';
import type { WiredCable } from '../../job/model/wiring';
import { deviceKind } from '../../trade/devices';
import type { Drawable } from '../../wiring/plan';
import { billOf, type Bill } from '../takeoff/bill';
import { existingPart } from '../takeoff/list';
import type { Shop } from '../takeoff/shop';
import type { Does, Labor, Task } from './task';
import { hops, grouped, hasOpenWalls } from './task-groups';

/*
 * The tasks of a job: what is done at one place without a break, each from the plan, with its minutes by the shop's table and
 * what comes before it. In open walls the work is three visits, with the inspection and the closing of the wall between.
 */

/** A cable of so many feet wants somebody at each end (common practice). */
const LONG_FT = 40;

export interface Asked {
  readonly minutes: Shop['minutes'];
  readonly walls?: Day['walls'];
  readonly before?: Design;
}

/** The tasks of a plan, each after all that comes before it; none where nothing changes. */
export const tasksOf = (plan: Drawable, asked: Asked): readonly Task[] => new Work(plan, asked).tasks();

/** The name of a task: no two things of a plan are called alike. */
const taskId = (does: Does, of: string): string => `${does} ${of}`;

class Work {
  private readonly bill: Bill;
  private readonly open: boolean;
  /** Boxes that are worked in, farthest from the panel first; those of them with something alive in them before. */
  private readonly old: readonly string[];
  /** Cables that are new, by the runs that they lie in. */
  private readonly cables: readonly WiredCable[];
  /** How many runs a box is from the panel. */
  private readonly far: ReadonlyMap<string, number>;
  /** Circuits that go off together, by id of each; in the order of the job. */
  private readonly groups: readonly (readonly string[])[];
  private readonly list: Task[] = [];
  private readonly visits = new Map<string, Task['visit']>();
  private readonly boxes: readonly string[];
  /** The task that puts a circuit off; that makes a box ready for cable; that pull into it, make it up, close it, test it live. */
  private readonly off = new Map<string, string>();
  private readonly ready = new Map<string, string>();
  private readonly pulled = new Map<string, string[]>();
  private readonly made = new Map<string, string>();
  private readonly closed = new Map<string, string>();
  private readonly tested = new Map<string, string[]>();

  constructor(
    private readonly plan: Drawable,
    private readonly asked: Asked,
  ) {
    const { job } = plan;
    this.bill = billOf(plan, asked.before ?? existingPart(job));
    this.open = hasOpenWalls(job, asked.walls ?? 'as planned');
    this.cables = this.bill.cables.map(({ cable }) => cable);
    this.far = hops(job);
    const wasThere = new Set([
      ...job.boxes.flatMap(({ id, existing }) => (existing ? [id] : [])),
      // A new box on a cable that was there is as alive as one that was.
      ...plan.wiring.cables.flatMap(({ existing, from, to }) => (existing ? [from, to] : [])),
    ]);
    const touched = [
      ...new Set([
        ...this.bill.boxes.map(({ box }) => box.id),
        ...this.bill.devices.map(({ device }) => device.box),
        ...this.cables.flatMap(({ from, to }) => [from, to]),
        ...this.bill.opened,
      ]),
    ].filter((box) => box !== PANEL);
    touched.sort(this.farFirst);
    this.old = touched.filter((box) => wasThere.has(box));
    this.boxes = touched;
    this.groups = grouped(job);
  }

  /** Adds a task, where there is anything to do. */
  private add(
    does: Does,
    of: string,
    at: { readonly place: string; readonly visit: 1 | 2 | 3; readonly labor: Labor } & Partial<
      Pick<Task, 'hands' | 'qualified' | 'dead' | 'circuits' | 'run'>
    >,
    after: readonly (string | null | undefined)[] = [],
  ): string {
    const id = taskId(does, of);
    const exact = Object.entries(at.labor).reduce(
      (sum, [row, times]) => sum + this.asked.minutes[row as keyof Labor] * times,
      0,
    );
    const afterAll = [...new Set(after.flatMap((one) => one ?? []))];
    // What waits for a later visit is done in it.
    const visits = afterAll.map((one) => this.visits.get(one) ?? 1);
    const visit = Math.max(at.visit, ...visits) as Task['visit'];
    this.visits.set(id, visit);
    this.list.push({
      hands: 1,
      qualified: false,
      dead: [],
      circuits: [],
      run: null,
      ...at,
      id,
      does,
      minutes: Math.max(1, Math.round(exact)),
      visit,
      after: afterAll,
    });
    return id;
  }

  tasks(): readonly Task[] {
    if (this.boxes.length + this.bill.breakers.length + this.cables.length === 0) return [];
    this.breakersOff();
    this.boxesReady();
    this.cablesPulled();
    for (const box of this.boxes) this.madeUp(box);
    for (const group of this.groups) this.putOn(group);
    for (const box of this.boxes)
      if (inBox(this.plan.wiring, box).devices.some(({ kind }) => deviceKind(kind).yoke))
        this.add('plate', box, { place: box, visit: this.visit(3), labor: { plate: 1 } }, [
          this.closed.get(box),
          ...(this.tested.get(box) ?? []),
        ]);
    return this.list;
  }

  /** Off: whatever is alive in a box that is opened, and what a breaker is changed or landed on. */
  private breakersOff(): void {
    for (const group of this.groups) {
      const live = group.filter((id) => !this.circuit(id).fresh);
      const opened = this.old.some((box) => live.some((id) => this.circuitsIn(box).has(id)));
      const atPanel = live.some(
        (id) => this.homesOf(id).length > 0 || this.bill.breakers.some(({ circuit }) => circuit.id === id),
      );
      if (!opened && !atPanel) continue;
      const circuits = live.map(this.number);
      const at = { place: PANEL, visit: this.visit(3), qualified: true, circuits };
      const id = this.add('off', circuits.join(' '), { ...at, labor: { breakerOff: 1 } });
      for (const one of live) this.off.set(one, id);
    }
  }

  /** Boxes before holes, holes before cable. */
  private boxesReady(): void {
    const billed = new Set(this.bill.boxes.map(({ box }) => box.id));
    for (const box of this.boxes) {
      const at = { place: box, visit: this.visit(3), dead: this.dead(box) };
      const offs = this.old.includes(box) ? this.offsOf(this.circuitsIn(box)) : [];
      const wasThere = this.wasThere(box);
      const opened = wasThere ? this.add('open', box, { ...at, labor: { boxOpened: 1 } }, offs) : null;
      if (opened) this.ready.set(box, opened);
      if (!billed.has(box)) continue;
      const set = wasThere
        ? this.add('set', box, { ...at, labor: { boxEnlarged: 1 } }, [opened])
        : // On bare studs a box is set beside a cable that is alive; the cable is cut when it is made up.
          this.open
          ? this.add('set', box, { place: box, visit: 1, labor: { boxCutIn: 1 } })
          : this.add('set', box, { ...at, labor: { boxCutIn: 1 } }, offs);
      this.ready.set(box, set);
    }
  }

  /** In open walls a cable waits, coiled, beside a box that was there: that one is opened when all is closed again. */
  private cablesPulled(): void {
    for (const { id, from, to, run, cord, lengthFt } of this.cables) {
      const ends = [from, to].filter((box) => box !== PANEL);
      const waits = (box: string) => this.open && this.wasThere(box);
      const set = ends.flatMap((box) => (waits(box) ? [] : (this.ready.get(box) ?? [])));
      const feet = { cablePerFt: lengthFt };
      const at = { place: ends[0] ?? PANEL, visit: 1 as const, run };
      const drilled =
        this.open && !cord ? this.add('drill', id, { ...at, labor: { cableStart: 1 } }, set) : null;
      const task = this.add(
        'cable',
        id,
        {
          ...at,
          labor: drilled ? feet : { cableStart: 1, ...feet },
          hands: lengthFt >= LONG_FT ? 2 : 1,
          dead: this.open ? [] : [...new Set(ends.flatMap(this.dead))],
        },
        [...set, drilled],
      );
      for (const box of [from, to]) this.pulled.set(box, [...(this.pulled.get(box) ?? []), task]);
    }
  }

  /** From the far end toward the panel; then what is in the box is landed and folded in, or it is covered. */
  private madeUp(box: string): void {
    const { splices, caps, devices } = inBox(this.plan.wiring, box);
    const last = this.visit(3);
    const farther = this.neighbors(box).flatMap((other) =>
      this.hopsTo(other) > this.hopsTo(box) ? (this.made.get(other) ?? []) : [],
    );
    const offs = this.old.includes(box) ? this.offsOf(this.circuitsIn(box)) : [];
    const before = [this.ready.get(box), ...offs, ...(this.pulled.get(box) ?? []), ...farther];
    const joints = splices.length + caps.length;
    const at = { place: box, dead: this.dead(box) };
    if (joints > 0) {
      const visit = this.old.includes(box) ? last : this.visit(2);
      this.made.set(box, this.add('make up', box, { ...at, visit, labor: { splice: joints } }, before));
    }
    const own = this.bill.devices.filter(({ device }) => device.box === box);
    const deviceChanged = own.filter(({ instead }) => instead).length;
    const mounted = { deviceChanged, deviceNew: own.length - deviceChanged };
    const labor = own.length > 0 ? mounted : { plate: 1 };
    const does = devices.length > 0 ? 'mount' : 'cover';
    this.closed.set(box, this.add(does, box, { ...at, visit: last, labor }, [this.made.get(box), ...before]));
  }

  /** At the panel last; dead tests, on, live tests, the directory. */
  private putOn(group: readonly string[]): void {
    const here = this.boxes.filter((box) => group.some((id) => this.circuitsIn(box).has(id)));
    const homes = [...new Set(group.flatMap(this.homesOf))];
    const breakers = this.bill.breakers.filter(({ circuit }) => group.includes(circuit.id));
    if (here.length + homes.length + breakers.length === 0) return;
    const circuits = group.map(this.number);
    const of = circuits.join(' ');
    const offs = this.offsOf(group);
    const done = here.map((box) => this.closed.get(box));
    const about = { visit: this.visit(3), circuits };
    const atPanel = { ...about, place: PANEL, qualified: true };
    const dead = circuits;
    const landed =
      homes.length > 0
        ? this.add('land', of, { ...atPanel, dead, labor: { panelLanding: homes.length } }, [
            ...done,
            ...offs,
            ...homes.map((cable) => taskId('cable', cable)),
          ])
        : null;
    const changed =
      breakers.length > 0
        ? this.add('breaker', of, { ...atPanel, dead, labor: { breaker: breakers.length } }, offs)
        : null;
    const atBox = { ...about, place: here.at(-1) ?? PANEL };
    const proved = this.add('dead test', of, { ...atBox, dead, labor: { deadTest: 1 } }, [
      ...done,
      ...offs,
      landed,
      changed,
    ]);
    const on = this.add('on', of, { ...atPanel, labor: { breakerOn: 1 } }, [proved]);
    const parts = this.partsOn(group, here);
    const live =
      parts > 0
        ? this.add('live test', of, { ...atBox, qualified: true, labor: { liveTest: parts } }, [on])
        : on;
    for (const box of here) this.tested.set(box, [...(this.tested.get(box) ?? []), live]);
    this.add('label', of, { ...about, place: PANEL, labor: { label: 1 } }, [live]);
  }

  private wasThere = (box: string): boolean =>
    this.plan.job.boxes.some(({ id, existing }) => id === box && existing);
  private farFirst = (a: string, b: string): number => this.hopsTo(b) - this.hopsTo(a) || (a < b ? -1 : 1);
  private hopsTo = (box: string): number => this.far.get(box) ?? 0;
  /** In what visit something is done: all in the first where the walls are finished. */
  private visit = (open: 1 | 2 | 3): 1 | 2 | 3 => (this.open ? open : 1);
  private number = (circuit: string): string => this.circuit(circuit).number;
  private offsOf = (circuits: Iterable<string>) => [...circuits].map((one) => this.off.get(one));
  /** Numbers of what is off while something is done in a box. */
  private dead = (box: string): readonly string[] =>
    this.old.includes(box)
      ? [...this.circuitsIn(box)].filter((one) => this.off.has(one)).map(this.number)
      : [];

  private circuit = (id: string): Circuit =>
    sure(
      this.plan.job.circuits.find((one) => one.id === id),
      'circuit of the job',
    );

  private circuitsIn = (box: string): ReadonlySet<string> => circuitsOf(inBox(this.plan.wiring, box).cables);

  /** New cables that bring a circuit from the panel. */
  private homesOf = (circuit: string): readonly string[] =>
    this.cables.flatMap((cable) =>
      isHome(cable) && !cable.cord && cable.conductors.some((one) => one.circuit === circuit)
        ? [cable.id]
        : [],
    );

  private neighbors = (box: string): readonly string[] =>
    this.plan.wiring.cables.flatMap(({ from, to }) => (from === box ? [to] : to === box ? [from] : []));

  /** Halves of outlets and lights that a group feeds in some boxes. */
  private partsOn = (group: readonly string[], boxes: readonly string[]): number =>
    this.plan.job.devices
      .filter(({ box }) => boxes.includes(box))
      .flatMap(({ wants }) => Object.values(wants))
      .filter((want) => want.does === 'power' && group.includes(want.circuit)).length;
}
