import { sure } from '../../base/sure';
import type { SeenBox, Survey } from '../../job/model/survey';
import { deviceKind } from '../../trade/devices';
import { type CableType, cablesOfGauge, cableRow } from '../../trade/standards/cables';

/** The plain cable of the same gauge. */
export const plainOf = (type: CableType): CableType =>
  sure(cablesOfGauge(cableRow(type).gauge)[0], 'cable of that gauge').type;

/** The outlet that is wished for. */
export const NEW_OUTLET = 'new-outlet';
export type Seen = SeenBox['devices'][number];
const isSwitch = ({ kind }: Seen): boolean => deviceKind(kind).parts.some(({ does }) => does === 'control');

export const switchesOf = (survey: Survey): Seen[] =>
  survey.boxes.flatMap(({ devices }) => devices.filter(isSwitch));
/** 3-ways and 4-ways work on one thing together; any other switch on its own. */
export const groupOf = ({ id, kind }: Seen): string =>
  deviceKind(kind).parts.some(
    (part) => part.does === 'control' && Math.max(part.feedSide.length, part.loadSide.length) > 1,
  )
    ? 'together'
    : id;

export const nameOf = (survey: Survey, device: Seen): string =>
  survey.boxes.find(({ devices }) => devices.includes(device))?.name ?? device.id;
/** The switch that a conductor sits on, itself or by its splice; none where it joins a constant hot. */
export function controlling(box: SeenBox, cable: string, insulation: string): Seen | undefined {
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
