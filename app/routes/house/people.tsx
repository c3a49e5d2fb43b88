import { Plus, Trash2 } from 'lucide-react';
import { useTyped } from '~/ui/use-typed';
import { useHouse } from './context';
import { say } from '~/words/house';

/** Who works on the house; the record of its jobs names them. */
export function People() {
  const { house, run } = useHouse();
  const name = useTyped('person');
  const role = useTyped('role');
  return (
    <section aria-labelledby="people" className="grid gap-2">
      <h2 id="people" className="eyebrow">
        {say('people.title')}
      </h2>
      <ul className="grid gap-1">
        {house.people.map((person) => (
          <li key={person.id} className="flex items-center gap-2">
            <span className="min-w-0 flex-1">
              <span className="font-semibold">{person.name}</span>{' '}
              <span className="text-ink-soft">{person.role}</span>
            </span>
            <button
              type="button"
              className="button button-quiet px-3"
              aria-label={say('people.remove', { name: person.name })}
              onClick={() => run({ do: 'remove person', person: person.id })}
            >
              <Trash2 aria-hidden size={18} />
            </button>
          </li>
        ))}
      </ul>
      <form
        className="grid grid-cols-[1fr_1fr_auto] items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.text.trim() === '') return;
          run({ do: 'add person', person: { name: name.text.trim(), role: role.text.trim() } });
          name.sent();
          role.sent();
        }}
      >
        <label className="grid gap-1">
          <span className="eyebrow">{say('people.name')}</span>
          <input className="field" {...name.field} maxLength={80} />
        </label>
        <label className="grid gap-1">
          <span className="eyebrow">{say('people.role')}</span>
          <input className="field" {...role.field} maxLength={80} />
        </label>
        <button type="submit" className="button px-3">
          <Plus aria-hidden size={18} /> {say('people.add')}
        </button>
      </form>
    </section>
  );
}
