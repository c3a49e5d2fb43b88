import { FilePlus2, HousePlug } from 'lucide-react';
import { useState } from 'react';
import { Link, useFetcher } from 'react-router';
import { JobCards, type ListedJob } from './job-cards';
import { say } from '~/words/home';

/** A house with its jobs below it. */
export function HouseSection({
  id,
  name,
  jobs,
  demo,
}: {
  id: string;
  name: string;
  jobs: readonly ListedJob[];
  demo: boolean;
}) {
  return (
    <section aria-labelledby={`house-${id}`}>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <h2 id={`house-${id}`} className="text-lg font-bold">
          {name}{' '}
          <span className="text-base font-normal text-ink-soft">
            {[...(demo ? [say('route.demo')] : []), say('route.jobs', { count: jobs.length })].join(', ')}
          </span>
        </h2>
        <Link to={`/house/${id}`} className="button">
          <HousePlug aria-hidden size={20} /> {say('route.openHouse')}
        </Link>
      </div>
      {jobs.length === 0 ? (
        <Link to={`/new?house=${id}`} className="button mt-2">
          <FilePlus2 aria-hidden size={20} /> {say('route.firstJobHere')}
        </Link>
      ) : (
        <JobCards jobs={jobs} demo={demo} />
      )}
    </section>
  );
}

/** The button that was pressed turns into the field. */
const focused = (input: HTMLInputElement | null) => input?.focus();

/** A house by its name; the rest is said in it. */
export function NewHouse() {
  const [name, setName] = useState<string | null>(null);
  const fetcher = useFetcher();
  if (name === null)
    return (
      <button type="button" className="button" onClick={() => setName('')}>
        <HousePlug aria-hidden size={20} /> {say('route.newHouse')}
      </button>
    );
  return (
    <fetcher.Form
      method="post"
      action="/?index"
      className="flex items-end gap-2"
      onSubmit={(event) => {
        if (name.trim() === '') event.preventDefault();
      }}
    >
      <label className="grid gap-1">
        <span className="sr-only">{say('route.houseName')}</span>
        <input
          ref={focused}
          name="house"
          className="field"
          placeholder={say('route.houseName')}
          maxLength={80}
          value={name}
          onChange={(event) => setName(event.currentTarget.value)}
        />
      </label>
      <button type="submit" className="button button-strong">
        {say('route.makeHouse')}
      </button>
    </fetcher.Form>
  );
}
