import { capitalize } from '../../base/capitalize';
import { deviceKind, wishKind, type DeviceKind } from '../../trade/devices';
import { groupBy } from '../../base/group-by';
import { placeName } from '../../job/model/called';
import type { Box, Device } from '../../job/model/design';
import { DEVICE_COLOR_NAME, MARK_NAME } from '../../job/model/place-names';
import type { Drawable } from '../../wiring/plan';
import { BOXES } from '../../trade/standards/boxes';
import { FAMILY_NAME } from '../../trade/standards/names';
import { BOX_USD, DEVICE_USD, PIECE_USD } from '../../trade/standards/prices';
import { say } from '../../base/words/takeoff';
import type { Bill } from './bill';
import { boxKey, deviceKey, inColor } from './keys';
import type { Taken, TakeOffLine } from './line';

/** New boxes, and rings on them. */
export function boxLines({ job }: Drawable, { boxes }: Bill): Taken[] {
  return boxes.flatMap(({ box }): Taken[] => {
    const because = capitalize(placeName(job, box.id));
    const row = BOXES.find(
      ({ family, gangs, volumeIn3 }) =>
        family === box.family && gangs === box.gangs && volumeIn3 === box.volumeIn3,
    );
    return [
      {
        key: boxKey(box),
        aisle: 'boxes',
        name: capitalize(row?.name ?? boxName(box)),
        usd: BOX_USD[box.family],
        because,
      },
      ...(box.ringIn3 > 0
        ? [
            {
              key: `ring ${box.ringIn3}`,
              aisle: 'boxes' as const,
              name: say('list.ring', { volume: box.ringIn3 }),
              usd: PIECE_USD.ring,
              because,
            },
          ]
        : []),
    ];
  });
}

/** A device as it is bought: by what it is wired as, its rating and its marks; what goes over it is bought apart. */
export function boughtAs(device: Device, { devices }: Pick<Drawable['wiring'], 'devices'>) {
  const wired = devices.find(({ id }) => id === device.id)?.kind;
  const kind = wired === undefined ? wishKind(device.kind) : deviceKind(wired);
  const marks = kind.receptacle ? device.marks.filter((mark) => !isCover(mark)) : [];
  return { kind, marks, ...colored(deviceKey(kind.id, device, marks), device.color) };
}

/** New devices; what goes over one is a thing of its own. */
export function deviceLines({ job, wiring }: Drawable, { devices }: Bill): Taken[] {
  return devices.flatMap(({ device }): Taken[] => {
    const because = capitalize(placeName(job, device.box));
    const { kind, key, like, marks } = boughtAs(device, wiring);
    const covers = kind.receptacle ? device.marks.filter(isCover) : [];
    return [
      {
        key,
        like,
        aisle: 'devices',
        name: capitalize(
          say('list.device', {
            kind: kind.name,
            rating: device.ratingA,
            marks: [
              ...marks.map((mark) => MARK_NAME[mark]),
              ...(device.color === null ? [] : [DEVICE_COLOR_NAME[device.color]]),
            ]
              .map((one) => `, ${one}`)
              .join(''),
          }),
        ),
        usd: DEVICE_USD[device.kind],
        because,
      },
      ...covers.map((cover): Taken => ({
        key: `cover ${cover}`,
        aisle: 'plates',
        name: capitalize(MARK_NAME[cover]),
        usd: cover === 'in-use cover' ? PIECE_USD.inUseCover : PIECE_USD.dampCover,
        because,
      })),
    ];
  });
}

/** Its key, and that of the same thing in the color of the house. */
const colored = (key: string, color: Device['color']): Pick<TakeOffLine, 'key' | 'like'> => ({
  key: inColor(key, color),
  like: color === null ? null : key,
});

type Mark = Device['marks'][number];
const isCover = (mark: Mark): mark is 'in-use cover' | 'damp cover' =>
  mark === 'in-use cover' || mark === 'damp cover';

const isRound = ({ family }: Box): boolean => family === 'ceiling' || family === 'metal octagon';

const boxName = (box: Box): string =>
  isRound(box)
    ? say('list.boxRound', { family: FAMILY_NAME[box.family], volume: box.volumeIn3 })
    : say('list.boxPlain', { family: FAMILY_NAME[box.family], gangs: box.gangs, volume: box.volumeIn3 });

export type Opening = 'duplex' | 'toggle' | 'decorator' | 'single' | 'blank';

/** What opening a device wants in its plate. Common practice. */
function openingOf(kind: DeviceKind): Opening {
  if (kind.protection || kind.dims || kind.electronic || kind.radio) return 'decorator';
  if (kind.singleOutlet) return 'single';
  return kind.receptacle ? 'duplex' : 'toggle';
}

/** Plates and blank covers of the boxes that get one: those that are new, or hold another device than before. */
export function plateLines(
  { job }: Drawable,
  fresh: ReadonlySet<string>,
  touched: ReadonlySet<string>,
): Taken[] {
  const plate = ({ id }: Box, key: string, name: string, color: Device['color'] = null): Taken => ({
    ...colored(key, color),
    aisle: 'plates',
    name: color === null ? name : `${name}, ${DEVICE_COLOR_NAME[color]}`,
    usd: PIECE_USD.plate,
    because: capitalize(placeName(job, id)),
  });
  const devices = groupBy(job.devices, ({ box }) => [box]);
  return job.boxes.flatMap((box): Taken[] => {
    const own = devices.get(box.id) ?? [];
    const changed = own.some(({ was }) => !was) || fresh.has(box.id);
    if (!touched.has(box.id) || !changed || box.closed) return [];
    // An in-use or damp cover is its own plate.
    if (own.some(({ kind, marks }) => wishKind(kind).receptacle && marks.some(isCover))) return [];
    const yokes = own.filter(({ kind }) => wishKind(kind).yoke);
    if (isRound(box) || (yokes.length === 0 && own.length > 0)) {
      if (own.length > 0) return [];
      const name = say('list.cover', { family: FAMILY_NAME[box.family] });
      return [plate(box, `cover ${box.family}`, name)];
    }
    const openings = Array.from({ length: box.gangs }, (_, gang): Opening => {
      const device: Device | undefined = yokes.find((one) => one.gang === gang);
      return device ? openingOf(wishKind(device.kind)) : 'blank';
    });
    const name = say('list.plate', {
      gangs: box.gangs,
      openings: openings.map((opening) => say('list.opening', { opening })).join(' + '),
    });
    // A plate has the color of what looks through it, where that is one color.
    const [color = null, ...others] = new Set(yokes.map((one) => one.color));
    return [plate(box, `plate ${openings.join(' ')}`, name, others.length === 0 ? color : null)];
  });
}
