import { Trash2 } from 'lucide-react';
import type { Box } from '@core/job/model/design';
import { BOXES } from '@core/trade/standards/boxes';
import { gangAdvice } from '@core/wiring/layout/gang-advice';
import { placeName } from '@core/job/model/called';
import { Later } from '~/standing/rising';
import { Choice } from '~/ui/choice';
import { Fold } from '~/ui/fold';
import { NumberField } from '~/ui/number-field';
import { Renamable } from '~/ui/renamable';
import { Select } from '~/ui/select';
import { useJob } from '../job/context';
import { AddThings } from './add-things';
import { DeviceWishes } from './device-wishes';
import { FAMILY_NAME } from '@core/trade/standards/names';
import { say } from '~/words/lay-out';

/** What the chosen box must do, what it is, and what may be added to it. */
export default function BoxWishes({ box, onChoose }: { box: Box; onChoose: (box: string) => void }) {
  const { job, record, run } = useJob();
  const devices = job.devices.filter((device) => device.box === box.id).sort((a, b) => a.gang - b.gang);
  const advice = gangAdvice(job, record.brief.lines, box);
  return (
    <section aria-label={box.name} className="grid gap-4">
      <h3
        aria-label={say('boxWishes.whatDoes', { box: box.name })}
        className="flex flex-wrap items-center gap-x-2 text-lg font-bold"
      >
        <Renamable
          key={box.id}
          value={box.name}
          label={say('boxWishes.rename', { name: box.name })}
          className="font-bold"
          onCommit={(name) => run({ do: 'set box', box: box.id, change: { name } })}
        />
        <span>{say('boxWishes.whatItDoes')}</span>
      </h3>
      {devices.length === 0 ? <p className="text-ink-soft">{say('boxWishes.splicesOnly')}</p> : null}
      {devices.map((device) => (
        <Later key={device.id}>
          <DeviceWishes device={device} gangs={box.gangs} />
        </Later>
      ))}
      {advice ? <p className="text-sm">◦ {advice}</p> : null}
      <AddHere key={box.id} box={box.id} onChoose={onChoose} />
      <Fold title={say('boxWishes.boxItself')}>{() => <BoxFields box={box} />}</Fold>
    </section>
  );
}

function BoxFields({ box }: { box: Box }) {
  const { run } = useJob();
  const set = (change: Partial<Omit<Box, 'id'>>) => run({ do: 'set box', box: box.id, change });
  const yesNo = (label: string, value: boolean, onChange: (yes: boolean) => void) => (
    <Choice
      label={label}
      value={value ? 'yes' : 'no'}
      options={[
        { value: 'no', label: say('boxWishes.no') },
        { value: 'yes', label: say('boxWishes.yes') },
      ]}
      onChange={(next) => onChange(next === 'yes')}
    />
  );
  return (
    <div className="grid gap-3 pt-1 sm:grid-cols-2">
      <Select
        label={say('boxWishes.box')}
        value=""
        options={[
          {
            value: '',
            label: say('boxWishes.gang', {
              family: FAMILY_NAME[box.family],
              gangs: box.gangs,
              volumeIn3: box.volumeIn3,
            }),
          },
          ...BOXES.map((row) => ({ value: row.id, label: row.name })),
        ]}
        onChange={(value) => {
          const row = BOXES.find((one) => one.id === value);
          if (row) {
            const { family, gangs, volumeIn3, internalClamps } = row;
            set({ family, gangs, volumeIn3, internalClamps });
          }
        }}
      />
      <NumberField
        label={say('boxWishes.stampedVolume')}
        unit="in³"
        value={box.volumeIn3}
        min={1}
        max={200}
        onCommit={(volumeIn3) => set({ volumeIn3 })}
      />
      <NumberField
        label={say('boxWishes.centerAboveFloor')}
        unit="in"
        value={box.heightIn ?? 0}
        min={0}
        max={240}
        onCommit={(heightIn) => set({ heightIn: heightIn === 0 ? null : heightIn })}
      />
      {yesNo(say('boxWishes.clampsInside'), box.internalClamps, (internalClamps) => set({ internalClamps }))}
      {yesNo(say('boxWishes.staysClosed'), box.closed, (closed) => set({ closed }))}
      <Choice
        label={say('boxWishes.doorSide')}
        value={box.doorSide ?? ''}
        options={[
          { value: 'left', label: say('boxWishes.left') },
          { value: '', label: say('boxWishes.noneNearby') },
          { value: 'right', label: say('boxWishes.right') },
        ]}
        onChange={(side) => set({ doorSide: side === 'left' || side === 'right' ? side : null })}
      />
    </div>
  );
}

function AddHere({ box, onChoose }: { box: string; onChoose: (box: string) => void }) {
  const { job, run } = useJob();
  const others = job.boxes.filter(({ id }) => id !== box);
  return (
    <Fold title={say('boxWishes.addRemove')}>
      {() => (
        <>
          <div className="grid gap-3 pt-1">
            <AddThings box={box} order={['beside', 'further']} />
            {others.length > 0 ? (
              <button
                type="button"
                className="button justify-self-start"
                onClick={() => {
                  run({ do: 'remove box', box });
                  onChoose(others[0]?.id ?? '');
                }}
              >
                <Trash2 aria-hidden size={18} /> {say('boxWishes.remove', { placeName: placeName(job, box) })}
              </button>
            ) : null}
          </div>
        </>
      )}
    </Fold>
  );
}
