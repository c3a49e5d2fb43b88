import { useState } from 'react';
import { useHouse } from './context';

/** The jobs of the house that are left out, by id, and a way to leave one out or take it in again. */
export function useLeftOut() {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const toggle = (id: string) => {
    const next = new Set(left);
    if (!next.delete(id)) next.add(id);
    setLeft(next);
  };
  return { left, toggle };
}

/** Which jobs of the house are meant: all but those that are left out. */
export function JobChips({ title, left, toggle }: { title: string } & ReturnType<typeof useLeftOut>) {
  const { jobs } = useHouse();
  return (
    <fieldset className="flex flex-wrap gap-2 print:hidden">
      <legend className="eyebrow float-left w-full pb-1">{title}</legend>
      {jobs.map(({ id, name }) => (
        <button
          key={id}
          type="button"
          className="chip"
          aria-pressed={!left.has(id)}
          onClick={() => toggle(id)}
        >
          {name}
        </button>
      ))}
    </fieldset>
  );
}
