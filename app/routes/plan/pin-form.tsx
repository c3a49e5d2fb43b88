import { useState } from 'react';
import { ALL_OF_NAME, PLAN_KIND_NAME } from '@core/code/brief/lines-csv';
import { sayLine } from '@core/code/brief/say-line';
import { symbolText } from '@core/code/brief/symbols';
import type { NewLine } from '@core/job/commands/record-table';
import { runName } from '@core/job/model/called';
import type { Design } from '@core/job/model/design';
import { SIDE_NAME } from '@core/job/model/names';
import { PLAN_SYMBOLS, type PlanLine, type PlanSymbol } from '@core/job/model/record';
import { BOX_FAMILIES } from '@core/trade/standards/boxes';
import { CABLE_TYPES } from '@core/trade/standards/cables';
import { FAMILY_NAME } from '@core/trade/standards/names';
import { Choice } from '~/ui/choice';
import { figureProblem, readFigure } from '~/ui/figure';
import { Select } from '~/ui/select';
import { useTyped, type Typed } from '~/ui/use-typed';
import { useJob } from '../job/context';
import { say } from '~/words/sheet';

type About = PlanLine['about'];
type Kind = About['kind'];
const KINDS = ['order', 'box', 'cable', 'height', 'ground pin', 'all heights', 'note'] as const;
const MOST_SYMBOLS = 4;

/** What is said of a symbol or a note of the plan; `near`: the box that stands nearest to it. */
export function PinForm({ near, onPin }: { near: string | null; onPin: (line: NewLine) => void }) {
  const { job } = useJob();
  const [kind, setKind] = useState<Kind>(near ? 'order' : 'note');
  const [box, setBox] = useState(near ?? job.boxes[0]?.id ?? '');
  const [run, setRun] = useState(
    () => (job.runs.find(({ from, to }) => from === near || to === near) ?? job.runs[0])?.id ?? '',
  );
  const [type, setType] = useState<(typeof CABLE_TYPES)[number]>('14-2');
  const [family, setFamily] = useState<(typeof BOX_FAMILIES)[number]>('nail-on');
  const volume = useTyped('pin volume');
  const [ring, setRing] = useState<boolean | null>(null);
  const [symbols, setSymbols] = useState<readonly PlanSymbol[]>([]);
  const [pin, setPin] = useState<'up' | 'down'>('up');
  const [of, setOf] = useState<'switches' | 'receptacles'>('receptacles');
  const height = useTyped('pin height');
  const says = useTyped('pin says');

  const heightIn = figureProblem(height.text, 'in', 1, 240) === null ? readFigure(height.text, 'in') : null;
  const volumeIn3 =
    figureProblem(volume.text, 'in³', 1, 200) === null ? readFigure(volume.text, 'in³') : null;
  const about = aboutOf();
  const words = says.text.trim() || (about ? sayLine(job, about) : '');

  function aboutOf(): About | null {
    switch (kind) {
      case 'order':
        return box && symbols.length > 0 ? { kind, box, symbols: [...symbols] } : null;
      case 'box':
        return box && (volume.text.trim() === '' || volumeIn3 !== null)
          ? { kind, box, family, volumeIn3, ring }
          : null;
      case 'cable':
        return run ? { kind, run, type } : null;
      case 'height':
        return box && heightIn !== null ? { kind, box, heightIn } : null;
      case 'all heights':
        return heightIn === null ? null : { kind, of, heightIn };
      case 'ground pin':
        return { kind, pin };
      case 'note':
        return { kind, met: null };
    }
  }
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!about || !words) return;
        onPin({ says: words.slice(0, 200), about });
        for (const one of [volume, height, says]) one.sent();
      }}
    >
      <Select
        label={say('pin.asks')}
        value={kind}
        options={KINDS.map((one) => ({ value: one, label: PLAN_KIND_NAME[one] }))}
        onChange={(value) => setKind(KINDS.find((one) => one === value) ?? 'note')}
      />
      {kind === 'order' || kind === 'box' || kind === 'height' ? (
        <Select label={say('pin.box')} value={box} options={boxOptions(job)} onChange={setBox} />
      ) : null}
      {kind === 'order' ? <Order symbols={symbols} onChange={setSymbols} /> : null}
      {kind === 'box' ? (
        <div className="grid grid-cols-2 gap-2">
          <Select
            label={say('pin.family')}
            value={family}
            options={BOX_FAMILIES.map((one) => ({ value: one, label: FAMILY_NAME[one] }))}
            onChange={(value) => setFamily(BOX_FAMILIES.find((one) => one === value) ?? family)}
          />
          <Text label={say('pin.volume')} typed={volume} example="30.3" />
          <Select
            label={say('pin.ring')}
            value={ring === null ? '' : String(ring)}
            options={[
              { value: '', label: say('pin.ringNotSaid') },
              { value: 'true', label: say('pin.withRing') },
              { value: 'false', label: say('pin.noRing') },
            ]}
            onChange={(value) => setRing(value === '' ? null : value === 'true')}
          />
        </div>
      ) : null}
      {kind === 'cable' ? (
        <div className="grid grid-cols-2 gap-2">
          <Select
            label={say('pin.run')}
            value={run}
            options={job.runs.map((one) => ({ value: one.id, label: runName(job, one) }))}
            onChange={setRun}
          />
          <Select
            label={say('pin.cable')}
            value={type}
            options={CABLE_TYPES.map((one) => ({ value: one, label: one }))}
            onChange={(value) => setType(CABLE_TYPES.find((one) => one === value) ?? type)}
          />
        </div>
      ) : null}
      {kind === 'ground pin' ? (
        <Choice
          label={PLAN_KIND_NAME[kind]}
          value={pin}
          options={(['up', 'down'] as const).map((one) => ({ value: one, label: SIDE_NAME[one] }))}
          onChange={(value) => setPin(value === 'up' ? 'up' : 'down')}
        />
      ) : null}
      {kind === 'all heights' ? (
        <Choice
          label={say('pin.allOf')}
          value={of}
          options={(['switches', 'receptacles'] as const).map((one) => ({
            value: one,
            label: ALL_OF_NAME[one],
          }))}
          onChange={(value) => setOf(value === 'switches' ? 'switches' : 'receptacles')}
        />
      ) : null}
      {kind === 'height' || kind === 'all heights' ? (
        <Text label={say('pin.height')} typed={height} example="48" />
      ) : null}
      <Text label={say('pin.says')} typed={says} example={about ? sayLine(job, about) : say('pin.example')} />
      <button type="submit" className="button button-strong justify-self-start" disabled={!about || !words}>
        {say('pin.put')}
      </button>
    </form>
  );
}

