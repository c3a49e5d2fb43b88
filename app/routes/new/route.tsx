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

export const meta: Route.MetaFunction = () => [{ title: 'New job · Split Tap' }];

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
  const { store } = await openStore();
  const existing = await store.list();
  const design = newJob(freshId(existing, asked.data.name), asked.data);
  const added = await store.add({ design, record: EMPTY_RECORD });
  keepForGood();
  return redirect(`/job/${added.design.id}/make-up`);
}

const HALF = [
  { value: 'always on', label: 'Always on' },
  { value: 'switched', label: 'From the switch' },
];

export default function New({ actionData }: Route.ComponentProps) {
  const problems = actionData?.problems ?? [];
  return (
    <>
      <TopBar title={<p className="text-lg font-bold">Split Tap</p>} />
      <main className="mx-auto w-full max-w-xl p-4 sm:p-6">
        <h1 className="text-xl font-bold">New outlet and switch</h1>
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
            label="Power arrives at the"
            initial="switch"
            options={[
              { value: 'switch', label: 'Switch' },
              { value: 'outlet', label: 'Outlet' },
            ]}
          />
          <Choice name="upper" label="Upper half" initial="always on" options={HALF} />
          <Choice name="lower" label="Lower half" initial="switched" options={HALF} />
          <Choice
            name="breakerA"
            label="Breaker"
            initial="20"
            options={[
              { value: '15', label: '15 A' },
              { value: '20', label: '20 A' },
            ]}
          />
          <div className="grid grid-cols-2 gap-3">
            <label className="grid gap-1">
              <span className="eyebrow">Circuit number</span>
              <input name="circuit" className="field num" defaultValue="1" maxLength={12} required />
            </label>
            <label className="grid gap-1">
              <span className="eyebrow">Switch to outlet, ft</span>
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
            <span className="eyebrow">Name of the job</span>
            <input
              name="name"
              className="field"
              defaultValue="Half-switched outlet"
              maxLength={80}
              required
            />
          </label>
          <button type="submit" className="button button-strong">
            Show the make-up
          </button>
        </Form>
      </main>
    </>
  );
}
