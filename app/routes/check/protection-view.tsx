import { useState } from 'react';
import { groupBy } from '@core/base/group-by';
import { wishKind } from '@core/trade/devices';
import { placeName } from '@core/job/model/called';
import type { Design } from '@core/job/model/design';
import { PROTECTION_NAME } from '@core/job/model/names';
import type { OutletNeeds } from '@core/code/protection/needs';
import type { Strategy, Tally } from '@core/code/protection/strategies';
import { protectionWorker } from '~/workers/core';
import { useAnswer } from '~/workers/use-answer';
import { AnswerLine } from '~/ui/answer-line';
import { partKey } from '@core/job/model/wiring';
import { RunMap } from '../lay-out/run-map';
import type { Judged } from '~/derived';
import { useJob } from '../job/context';
import { Places } from './places';
import { say } from '~/words/load';

/** What must be protected and why, what each test button covers, and the ways to cover the rest. */
export function ProtectionView({ judged }: { judged: Judged }) {
  const { job } = useJob();
  const [pressed, setPressed] = useState<string | null>(null);
  const needs = judged.needs;
  const buttons = [
    ...job.devices
      .filter(({ kind }) => wishKind(kind).protection)
      .map(({ id, box, kind }) => ({
        id,
        says: `${placeName(job, box)}, ${wishKind(kind).name}`,
        parts: judged.proof?.coverage.get(id) ?? [],
      })),
    ...job.circuits.flatMap(({ id, number, protection }) =>
      protection === 'none'
        ? []
        : [
            {
              id,
              says: say('protectionView.breaker', { number, protection: PROTECTION_NAME[protection] }),
              parts: needs.filter(({ user }) => user.want.circuit === id).map(({ user }) => user.key),
            },
          ],
    ),
  ];
  const parts = new Set<string>(buttons.find(({ id }) => id === pressed)?.parts);
  const covered = new Set(
    job.devices.flatMap(({ id, box, wants }) =>
      Object.keys(wants).some((part) => parts.has(partKey(id, part))) ? [box] : [],
    ),
  );
  return (
    <div className="grid gap-5">
      <AnswerLine>{answer(needs)}</AnswerLine>
      <div className="grid gap-5 lg:grid-cols-2">
        <section className="grid content-start gap-3" aria-label={say('protectionView.whatNeeded')}>
          <h3 className="text-lg font-bold">{say('protectionView.whatNeededWhy')}</h3>
          {alike(needs).map(({ user, name, gfci, afci, marks, hasGfci, hasAfci, afciNow }) => (
            <div key={user.key} className="grid gap-1 rounded-xl border-2 border-line bg-paper p-3">
              <p className="font-semibold">{name}</p>
              <ul className="text-sm">
                <li>
                  {gfci === null
                    ? say('protectionView.gfciNotRequiredHere')
                    : say('protectionView.gfciTrueOther', { gfci, hasGfci })}
                </li>
                <li>
                  {afci === null
                    ? say('protectionView.afciNotRequiredHere')
                    : say('protectionView.afciTrueOther', {
                        afci,
                        afciNow,
                        hasAfci: hasAfci
                          ? say('protectionView.covered')
                          : afciNow
                            ? say('protectionView.notCovered')
                            : say('protectionView.notCoveredMark'),
                      })}
                </li>
                {marks.length > 0 ? (
                  <li>{say('protectionView.marked', { marks: marks.join('; ') })}</li>
                ) : null}
              </ul>
            </div>
          ))}
          <Places />
        </section>
        <section className="grid content-start gap-3" aria-label={say('protectionView.whatCovered')}>
          <h3 className="text-lg font-bold">{say('protectionView.pressTestButton')}</h3>
          {buttons.length === 0 ? <p>{say('protectionView.nothingProtectsAnythingYet')}</p> : null}
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
              {say('protectionView.goesDead', {
                coveredCount:
                  covered.size === 0
                    ? say('protectionView.nothing')
                    : [...covered].map((id) => placeName(job, id)).join(', '),
              })}
            </p>
          ) : null}
          <RunMap chosen={{ kind: 'box', id: '' }} onChoose={() => undefined} lit={covered} column />
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
  const places = (count: number) => say('protectionView.oneOther', { count });
  const missing = [
    ...(gfci > 0 ? [say('protectionView.gfciProtection', { places: places(gfci) })] : []),
    ...(afci > 0 ? [say('protectionView.afciProtection', { places: places(afci) })] : []),
  ];
  if (missing.length > 0) return say('protectionView.missing', { missing: missing.join(', ') });
  return needs.some((one) => one.gfci !== null || one.afciNow)
    ? say('protectionView.allProtected')
    : say('protectionView.nothingNeeded');
}

const ask = (job: Design): Promise<Strategy[]> => protectionWorker.ask((worker) => worker.ways(job));

/** Ways to cover what is bare, each compiled and proved beside the page. */
function Ways({ job }: { job: Design }) {
  const { run } = useJob();
  const { answer: ways, busy, failed, retry } = useAnswer(job, ask);
  const covers = (word: string, { covered, needed }: Tally) =>
    needed > 0 ? [say('protectionView.of', { word, covered, needed })] : [];
  return (
    <section className="grid gap-3" aria-label={say('protectionView.waysCover')} aria-busy={busy}>
      <h3 className="text-lg font-bold">{say('protectionView.waysCover')}</h3>
      {failed ? (
        <div role="alert" className="grid gap-2">
          <p>{say('protectionView.failed', { failed })}</p>
          <button type="button" className="button justify-self-start" onClick={retry}>
            {say('protectionView.tryAgain')}
          </button>
        </div>
      ) : null}
      {busy && ways === null ? <p>{say('protectionView.tryingWays')}</p> : null}
      {ways?.length === 0 ? <p>{say('protectionView.noWay')}</p> : null}
      {ways?.map((one) => (
        <div
          key={one.says}
          className="grid gap-2 rounded-xl border-2 border-line bg-paper p-3"
          data-strategy={one.way}
        >
          <p className="font-semibold">{one.says}</p>
          <p className="text-sm text-ink-soft">
            {say('protectionView.cost', {
              value: [...covers('GFCI', one.gfci), ...covers('AFCI', one.afci)].join(', '),
              left:
                one.left === 0
                  ? say('protectionView.nothingLeft')
                  : say('protectionView.oneOtherLeft', { left: one.left }),
              usd: one.usd,
              reset:
                one.reset === null
                  ? say('protectionView.panel')
                  : say('protectionView.at', { reset: one.reset }),
              reachable: one.reachable,
            })}
          </p>
          <button
            type="button"
            className="button justify-self-start"
            disabled={busy}
            onClick={() => run(...one.commands)}
          >
            {say('protectionView.apply')}
          </button>
        </div>
      ))}
    </section>
  );
}
