import { capitalize } from '../capitalize';
import { deviceKind, wishKind, type DeviceKind } from '../devices';
import { groupBy } from '../group-by';
import { placeName } from '../layout/names';
import { connectorOf } from '../makeup/splice-steps';
import type { Box, Design, Device } from '../model/design';
import type { WiredCable } from '../model/wiring';
import type { Drawable } from '../plan';
import { BOXES } from '../standards/boxes';
import {
  ALLOWANCE_IN,
  FIRST_STAPLE_FT,
  FRAMING_EDGE_IN,
  staplesAlong,
  WASTE_PERCENT,
} from '../standards/cable-run';
import { BOX_USD, BREAKER_USD, cableUsdPerFt, DEVICE_USD, PIECE_USD, TIE_USD } from '../standards/prices';
import { say } from '../words/takeoff';
import { MARK_NAME } from '../model/place-names';
import { FAMILY_NAME } from '../standards/names';
import { billOf } from './bill';

export const AISLES = ['cable', 'boxes', 'devices', 'plates', 'connectors', 'fastening', 'breakers'] as const;
export type Aisle = (typeof AISLES)[number];

/** What is bought of one thing, with the arithmetic behind it. */
export interface TakeOffLine {
  /** Tells it from every other thing that is bought; the same in every job. */
  readonly key: string;
  readonly aisle: Aisle;
  readonly name: string;
  readonly unit: 'ft' | 'each';
  readonly need: number;
  /** Dollars for one until the shop says its own, as written: an example. Invented figures. */
  readonly example: string;
  readonly because: readonly string[];
}

/** How much more cable is cut than lies along the route. Common practice; a shop has its own. */
export interface Allowances {
  /** Inside the box and as slack before it, at each end, in. */
  readonly boxIn: number;
  readonly slackIn: number;
  readonly wastePercent: number;
  readonly rollFt: number;
}
export const ALLOWANCES: Allowances = {
  boxIn: ALLOWANCE_IN.inside,
  slackIn: ALLOWANCE_IN.slack,
  wastePercent: WASTE_PERCENT,
  rollFt: 250,
};

/** The part of a job that is there already. */
export const existingPart = (job: Design): Design => ({
  ...job,
  boxes: job.boxes.filter(({ existing }) => existing),
  devices: job.devices.filter(({ was }) => was),
  circuits: job.circuits.filter(({ fresh }) => !fresh),
});

