import { EDITIONS } from '@core/standards/source';
import { Choice } from '~/ui/choice';
import { NumberField } from '~/ui/number-field';
import { TextField } from '~/ui/text-field';
import { useJob } from '../job/context';

/** The circuit, the code edition and the habits of the house. */
export function JobSettings() {
  const { job, run } = useJob();
  const { habits } = job;
  return (
    <>
      <details>
        <summary className="min-h-11 cursor-pointer py-2 font-bold">Circuit</summary>
        {job.circuits.map((circuit) => (
          <div key={circuit.id} className="grid gap-3 pt-1 sm:grid-cols-3">
            <TextField
              label="Number"
              value={circuit.number}
              onCommit={(number) => run({ do: 'set circuit', circuit: circuit.id, change: { number } })}
            />
            <Choice
              label="Breaker"
              value={String(circuit.breakerA)}
              options={[15, 20, 30].map((amps) => ({ value: String(amps), label: `${amps} A` }))}
              onChange={(value) =>
                run({
                  do: 'set circuit',
                  circuit: circuit.id,
                  change: { breakerA: value === '15' ? 15 : value === '20' ? 20 : 30 },
                })
              }
            />
            <NumberField
              label="Carries now"
              unit="VA"
              value={circuit.existingLoadVA}
              min={0}
              max={7200}
              onCommit={(existingLoadVA) =>
                run({ do: 'set circuit', circuit: circuit.id, change: { existingLoadVA } })
              }
            />
          </div>
        ))}
      </details>
      <details>
        <summary className="min-h-11 cursor-pointer py-2 font-bold">Name, code edition and habits</summary>
        <div className="grid gap-3 pt-1">
          <TextField label="Job" value={job.name} onCommit={(name) => run({ do: 'rename job', name })} />
          <Choice
            label="Code edition"
            value={job.edition}
            options={EDITIONS.map((edition) => ({ value: edition, label: edition }))}
            onChange={(value) => {
              const edition = EDITIONS.find((one) => one === value);
              if (edition) run({ do: 'set edition', edition });
            }}
          />
          <Choice
            label="Neutral at a switch box"
            value={habits.neutralAtSwitches}
            options={[
              { value: 'always', label: 'Always' },
              { value: 'where asked', label: 'Where the code asks' },
            ]}
            onChange={(value) =>
              run({
                do: 'set habits',
                habits: { neutralAtSwitches: value === 'always' ? 'always' : 'where asked' },
              })
            }
          />
          <Choice
            label="On a 3-wire run to a switch"
            value={habits.runColors}
            options={[
              { value: 'red switched', label: 'Red comes back switched' },
              { value: 'red constant', label: 'Red goes down constant' },
            ]}
            onChange={(value) =>
              run({
                do: 'set habits',
                habits: { runColors: value === 'red constant' ? 'red constant' : 'red switched' },
              })
            }
          />
          <Choice
            label="Line on a switch's"
            value={habits.lineScrew}
            options={[
              { value: 'lower', label: 'Lower screw' },
              { value: 'upper', label: 'Upper screw' },
            ]}
            onChange={(value) =>
              run({ do: 'set habits', habits: { lineScrew: value === 'upper' ? 'upper' : 'lower' } })
            }
          />
          <Choice
            label="Connectors"
            value={habits.connectors}
            options={[
              { value: 'lever', label: 'Lever' },
              { value: 'twist-on', label: 'Twist-on' },
            ]}
            onChange={(value) =>
              run({ do: 'set habits', habits: { connectors: value === 'twist-on' ? 'twist-on' : 'lever' } })
            }
          />
        </div>
      </details>
    </>
  );
}
