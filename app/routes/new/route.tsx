import { Form, redirect } from 'react-router';
import { freshId } from '@core/commands/command';
import { NewJob, newJob } from '@core/jobs/new-job';
import { zodProblems } from '@core/model/file';
import { EMPTY_RECORD } from '@core/model/record';
import { problemText } from '@core/model/problem';
import { openStore } from '~/storage/opened';
import { keepForGood } from '~/storage/persist';
import { Choice } from '~/ui/choice';
import { TopBar } from '~/ui/top-bar';
import type { Route } from './+types/route';
import { say } from '~/words/new';

export const meta: Route.MetaFunction = () => [{ title: say('route.newJobSplitTap') }];

export async function clientAction({ request }: Route.ClientActionArgs) {
  const form = await request.formData();
  const asked = NewJob.safeParse({
    name: form.get('name'),
    feedAt: form.get('feedAt'),
    upper: form.get('upper'),
    lower: form.get('lower'),
    breakerA: Number(form.get('breakerA')),
    circuit: form.get('circuit'),
    runFt: Number(form.get('runFt')),
  });
  if (!asked.success) return { problems: zodProblems(asked.error) };
  const { store, houses } = await openStore();
  const existing = await store.list();
  const into = await houseOf(request.url);
  const panel = into?.panel.find(({ number }) => number === asked.data.circuit);
  // The cable that is taken to be there is that of the panel's breaker.
  const breakerA = panel && panel.breakerA !== 30 ? panel.breakerA : asked.data.breakerA;
  const fresh = newJob(freshId(existing, asked.data.name), { ...asked.data, breakerA });
  const design = into
    ? {
        ...fresh,
        site: into.site,
        edition: into.edition,
        habits: into.habits,
        amendments: into.amendments,
      }
    : fresh;
  const added = await store.add({ design, record: EMPTY_RECORD });
  if (into) await (await houses()).move(added.design.id, into.id);
  keepForGood();
  return redirect(`/job/${added.design.id}/make-up`);
}

/** The house that a new job is to be in, by the address. */
async function houseOf(url: string) {
  const id = new URL(url).searchParams.get('house');
  if (id === null) return null;
  const { houses } = await openStore();
  const opened = await (await houses()).open(id);
  return opened.ok ? opened.value.house : null;
}

export async function clientLoader({ request }: Route.ClientLoaderArgs) {
  return { house: await houseOf(request.url) };
}

const HALF = [
  { value: 'always on', label: say('route.always') },
  { value: 'switched', label: say('route.fromSwitch') },
];

export default function New({ actionData, loaderData }: Route.ComponentProps) {
  const house = (loaderData as typeof loaderData | undefined)?.house;
  const problems = actionData?.problems ?? [];
  return (
    <>
      <TopBar title={<p className="text-lg font-bold">{say('route.splitTap')}</p>} />
      <main className="mx-auto w-full max-w-xl p-4 sm:p-6">
        <h1 className="text-xl font-bold">{say('route.newOutletSwitch')}</h1>
        {house ? (
          <p className="mt-1 text-ink-soft">
            {say('route.inHouse', {
              house: house.name,
              circuits:
                house.panel.map(({ number, breakerA }) => `${number} (${breakerA} A)`).join(', ') || '—',
            })}
          </p>
        ) : null}
        <Form method="post" className="mt-4 grid gap-5">
          {problems.length > 0 ? (
            <ul role="alert" className="rounded-xl border-2 border-ink p-3">
              {problems.map((problem) => (
                <li key={problem.path}>{problemText(problem)}</li>
              ))}
            </ul>
          ) : null}
          <Choice
            name="feedAt"
            label={say('route.powerArrives')}
            initial="switch"
            options={[
              { value: 'switch', label: say('route.switch') },
              { value: 'outlet', label: say('route.outlet') },
            ]}
          />
          <Choice name="upper" label={say('route.upperHalf')} initial="always on" options={HALF} />
          <Choice name="lower" label={say('route.lowerHalf')} initial="switched" options={HALF} />
          <Choice
            name="breakerA"
            label={say('route.breaker')}
            initial="20"
            options={[
              { value: '15', label: '15 A' },
              { value: '20', label: '20 A' },
            ]}
          />
          <div className="grid grid-cols-2 gap-3">
            <label className="grid gap-1">
              <span className="eyebrow">{say('route.circuitNumber')}</span>
              <input name="circuit" className="field num" defaultValue="1" maxLength={12} required />
            </label>
            <label className="grid gap-1">
              <span className="eyebrow">{say('route.switchOutletFt')}</span>
              <input
                name="runFt"
                className="field num"
                type="number"
                inputMode="decimal"
                defaultValue={15}
                min={1}
                max={1000}
                step="any"
                required
              />
            </label>
          </div>
          <label className="grid gap-1">
            <span className="eyebrow">{say('route.nameJob')}</span>
            <input
              name="name"
              className="field"
              defaultValue={say('route.halfSwitchedOutlet')}
              maxLength={80}
              required
            />
          </label>
          <button type="submit" className="button button-strong">
            {say('route.showMakeUp')}
          </button>
        </Form>
      </main>
    </>
  );
}