/** All that a plan takes beyond what is there, aisle by aisle, in the order of the job. */
export function takeOff(
  plan: Drawable,
  by: Allowances = ALLOWANCES,
  before = existingPart(plan.job),
): TakeOffLine[] {
  const bill = billOf(plan, before);
  const lines = new Map<string, { -readonly [Key in keyof TakeOffLine]: TakeOffLine[Key] }>();
  const add = (
    line: Pick<TakeOffLine, 'key' | 'aisle' | 'name'> & { readonly usd: number; readonly need?: number },
    because: string,
  ) => {
    const { usd, need = 1, ...own } = line;
    const known = lines.get(line.key);
    if (known) {
      known.need += need;
      known.because = [...known.because, because];
    } else lines.set(line.key, { ...own, need, example: written(usd), unit: 'each', because: [because] });
  };
  const { job, wiring } = plan;
  const place = (id: string): string => capitalize(placeName(job, id));
  const cables = bill.cables.map(({ cable }) => cable);
  const touched = new Set([
    ...cables.flatMap(({ from, to }) => [from, to]),
    ...bill.boxes.map(({ box }) => box.id),
    ...bill.devices.map(({ device }) => device.box),
  ]);
  for (const line of cableLines(plan, cables, by)) lines.set(line.key, line);
  for (const { box } of bill.boxes) {
    const row = BOXES.find(
      ({ family, gangs, volumeIn3 }) =>
        family === box.family && gangs === box.gangs && volumeIn3 === box.volumeIn3,
    );
    const key = `box ${box.family} ${box.gangs} ${box.volumeIn3}`;
    add(
      { key, aisle: 'boxes', name: capitalize(row?.name ?? boxName(box)), usd: BOX_USD[box.family] },
      place(box.id),
    );
    if (box.ringIn3 > 0)
      add(
        {
          key: `ring ${box.ringIn3}`,
          aisle: 'boxes',
          name: say('list.ring', { volume: box.ringIn3 }),
          usd: PIECE_USD.ring,
        },
        place(box.id),
      );
  }
  for (const { device } of bill.devices) {
    const wired = wiring.devices.find(({ id }) => id === device.id)?.kind;
    const kind = wired === undefined ? wishKind(device.kind) : deviceKind(wired);
    const marks = kind.receptacle ? device.marks : [];
    add(
      {
        key: ['device', kind.id, device.ratingA, ...marks].join(' '),
        aisle: 'devices',
        name: capitalize(
          say('list.device', {
            kind: kind.name,
            rating: device.ratingA,
            marks: marks.map((mark) => `, ${MARK_NAME[mark]}`).join(''),
          }),
        ),
        usd: DEVICE_USD[device.kind],
      },
      place(device.box),
    );
  }
  for (const [box, plate] of plates(job, new Set(bill.boxes.map(({ box }) => box.id)), touched))
    add({ ...plate, aisle: 'plates', usd: PIECE_USD.plate }, place(box));
  for (const [box, splices] of groupBy(wiring.splices, (splice) => [splice.box])) {
    if (!touched.has(box)) continue;
    for (const [id, own] of groupBy(splices, (splice) => [connectorOf(plan, splice)?.id ?? ''])) {
      const name = job.connectors.find((one) => one.id === id)?.name ?? say('list.noConnector');
      add(
        {
          key: `connector ${id}`,
          aisle: 'connectors',
          name: capitalize(name),
          need: own.length,
          usd: PIECE_USD.connector,
        },
        say('list.connectorWhy', { box: place(box), count: own.length }),
      );
    }
  }
  for (const cable of cables) {
    const run = job.runs.find(({ id }) => id === cable.run);
    const [from, to] = [place(cable.from), place(cable.to)];
    if (run && !run.rough.fished) {
      const count = staplesFor(cable.lengthFt);
      add(
        { key: 'staple', aisle: 'fastening', name: say('list.staple'), need: count, usd: PIECE_USD.staple },
        say('list.stapleRun', { from, to, feet: cable.lengthFt, count }),
      );
    }
    if (run && (run.rough.plate || (run.rough.holeEdgeIn !== null && run.rough.holeEdgeIn < FRAMING_EDGE_IN)))
      add(
        { key: 'nail plate', aisle: 'fastening', name: say('list.nailPlate'), usd: PIECE_USD.nailPlate },
        say('list.nailPlateRun', { from, to }),
      );
  }
  const taped = cables.reduce(
    (sum, { conductors }) => sum + 2 * conductors.filter(({ reidentified }) => reidentified).length,
    0,
  );
  if (taped > 0)
    add(
      { key: 'tape', aisle: 'fastening', name: say('list.tape'), usd: PIECE_USD.tape },
      say('list.tapeWhy', { count: taped }),
    );
  for (const circuit of job.circuits) {
    const changed = bill.breakers.find((one) => one.circuit.id === circuit.id);
    if (circuit.fresh || changed?.protection)
      add(
        {
          key: `breaker ${circuit.breakerA} ${circuit.protection}`,
          aisle: 'breakers',
          name: say('list.breaker', {
            rating: circuit.breakerA,
            protection: circuit.protection,
          }),
          usd: BREAKER_USD[circuit.protection] || PIECE_USD.breaker,
        },
        say('list.breakerWhy', { number: circuit.number }),
      );
    // A tie joins two handles: it is bought once.
    if (changed?.tie && circuit.tiedWith !== null && circuit.id < circuit.tiedWith)
      add(
        { key: 'tie', aisle: 'breakers', name: say('list.tie'), usd: TIE_USD },
        say('list.breakerWhy', { number: circuit.number }),
      );
  }
  return [...lines.values()].sort((a, b) => AISLES.indexOf(a.aisle) - AISLES.indexOf(b.aisle));
}

const written = (usd: number): string => usd.toFixed(4).replace(/\.?0+$/, '');

