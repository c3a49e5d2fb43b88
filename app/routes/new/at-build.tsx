import { startSketches } from '~/workers/glance-room';
import { StartCards, StartsPage } from './start-card';
import { say } from '~/words/new';

/** The starting points as the build draws them: for the address that asks for none of them. */
export default function AtBuild() {
  return (
    <div data-plain className="contents">
      <StartsPage title={say('route.whatIsIt')}>
        <StartCards sketches={startSketches()} address={(id) => `/new?start=${id}`} />
      </StartsPage>
    </div>
  );
}
