import { ResponsiveContainer } from 'recharts';
import type { ReactElement, ReactNode } from 'react';

/** What a color of a chart stands for. */
interface Colored {
  readonly name: string;
  readonly color: string;
}

/** A chart in its frame: what it is of, what it says, what its colors stand for. */
export function Chart({
  title,
  says,
  colors = [],
  children,
}: {
  title: string;
  says: string;
  colors?: readonly Colored[];
  children: ReactElement;
}): ReactNode {
  return (
    <figure className="grid content-start gap-1 rounded-xl border-2 border-line bg-paper p-3">
      <figcaption>
        <span className="font-bold">{title}</span> <span className="text-sm text-ink-soft">{says}</span>
      </figcaption>
      <div className="h-60" role="img" aria-label={`${title}. ${says}`}>
        <ResponsiveContainer width="100%" height="100%">
          {children}
        </ResponsiveContainer>
      </div>
      {colors.length > 0 ? <Key colors={colors} /> : null}
    </figure>
  );
}

/** What the colors of a chart stand for. */
function Key({ colors }: { colors: readonly Colored[] }) {
  return (
    <ul className="flex flex-wrap justify-center gap-x-4 text-sm">
      {colors.map(({ name, color }) => (
        <li key={name} className="flex items-center gap-1.5">
          <span aria-hidden className="size-3 border border-ink" style={{ background: color }} />
          {name}
        </li>
      ))}
    </ul>
  );
}
