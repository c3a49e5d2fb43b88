import { Trash2 } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import { openStore } from '~/storage/opened';
import { Fold } from '~/ui/fold';
import { NumberField } from '~/ui/number-field';
import { TextField } from '~/ui/text-field';
import { HabitFields } from '../lay-out/habit-fields';
import { useTyped } from '~/ui/use-typed';
import { useHouse } from './context';
import { say } from '~/words/house';

const AskDialog = lazy(() => import('~/ui/ask-dialog'));

/** The name and site, the panel's size, when the inspector comes, what holds for new jobs. */
export function Settings() {
  const { house, run } = useHouse();
  const [removing, setRemoving] = useState(false);
  const navigate = useNavigate();
  const set = (change: Partial<Omit<typeof house, 'id' | 'panel' | 'people' | 'habits'>>) =>
    run({ do: 'set house', change });
  const remove = async (withJobs: boolean) => {
    const { houses } = await openStore();
    // The page leaves first: what it shows is about to go.
    await navigate('/');
    await (await houses()).remove(house.id, withJobs);
  };
  return (
    <Fold title={say('settings.title')}>
      {() => (
        <div className="grid gap-4 pt-1">
          <TextField label={say('settings.name')} value={house.name} onCommit={(name) => set({ name })} />
          <TextField
            label={say('settings.site')}
            clearable
            value={house.site}
            onCommit={(site) => set({ site })}
          />
          <NumberField
            label={say('settings.spaces')}
            unit={say('settings.count')}
            value={house.spaces}
            min={0}
            max={84}
            onCommit={(spaces) => set({ spaces: Math.round(spaces) })}
          />
          <label className="grid gap-1">
            <span className="eyebrow">{say('settings.inspection')}</span>
            <input
              type="date"
              className="field"
              defaultValue={house.inspection ?? ''}
              onChange={(event) => {
                const date = event.currentTarget.value;
                if (date === '' || /^\d{4}-\d\d-\d\d$/.test(date)) set({ inspection: date || null });
              }}
            />
          </label>
          <p className="text-sm text-ink-soft">{say('settings.ofNew')}</p>
          <HabitFields
            edition={house.edition}
            habits={house.habits}
            onEdition={(edition) => set({ edition })}
            onHabit={(change) => run({ do: 'set house habits', change })}
          />
          <Amendments />
          <button type="button" className="button justify-self-start" onClick={() => setRemoving(true)}>
            <Trash2 aria-hidden size={18} /> {say('settings.remove')}
          </button>
          {removing ? (
            <Suspense>
              <AskDialog
                title={say('settings.removeAsk', { name: house.name })}
                ways={[
                  { name: say('settings.removeHouse'), act: () => void remove(false) },
                  { name: say('settings.removeAll'), act: () => void remove(true) },
                ]}
                cancel={say('ask.cancel')}
                onClose={() => setRemoving(false)}
              >
                <p>{say('settings.removeSays')}</p>
              </AskDialog>
            </Suspense>
          ) : null}
        </div>
      )}
    </Fold>
  );
}

/** Rules that the local authority waives, for new jobs of this house. */
function Amendments() {
  const { house, run } = useHouse();
  const [rule, reason] = [useTyped('waived rule'), useTyped('waived because')];
  const known = /^[A-Z]\d\d$/.test(rule.text.trim().toUpperCase());
  const set = (amendments: typeof house.amendments) => run({ do: 'set house', change: { amendments } });
  return (
    <section className="grid gap-2" aria-label={say('amendments.title')}>
      <h3 className="eyebrow">{say('amendments.title')}</h3>
      <ul className="grid gap-1">
        {house.amendments.map((one) => (
          <li key={one.rule} className="flex items-center gap-2">
            <span className="flex-1">{say('amendments.one', { rule: one.rule, reason: one.reason })}</span>
            <button
              type="button"
              className="button px-3"
              onClick={() => set(house.amendments.filter((other) => other !== one))}
            >
              {say('amendments.reinstate')}
            </button>
          </li>
        ))}
      </ul>
      <form
        className="grid grid-cols-[5rem_1fr_auto] items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!known || reason.text.trim().length < 3) return;
          const own = rule.text.trim().toUpperCase();
          set([
            ...house.amendments.filter((one) => one.rule !== own),
            { rule: own, reason: reason.text.trim() },
          ]);
          rule.sent();
          reason.sent();
        }}
      >
        <label className="grid gap-1">
          <span className="eyebrow">{say('amendments.rule')}</span>
          <input className="field num" {...rule.field} maxLength={3} />
        </label>
        <label className="grid gap-1">
          <span className="eyebrow">{say('amendments.reason')}</span>
          <input className="field" {...reason.field} maxLength={300} />
        </label>
        <button type="submit" className="button px-3" disabled={!known || reason.text.trim().length < 3}>
          {say('amendments.waive')}
        </button>
      </form>
    </section>
  );
}
