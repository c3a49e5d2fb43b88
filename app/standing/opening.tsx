import { say } from '~/words/shell';

/** What stands where nothing is known of a job yet. */
export function Opening() {
  return (
    <>
      <header className="flex items-center gap-x-1 px-3 py-1 sm:px-4">
        <span className="flex size-11 shrink-0 items-center">
          <img src={`${import.meta.env.BASE_URL}icon.svg`} alt="" width={28} height={28} />
        </span>
        <p className="text-lg font-bold">{say('root.splitTap')}</p>
      </header>
      <p className="p-6 text-ink-soft">{say('root.openingJob')}</p>
    </>
  );
}
