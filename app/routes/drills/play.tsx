import { Copy } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { checkedAgainst, readCode, SEEDS, writeCode, type DrillCode } from '@core/handover/drills/code';
import type { Design } from '@core/job/model/design';
import { problemText, type Problem } from '@core/job/model/problem';
import { openStore } from '~/storage/opened';
import { TopBar } from '~/ui/top-bar';
import type { Route } from './+types/play';
import { FaultPlay } from './fault-play';
import { MakeUpPlay } from './make-up-play';
import { KIND_SAYS } from './kinds';
import { WallPlay } from './wall-play';
import type { Ended } from './result';
import { say } from '~/words/drills';

export async function clientLoader({ params: { code: text } }: Route.ClientLoaderArgs) {
  const read = readCode(text);
  if (!read.ok) return { code: null, job: null, problems: read.problems };
  const code = read.value;
  const { store } = await openStore();
  const opened = await store.open(code.job);
  const checked = checkedAgainst(code, opened.ok ? opened.value.design : null);
  return checked.ok
    ? { code, job: checked.value, problems: [] as readonly Problem[] }
    : { code: null, job: null, problems: checked.problems };
}

export function HydrateFallback() {
  return <p className="p-6 text-ink-soft">{say('page.starting')}</p>;
}

export const meta = () => [{ title: say('route.pageTitle') }];

/** One drill, made by its code and played to its end. */
export default function Play({ loaderData: { code, job, problems } }: Route.ComponentProps) {
  if (code === null)
    return (
      <>
        <TopBar title={<h1 className="text-lg font-bold">{say('page.cannot')}</h1>} />
        <main className="grid content-start gap-3 p-4 sm:p-6" role="alert">
          {problems.map((problem) => (
            <p key={problem.message}>▲ {problemText(problem)}</p>
          ))}
          <Link to="/drills" className="button justify-self-start">
            {say('page.back')}
          </Link>
        </main>
      </>
    );
  return <Played key={writeCode(code)} code={code} job={job} />;
}

function Played({ code, job }: { code: DrillCode; job: Design }) {
  const navigate = useNavigate();
  const [copied, setCopied] = useState(false);
  const text = writeCode(code);
  const ending = useMemo(
    () => ({
      keep: (ended: Ended) =>
        void openStore()
          .then(({ drills }) => drills())
          .then((history) =>
            history.add({ code: text, kind: code.kind, level: code.level, job: job.name, ...ended }),
          ),
      another: () =>
        void navigate(`/drills/${writeCode({ ...code, seed: Math.floor(Math.random() * SEEDS) })}`),
    }),
    [code, job, navigate, text],
  );
  const play = { job, code, ...ending };
  return (
    <>
      <TopBar
        title={
          <>
            <h1 className="truncate text-base leading-tight font-bold sm:text-lg">
              {KIND_SAYS[code.kind][0]}
            </h1>
            <p className="hidden truncate pl-3 text-ink-soft lg:block">{say('page.code', { code: text })}</p>
          </>
        }
        tools={
          <Link to="/drills" className="button button-quiet px-2 text-sm">
            {say('page.back')}
          </Link>
        }
        more={[
          {
            name: copied ? say('page.copied') : say('page.copy'),
            icon: <Copy aria-hidden size={20} />,
            act: () => void navigator.clipboard.writeText(text).then(() => setCopied(true)),
          },
        ]}
      />
      {code.kind === 'fault' ? (
        <FaultPlay {...play} />
      ) : code.kind === 'wall' ? (
        <WallPlay {...play} />
      ) : (
        <MakeUpPlay {...play} />
      )}
    </>
  );
}
