import { useEffect, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Sketch } from '@core/handover/glance/sketch';
import type { Start } from '@core/handover/starts/start';
import { STARTS } from '@core/handover/starts/starts';
import { SketchFigure } from '~/drawing/sketch';
import { TopBar } from '~/ui/top-bar';
import { say } from '~/words/new';

export type Sketches = Readonly<Record<string, Sketch>>;
let drawn: Promise<Sketches> | null = null;
const draw = () =>
  (drawn ??= import('~/workers/core').then(({ glanceWorker }) =>
    glanceWorker.ask((worker) => worker.startSketches()),
  ));

/** The pictures of the starting points, worked out beside the page; none until then. */
export function useSketches(): Sketches {
  const [sketches, setSketches] = useState<Sketches>({});
  useEffect(() => {
    let left = false;
    draw().then(
      (all) => !left && setSketches(all),
      () => {
        drawn = null;
      },
    );
    return () => {
      left = true;
    };
  }, []);
  return sketches;
}

/** The page of starting points, and of one of them: as it is alive, and as the build draws it. */
export function StartsPage({ title, children }: { title: string; children: ReactNode }) {
  return (
    <>
      <TopBar title={<p className="text-lg font-bold">{say('route.splitTap')}</p>} />
      <main className="mx-auto w-full max-w-5xl p-4 sm:p-6">
        <h1 className="text-xl font-bold">{title}</h1>
        {children}
      </main>
    </>
  );
}

/** All starting points as pictures. */
export function StartCards({ sketches, address }: { sketches: Sketches; address: (id: string) => string }) {
  return (
    <ul className="mt-4 grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-3 lg:grid-cols-4">
      {STARTS.map((one) => (
        <li key={one.id} className="grid grid-cols-[minmax(0,1fr)]">
          <StartCard start={one} sketch={sketches[one.id]} to={address(one.id)} />
        </li>
      ))}
    </ul>
  );
}

function StartCard({
  start: { id, name, says },
  sketch,
  to,
}: {
  start: Start;
  sketch: Sketch | undefined;
  to: string;
}) {
  return (
    <Link
      to={to}
      data-start={id}
      className="grid grid-cols-[min(6.5rem,28%)_minmax(0,1fr)] items-center gap-3 rounded-xl border-2 border-line bg-paper p-3 hover:border-plum sm:grid-cols-1 sm:grid-rows-[4rem_auto]"
    >
      <span className="block h-16">
        {sketch ? <SketchFigure sketch={sketch} className="h-16 w-full" /> : null}
      </span>
      <span className="grid min-w-0 content-start wrap-anywhere">
        <span className="leading-tight font-bold">{name}</span>
        <span className="text-sm text-ink-soft">{says}</span>
      </span>
    </Link>
  );
}
