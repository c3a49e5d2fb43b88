import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { deviceKind } from '@core/trade/devices';
import {
  ENTRIES,
  OUTSIDE,
  SEEN_CABLES,
  SEEN_KINDS,
  SeenCable,
  type SeenBox,
  type SeenDevice,
  type Survey,
} from '@core/job/model/survey';
import { freshId } from '@core/job/commands/command';
import { cableName, seenDeviceName } from '@core/site/survey/words';
import { Select } from '~/ui/select';
import { SIDE_NAME } from '@core/job/model/names';
import { OUTSIDE_NAME } from '@core/job/model/place-names';
import { say } from '~/words/find';
import { type Note, Breakers } from './seen-breakers';

/** Cables, devices and the state of the box: what is seen, entered a tap at a time. */
export function SeenPanel({
  survey,
  box,
  note,
  onBox,
  onAnother,
}: {
  survey: Survey;
  box: SeenBox;
  note: Note;
  onBox: (box: string) => void;
  onAnother: () => void;
}) {
  const [open, setOpen] = useState(box.cables.length === 0);
  return (
    <details className="grid gap-3" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-6 cursor-pointer text-lg font-bold">{say('seenPanel.whatSeen')}</summary>
      <div className="mt-3 grid gap-4">
        <div className="grid gap-2">
          {box.cables.map((cable) => (
            <CableRow key={cable.id} survey={survey} box={box} cable={cable} note={note} />
          ))}
          <AddCable box={box} note={note} />
        </div>
        <Devices box={box} note={note} />
        <Enclosure survey={survey} box={box} note={note} />
        <Breakers survey={survey} note={note} />
        <div className="flex flex-wrap gap-2">
          <button
            type="button"
            className="button"
            disabled={survey.boxes.length >= 4}
            onClick={() => {
              const id = freshId(survey.boxes, say('seenPanel.box', { survey: survey.id }));
              note({
                what: 'box opened',
                id,
                name: say('seenPanel.numberedBox', { number: survey.boxes.length + 1 }),
              });
              onBox(id);
            }}
          >
            {say('seenPanel.openOneMore')}
          </button>
          <button type="button" className="button" onClick={onAnother}>
            {say('seenPanel.startAnotherLocation')}
          </button>
        </div>
      </div>
    </details>
  );
}

/** A cable that is seen, and where its other end is seen too. */
function CableRow({
  survey,
  box,
  cable: { id, type },
  note,
}: {
  survey: Survey;
  box: SeenBox;
  cable: SeenBox['cables'][number];
  note: Note;
}) {
  const elsewhere = survey.boxes.filter((one) => one !== box).flatMap(({ cables }) => cables);
  const twin = survey.same.find(({ a, b }) => a === id || b === id);
  return (
    <div className="grid gap-1">
      <div className="flex items-center gap-2">
        <span className="flex-1 font-semibold">{cableName(survey, id)}</span>
        <button
          type="button"
          className="button button-quiet px-2.5"
          aria-label={say('seenPanel.takeAwayCable', { cableName: cableName(survey, id) })}
          onClick={() => note({ what: 'cable out', box: box.id, cable: id })}
        >
          <Trash2 aria-hidden size={18} />
        </button>
      </div>
      {elsewhere.length > 0 ? (
        <Select
          label={say('seenPanel.otherEnd')}
          value={(twin?.a === id ? twin.b : twin?.a) ?? ''}
          options={[
            { value: '', label: say('seenPanel.notKnown') },
            ...elsewhere
              .filter((one) => one.type === type)
              .map((one) => ({
                value: one.id,
                label: say('seenPanel.otherBox', { cableName: cableName(survey, one.id) }),
              })),
          ]}
          onChange={(other) => note({ what: 'other end', cable: id, is: other === '' ? null : other })}
        />
      ) : null}
    </div>
  );
}

