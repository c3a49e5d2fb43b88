import { Plus, Trash2 } from 'lucide-react';
import { freshId } from '@core/job/commands/command';
import { Circuit } from '@core/job/model/design';
import { Choice } from '~/ui/choice';
import { NumberField } from '~/ui/number-field';
import { Select } from '~/ui/select';
import { TextField } from '~/ui/text-field';
import { useJob } from '../job/context';
import { say } from '~/words/lay-out';

const PROTECTION = [
  { value: 'none', label: say('circuits.standard') },
  { value: 'gfci', label: 'GFCI' },
  { value: 'afci', label: 'AFCI' },
  { value: 'dual', label: say('circuits.dualFunction') },
] as const;
const AMPS = [15, 20, 30] as const;

/** The circuits of the job: what each is, whom it is tied to or shares a neutral with; added and removed. */
export function Circuits() {
  const { job, run } = useJob();
  const add = () => {
    const taken = new Set(job.circuits.map(({ number }) => number));
    const number = String(
      Array.from({ length: 100 }, (_, index) => index + 1).find((one) => !taken.has(String(one))),
    );
    run({
      do: 'add circuit',
      circuit: Circuit.parse({
        id: freshId(job.circuits, `circuit ${number}`),
        number,
        breakerA: 20,
        leg: job.circuits.at(-1)?.leg === 'A' ? 'B' : 'A',
        fresh: true,
      }),
    });
  };
  return (
    <div className="grid gap-6">
      {job.circuits.map((circuit) => (
        <CircuitFields key={circuit.id} circuit={circuit} />
      ))}
      <button
        type="button"
        className="button justify-self-start"
        disabled={job.circuits.length >= 60}
        onClick={add}
      >
        <Plus aria-hidden size={18} /> {say('circuits.addCircuit')}
      </button>
    </div>
  );
}

function CircuitFields({ circuit }: { circuit: Circuit }) {
  const { job, run } = useJob();
  const others = job.circuits.filter(({ id }) => id !== circuit.id);
  const [into] = others;
  const set = (change: Partial<Circuit>) => run({ do: 'set circuit', circuit: circuit.id, change });
  const partner = (label: string, field: 'tiedWith' | 'multiwireWith') => (
    <Select
      label={label}
      value={circuit[field] ?? ''}
      options={[
        { value: '', label: say('circuits.none') },
        ...others.map(({ id, number, leg }) => ({
          value: id,
          label: say('circuits.circuitLeg', { number, leg }),
        })),
      ]}
      onChange={(id) => set({ [field]: id === '' ? null : id })}
    />
  );
  return (
    <fieldset className="grid gap-3 sm:grid-cols-2">
      <legend className="col-span-full font-bold">
        {say('circuits.circuit', { number: circuit.number })}
      </legend>
      <TextField
        label={say('circuits.number')}
        value={circuit.number}
        onCommit={(number) => set({ number })}
      />
      <NumberField
        label={say('circuits.existingLoad')}
        unit={say('circuits.va')}
        value={circuit.existingLoadVA}
        min={0}
        max={7200}
        onCommit={(existingLoadVA) => set({ existingLoadVA })}
      />
      <Choice
        label={say('circuits.breaker')}
        value={String(circuit.breakerA)}
        options={AMPS.map((amps) => ({ value: String(amps), label: `${amps} A` }))}
        onChange={(value) => set({ breakerA: AMPS.find((amps) => String(amps) === value) ?? 20 })}
      />
      <Choice
        label={say('circuits.breakerType')}
        value={circuit.protection}
        options={PROTECTION}
        onChange={(value) => {
          const protection = PROTECTION.find((one) => one.value === value)?.value;
          if (protection) set({ protection });
        }}
      />
      <Choice
        label={say('circuits.legService')}
        value={circuit.leg}
        options={[
          { value: 'A', label: 'A' },
          { value: 'B', label: 'B' },
        ]}
        onChange={(value) => set({ leg: value === 'B' ? 'B' : 'A' })}
      />
      {others.length > 0 ? (
        <>
          {partner(say('circuits.handleTied'), 'tiedWith')}
          {partner(say('circuits.sharesNeutral'), 'multiwireWith')}
          <button
            type="button"
            className="button self-end justify-self-start"
            onClick={() => into && run({ do: 'remove circuit', circuit: circuit.id, into: into.id })}
          >
            <Trash2 aria-hidden size={18} /> {say('circuits.removeCircuit')} {into?.number}{' '}
            {say('circuits.feedsWhatFed')}
          </button>
        </>
      ) : null}
    </fieldset>
  );
}
