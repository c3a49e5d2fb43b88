import { freshId, type DesignCommand } from '../../job/commands/command';
import { wishKind } from '../../trade/devices';
import { placeName } from '../../job/model/called';
import { circuitTrees } from '../../job/model/trees';
import { isHome, Circuit, PANEL, type Box, type Device, type Design } from '../../job/model/design';
import { ownCircuit } from '../../power/load/own-circuit';
import { roomOf } from '../../job/model/room-of';
import { carried, isConstant, isSamePlace, isSwitch, type Wish } from './wish';
import { say } from '../../base/words/options';

const COMBINATION = say('ways.combinationDevice');

/** A way to try: commands on the job without the outlet that is wished for. */
export interface Way {
  readonly way: string;
  readonly says: string;
  readonly commands: readonly DesignCommand[];
}

/** Typical lengths of a run, ft: to a box beside or below, and from the panel. Common practice, roughly. */
const BESIDE_FT = 4;
const PANEL_FT = 45;

/** A way before the wish is carried along in it; that is done when it is tried. */
export interface Idea {
  readonly way: Way;
  readonly wish: Wish;
}

/**
 * Every way to think of for an outlet that keeps its wish: which box it hangs on, in what kind of device or box, by
 * which cable; the simplest first, of these those from boxes that the circuit is in, the nearest first. What compiles and
 * what is worth anything is found by trying, not here.
 */
export function waysFor(job: Design, base: Design, wish: Wish): Idea[] {
  const room = roomOf(wish.stood);
  const reached = circuitTrees(base).get(wish.halves[0].circuit)?.parents;
  const near = (box: Box) =>
    (reached?.has(box.id) ? 0 : 3) +
    (box.id === wish.outlet.box ? 0 : room !== null && roomOf(box) === room ? 1 : 2);
  const ways = base.boxes
    .filter(({ closed }) => !closed)
    .sort((a, b) => near(a) - near(b))
    .flatMap((box) => [...inBox(base, box, wish), ...nearBox(base, box, wish, runFt(job, base, box, wish))]);
  const ideas = [...ways.map((way): Idea => ({ way, wish })), ...fromPanel(base, wish)];
  return ideas.sort((a, b) => a.way.commands.length - b.way.commands.length);
}

/** The way with the wish carried along; null where it cannot be done. */
export function carriedWay(base: Design, { way, wish }: Idea): Way | null {
  const commands = carried(base, wish, way.commands);
  return commands && { ...way, commands };
}

/**
 * How long a cable from a box to the outlet may be, where it is not measured: what was said of the run between them,
 * else half the way round each room that it passes (common practice, roughly).
 */
function runFt(job: Design, base: Design, box: Box, { outlet, stood }: Wish): number {
  if (box.id === outlet.box) return BESIDE_FT;
  const said = job.runs.find(
    ({ from, to }) => (from === box.id && to === outlet.box) || (to === box.id && from === outlet.box),
  );
  if (said) return said.lengthFt;
  const rooms = new Set([roomOf(box), roomOf(stood)]);
  return [...rooms].reduce((sum, room) => sum + acrossFt(base, room), 0);
}

/** Half the way round a room of some 12 by 14 ft, where nothing is known of it. */
const ROOM_FT = 26;
function acrossFt(base: Design, id: string | null): number {
  const walls = base.rooms.find((room) => room.id === id)?.wallsFt ?? [];
  return walls.length < 3 ? ROOM_FT : Math.round(walls.reduce((sum, wall) => sum + wall, 0) / 2);
}

/**
 * A run of its own from the panel: the circuit's first one, or else a new circuit with a breaker of its own; a second
 * cable is never put under the breaker that is there.
 */
function fromPanel(base: Design, wish: Wish): Idea[] {
  const [upper, lowerHalf] = wish.halves;
  const circuit = base.circuits.find(({ id }) => id === upper.circuit);
  if (!circuit || lowerHalf.circuit !== upper.circuit) return [];
  const fed = base.runs.some(
    (run) => isHome(run) && (run.circuits === undefined || run.circuits.includes(circuit.id)),
  );
  // What the place asks for: a bath, a counter, a laundry, a garage has a 20 A circuit of its own kind.
  const needs = ownCircuit(roomKind(base, wish));
  const right = needs === null || (circuit.serves === needs && circuit.breakerA >= 20);
  if (!fed && right) {
    return [
      {
        way: {
          way: say('ways.fromPanel'),
          says: say('ways.fedStraightFromPanel', { newBoxAt: newBoxAt(wish) }),
          commands: newBox(PANEL, wish, PANEL_FT),
        },
        wish,
      },
    ];
  }
  const number = String(
    base.circuits.reduce((most, one) => Math.max(most, Number.parseInt(one.number, 10) || 0), 0) + 2,
  );
  const fresh = Circuit.parse({
    id: freshId(base.circuits, `circuit ${number}`),
    number,
    breakerA: needs !== null || wish.outlet.ratingA === 20 ? 20 : circuit.breakerA,
    leg: circuit.leg,
    serves: needs ?? circuit.serves,
    fresh: true,
  });
  const own = (half: Wish['halves'][number]) => ({ ...half, circuit: fresh.id, via: null });
  const moved: Wish = {
    ...wish,
    halves: upper === lowerHalf ? twice(own(upper)) : [own(upper), own(lowerHalf)],
  };
  return [
    {
      way: {
        way: say('ways.newCircuit'),
        says: say('ways.newCircuitFromPanel', { newBoxAt: newBoxAt(wish), breakerA: fresh.breakerA }),
        commands: [{ do: 'add circuit', circuit: fresh }, ...newBox(PANEL, moved, PANEL_FT)],
      },
      wish: moved,
    },
  ];
}

