import { Link } from 'react-router';
import { useMemo, useState } from 'react';
import { drawBox } from '@core/geometry/box-drawing';
import { placeName } from '@core/layout/names';
import { PANEL } from '@core/model/design';
import type { ShownPlan } from '@core/plan';
import { BoxFigure } from '~/drawing/box-figure';
import { litBy } from '~/drawing/lit-by';
import type { ShownDiagnosis, ShownFault } from '@core/script/report';
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
          .map(({ weight, ways }, index) => (
            <li
              key={ways.map((way) => way.map(({ id }) => id).join('+')).join('|')}
              className="grid gap-1 rounded-xl border-2 border-line bg-paper p-3"
            >
              <p className="num text-sm text-ink-soft">
                {say('route.share', { percent: Math.max(1, Math.round(weight * 100)) })}
              </p>
              <Ways plan={plan} ways={ways} open={index === 0} />
            </li>
          ))}
      </ol>
    </section>
  );
}

function Ways({
  plan,
  ways,
  open,
}: {
  plan: ShownPlan;
  ways: readonly (readonly ShownFault[])[];
  open: boolean;
}) {
  const [first = [], ...rest] = ways;
  if (first.length === 0) return <p className="font-semibold">{say('route.soundDoubt')}</p>;
  return (
    <>
      {first.map((fault) => (
        <div key={fault.id} className="grid gap-1">
          <p className="font-semibold">{fault.says}</p>
          <p className="text-sm">{say('route.fix', { fix: fault.fix })}</p>
          <Where plan={plan} fault={fault} open={open} />
        </div>
      ))}
      {rest.length > 0 ? (
        <p className="text-sm text-ink-soft">{say('route.more', { count: rest.length })}</p>
      ) : null}
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
  const place = fault.box === PANEL ? say('route.panel') : placeName(plan.job, fault.box);
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