/** Inches are whole where feet are: sums of them stay exact. */
function cableLines({ job }: Drawable, cables: readonly WiredCable[], by: Allowances): TakeOffLine[] {
  return [...new Set(cables.map(({ type }) => type))].map((type): TakeOffLine => {
    const own = cables.filter((cable) => cable.type === type);
    const endIn = by.boxIn + by.slackIn;
    const cut = own.map(({ lengthFt }) => lengthFt * 12 + 2 * endIn);
    const inches = cut.reduce((sum, one) => sum + one, 0);
    const wasted = (inches * (100 + by.wastePercent)) / 100;
    const feet = Math.ceil(wasted / 12 - 1e-9);
    return {
      key: `cable ${type}`,
      aisle: 'cable',
      name: say('list.cable', { type }),
      unit: 'ft',
      need: feet,
      example: written(cableUsdPerFt(type)),
      because: [
        ...own.map(({ from, to, lengthFt }, index) =>
          say('list.cableRun', {
            from: capitalize(placeName(job, from)),
            to: capitalize(placeName(job, to)),
            feet: lengthFt,
            boxIn: by.boxIn,
            slackIn: by.slackIn,
            total: rounded(cut[index] ?? 0),
          }),
        ),
        say('list.cableSum', {
          inches: rounded(inches),
          waste: by.wastePercent,
          wasted: rounded(wasted),
          feet,
        }),
      ],
    };
  });
}

const rounded = (inches: number): string => String(Math.round(inches * 10) / 10);

/** Staples of a cable; one does where its boxes are so near that the first of each would meet. */
export const staplesFor = (lengthFt: number): number =>
  lengthFt <= 2 * FIRST_STAPLE_FT ? 1 : staplesAlong(lengthFt);

const isRound = ({ family }: Box): boolean => family === 'ceiling' || family === 'metal octagon';

const boxName = (box: Box): string =>
  isRound(box)
    ? say('list.boxRound', { family: FAMILY_NAME[box.family], volume: box.volumeIn3 })
    : say('list.boxPlain', { family: FAMILY_NAME[box.family], gangs: box.gangs, volume: box.volumeIn3 });

export type Opening = 'duplex' | 'toggle' | 'decorator' | 'single' | 'blank';

/** What opening a device wants in its plate. Common practice. */
export function openingOf(kind: DeviceKind): Opening {
  if (kind.protection || kind.dims || kind.electronic || kind.radio) return 'decorator';
  if (kind.singleOutlet) return 'single';
  return kind.receptacle ? 'duplex' : 'toggle';
}

type Plate = Pick<TakeOffLine, 'key' | 'name'>;

/** Plates and blank covers of the boxes that get one: those that are new, or hold another device than before. */
function plates(
  job: Design,
  fresh: ReadonlySet<string>,
  touched: ReadonlySet<string>,
): (readonly [box: string, plate: Plate])[] {
  const devices = groupBy(job.devices, ({ box }) => [box]);
  return job.boxes.flatMap((box): (readonly [string, Plate])[] => {
    const own = devices.get(box.id) ?? [];
    const changed = own.some(({ was }) => !was) || fresh.has(box.id);
    if (!touched.has(box.id) || !changed || box.closed) return [];
    const yokes = own.filter(({ kind }) => wishKind(kind).yoke);
    if (isRound(box) || (yokes.length === 0 && own.length > 0)) {
      if (own.length > 0) return [];
      const name = say('list.cover', { family: FAMILY_NAME[box.family] });
      return [[box.id, { key: `cover ${box.family}`, name }]];
    }
    const openings = Array.from({ length: box.gangs }, (_, gang): Opening => {
      const device: Device | undefined = yokes.find((one) => one.gang === gang);
      return device ? openingOf(wishKind(device.kind)) : 'blank';
    });
    const name = say('list.plate', {
      gangs: box.gangs,
      openings: openings.map((opening) => say('list.opening', { opening })).join(' + '),
    });
    return [[box.id, { key: `plate ${openings.join(' ')}`, name }]];
  });
}

/** Rolls to buy of a cable, and what is left over of them, ft. */
export function rollsOf(feet: number, rollFt: number): { readonly rolls: number; readonly leftFt: number } {
  const rolls = Math.ceil(feet / rollFt);
  return { rolls, leftFt: rolls * rollFt - feet };
}