const roomKind = (base: Design, { stood }: Wish) =>
  base.rooms.find(({ id }) => id === roomOf(stood))?.kind ?? 'other';

const twice = <T>(one: T): readonly [T, T] => [one, one];

const outletOf = ({ halves: [upper, lower] }: Wish) =>
  ({ holds: 'outlet', circuit: upper.circuit, group: lower.control ?? upper.control }) as const;

const newBoxAt = ({ place }: Wish): string =>
  place ? say('ways.newBox', { place: place.name }) : say('ways.newBoxName');

const newBox = (from: string, wish: Wish, lengthFt: number): DesignCommand[] => [
  { do: 'add box', from, name: wish.place?.name ?? say('ways.newOutlet'), lengthFt, ...outletOf(wish) },
];

/** In a box that is there: only where the outlet would still be in the room, and in the air, it was wished in. */
function inBox(job: Design, box: Box, wish: Wish): Way[] {
  if (!isSamePlace(job, box, wish)) return [];
  const own = job.devices.filter((one) => one.box === box.id);
  const name = placeName(job, box.id);
  const ways: Way[] = [];
  const yokes = own.filter(({ kind }) => wishKind(kind).yoke);
  const [only] = yokes;
  const beside = only && isSwitch(only) ? say('ways.switchReceptacle') : say('ways.twoDevices');
  if (only && yokes.length === 1 && isSwitch(only) && isConstant(wish)) {
    for (const kind of ['combination', 'combination-gfci'] as const) {
      ways.push({
        way: COMBINATION,
        says: say('ways.combinationInBox', {
          protection: Boolean(wishKind(kind).protection),
          name,
        }),
        commands: [{ do: 'set kind', device: only.id, kind }],
      });
    }
  }
  if (own.length === 0) {
    ways.push({
      way: say('ways.box'),
      says: say('ways.outletBox', { name }),
      commands: [{ do: 'add device', box: box.id, ...outletOf(wish) }],
    });
  }
  if (yokes.length > 0 && yokes.length < 4 && own.every(({ kind }) => wishKind(kind).yoke)) {
    const gangs = Math.min(yokes.length + 1, 4);
    const larger: DesignCommand[] =
      box.gangs >= gangs
        ? []
        : [
            {
              do: 'set box',
              box: box.id,
              change: {
                gangs,
                family: box.existing ? 'cut-in' : box.family,
                volumeIn3: gangs === 2 ? 34 : gangs === 3 ? 48 : 62,
              },
            },
          ];
    ways.push({
      way: gangs === 2 ? say('ways.twoGangWay') : say('ways.oneGangMore'),
      says: say('ways.boxForBoth', {
        gangs: gangs === 2 ? say('ways.twoGang') : say('ways.gangs', { gangs }),
        name,
        devices: gangs === 2 ? beside : say('ways.receptacle'),
      }),
      commands: [...larger, { do: 'add device', box: box.id, ...outletOf(wish) }],
    });
  }
  return ways;
}

function nearBox(job: Design, box: Box, wish: Wish, feet: number): Way[] {
  const own = job.devices.filter((one) => one.box === box.id);
  const name = placeName(job, box.id);
  const hasOutlet = own.some(({ kind }) => wishKind(kind).receptacle);
  const hasSwitch = own.some(isSwitch);
  const way = hasOutlet
    ? say('ways.fromNearestReceptacle')
    : hasSwitch
      ? say('ways.newBoxBeside')
      : say('ways.fromAnotherBox');
  const plain: Way = {
    way,
    says: wish.place
      ? say('ways.fedFrom', { newBoxAt: newBoxAt(wish), name })
      : say('ways.newBoxTrueOther', { way: hasSwitch && !hasOutlet, name }),
    commands: newBox(box.id, wish, feet),
  };
  return [plain, ...instead(job, box, own, [...inBox(job, box, wish), plain])];
}

/** Where the cable in the wall does not do: a new one in its place, or a radio switch that frees the pair. */
function instead(job: Design, box: Box, own: readonly Device[], ways: readonly Way[]): Way[] {
  const handle = own.find(isSwitch);
  const loop = job.runs.find(
    ({ existing, from, to }) =>
      existing !== null && from !== PANEL && to !== PANEL && (from === box.id || to === box.id),
  );
  if (!loop || !handle) return [];
  const replaced = ways.map((one) => ({
    way: say('ways.n3WireFromFeed'),
    says: say('ways.newCable', {
      from: placeName(job, loop.from),
      to: placeName(job, loop.to),
      lower: lower(one.says),
    }),
    commands: [{ do: 'set run' as const, run: loop.id, change: { existing: null } }, ...one.commands],
  }));
  const freed = ways
    .filter(({ way }) => way !== COMBINATION)
    .map((one) => ({
      way: say('ways.radioControlledSwitch'),
      says: say('ways.radioSwitchReceiverLight', {
        placeName: placeName(job, box.id),
        lower: lower(one.says),
      }),
      commands: [{ do: 'free the pair' as const, device: handle.id }, ...one.commands],
    }));
  return [...replaced, ...freed];
}

const lower = (says: string): string => says.charAt(0).toLowerCase() + says.slice(1);