const boxOptions = ({ boxes }: Design) => boxes.map(({ id, name }) => ({ value: id, label: name }));

function Text({ label, typed, example }: { label: string; typed: Typed; example: string }) {
  return (
    <label className="grid gap-1">
      <span className="eyebrow">{label}</span>
      <input className="field" {...typed.field} placeholder={example} maxLength={200} />
    </label>
  );
}

/** The devices of a box from left to right, one tap each. */
function Order({
  symbols,
  onChange,
}: {
  symbols: readonly PlanSymbol[];
  onChange: (symbols: readonly PlanSymbol[]) => void;
}) {
  return (
    <div className="grid gap-1">
      <span className="eyebrow">{say('pin.order')}</span>
      <p className="num min-h-7" role="status">
        {symbols.length === 0 ? say('pin.tapSymbols') : symbols.map(symbolText).join(', ')}
      </p>
      <div className="flex flex-wrap gap-1">
        {PLAN_SYMBOLS.map((one) => (
          <button
            key={one}
            type="button"
            className="chip"
            disabled={symbols.length >= MOST_SYMBOLS}
            onClick={() => onChange([...symbols, one])}
          >
            {symbolText(one)}
          </button>
        ))}
        {symbols.length > 0 ? (
          <button type="button" className="chip" onClick={() => onChange(symbols.slice(0, -1))}>
            {say('ask.back')}
          </button>
        ) : null}
      </div>
    </div>
  );
}
