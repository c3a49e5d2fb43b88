import { Link } from 'react-router';
import { say } from '~/words/day';

/** The two sides of the stage: the order of work, and what to take along. */
export function Beside({ id, at }: { id: string; at: 'day' | 'take-off' }) {
  return (
    <nav aria-label={say('beside.title')} className="flex gap-1 print:hidden">
      {(
        [
          ['day', say('beside.day')],
          ['take-off', say('beside.takeOff')],
        ] as const
      ).map(([path, name]) => (
        <Link
          key={path}
          to={`/job/${id}/${path}`}
          className="chip flex items-center aria-[current=page]:border-ink aria-[current=page]:bg-ink aria-[current=page]:text-sand"
          aria-current={at === path ? 'page' : undefined}
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}
