import fc from 'fast-check';
import { wishKind, type WishKind } from '../trade/devices';
import { Design, type Device } from '../job/model/design';
import { CABLE_TYPES } from '../trade/standards/cables';
import { planJob, type Plan } from '../wiring/plan';
import { sure } from '../base/sure';

const outlets = [
  'none',
  'duplex',
  'duplex',
  'single',
  'gfci',
  'dual-function',
  'combination',
  'combination-gfci',
] as const;
const fixtures = ['none', 'none', 'luminaire', 'fan-light', 'radio-receiver'] as const;
const switches = ['switch', 'switch', 'switch', 'electronic-switch', 'illuminated-switch', 'dimmer'] as const;

const boxDraw = fc.record({
  parent: fc.nat(),
  existing: fc.constantFrom(null, null, null, '2', '3', '2-2'),
  lengthFt: fc.integer({ min: 3, max: 80 }),
  metal: fc.boolean(),
  closed: fc.integer({ min: 0, max: 9 }).map((draw) => draw === 0),
  outlet: fc.constantFrom(...outlets),
  fixture: fc.constantFrom(...fixtures),
  /** Which group controls each part, which circuit feeds it, and whether some LOAD side does. */
  wants: fc.array(
    fc.record({ group: fc.option(fc.nat(3)), circuit: fc.nat(1), via: fc.option(fc.nat(), { freq: 2 }) }),
    {
      minLength: 3,
      maxLength: 3,
    },
  ),
  switches: fc.array(fc.record({ kind: fc.constantFrom(...switches), group: fc.nat(3) }), { maxLength: 2 }),
});
type BoxDraw = typeof boxDraw extends fc.Arbitrary<infer Draw> ? Draw : never;

const jobDraw = fc.record({
  /** Wild jobs keep every draw; tame ones ask for what could be meant, so that most of them compile. */
  wild: fc.constantFrom(false, false, false, true),
  boxes: fc.array(boxDraw, { minLength: 1, maxLength: 7 }),
  groups: fc.integer({ min: 1, max: 3 }),
  circuits: fc.constantFrom('one', 'two', 'multiwire'),
  feed: fc.nat(),
  breakerA: fc.constantFrom(15 as const, 20 as const),
  protection: fc.constantFrom('none', 'none', 'gfci', 'dual'),
  habits: fc.record({
    runColors: fc.constantFrom('red switched' as const, 'red constant' as const),
    neutralAtSwitches: fc.constantFrom('always' as const, 'where asked' as const),
    lineScrew: fc.constantFrom('lower' as const, 'upper' as const),
    midRun: fc.constantFrom('pigtail' as const, 'feed-through' as const),
    grounds: fc.constantFrom('tails' as const, 'folded' as const),
    connectors: fc.constantFrom('lever' as const, 'twist-on' as const),
  }),
});
type JobDraw = typeof jobDraw extends fc.Arbitrary<infer Draw> ? Draw : never;

/**
 * Random jobs over every device and net: trees of boxes, the feed anywhere, one circuit, two, or a multiwire pair,
 * wishes at random, loads behind LOAD terminals, old and new cable, boxes that stay closed.
 */
export const anyJob: fc.Arbitrary<Design> = jobDraw.map(drawJob);

/** Plans of those that are not refused: as many as a law asks for. */
export const anyPlan: fc.Arbitrary<Plan> = anyJob
  .map((job) => planJob(job))
  .filter(({ ok }) => ok)
  .map((outcome) => sure(outcome.ok ? outcome.plan : undefined, 'a plan'));

function drawJob(draw: JobDraw): Design {
  const { breakerA } = draw;
  const boxes = draw.wild ? draw.boxes : draw.boxes.map(tame);
  // Two circuits: boxes before `split` are a tree of their own. Otherwise all boxes are one tree.
  const split = draw.circuits === 'two' && boxes.length > 3 ? Math.floor(boxes.length / 2) : boxes.length;
  const root = (index: number) => (index < split ? 0 : split);
  const circuitOf = (index: number, pick: number) =>
    draw.circuits === 'multiwire' ? (pick % 2 === 0 ? 'c' : 'd') : index < split ? 'c' : 'd';
  const circuit = (id: string, number: string, leg: 'A' | 'B', partner: string) => ({
    id,
    number,
    breakerA,
    leg,
    protection: draw.protection,
    ...(draw.circuits === 'multiwire' ? { multiwireWith: partner, tiedWith: partner } : {}),
  });
  const drawn = boxes.flatMap((box, index) => drawDevices(draw, box, index, circuitOf, split));
  const devices = draw.wild ? drawn : tameDevices(drawn);
  return Design.parse({
    id: 'random',
    name: 'Random job',
    edition: '2020',
    circuits: [circuit('c', '1', 'A', 'd'), circuit('d', '2', 'B', 'c')],
    boxes: boxes.map((box, index) => ({
      id: `b${index}`,
      name: `Box ${index}`,
      family: box.metal ? 'metal square' : 'nail-on',
      gangs: 4,
      volumeIn3: 42,
      closed: box.closed,
    })),
    runs: boxes.flatMap((box, index) => drawRuns(draw, box, index, root, split)),
    devices: withVia(devices, boxes),
    groups: Array.from({ length: draw.groups }, (_, pick) => ['c', 'd'].map((one) => `g${pick}${one}`))
      .flat()
      .map((id) => ({ id, name: id })),
    habits: draw.habits,
  });
}

