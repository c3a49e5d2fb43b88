import { lazy, Suspense, useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { groupBy } from '@core/base/group-by';
import { RULES } from '@core/code/rules';
import type { Rule } from '@core/code/rules/rule';
import { APPLIANCES } from '@core/trade/standards/appliances';
import {
  AMPACITY_60_A,
  AMPACITY_90_A,
  boxVolumeIn3,
  conductorOhms,
  GAUGES,
  maxBreakerA,
} from '@core/trade/standards/conductors';
import { EDITIONS } from '@core/trade/standards/source';
import { SEVERITY_NAME, SEVERITY_SAYS, SeverityMark } from '~/ui/severity';
import { SEVERITIES } from '@core/code/rules/check';
import { TopBar } from '~/ui/top-bar';
import { useHydrated } from '~/ui/use-hydrated';
import { BOXES } from '@core/trade/standards/boxes';
import { Plain, Scroll } from './plain';
import { say } from '~/words/tables';

export const meta = () => [{ title: say('route.tablesSplitTap') }];

const MoreTables = lazy(() => import('./more-tables'));

/** The values and the rules, generated from the modules that use them, each with its source. */
export default function Tables() {
  const hydrated = useHydrated();
  return (
    <>
      <TopBar title={<h1 className="text-lg font-bold">{say('route.tables')}</h1>} />
      <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start gap-6 p-4 sm:p-6">
        <p className="text-lg leading-tight font-bold sm:text-xl" data-answer>
          {say('route.rulesSource', { rulesCount: RULES.length })}
        </p>
        <section className="grid grid-cols-[minmax(0,1fr)] gap-2" aria-labelledby="rules">
          <h2 id="rules" className="text-lg font-bold">
            {say('route.rules')}
          </h2>
          <ul className="flex flex-wrap gap-x-5 gap-y-1 text-sm">
            {SEVERITIES.map((one) => (
              <li key={one} className="flex items-center gap-1">
                <SeverityMark severity={one} /> {SEVERITY_NAME[one]}: {SEVERITY_SAYS[one]}
              </li>
            ))}
          </ul>
          <div className="min-h-[60vh]">{hydrated ? <RuleIndex /> : null}</div>
        </section>
        <section className="grid grid-cols-[minmax(0,1fr)] gap-2" aria-labelledby="conductors">
          <h2 id="conductors" className="text-lg font-bold">
            {say('route.copperConductors')}
          </h2>
          <Plain
            label={say('route.copperConductors')}
            head={[
              'AWG',
              say('route.boxVolume'),
              say('route.per1000Ft75C'),
              say('route.breaker2404D'),
              say('route.ampacity'),
            ]}
            rows={GAUGES.map((gauge) => [
              gauge,
              boxVolumeIn3(gauge).toFixed(2),
              conductorOhms(gauge, 1000).toFixed(2),
              maxBreakerA(gauge),
              `${AMPACITY_60_A[gauge]} / ${AMPACITY_90_A[gauge]}`,
            ])}
          />
        </section>
        <section className="grid grid-cols-[minmax(0,1fr)] gap-2" aria-labelledby="boxes">
          <h2 id="boxes" className="text-lg font-bold">
            {say('route.boxes')}
          </h2>
          <Plain
            label={say('route.boxes')}
            head={[say('route.box'), say('route.volume'), say('route.source')]}
            rows={BOXES.map(({ name, volumeIn3, source }) => [
              name,
              volumeIn3,
              say('route.trueOther', { document: source.document, memory: source.memory }),
            ])}
          />
        </section>
        <section className="grid grid-cols-[minmax(0,1fr)] gap-2" aria-labelledby="appliances">
          <h2 id="appliances" className="text-lg font-bold">
            {say('route.typicalLoads')}
          </h2>
          <p className="text-sm text-ink-soft">{say('route.loadsSource')}</p>
          <Plain
            label={say('route.typicalLoads')}
            head={[say('route.appliance'), 'W', say('route.n120V'), say('route.runs')]}
            rows={APPLIANCES.map(({ name, watts, continuous, fixed, motor }) => [
              name,
              watts,
              (watts / 120).toFixed(1),
              [
                continuous ? say('route.threeHoursMore') : '',
                fixed ? say('route.fastenedPlace') : '',
                motor ? 'motor' : '',
              ]
                .filter(Boolean)
                .join(', '),
            ])}
          />
        </section>
        {hydrated ? (
          <Suspense>
            <MoreTables />
          </Suspense>
        ) : null}
      </main>
    </>
  );
}

/** Every rule, generated from its module; on a phone what is beside the title stands under it. */
function RuleIndex() {
  const [search] = useSearchParams();
  const asked = search.get('rule') ?? '';
  const [words, setWords] = useState(asked);
  useEffect(() => setWords(asked), [asked]);
  const shown = RULES.filter(({ id, title, looksAt, section }) =>
    words
      .toLowerCase()
      .split(/\s+/)
      .every((word) =>
        [id, title, looksAt, ...Object.values(section)].join(' ').toLowerCase().includes(word),
      ),
  );
  const said = (section: string) => section || say('route.whatAskedTrade');
  return (
    <>
      <label className="grid max-w-md gap-1">
        <span className="eyebrow">{say('route.findRuleWordSection')}</span>
        <input
          type="search"
          className="field"
          value={words}
          onChange={(event) => setWords(event.currentTarget.value)}
        />
      </label>
      <p role="status" className="text-sm text-ink-soft">
        {shown.length === RULES.length
          ? say('route.allRules', { rulesCount: RULES.length })
          : shown.length === 0
            ? say('route.noRule')
            : say('route.rulesShown', { shownCount: shown.length, rulesCount: RULES.length })}
      </p>
      <Scroll label={say('route.rules')}>
        <table className="w-full text-left">
          <thead>
            <tr className="border-b-2 border-line text-sm">
              <th className="px-2 py-2 align-bottom">{say('route.rule')}</th>
              <th className="px-1 py-2">
                <span className="sr-only">{say('route.severity')}</span>
              </th>
              <th className="px-2 py-2 align-bottom">{say('route.whatFinds')}</th>
              {[say('route.whatLooks'), ...EDITIONS].map((head) => (
                <th key={head} className="hidden px-2 py-2 align-bottom lg:table-cell">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((rule) => (
              <tr
                key={rule.id}
                className="border-b border-line align-top last:border-b-0"
                data-rule={rule.id}
              >
                <td className="num px-2 py-2">{rule.id}</td>
                <td className="px-1 py-2">
                  <SeverityMark severity={rule.severity} />
                </td>
                <td className="px-2 py-2 font-semibold lg:min-w-56">
                  {rule.title}
                  <span className="block text-sm font-normal lg:hidden">
                    {byEdition(rule.section).map(([editions, section]) => (
                      <span key={editions} className="block text-ink-soft">
                        {editions}: {said(section)}
                      </span>
                    ))}
                  </span>
                </td>
                <td className="hidden min-w-44 px-2 py-2 text-sm lg:table-cell">
                  {rule.looksAt}
                  {rule.decided === undefined ? null : (
                    <span className="mt-1 block text-ink-soft">{rule.decided}</span>
                  )}
                </td>
                {EDITIONS.map((edition) => (
                  <td key={edition} className="hidden min-w-28 px-2 py-2 text-sm lg:table-cell">
                    {said(rule.section[edition])}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
    </>
  );
}

/** The sections of a rule, editions that share one said together: "2017, 2020". */
const byEdition = (section: Rule['section']): [string, string][] =>
  [...groupBy(EDITIONS, (edition) => [section[edition]])].map(([words, editions]) => [
    editions.length === EDITIONS.length ? say('route.allThree') : editions.join(', '),
    words,
  ]);
