import { deviceKind } from '../../trade/devices';
import { colorName, endNames, type CableName } from '../makeup/cable-names';
import { deviceNames, worksOf } from '../makeup/device-names';
import { inBox } from '../../job/model/in-box';
import { PANEL } from '../../job/model/design';
import { endId, type NetRole, type WiredCable } from '../../job/model/wiring';
import type { Drawable } from '../plan';
import { cableRow } from '../../trade/standards/cables';
import { cut, drawDevice, type View } from './bottom-row';
import { placeColumns, type Columns } from './columns';
import { capId, contentsOf, type Contents } from './contents';
import type { BoxDrawing, DrawnCable, DrawnDevice, DrawnSplice } from './drawing';
import {
  ABOVE_WALL,
  BODY_HEIGHT,
  JACKET_HEIGHT,
  LABEL_HEIGHT,
  LANE,
  laneX,
  ROLE_LETTER,
  SPLICE_HEIGHT,
  TITLE_LETTER,
} from './scale';
import { say } from '../../base/words/geometry';
import { heightsOf, Pen } from './pen';

/** Draws one box of a plan: three rows of pins, two channels of wires. Deterministic; throws nothing. */
export function drawBox(
  plan: Drawable,
  box: string,
  how: Partial<Pick<View, 'side' | 'wholePanel' | 'names'>> = {},
): BoxDrawing {
  const view: View = { groundPin: plan.job.habits.groundPin, side: 'front', ...how };
  const contents = contentsOf(plan, box, view);
  const columns = placeColumns(contents);
  const heights = heightsOf(contents, columns, view.wholePanel && box === PANEL);
  const devices = contents.devices.map((device) =>
    drawDevice(
      view,
      device,
      (contents.bottom.bodies.get(device.id) ?? 0) + columns.bodyShift,
      heights.device,
      contents.used,
      worksOf(plan.job, device),
    ),
  );
  const screwY = heights.device + (contents.devices.length > 0 ? BODY_HEIGHT - 10 : 24);
  const screws = contents.screws.map((one) => ({
    ...one,
    at: [laneX(columns.bottom(one.id)), screwY] as const,
  }));
  const pen = new Pen(
    contents,
    columns,
    heights,
    devices,
    screws,
    wireNames(plan, box, how.names, devices, screws),
  );
  const wallTop = LABEL_HEIGHT + ABOVE_WALL;
  return {
    box,
    width: (columns.count + 3) * LANE,
    height: heights.total,
    wall: { x: LANE / 2, y: wallTop, width: (columns.count + 2) * LANE, height: heights.total - wallTop - 6 },
    cables: columns.ordering.cables.flatMap(({ id, ends }) => {
      const cable = contents.cables.find((one) => one.id === id);
      const first = ends[0] ? columns.top(ends[0].end) : 0;
      const name = contents.names.get(id);
      return cable && name ? [drawCable(cable, name, first, ends.length, columns.cell(id) * LANE)] : [];
    }),
    wires: [
      ...contents.cables.flatMap((cable) =>
        cable.conductors.map((conductor) => pen.conductor(cable, conductor, endId(conductor.id, box))),
      ),
      ...contents.tails.map((tail) => pen.tail(tail)),
    ],
    splices: contents.splices.map(({ id, role }) => {
      const count = contents.countOf(id);
      return drawSplice(id, role, count, contents.portsOf(id), columns, contents, heights.splice);
    }),
    caps: contents.caps.map(({ end, bare }) => ({
      end,
      bare,
      at: [laneX(columns.start(capId(end))), heights.splice + 8],
    })),
    devices,
    screws,
  };
}

/** What every wire of a box is called, for ears: no two alike. */
function wireNames(
  plan: Drawable,
  box: string,
  cables: View['names'],
  devices: readonly DrawnDevice[],
  screws: BoxDrawing['screws'],
): ReadonlyMap<string, string> {
  const titles = deviceNames(plan, box);
  const places = new Map<string, string>([
    ...devices.flatMap(({ id, kind, terminals }) =>
      terminals.map(
        (terminal) =>
          [
            terminal.id,
            say('boxDrawing.screwOf', {
              screw: terminal.name,
              device: titles.get(id) ?? deviceKind(kind).name,
            }),
          ] as const,
      ),
    ),
    ...screws.map(({ id, name }) => [id, name] as const),
  ]);
  const taken = new Map<string, number>();
  /** Jumpers between splices of one net are told apart by their number. */
  const own = (name: string): string => {
    const count = (taken.get(name) ?? 0) + 1;
    taken.set(name, count);
    return count === 1 ? name : `${name}, ${count}`;
  };
  return new Map<string, string>([
    ...endNames(plan, box, cables),
    ...inBox(plan.wiring, box).tails.map(({ id, insulation, to, lead }) => {
      const place = places.get(to);
      const color = colorName(insulation);
      return [
        id,
        own(
          place === undefined
            ? lead
              ? say('boxDrawing.lead', { color })
              : say('boxDrawing.jumper', { color })
            : lead
              ? say('boxDrawing.leadTo', { color, place })
              : say('boxDrawing.pigtailTo', { color, place }),
        ),
      ] as const;
    }),
  ]);
}

function drawCable(
  cable: WiredCable,
  { title, role }: CableName,
  first: number,
  count: number,
  width: number,
): DrawnCable {
  return {
    id: cable.id,
    title: cut(title, width, TITLE_LETTER),
    role: cut(role, width, ROLE_LETTER),
    whole: `${title}, ${role}`,
    jacket: cableRow(cable.type).jacket,
    existing: cable.existing,
    x: laneX(first) - LANE * 0.7,
    y: LABEL_HEIGHT,
    width: (count - 1) * LANE + LANE * 1.4,
    height: JACKET_HEIGHT,
    label: [laneX(first) + ((count - 1) * LANE) / 2, 18],
  };
}

/** "neutral 3" */
const SPLICE_LABEL: Readonly<Record<NetRole, (count: number) => string>> = {
  ground: (count) => say('boxDrawing.ground', { count }),
  neutral: (count) => say('boxDrawing.neutral', { count }),
  hot: (count) => say('boxDrawing.hot', { count }),
  switched: (count) => say('boxDrawing.switched', { count }),
  traveler: (count) => say('boxDrawing.traveler', { count }),
};

function drawSplice(
  id: string,
  role: NetRole,
  count: number,
  ports: number,
  columns: Columns,
  contents: Contents,
  y: number,
): DrawnSplice {
  const lanes = contents.middleRow.find((element) => element.id === id)?.width ?? ports + 1;
  const width = lanes * LANE;
  const x = laneX(columns.start(id)) - LANE / 2;
  const inset = (width - (ports - 1) * 16) / 2;
  return {
    id,
    role,
    count,
    label: SPLICE_LABEL[role](count),
    x,
    y,
    width,
    height: SPLICE_HEIGHT,
    ports: Array.from({ length: ports }, (_, index) => ({
      at: [x + inset + index * 16, y + 14],
      used: index < count,
    })),
  };
}
