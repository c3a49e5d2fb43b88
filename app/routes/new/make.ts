import { redirect } from 'react-router';
import { freshId } from '@core/job/commands/command';
import type { House } from '@core/job/model/house';
import { zodProblems } from '@core/job/model/job-file';
import type { Problem } from '@core/job/model/problem';
import { jobFrom, StartAnswers } from '@core/handover/starts/job-from';
import { startOf } from '@core/handover/starts/starts';
import { openStore } from '~/storage/opened';
import { keepForGood } from '~/storage/persist';
import { say } from '~/words/new';

const textOf = (value: FormDataEntryValue | null): string => (typeof value === 'string' ? value : '');

/** Makes a job of a filled form and leads to it; or says what is wrong with the form. */
export async function make(request: Request) {
  const form = await request.formData();
  const start = startOf(textOf(form.get('start')));
  if (!start)
    return { problems: [{ path: 'start', message: say('route.noSuchStart') }] as readonly Problem[] };
  const asked = StartAnswers.safeParse({
    name: form.get('name'),
    circuits: form.getAll('circuit'),
    breakerA: Number(form.get('breakerA')),
    answers: Object.fromEntries(start.questions.map(({ id }) => [id, form.get(`answer ${id}`) ?? ''])),
  });
  if (!asked.success) return { problems: zodProblems(asked.error) };
  const { store, houses } = await openStore();
  const existing = await store.list();
  const into = await houseOf(request.url);
  const panel = into?.panel.find(({ number }) => number === asked.data.circuits[0]);
  // The cable that is taken to be there is that of the panel's breaker.
  const breakerA = panel && panel.breakerA !== 30 ? panel.breakerA : asked.data.breakerA;
  const made = jobFrom(start, freshId(existing, asked.data.name), { ...asked.data, breakerA });
  if (!made.ok) return { problems: made.problems };
  const { design, record } = made.value;
  const inHouse = into
    ? { site: into.site, edition: into.edition, habits: into.habits, amendments: into.amendments }
    : {};
  const added = await store.add({ design: { ...design, ...inHouse }, record });
  if (into) await (await houses()).move(added.design.id, into.id);
  keepForGood();
  return redirect(`/job/${added.design.id}/${start.opens}`);
}

/** The house that a new job is to be in, by the address. */
export async function houseOf(url: string): Promise<House | null> {
  const id = new URL(url).searchParams.get('house');
  if (id === null) return null;
  const { houses } = await openStore();
  const opened = await (await houses()).open(id);
  return opened.ok ? opened.value.house : null;
}
