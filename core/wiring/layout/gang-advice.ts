import { wishKind } from '../../trade/devices';
import type { Box, Design } from '../../job/model/design';
import type { PlanLine } from '../../job/model/record';
import { say } from '../../base/words/layout';
import { SIDE_NAME } from '../../job/model/names';
import { wishName } from '../../trade/devices';

/**
 * Nearest the door goes the switch that is used most: lights before outlets (common practice). Nothing is advised
 * where the plan says an order of its own, which wins, or where the door is not known.
 */
export function gangAdvice(job: Design, lines: readonly PlanLine[], box: Box): string | null {
  if (box.doorSide === null || box.gangs < 2) return null;
  if (lines.some(({ about }) => about.kind === 'order' && about.box === box.id)) return null;
  const seats = job.devices
    .filter((device) => device.box === box.id && wishKind(device.kind).yoke)
    .sort((a, b) => (box.doorSide === 'left' ? a.gang - b.gang : b.gang - a.gang));
  const rank = (id: string): number => {
    const device = seats.find((one) => one.id === id);
    const handle = Object.values(device?.wants ?? {}).find((want) => want.does === 'control');
    if (handle?.does !== 'control') return 2;
    const lights = job.devices.some(
      ({ kind, wants }) =>
        !wishKind(kind).receptacle &&
        Object.values(wants).some((want) => want.does === 'power' && want.control === handle.group),
    );
    return lights ? 0 : 1;
  };
  const wrong = seats.findIndex(
    (device, index) => index > 0 && rank(device.id) < rank(seats[index - 1]?.id ?? ''),
  );
  if (wrong < 0) return null;
  const device = seats[wrong];
  return say('gangAdvice.nearestDoor', {
    device: device ? wishName(device.kind) : '',
    doorSide: SIDE_NAME[box.doorSide],
  });
}
