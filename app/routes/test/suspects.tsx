import { capitalize } from '@core/base/capitalize';
import { Link } from 'react-router';
import { useMemo, useState } from 'react';
import { drawBox } from '@core/wiring/geometry/box-drawing';
import { placeName } from '@core/job/model/called';
import { PANEL } from '@core/job/model/design';
import type { ShownPlan } from '@core/wiring/plan';
import { BoxFigure } from '~/drawing/box-figure';
import { litBy } from '~/drawing/lit-by';
import type { ShownDiagnosis, ShownFault, ShownSuspect } from '@core/site/script/report';
import { say } from '~/words/field-test';

const VERDICT: Readonly<Record<ShownDiagnosis['verdict'], () => string>> = {
  sound: () => say('route.soundDoubt'),
  sure: () => say('route.sure'),
  open: () => say('route.open'),
  contradiction: () => say('route.contradiction'),
};

/** The mistakes that explain what was read, most plausible first, each with its fix and the way to its box. */
export function Suspects({ plan, diagnosis }: { plan: ShownPlan; diagnosis: ShownDiagnosis }) {
  return (
    <section
      aria-label={say('route.whatItIs')}
      aria-live="polite"
      className="grid gap-2"
      data-verdict={diagnosis.verdict}
    >
      <h3 className="eyebrow">{say('route.whatItIs')}</h3>
      <p className="font-semibold">{VERDICT[diagnosis.verdict]()}</p>
      <ol className="grid gap-2">
        {diagnosis.suspects
          .filter(({ weight }) => weight >= 0.02)
          .map((suspect, index) => (
            <li
              key={suspect.ways.map(({ faults }) => faults.map(({ id }) => id).join('+')).join('|')}
              className="grid gap-1 rounded-xl border-2 border-line bg-paper p-3"
            >
              <p className="num text-sm text-ink-soft">
                {say('route.share', { percent: percentOf(suspect.weight) })}
              </p>
              <Suspect plan={plan} suspect={suspect} open={index === 0} />
            </li>
          ))}
      </ol>
      {diagnosis.unknown >= 0.01 ? (
        <p className="num text-sm">{say('route.unknown', { percent: percentOf(diagnosis.unknown) })}</p>
      ) : null}
    </section>
  );
}

const percentOf = (share: number): number => Math.max(1, Math.round(share * 100));

/** What it is, how it is put right, and beneath it where it can be. */
function Suspect({ plan, suspect, open }: { plan: ShownPlan; suspect: ShownSuspect; open: boolean }) {
  const { names, ways, more, byHand } = suspect;
  const [first] = ways;
  if (!first || names.length === 0) return <p className="font-semibold">{say('route.soundDoubt')}</p>;
  const fixes = [...new Set(first.faults.map(({ fix }) => fix))];
  return (
    <>
      {names.map((name, index) => (
        <p key={`${name} ${index}`} className="font-semibold">
          {ways.length === 1 ? first.faults[index]?.says : name}
        </p>
      ))}
      {fixes.map((fix) => (
        <p key={fix} className="text-sm">
          {say('route.fix', { fix })}
        </p>
      ))}
      {ways.length === 1 ? (
        first.faults.map((fault) => <Where key={fault.id} plan={plan} fault={fault} open={open} />)
      ) : (
        <ul className="grid gap-2">
          {ways.map(({ faults, weight }, index) => (
            <li
              key={faults.map(({ id }) => id).join('+')}
              className="flex flex-wrap items-center gap-x-3 gap-y-1 border-l-4 border-line pl-3"
            >
              <p className="min-w-40 flex-1 text-sm">
                {say('route.place', {
                  place: faults.map(({ place }) => place).join(' + '),
                  percent: percentOf(weight),
                })}
              </p>
              {faults.map((fault) => (
                <Where key={fault.id} plan={plan} fault={fault} open={open && index === 0} />
              ))}
            </li>
          ))}
          {more > 0 ? (
            <li className="text-sm text-ink-soft">{say('route.morePlaces', { count: more })}</li>
          ) : null}
        </ul>
      )}
      {byHand === '' ? null : <p className="text-sm">{byHand}</p>}
    </>
  );
}

/** The box of a mistake with the place lit; the rest of the box fades. */
function Where({ plan, fault, open }: { plan: ShownPlan; fault: ShownFault; open: boolean }) {
  const [shown, show] = useState(open);
  const drawing = useMemo(
    () => (shown ? drawBox(plan, fault.box, { wholePanel: true }) : null),
    [plan, fault.box, shown],
  );
  const place = capitalize(placeName(plan.job, fault.box));
  if (!drawing)
    return (
      <button type="button" className="button justify-self-start px-3 text-sm" onClick={() => show(true)}>
        {say('route.showBox')}
      </button>
    );
  return (
    <>
      <BoxFigure
        drawing={drawing}
        title={say('route.boxOpen', { place })}
        lit={litBy(drawing, fault.points)}
        className="max-h-72 w-full"
      />
      {fault.box === PANEL ? null : (
        <Link
          to={`/job/${plan.job.id}/make-up?box=${fault.box}`}
          className="button justify-self-start px-3 text-sm"
        >
          {say('route.toMakeUp', { place })}
        </Link>
      )}
    </>
  );
}
