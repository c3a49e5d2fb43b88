import { ArrowLeft, ArrowRight, Lightbulb, Plug, ToggleLeft, Trash2 } from 'lucide-react';
import { wishKind, WISH_KINDS, type WishKind, wishName } from '@core/trade/devices';
import { DEVICE_COLORS, type Device } from '@core/job/model/design';
import { DEVICE_COLOR_NAME } from '@core/job/model/place-names';
import { Choice } from '~/ui/choice';
import { Select } from '~/ui/select';
import { useJob } from '../job/context';
import { SIDE_NAME } from '@core/job/model/names';
import { say } from '~/words/lay-out';
import { PowerWish, HandleWish } from './part-wishes';

const iconOf = (kind: WishKind) => {
  const { receptacle, parts } = wishKind(kind);
  return receptacle ? Plug : parts.some(({ does }) => does === 'control') ? ToggleLeft : Lightbulb;
};

/** What one device is, where it stands in its box, and what each of its parts must do. */
export function DeviceWishes({ device, gangs }: { device: Device; gangs: number }) {
  const { run } = useJob();
  const kind = wishKind(device.kind);
  const Icon = iconOf(device.kind);
  return (
    <div className="grid gap-3 rounded-xl border-2 border-line p-3">
      <div className="flex items-center gap-1">
        <Icon aria-hidden className="shrink-0" />
        <KindSelect device={device} />
        {gangs > 1 && kind.yoke ? <GangArrows device={device} /> : null}
        <button
          type="button"
          className="button button-quiet px-2.5"
          aria-label={say('deviceWishes.remove', { wishName: wishName(device.kind) })}
          onClick={() => run({ do: 'remove device', device: device.id })}
        >
          <Trash2 aria-hidden size={18} />
        </button>
      </div>
      {kind.parts.map((part) => {
        const want = device.wants[part.id];
        if (!want) return null;
        return want.does === 'power' ? (
          <PowerWish key={part.id} device={device} part={part.id} name={part.name} want={want} />
        ) : (
          <HandleWish key={part.id} device={device} part={part.id} group={want.group} />
        );
      })}
      {kind.yoke ? (
        <div className="grid gap-3 sm:grid-cols-2">
          {kind.receptacle ? (
            <Choice
              label={say('deviceWishes.receptacleRating')}
              value={String(device.ratingA)}
              options={[
                { value: '15', label: '15 A' },
                { value: '20', label: '20 A' },
              ]}
              onChange={(value) =>
                run({ do: 'set rating', device: device.id, ratingA: value === '20' ? 20 : 15 })
              }
            />
          ) : null}
          <Select
            label={say('deviceWishes.color')}
            value={device.color ?? ''}
            options={[
              { value: '', label: say('deviceWishes.houseColor') },
              ...DEVICE_COLORS.map((color) => ({ value: color, label: DEVICE_COLOR_NAME[color] })),
            ]}
            onChange={(value) =>
              run({
                do: 'set device',
                device: device.id,
                change: { color: DEVICE_COLORS.find((one) => one === value) ?? null },
              })
            }
          />
        </div>
      ) : null}
      {kind.protection ? <Beyond device={device} /> : null}
      <div className="flex flex-wrap gap-2">
        {AGE.filter(({ plugs }) => !plugs || kind.receptacle).map(({ fact, says }) => (
          <button
            key={fact}
            type="button"
            className="chip"
            aria-pressed={device[fact]}
            onClick={() => run({ do: 'set device', device: device.id, change: { [fact]: !device[fact] } })}
          >
            {says}
          </button>
        ))}
      </div>
    </div>
  );
}

/** What stands there; another kind takes over what the parts do. */
export function KindSelect({ device }: { device: Device }) {
  const { run } = useJob();
  return (
    <div className="min-w-0 flex-1 pl-1">
      <select
        aria-label={say('deviceWishes.deviceNow', { wishName: wishName(device.kind) })}
        className="w-full min-h-11 rounded-lg bg-transparent font-bold"
        value={device.kind}
        onChange={(event) => {
          const next = WISH_KINDS.find((one) => one === event.currentTarget.value);
          if (next) run({ do: 'set kind', device: device.id, kind: next });
        }}
      >
        {WISH_KINDS.map((one) => (
          <option key={one} value={one}>
            {wishName(one)}
          </option>
        ))}
      </select>
    </div>
  );
}

/** Changes places with the device beside it. */
export function GangArrows({ device }: { device: Device }) {
  const { run } = useJob();
  return (
    [
      ['left', ArrowLeft],
      ['right', ArrowRight],
    ] as const
  ).map(([toward, Arrow]) => (
    <button
      key={toward}
      type="button"
      className="button button-quiet px-2.5"
      aria-label={say('deviceWishes.move', { wishName: wishName(device.kind), toward: SIDE_NAME[toward] })}
      onClick={() => run({ do: 'move gang', device: device.id, toward })}
    >
      <Arrow aria-hidden size={18} />
    </button>
  ));
}

/** What lies beyond a protecting device along the runs: all of it on its LOAD side, or all on its LINE side. */
function Beyond({ device }: { device: Device }) {
  const { job, run } = useJob();
  const fed = job.devices.flatMap(({ wants }) =>
    Object.values(wants).filter((want) => want.does === 'power' && want.via === device.id),
  ).length;
  return (
    <div className="grid gap-2">
      <p>{fed === 0 ? say('deviceWishes.nothingLoadSide') : say('deviceWishes.loadSide', { fed })}</p>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="button"
          onClick={() => run({ do: 'feed beyond', device: device.id, from: 'LOAD' })}
        >
          {say('deviceWishes.everythingAfterLoad')}
        </button>
        {fed > 0 ? (
          <button
            type="button"
            className="button"
            onClick={() => run({ do: 'feed beyond', device: device.id, from: 'LINE' })}
          >
            {say('deviceWishes.nothingLoad')}
          </button>
        ) : null}
      </div>
    </div>
  );
}

/** What was there is judged by the rules of its time; what is replaced, by those of today. */
const AGE = [
  { fact: 'was', plugs: false, says: say('deviceWishes.existingStays') },
  { fact: 'replaces', plugs: true, says: say('deviceWishes.replacesOne') },
  { fact: 'bootleg', plugs: true, says: say('deviceWishes.bootlegGroundTiedNeutral') },
] as const;
