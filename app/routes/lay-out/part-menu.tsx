import { wishKind } from '@core/trade/devices';
import { partName, placeName } from '@core/job/model/called';
import { partKey } from '@core/job/model/keys';
import { OnTheSpot } from '~/ui/on-the-spot';
import { useJob } from '../job/context';
import type { PartAt } from './part-at';
import { GangArrows, KindSelect } from './device-wishes';
import { HandleWish, PowerWish } from './part-wishes';

/** What a half, a lamp or a handle does, said where it was tapped; and what stands there. */
export default function PartMenu({ at, onClose }: { at: PartAt; onClose: () => void }) {
  const { job } = useJob();
  const device = job.devices.find(({ id }) => id === at.device);
  if (!device) return null;
  const kind = wishKind(device.kind);
  // The device may have become another since it was tapped.
  const part = kind.parts.find(({ id }) => id === at.part) ?? kind.parts[0];
  const want = part && device.wants[part.id];
  const gangs = job.boxes.find(({ id }) => id === device.box)?.gangs ?? 1;
  const anchor =
    part?.does === 'control'
      ? `[data-box-drawing] [data-handle="${CSS.escape(device.id)}"]`
      : `[data-box-drawing] [data-part="${CSS.escape(partKey(device.id, part?.id ?? ''))}"]`;
  return (
    <OnTheSpot anchor={anchor} onClose={onClose}>
      <div className="grid gap-3">
        <p className="font-bold">{part ? partName(job, device, part.id) : placeName(job, device.box)}</p>
        {part && want?.does === 'power' ? (
          <PowerWish device={device} part={part.id} name={part.name} want={want} />
        ) : part && want?.does === 'control' ? (
          <HandleWish device={device} part={part.id} group={want.group} />
        ) : null}
        <div className="flex items-center gap-1 rounded-lg border-2 border-line">
          <KindSelect device={device} />
          {gangs > 1 && kind.yoke ? <GangArrows device={device} /> : null}
        </div>
      </div>
    </OnTheSpot>
  );
}