/** One more cable: its make-up, where it comes from, whether it brings a ground, what is on its jacket. */
function AddCable({ box, note }: { box: SeenBox; note: Note }) {
  const [type, setType] = useState<string>('14-2');
  const [enters, setEnters] = useState<string>('above');
  const [ground, setGround] = useState(true);
  const [mark, setMark] = useState('');
  const add = () => {
    const cable = SeenCable.omit({ id: true }).safeParse({ type, enters, hasGround: ground, mark });
    if (cable.success) note({ what: 'cable in', box: box.id, cable: cable.data });
    setMark('');
  };
  return (
    <>
      <div className="grid grid-cols-2 gap-2">
        <Select
          label={say('seenPanel.cable')}
          value={type}
          options={SEEN_CABLES.map((one) => ({ value: one, label: one }))}
          onChange={setType}
        />
        <Select
          label={say('seenPanel.comesFrom')}
          value={enters}
          options={ENTRIES.map((one) => ({ value: one, label: SIDE_NAME[one] }))}
          onChange={setEnters}
        />
        <Select
          label={say('seenPanel.ground')}
          value={ground ? 'yes' : 'no'}
          options={[
            { value: 'yes', label: say('seenPanel.yes') },
            { value: 'no', label: say('seenPanel.none') },
          ]}
          onChange={(value) => setGround(value === 'yes')}
        />
        <label className="grid gap-1">
          <span className="eyebrow">{say('seenPanel.markJacket')}</span>
          <input
            className="field"
            value={mark}
            maxLength={40}
            onChange={(event) => setMark(event.currentTarget.value)}
          />
        </label>
      </div>
      <button type="button" className="button" disabled={box.cables.length >= 6} onClick={add}>
        <Plus aria-hidden size={18} /> {say('seenPanel.addCable')}
      </button>
    </>
  );
}

function Devices({ box, note }: { box: SeenBox; note: Note }) {
  return (
    <div className="grid gap-2">
      {box.devices.map((device) => (
        <DeviceRow key={device.id} box={box} device={device} note={note} />
      ))}
      <div className="flex flex-wrap gap-2" role="group" aria-label={say('seenPanel.addDevice')}>
        {SEEN_KINDS.map((kind) => (
          <button
            key={kind}
            type="button"
            className="chip"
            disabled={box.devices.length >= 4}
            onClick={() => note({ what: 'device in', box: box.id, kind })}
          >
            + {deviceKind(kind).name}
          </button>
        ))}
      </div>
    </div>
  );
}

/** Whether the box is metal, and which wiring other than cable is about. */
function Enclosure({ survey, box, note }: { survey: Survey; box: SeenBox; note: Note }) {
  return (
    <div className="flex flex-wrap gap-2" role="group" aria-label={say('seenPanel.boxWires')}>
      <button
        type="button"
        className="chip"
        aria-pressed={box.metal}
        onClick={() => note({ what: 'metal', box: box.id, metal: !box.metal })}
      >
        {say('seenPanel.metalBox')}
      </button>
      {OUTSIDE.map((one) => (
        <button
          key={one}
          type="button"
          className="chip"
          aria-pressed={survey.outside.includes(one)}
          onClick={() => note({ what: 'outside', method: one, seen: !survey.outside.includes(one) })}
        >
          {OUTSIDE_NAME[one]}
        </button>
      ))}
    </div>
  );
}

function DeviceRow({ box, device, note }: { box: SeenBox; device: SeenDevice; note: Note }) {
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="flex-1 font-semibold">{seenDeviceName(box, device.id)}</span>
      {deviceKind(device.kind).tabs.map((tab) => (
        <button
          key={tab.id}
          type="button"
          className="chip"
          aria-pressed={device.brokenTabs.includes(tab.id)}
          onClick={() =>
            note({
              what: 'tab',
              box: box.id,
              device: device.id,
              tab: tab.id,
              broken: !device.brokenTabs.includes(tab.id),
            })
          }
        >
          {device.brokenTabs.includes(tab.id)
            ? say('seenPanel.tabBroken', { tab: tab.name })
            : say('seenPanel.tabWhole', { tab: tab.name })}
        </button>
      ))}
      <button
        type="button"
        className="button button-quiet px-2.5"
        aria-label={say('seenPanel.takeOut', { seenDeviceName: seenDeviceName(box, device.id) })}
        onClick={() => note({ what: 'device out', box: box.id, device: device.id })}
      >
        <Trash2 aria-hidden size={18} />
      </button>
    </div>
  );
}
