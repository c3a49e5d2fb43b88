import { startSketches } from '~/workers/glance-room';
import { TopBar } from '~/ui/top-bar';
import { StartCards } from './start-card';
import { say } from '~/words/new';

/** The starting points as the build draws them: for the address that asks for none of them. */
export default function AtBuild() {
  return (
    <div data-plain className="contents">
      <TopBar title={<p className="text-lg font-bold">{say('route.splitTap')}</p>} />
      <main className="mx-auto w-full max-w-5xl p-4 sm:p-6">
        <h1 className="text-xl font-bold">{say('route.whatIsIt')}</h1>
        <StartCards sketches={startSketches()} address={(id) => `/new?start=${id}`} />
      </main>
    </div>
  );
}
