import { useState, type ReactNode } from 'react';

/** A part that is folded away at first. What is in it is drawn from its first opening on. */
export function Fold({ title, children }: { title: string; children: () => ReactNode }) {
  const [opened, setOpened] = useState(false);
  return (
    <details onToggle={(event) => event.currentTarget.open && setOpened(true)}>
      <summary className="min-h-11 cursor-pointer py-2 font-bold">{title}</summary>
      {opened ? children() : null}
    </details>
  );
}
