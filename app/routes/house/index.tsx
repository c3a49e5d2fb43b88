import { Plus } from 'lucide-react';
import { houseCircuits } from '@core/choices/house/circuits';
import { PanelCircuit } from '@core/job/model/house';
import { houseJobs } from '~/storage/houses';
import { AnswerLine } from '~/ui/answer-line';
import { CircuitCard } from './circuit-card';
import { useHouse } from './context';
import { Jobs } from './jobs';
import { People } from './people';
import { Settings } from './settings';
import { say } from '~/words/house';

/** The panel with what each job adds to it, the jobs, and what they share. */
export default function PanelAndJobs() {
  const { house, jobs, run } = useHouse();
  const circuits = houseCircuits(house, houseJobs(jobs));
  const against = circuits.reduce((sum, { findings }) => sum + findings.length, 0);
  const free = Array.from({ length: 84 }, (_, index) => String(index + 1)).find(
    (number) => !house.panel.some((one) => one.number === number),
  );
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start gap-6 p-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)] lg:grid-rows-[auto_1fr]">
      <div className="grid content-start gap-4 lg:row-span-2">
        <AnswerLine>
          {against > 0
            ? say('panel.against', { count: against })
            : circuits.length === 0
              ? say('panel.empty')
              : say('panel.answer', { jobs: jobs.length, circuits: circuits.length })}
        </AnswerLine>
        <section aria-label={say('panel.title')} className="grid gap-3 xl:grid-cols-2">
          {circuits.map((circuit) => (
            <CircuitCard key={circuit.circuit.number} of={circuit} />
          ))}
        </section>
        <button
          type="button"
          className="button justify-self-start"
          disabled={free === undefined}
          onClick={() =>
            free !== undefined &&
            run({
              do: 'add panel circuit',
              circuit: PanelCircuit.parse({ number: free, breakerA: 20, leg: 'A' }),
            })
          }
        >
          <Plus aria-hidden size={18} /> {say('panel.add')}
        </button>
      </div>
      {/* On a phone the jobs come before the panel. */}
      <div className="order-first lg:order-none">
        <Jobs />
      </div>
      <aside className="grid content-start gap-6">
        <People />
        <Settings />
      </aside>
    </main>
  );
}