/** Closed boxes would ask for old cable all round: most jobs do without. */
const tame = (box: BoxDraw): BoxDraw => ({ ...box, closed: box.closed && box.existing !== null });

/** Keeps only controls that some switch has, on the circuit of the first thing it controls, and no LOAD side. */
function tameDevices(devices: readonly DrawnDevice[]): DrawnDevice[] {
  const places = new Map<string, number>();
  const single = new Set(['combination', 'combination-gfci', 'radio-receiver']);
  const kept = devices.filter(({ kind, wants }) => {
    for (const want of Object.values(wants)) {
      if (want.does !== 'control') continue;
      const before = places.get(want.group) ?? 0;
      if (before > 0 && (single.has(kind) || before > 9)) return false;
      places.set(want.group, single.has(kind) ? 10 : before + 1);
    }
    return true;
  });
  const circuits = new Map<string, string>();
  return kept.map((device) => ({
    ...device,
    wants: Object.fromEntries(
      Object.entries(device.wants).map(([part, want]) => {
        if (want.does === 'control' || want.control === null) return [part, want];
        if (!places.has(want.control)) return [part, { ...want, control: null }];
        const circuit = circuits.get(want.control) ?? want.circuit;
        circuits.set(want.control, circuit);
        return [part, { ...want, circuit, via: null }];
      }),
    ),
  }));
}

interface DrawnDevice {
  id: string;
  box: string;
  gang: number;
  kind: WishKind;
  wants: Record<
    string,
    | { does: 'power'; circuit: string; control: string | null; via?: string | null }
    | { does: 'control'; group: string }
  >;
}

function drawDevices(
  draw: JobDraw,
  box: BoxDraw,
  index: number,
  circuitOf: (index: number, pick: number) => string,
  split: number,
): DrawnDevice[] {
  if (box.closed) return [];
  const devices: DrawnDevice[] = [];
  const group = (pick: number) => `g${pick % draw.groups}${index < split ? 'c' : 'd'}`;
  const put = (kind: WishKind, handle: number) => {
    const wants: DrawnDevice['wants'] = {};
    wishKind(kind).parts.forEach((part, slot) => {
      const want = box.wants[slot] ?? { group: null, circuit: 0 };
      wants[part.id] =
        part.does === 'control'
          ? { does: 'control', group: group(handle) }
          : {
              does: 'power',
              circuit: circuitOf(index, want.circuit),
              control: want.group === null ? null : group(want.group),
            };
    });
    devices.push({ id: `b${index}-${devices.length}`, box: `b${index}`, gang: devices.length, kind, wants });
  };
  if (box.outlet !== 'none') put(box.outlet, index);
  if (box.fixture !== 'none') put(box.fixture, index + 1);
  for (const one of box.switches) put(one.kind, one.group);
  return devices;
}

/** Lets some parts hang on a LOAD side, now that all protecting devices are known. */
function withVia(devices: readonly DrawnDevice[], boxes: readonly BoxDraw[]): DrawnDevice[] {
  const protecting = devices.filter(({ kind }) => wishKind(kind).protection);
  return devices.map((device) => {
    const box = boxes[Number(device.box.slice(1))];
    const wants = Object.entries(device.wants).map(([part, want], slot) => {
      const pick = box?.wants[slot]?.via ?? null;
      const via = pick === null ? undefined : protecting[pick % Math.max(protecting.length, 1)];
      const free =
        want.does === 'power' && want.via === undefined && via !== undefined && via.id !== device.id;
      return [part, free ? { ...want, via: via.id } : want];
    });
    return { ...device, wants: Object.fromEntries(wants) as Device['wants'] };
  });
}

function drawRuns(
  draw: JobDraw,
  box: BoxDraw,
  index: number,
  root: (index: number) => number,
  split: number,
) {
  const gauge = draw.breakerA === 15 ? 14 : 12;
  const own = root(index);
  const size = own === 0 ? split : draw.boxes.length - split;
  const runs: unknown[] = [];
  if (index !== own) {
    const type = CABLE_TYPES.find((one) => one === `${gauge}-${box.existing}`) ?? null;
    runs.push({
      id: `r${index}`,
      from: `b${own + (box.parent % (index - own))}`,
      to: `b${index}`,
      lengthFt: box.lengthFt,
      existing: type,
    });
  }
  if (index === own + (draw.feed % size)) {
    const circuits = draw.circuits === 'multiwire' ? ['c', 'd'] : [index < split ? 'c' : 'd'];
    runs.push({ id: `feed${index}`, from: 'panel', to: `b${index}`, lengthFt: box.lengthFt, circuits });
  }
  return runs;
}
