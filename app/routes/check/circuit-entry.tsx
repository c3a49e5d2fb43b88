import { useState } from 'react';
import type { Circuit } from '@core/job/model/design';
import { NOMINAL_V } from '@core/trade/standards/loads';
import { Choice } from '~/ui/choice';
import { LoadBar } from '~/ui/load-bar';
import { NumberField } from '~/ui/number-field';
import { Select } from '~/ui/select';
import { useJob, usePlan } from '../job/context';
import { SERVES_NAME } from '@core/job/model/place-names';
import { say } from '~/words/load';

/** A count of general outlets at this much each, VA (common practice: 1.5 A). */
const OUTLET_VA = 180;
const SERVES = ['general', 'small appliance', 'laundry', 'bathroom', 'garage', 'individual'] as const;

/** What is on the circuit now: entered, read with a clamp meter, or counted. */
export function CircuitEntry({ circuit }: { circuit: Circuit }) {
  const { run } = useJob();
  const { loads } = usePlan();
  const [way, setWay] = useState('entered');
  const load = loads.find((one) => one.circuit.id === circuit.id);
  const set = (existingLoadVA: number) =>
    run({
      do: 'set circuit',
      circuit: circuit.id,
      change: { existingLoadVA: Math.min(Math.round(existingLoadVA), 7200) },
    });
  return (
    <section className="grid gap-3" aria-label={say('circuitEntry.circuit', { number: circuit.number })}>
      {load ? <LoadBar load={load} /> : null}
      <Choice
        label={say('circuitEntry.whatNow')}
        value={way}
        options={[
          { value: 'entered', label: say('circuitEntry.entered') },
          { value: 'clamp', label: say('circuitEntry.clampMeter') },
          { value: 'counted', label: say('circuitEntry.counted') },
        ]}
        onChange={setWay}
      />
      {way === 'entered' ? (
        <NumberField
          label={say('circuitEntry.existing')}
          unit={say('circuitEntry.va')}
          value={circuit.existingLoadVA}
          min={0}
          max={7200}
          onCommit={set}
        />
      ) : way === 'clamp' ? (
        <NumberField
          label={say('circuitEntry.howMeasured')}
          unit="A"
          value={Math.round((circuit.existingLoadVA / NOMINAL_V) * 10) / 10}
          min={0}
          max={60}
          onCommit={(amps) => set(amps * NOMINAL_V)}
        />
      ) : (
        <NumberField
          label={say('circuitEntry.otherOutlets', { eachVA: OUTLET_VA })}
          unit={say('circuitEntry.count')}
          value={Math.round(circuit.existingLoadVA / OUTLET_VA)}
          min={0}
          max={40}
          onCommit={(count) => set(count * OUTLET_VA)}
        />
      )}
      <Select
        label={say('circuitEntry.itIsThereFor')}
        value={circuit.serves}
        options={SERVES.map((one) => ({ value: one, label: SERVES_NAME[one] }))}
        onChange={(value) => {
          const serves = SERVES.find((one) => one === value);
          if (serves) run({ do: 'set circuit', circuit: circuit.id, change: { serves } });
        }}
      />
    </section>
  );
}
