import { Trash2 } from 'lucide-react';
import { Link } from 'react-router';
import type { HouseCircuit } from '@core/choices/house/circuits';
import type { PanelCircuit } from '@core/job/model/house';
import { Bar } from '~/ui/fill-bar';
import { Choice } from '~/ui/choice';
import { Fold } from '~/ui/fold';
import { NumberField } from '~/ui/number-field';
import { Select } from '~/ui/select';
import { TextField } from '~/ui/text-field';
import { useHouse } from './context';
import { say } from '~/words/house';

const TYPES = [
  { value: 'none', label: say('panel.standard') },
  { value: 'gfci', label: 'GFCI' },
  { value: 'afci', label: 'AFCI' },
  { value: 'dual', label: say('panel.dual') },
] as const;
const AMPS = [15, 20, 30] as const;

/** A circuit of the panel: what it carries, of whom, what is against it; folded away what can be changed. */
export function CircuitCard({ of }: { of: HouseCircuit }) {
  const { circuit, shares, findings, countedVA, capacityVA } = of;
  const { number, breakerA, protection, neutralWith } = circuit;
  return (
    <article
      className="grid content-start gap-1 rounded-xl border-2 border-line bg-paper p-3"
      aria-label={say('panel.circuit', { number })}
      data-circuit={number}
    >
      <p className="flex items-baseline justify-between gap-2">
        <span>
          <span className="num text-lg">{number}</span>{' '}
          <span className="font-semibold">{say('panel.rating', { breakerA, protection })}</span>
        </span>
        <span className="num">
          {say('panel.carries', { counted: Math.round(countedVA), capacity: capacityVA })}
        </span>
      </p>
      <Bar share={Math.min(countedVA / capacityVA, 1)} over={countedVA > capacityVA} />
      {circuit.label === '' ? null : <p className="text-sm">{circuit.label}</p>}
      <ul className="flex flex-wrap items-baseline gap-x-3 text-sm">
        <li className="text-ink-soft">{say('panel.existing', { VA: circuit.existingLoadVA })}</li>
        {shares.map(({ job, name, VA }) => (
          <li key={job}>
            <Link to={`/job/${job}/check?view=load`} className="inline-block py-1 underline">
              {say('panel.share', { name, VA: Math.round(VA) })}
            </Link>
          </li>
        ))}
        {neutralWith === null ? null : <li>{say('panel.sharedWith', { number: neutralWith })}</li>}
      </ul>
      {findings.map((finding) => (
        <p key={finding} className="text-sm">
          ▲ {finding}
        </p>
      ))}
      <Fold title={say('panel.change', { number })}>{() => <CircuitFields of={of} />}</Fold>
    </article>
  );
}

function CircuitFields({ of: { circuit, shares } }: { of: HouseCircuit }) {
  const { house, run, ask } = useHouse();
  const { number } = circuit;
  const set = (change: Partial<PanelCircuit>) => run({ do: 'set panel circuit', number, change });
  const breaker = (change: Partial<PanelCircuit>) =>
    shares.length > 0 ? ask({ do: 'set panel circuit', number, change }) : set(change);
  const partner = (label: string, field: 'neutralWith' | 'tiedWith') => (
    <Select
      label={label}
      value={circuit[field] ?? ''}
      options={[
        { value: '', label: say('panel.none') },
        ...house.panel
          .filter((one) => one.number !== number)
          .map((one) => ({ value: one.number, label: say('panel.circuit', { number: one.number }) })),
      ]}
      onChange={(value) => breaker({ [field]: value === '' ? null : value })}
    />
  );
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <Choice
        label={say('panel.breaker')}
        value={String(circuit.breakerA)}
        options={AMPS.map((amps) => ({ value: String(amps), label: `${amps} A` }))}
        onChange={(value) => breaker({ breakerA: AMPS.find((amps) => String(amps) === value) ?? 20 })}
      />
      <Choice
        label={say('panel.leg')}
        value={circuit.leg}
        options={[
          { value: 'A', label: 'A' },
          { value: 'B', label: 'B' },
        ]}
        onChange={(value) => breaker({ leg: value === 'B' ? 'B' : 'A' })}
      />
      <div className="sm:col-span-2">
        <Choice
          label={say('panel.type')}
          value={circuit.protection}
          options={TYPES}
          onChange={(value) => {
            const protection = TYPES.find((one) => one.value === value)?.value;
            if (protection) breaker({ protection });
          }}
        />
      </div>
      {partner(say('panel.neutral'), 'neutralWith')}
      {partner(say('panel.tied'), 'tiedWith')}
      <NumberField
        label={say('panel.existingLoad')}
        unit="VA"
        value={circuit.existingLoadVA}
        min={0}
        max={7200}
        onCommit={(existingLoadVA) => set({ existingLoadVA })}
      />
      <TextField
        label={say('panel.label')}
        clearable
        value={circuit.label}
        onCommit={(label) => set({ label })}
      />
      {shares.length > 0 ? (
        <p className="text-sm text-ink-soft sm:col-span-2">
          {say('panel.inUse', { jobs: shares.map(({ name }) => name).join(', ') })}
        </p>
      ) : (
        <button
          type="button"
          className="button justify-self-start sm:col-span-2"
          onClick={() => run({ do: 'remove panel circuit', number })}
        >
          <Trash2 aria-hidden size={18} /> {say('panel.remove', { number })}
        </button>
      )}
    </div>
  );
}
