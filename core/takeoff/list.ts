import { capitalize } from '../capitalize';
import { deviceKind, wishKind, type DeviceKind } from '../devices';
import { sure } from '../sure';
import { groupBy } from '../group-by';
import { placeName } from '../layout/names';
import { colorName } from '../makeup/cable-names';
import { connectorOf } from '../makeup/splice-steps';
import { PANEL, type Box, type Design, type Device } from '../model/design';
import { boxGroundId, type WiredCable } from '../model/wiring';
import type { Drawable } from '../plan';
import { BOXES, isMetal } from '../standards/boxes';
import {
  ALLOWANCE_IN,
  FIRST_STAPLE_FT,
  FRAMING_EDGE_IN,
  staplesAlong,
  WASTE_PERCENT,
} from '../standards/cable-run';
import {
  BOX_USD,
  BREAKER_USD,
  cableUsdPerFt,
  DEVICE_USD,
  PIECE_USD,
  TIE_USD,
  WIRE_USD_PER_FT,
} from '../standards/prices';
import { say } from '../words/takeoff';
import { MARK_NAME } from '../model/place-names';
import { FAMILY_NAME } from '../standards/names';
import { billOf, pigtailsOf, type Bill } from './bill';

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
  /**
   * Dollars for one until the shop says its own, as written: an example. Invented figures. Null for lights and fans, which are
   * the customer's until the shop has a price for them.
   */
  readonly example: string | null;
  readonly because: readonly string[];
}

/** How much more cable is cut than lies along the route. Common practice; a shop has its own. */
export interface Allowances {
  /** Inside the box and as slack before it, at each end, in. */
  readonly boxIn: number;
  readonly slackIn: number;
  /** At the panel, in place of both: along its side to the farthest breaker and the bars, in. */
  readonly panelIn: number;
  readonly wastePercent: number;
  readonly rollFt: number;
}
export const ALLOWANCES: Allowances = {
  boxIn: ALLOWANCE_IN.inside,
  slackIn: ALLOWANCE_IN.slack,
  panelIn: ALLOWANCE_IN.panel,
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
    line: Pick<TakeOffLine, 'key' | 'aisle' | 'name'> & {
      readonly usd: number | null;
      readonly need?: number;
    },
    because: string,
  ) => {
    const { usd, need = 1, ...own } = line;
    const known = lines.get(line.key);
    if (known) {
      known.need += need;
      known.because = [...known.because, because];
    } else
      lines.set(line.key, {
        ...own,
        need,
        example: usd === null ? null : written(usd),
        unit: 'each',
        because: [because],
      });
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
    // A cover that goes over it is a thing of its own.
    const covers = kind.receptacle ? device.marks.filter(isCover) : [];
    const marks = kind.receptacle ? device.marks.filter((mark) => !isCover(mark)) : [];
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
        // Lights and fans are the customer's.
        usd: DEVICE_USD[device.kind] || null,
      },
      place(device.box),
    );
    for (const cover of covers)
      add(
        {
          key: `cover ${cover}`,
          aisle: 'plates',
          name: capitalize(MARK_NAME[cover]),
          usd: cover === 'in-use cover' ? PIECE_USD.inUseCover : PIECE_USD.dampCover,
        },
        place(device.box),
      );
  }
  for (const line of metalBoxLines(plan, bill, touched)) add(line, line.because);
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
  for (const line of wireLines(plan, touched, place)) lines.set(line.key, line);
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

type Mark = Device['marks'][number];
const isCover = (mark: Mark): mark is 'in-use cover' | 'damp cover' =>
  mark === 'in-use cover' || mark === 'damp cover';

/** What a box of metal takes: a connector for each cable that has no clamp in it, and a green screw where it is bonded. */
function metalBoxLines({ job, wiring }: Drawable, bill: Bill, touched: ReadonlySet<string>) {
  const fresh = new Set(bill.boxes.map(({ box }) => box.id));
  return job.boxes.flatMap((box) => {
    if (!touched.has(box.id) || !isMetal(box.family)) return [];
    const name = capitalize(placeName(job, box.id));
    const entering = wiring.cables.filter(
      ({ from, to, existing }) => (from === box.id || to === box.id) && (fresh.has(box.id) || !existing),
    ).length;
    const bonded = fresh.has(box.id) && wiring.tails.some(({ to }) => to === boxGroundId(box.id));
    return [
      ...(box.internalClamps || entering === 0
        ? []
        : [
            {
              key: 'cable connector',
              aisle: 'fastening' as const,
              name: say('list.cableConnector'),
              usd: PIECE_USD.cableConnector,
              need: entering,
              because: say('list.cableConnectorWhy', { box: name, count: entering }),
            },
          ]),
      ...(bonded
        ? [
            {
              key: 'ground screw',
              aisle: 'fastening' as const,
              name: say('list.groundScrew'),
              usd: PIECE_USD.groundScrew,
              need: 1,
              because: name,
            },
          ]
        : []),
    ];
  });
}

/** Wire for pigtails and jumpers, by the foot: what is cut in the boxes that are worked on. */
function wireLines(
  { wiring }: Drawable,
  touched: ReadonlySet<string>,
  place: (id: string) => string,
): TakeOffLine[] {
  const cut = pigtailsOf(wiring).filter(({ box, uncut }) => uncut === null && touched.has(box));
  return [...groupBy(cut, ({ gauge, insulation }) => [`wire ${gauge} ${insulation}`])].map(
    ([key, own]): TakeOffLine => {
      const { gauge, insulation } = sure(own[0], 'a pigtail');
      const inches = own.reduce((sum, { lengthIn }) => sum + lengthIn, 0);
      return {
        key,
        aisle: 'connectors',
        name: say('list.wire', { gauge, color: colorName(insulation) }),
        unit: 'ft',
        need: Math.ceil(inches / 12 - 1e-9),
        example: written(WIRE_USD_PER_FT[gauge]),
        because: [...groupBy(own, ({ box }) => [box])].map(([box, here]) =>
          say('list.wireWhy', {
            box: place(box),
            count: here.length,
            inches: here.reduce((sum, { lengthIn }) => sum + lengthIn, 0),
          }),
        ),
      };
    },
  );
}

const written = (usd: number): string => usd.toFixed(4).replace(/\.?0+$/, '');

/** Inches are whole where feet are: sums of them stay exact. */
function cableLines({ job }: Drawable, cables: readonly WiredCable[], by: Allowances): TakeOffLine[] {
  return [...new Set(cables.map(({ type }) => type))].map((type): TakeOffLine => {
    const own = cables.filter((cable) => cable.type === type);
    const boxEndIn = by.boxIn + by.slackIn;
    const endIn = (place: string) => (place === PANEL ? by.panelIn : boxEndIn);
    const cut = own.map(({ from, to, lengthFt }) => lengthFt * 12 + endIn(from) + endIn(to));
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
        ...own.map(({ from, to, lengthFt }, index) => {
          const run = {
            from: capitalize(placeName(job, from)),
            to: capitalize(placeName(job, to)),
            feet: lengthFt,
            boxIn: by.boxIn,
            slackIn: by.slackIn,
            total: rounded(cut[index] ?? 0),
          };
          return from === PANEL || to === PANEL
            ? say('list.cableFromPanel', { ...run, panelIn: by.panelIn })
            : say('list.cableRun', run);
        }),
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
    // An in-use or damp cover is its own plate.
    if (own.some(({ kind, marks }) => wishKind(kind).receptacle && marks.some(isCover))) return [];
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
