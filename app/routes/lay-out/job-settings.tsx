import { Choice } from '~/ui/choice';
import { NumberField } from '~/ui/number-field';
import { TextField } from '~/ui/text-field';
import { useJob } from '../job/context';

const PROTECTION = [
  { value: 'none', label: 'Plain' },
  { value: 'gfci', label: 'GFCI' },
  { value: 'afci', label: 'AFCI' },
  { value: 'dual', label: 'Both' },
] as const;

/** The circuits, and the name of the job. */
export function JobSettings() {
  const { job, run } = useJob();
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 font-bold">Circuits and name</summary>
      <div className="grid gap-5 pt-1">
        {job.circuits.map((circuit) => {
          const set = (change: Partial<typeof circuit>) =>
            run({ do: 'set circuit', circuit: circuit.id, change });
          return (
            <div key={circuit.id} className="grid gap-3 sm:grid-cols-2">
              <TextField label="Number" value={circuit.number} onCommit={(number) => set({ number })} />
              <NumberField
                label="Carries now"
                unit="VA"
                value={circuit.existingLoadVA}
                min={0}
                max={7200}
                onCommit={(existingLoadVA) => set({ existingLoadVA })}
              />
              <Choice
                label="Breaker"
                value={String(circuit.breakerA)}
                options={[15, 20, 30].map((amps) => ({ value: String(amps), label: `${amps} A` }))}
                onChange={(value) => set({ breakerA: value === '15' ? 15 : value === '20' ? 20 : 30 })}
              />
              <Choice
                label="Breaker protects"
                value={circuit.protection}
                options={PROTECTION}
                onChange={(value) => {
                  const protection = PROTECTION.find((one) => one.value === value)?.value;
                  if (protection) set({ protection });
                }}
              />
            </div>
          );
        })}
        <button
          type="button"
          className="chip justify-self-start"
          aria-pressed={job.panelSplices}
          onClick={() => run({ do: 'allow panel splices', allowed: !job.panelSplices })}
        >
          This panel may hold splices: there is room, and the authority agrees (312.8)
        </button>
        <TextField label="Job" value={job.name} onCommit={(name) => run({ do: 'rename job', name })} />
      </div>
    </details>
  );
}
