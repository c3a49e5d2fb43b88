import { ArrowLeft } from 'lucide-react';
import { Form, Link, useSearchParams } from 'react-router';
import { problemText, type Problem } from '@core/job/model/problem';
import { startDefaults, type Start } from '@core/handover/starts/start';
import { startOf } from '@core/handover/starts/starts';
import { SketchFigure } from '~/drawing/sketch';
import { drawnAtBuild } from '~/standing/drawn-at-build';
import { Opening } from '~/standing/opening';
import { Standing } from '~/standing/standing';
import { Choice } from '~/ui/choice';
import { useDraft } from '~/ui/use-draft';
import type { Route } from './+types/route';
import { StartCards, StartsPage, useSketches } from './start-card';
import { say } from '~/words/new';

export const meta: Route.MetaFunction = () => [{ title: say('route.newJobSplitTap') }];

/* What makes a job of the form is loaded when it is sent, what reads a house when one is named. */
export const clientAction = async ({ request }: Route.ClientActionArgs) =>
  (await import('./make')).make(request);

export async function clientLoader({ request }: Route.ClientLoaderArgs) {
  const named = new URL(request.url).searchParams.has('house');
  return { house: named ? await (await import('./make')).houseOf(request.url) : null };
}

const AtBuild = drawnAtBuild(import.meta.env.SSR ? () => import('./at-build') : null);

export function HydrateFallback() {
  return <Standing>{AtBuild ? <AtBuild /> : <Opening />}</Standing>;
}

/** A new job: a starting point as a picture, then what differs from job to job. */
export default function New({ actionData, loaderData }: Route.ComponentProps) {
  const house = (loaderData as typeof loaderData | undefined)?.house;
  const [search] = useSearchParams();
  const start = startOf(search.get('start') ?? '');
  const sketches = useSketches();
  const sketch = start && sketches[start.id];
  const address = (id: string | null): string => {
    const next = new URLSearchParams(search);
    if (id === null) next.delete('start');
    else next.set('start', id);
    return `/new?${next}`;
  };
  const circuits = house?.panel.map(({ number, breakerA }) => `${number} (${breakerA} A)`).join(', ');
  return (
    <StartsPage title={start ? start.name : say('route.whatIsIt')}>
      {house ? (
        <p className="mt-1 text-ink-soft">
          {say('route.inHouse', { house: house.name, circuits: circuits === '' ? '—' : (circuits ?? '—') })}
        </p>
      ) : null}
      {start ? (
        <div className="mt-3 grid gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)]">
          <div className="grid content-start gap-3">
            <div className="h-40 rounded-xl border-2 border-line bg-paper p-4">
              {sketch ? <SketchFigure sketch={sketch} className="h-full w-full" /> : null}
            </div>
            <p>{start.says}</p>
            <div>
              <p className="eyebrow">{say('route.takenForGranted')}</p>
              <ul className="list-disc pl-5">
                {start.given.map((one) => (
                  <li key={one}>{one}</li>
                ))}
              </ul>
            </div>
          </div>
          <StartForm key={start.id} start={start} problems={actionData?.problems ?? []} />
          <Link to={address(null)} className="button justify-self-start" replace>
            <ArrowLeft aria-hidden size={20} /> {say('route.otherStart')}
          </Link>
        </div>
      ) : (
        <StartCards sketches={sketches} address={address} />
      )}
    </StartsPage>
  );
}

const MAKES = {
  'make-up': say('route.showMakeUp'),
  find: say('route.openFind'),
  test: say('route.openTest'),
  'lay-out': say('route.openLayOut'),
} as const;

/** Answers up to this many are buttons, a list beyond. */
const BUTTONS = 3;

/** What differs from job to job, each with what is taken unless it is changed. */
function StartForm({ start, problems }: { start: Start; problems: readonly Problem[] }) {
  const given = startDefaults(start);
  const name = useDraft('name of the job', given.name);
  return (
    // What was typed goes with the form; the next job begins with the name that it is given.
    <Form method="post" className="grid content-start gap-4" onSubmit={() => name.settle(name.text)}>
      <input type="hidden" name="start" value={start.id} />
      {problems.length > 0 ? (
        <ul role="alert" className="rounded-xl border-2 border-ink p-3">
          {problems.map((problem) => (
            <li key={problem.path}>{problemText(problem)}</li>
          ))}
        </ul>
      ) : null}
      {/* First under the thumb: what is given is right for most. */}
      <button type="submit" className="button button-strong min-h-14 text-lg">
        {MAKES[start.opens]}
      </button>
      {start.questions.map(({ id, label, answers }) => {
        const options = answers.map((answer) => ({ value: answer.id, label: answer.label }));
        return options.length <= BUTTONS ? (
          <Choice
            key={id}
            name={`answer ${id}`}
            label={label}
            initial={given.answers[id] ?? ''}
            options={options}
          />
        ) : (
          <label key={id} className="grid gap-1">
            <span className="eyebrow">{label}</span>
            <select name={`answer ${id}`} className="field" defaultValue={given.answers[id]}>
              {options.map(({ value, label: says }) => (
                <option key={value} value={value}>
                  {says}
                </option>
              ))}
            </select>
          </label>
        );
      })}
      <Choice
        name="breakerA"
        label={say('route.breaker')}
        initial={String(given.breakerA)}
        options={[
          { value: '15', label: '15 A' },
          { value: '20', label: '20 A' },
        ]}
      />
      <div className="grid grid-cols-2 gap-3">
        {given.circuits.map((number, index) => (
          <label key={index} className="grid gap-1">
            <span className="eyebrow">
              {given.circuits.length === 1
                ? say('route.circuitNumber')
                : say('route.circuitNumberOf', { which: index + 1 })}
            </span>
            <input name="circuit" className="field num" defaultValue={number} maxLength={12} required />
          </label>
        ))}
      </div>
      <label className="grid gap-1">
        <span className="eyebrow">
          {start.opened === undefined ? say('route.nameJob') : say('route.namePlace')}
        </span>
        <input
          {...name.field}
          name="name"
          className="field"
          value={name.text}
          maxLength={80}
          required
          onChange={(event) => name.type(event.currentTarget.value)}
        />
      </label>
    </Form>
  );
}
