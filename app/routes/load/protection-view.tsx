import { useState } from 'react';
import { groupBy } from '@core/group-by';
import { wishKind } from '@core/devices';
import { placeName } from '@core/layout/names';
import type { Design } from '@core/model/design';
import { PROTECTION_WORD } from '@core/protection/kinds';
import type { OutletNeeds } from '@core/protection/needs';
import type { Strategy, Tally } from '@core/protection/strategies';
import { protectionWorker } from '~/workers/core';
import { useAnswer } from '~/workers/use-answer';
import { AnswerLine } from '~/ui/answer-line';
import { RunMap } from '../lay-out/run-map';
import { useJob, useJudged } from '../job/context';
import { Places } from './places';

/** What must be protected and why, what each test button covers, and the ways to cover the rest. */
export function ProtectionView() {
  const { job } = useJob();
  const { judged } = useJudged();
  const [pressed, setPressed] = useState<string | null>(null);
  const needs = judged?.needs ?? [];
  const buttons = [
    ...job.devices
      .filter(({ kind }) => wishKind(kind).protection)
      .map(({ id, box, kind }) => ({
        id,
        says: `${placeName(job, box)}, ${wishKind(kind).name}`,
        parts: judged?.proof?.coverage.get(id) ?? [],
      })),
    ...job.circuits.flatMap(({ id, number, protection }) =>
      protection === 'none'
        ? []
        : [
            {
              id,
              says: `breaker ${number}, ${PROTECTION_WORD[protection]}`,
              parts: needs.filter(({ user }) => user.want.circuit === id).map(({ user }) => user.key),
            },
          ],
    ),
  ];
  const covered = new Set(
    (buttons.find(({ id }) => id === pressed)?.parts ?? []).flatMap(
      (part) => job.devices.find(({ id }) => id === part.split('/')[0])?.box ?? [],
    ),
  );
  return (
    <div className="grid gap-5">
      <AnswerLine>{answer(needs)}</AnswerLine>
      <div className="grid gap-5 lg:grid-cols-2">
        <section className="grid content-start gap-3" aria-label="What is needed">
          <h3 className="text-lg font-bold">What is needed, and why</h3>
          {alike(needs).map(({ user, name, gfci, afci, marks, hasGfci, hasAfci, afciNow }) => (
            <div key={user.key} className="grid gap-1 rounded-xl border-2 border-line bg-paper p-3">
              <p className="font-semibold">{name}</p>
              <ul className="text-sm">
                <li>
                  {gfci === null
                    ? 'GFCI: not required here'
                    : `GFCI: ${gfci}. ${hasGfci ? '● covered' : '▲ not covered'}`}
                </li>
                <li>
                  {afci === null
                    ? 'AFCI: not required here'
                    : `AFCI: ${afci}${afciNow ? '' : ', once the circuit is extended or new'}. ${hasAfci ? '● covered' : afciNow ? '▲ not covered' : '○ not covered'}`}
                </li>
                {marks.length > 0 ? <li>Marked {marks.join('; ')}</li> : null}
              </ul>
            </div>
          ))}
          <Places />
        </section>
        <section className="grid content-start gap-3" aria-label="What is covered">
          <h3 className="text-lg font-bold">Press a test button</h3>
          {buttons.length === 0 ? <p>Nothing protects anything yet.</p> : null}
          <div className="flex flex-wrap gap-2">
            {buttons.map(({ id, says }) => (
              <button
                key={id}
                type="button"
                className="chip"
                aria-pressed={id === pressed}
                onClick={() => setPressed(id === pressed ? null : id)}
              >
                {says}
              </button>
            ))}
          </div>
          {pressed ? (
            <p>
              Goes dead:{' '}
              {covered.size === 0 ? 'nothing' : [...covered].map((id) => placeName(job, id)).join(', ')}.
            </p>
          ) : null}
          <RunMap chosen={{ kind: 'box', id: '' }} onChoose={() => undefined} lit={covered} />
          <Ways job={job} />
        </section>
      </div>
    </div>
  );
}

/** Parts of one device that need and have the same, said once by the name of their place. */
function alike(needs: readonly OutletNeeds[]): OutletNeeds[] {
  const same = ({ user, gfci, afciNow, hasGfci, hasAfci }: OutletNeeds) => [
    JSON.stringify([user.device.id, gfci, afciNow, hasGfci, hasAfci]),
  ];
  return [...groupBy(needs, same).values()].flatMap((group) => {
    const [first] = group;
    if (!first) return [];
    return [group.length === 1 ? first : { ...first, name: first.name.split(', ').slice(0, -1).join(', ') }];
  });
}

/** The answer in one line: what is missing where. */
function answer(needs: readonly OutletNeeds[]): string {
  const at = (some: readonly OutletNeeds[]) => new Set(some.map(({ user }) => user.device.id)).size;
  const gfci = at(needs.filter((one) => one.gfci !== null && !one.hasGfci));
  const afci = at(needs.filter((one) => one.afciNow && !one.hasAfci));
  const places = (count: number) => `${count} ${count === 1 ? 'place' : 'places'}`;
  const missing = [
    ...(gfci > 0 ? [`GFCI protection at ${places(gfci)}`] : []),
    ...(afci > 0 ? [`AFCI protection at ${places(afci)}`] : []),
  ];
  if (missing.length > 0) return `▲ Missing: ${missing.join(', ')}.`;
  return needs.some((one) => one.gfci !== null || one.afciNow)
    ? 'Everything that must have GFCI or AFCI protection has it.'
    : 'No place here must have GFCI or AFCI protection, as far as the places are said.';
}

const ask = (job: Design): Promise<Strategy[]> => protectionWorker.ask((worker) => worker.ways(job));

/** Ways to cover what is bare, each compiled and proved beside the page. */
function Ways({ job }: { job: Design }) {
  const { run } = useJob();
  const { answer: ways, busy, failed, retry } = useAnswer(job, ask);
  const covers = (word: string, { covered, needed }: Tally) =>
    needed > 0 ? [`${word} ${covered} of ${needed}`] : [];
  return (
    <section className="grid gap-3" aria-label="Ways to cover it" aria-busy={busy}>
      <h3 className="text-lg font-bold">Ways to cover it</h3>
      {failed ? (
        <div role="alert" className="grid gap-2">
          <p>The ways could not be tried: {failed}. The job is as it was.</p>
          <button type="button" className="button justify-self-start" onClick={retry}>
            Try again
          </button>
        </div>
      ) : null}
      {busy && ways === null ? <p>Trying the ways …</p> : null}
      {ways?.length === 0 ? (
        <p>Everything is protected already, or no way to protect the rest works.</p>
      ) : null}
      {ways?.map((one) => (
        <div
          key={one.says}
          className="grid gap-2 rounded-xl border-2 border-line bg-paper p-3"
          data-strategy={one.way}
        >
          <p className="font-semibold">{one.says}</p>
          <p className="text-sm text-ink-soft">
            {[...covers('GFCI', one.gfci), ...covers('AFCI', one.afci)].join(', ')};{' '}
            {one.left === 0 ? 'nothing left' : `${one.left} ${one.left === 1 ? 'finding' : 'findings'} left`};
            about ${one.usd}; reset {one.reset === 'at the panel' ? one.reset : `at ${one.reset}`}
            {one.reachable ? '' : ', not readily reached'}
          </p>
          <button
            type="button"
            className="button justify-self-start"
            disabled={busy}
            onClick={() => run(...one.commands)}
          >
            Apply
          </button>
        </div>
      ))}
    </section>
  );
}
