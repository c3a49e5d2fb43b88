import { useState } from 'react';
import { Link } from 'react-router';
import type { Design } from '@core/job/model/design';
import { SEVERITIES, type RuleFinding } from '@core/code/rules/check';
import { AnswerLine } from '~/ui/answer-line';
import { SEVERITY_NAME, SEVERITY_SAYS, SeverityMark } from '~/ui/severity';
import { useTyped } from '~/ui/use-typed';
import { useJob } from '../job/context';
import { Measured } from './measured';
import { Place } from './place';
import { Explained } from '~/glossary/explained';
import { say } from '~/words/load';

/** What the rules of the adopted edition find, worst first; each points at its place, and is mended where it can be. */
export function RuleList({ findings }: { findings: readonly RuleFinding[] }) {
  const { job, run } = useJob();
  const count = (severity: RuleFinding['severity']) =>
    findings.filter((one) => one.severity === severity).length;
  const bad = count('stop') + count('code');
  const [chosen, setChosen] = useState<string | null>(null);
  const worst = SEVERITIES.flatMap((severity) => findings.filter((one) => one.severity === severity));
  const shown = worst.find((one) => keyOf(one) === chosen) ?? worst[0];
  return (
    <div className="grid gap-4">
      <AnswerLine>
        {bad > 0 ? (
          <>
            <SeverityMark severity={count('stop') > 0 ? 'stop' : 'code'} />{' '}
            {say('ruleList.oneOtherFix', { bad })}
          </>
        ) : (
          say('ruleList.noCodeViolationsFound')
        )}
      </AnswerLine>
      <p>
        {say('ruleList.source', { edition: job.edition })}
        <Link to="/tables" className="underline">
          {say('ruleList.tables')}
        </Link>
        .
      </p>
      <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="grid content-start gap-4">
          {SEVERITIES.filter((severity) => count(severity) > 0).map((severity) => (
            <section key={severity} className="grid gap-2" aria-label={SEVERITY_NAME[severity]}>
              <h3 className="flex items-center gap-2 font-bold">
                <SeverityMark severity={severity} /> {SEVERITY_NAME[severity]}: {SEVERITY_SAYS[severity]}
              </h3>
              <ul className="grid gap-2">
                {findings
                  .filter((one) => one.severity === severity)
                  .map((one) => (
                    <Finding
                      key={keyOf(one)}
                      finding={one}
                      shown={shown === one}
                      onShow={() => setChosen(keyOf(one))}
                    />
                  ))}
              </ul>
            </section>
          ))}
          <Measured />
          {job.amendments.length > 0 ? (
            <section className="grid gap-2" aria-label={say('ruleList.setAside')}>
              <h3 className="font-bold">{say('ruleList.waivedJobPrinted')}</h3>
              <ul className="grid gap-2">
                {job.amendments.map(({ rule, reason }) => (
                  <li key={rule} className="flex flex-wrap items-center gap-2">
                    <span className="flex-1">
                      <strong>{rule}</strong> {reason}
                    </span>
                    <button
                      type="button"
                      className="button"
                      onClick={() => run({ do: 'set amendment', rule, reason: null })}
                    >
                      {say('ruleList.reinstate')}
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          ) : null}
        </div>
        {shown ? (
          <aside className="hidden lg:block" aria-label={say('ruleList.place')}>
            <div className="sticky top-4 rounded-xl border-2 border-line bg-paper p-3">
              <Place finding={shown} />
            </div>
          </aside>
        ) : null}
      </div>
    </div>
  );
}

/** A finding by what it is about; two of one rule at one place say different things. */
const keyOf = ({ rule, at, message }: RuleFinding): string => `${rule} ${at.kind} ${at.id} ${message}`;

/** One finding with its way out; on a phone its place stands below it, once it is asked for. */
function Finding({
  finding: one,
  shown,
  onShow,
}: {
  finding: RuleFinding;
  shown: boolean;
  onShow: () => void;
}) {
  const { job, run } = useJob();
  // Of what stands first its place is seen without being asked for.
  const [below, setBelow] = useState(shown);
  return (
    <li
      className={`grid gap-2 rounded-xl border-2 bg-paper p-3 ${shown ? 'border-line lg:border-plum' : 'border-line'}`}
      data-rule={one.rule}
    >
      <p>
        <strong>
          <Explained>{one.message}</Explained>
        </strong>
      </p>
      <p className="text-sm text-ink-soft">
        {one.rule} {one.title}
        {one.section ? `, ${one.section}` : ''}
      </p>
      <div className="flex flex-wrap gap-2">
        {one.fix ? (
          <button type="button" className="button" onClick={() => run(...(one.fix?.commands ?? []))}>
            {one.fix.says}
          </button>
        ) : null}
        <button
          type="button"
          className="button button-quiet"
          aria-pressed={shown}
          onClick={() => {
            onShow();
            setBelow(!below);
          }}
        >
          {say('ruleList.where')}
        </button>
        <Link className="button button-quiet" to={placeOf(job, one)}>
          {one.severity === 'ask' && one.rule.startsWith('P')
            ? say('ruleList.enter')
            : say('ruleList.showMe')}
        </Link>
        <SetAside
          rule={one.rule}
          onReason={(reason) => run({ do: 'set amendment', rule: one.rule, reason })}
        />
      </div>
      {below ? (
        <div className="lg:hidden">
          <Place finding={one} />
        </div>
      ) : null}
    </li>
  );
}

function SetAside({ rule, onReason }: { rule: string; onReason: (reason: string) => void }) {
  const [asked, setAsked] = useState(false);
  const reason = useTyped(`waive ${rule}`);
  if (!asked && reason.text === '') {
    return (
      <button type="button" className="button button-quiet" onClick={() => setAsked(true)}>
        {say('ruleList.waive')}
      </button>
    );
  }
  return (
    <form
      className="flex w-full flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const says = reason.text.trim();
        if (says.length < 3) return;
        onReason(says);
        reason.sent();
      }}
    >
      <label className="grid flex-1 gap-1">
        <span className="eyebrow">{say('ruleList.reasonWhoApproved')}</span>
        <input className="field" {...reason.field} minLength={3} maxLength={300} required />
      </label>
      <button type="submit" className="button">
        {say('ruleList.setAside')}
      </button>
    </form>
  );
}

/** Where to look at what a finding is about, or to say the fact it asks for. */
function placeOf(job: Design, { at, rule, severity }: RuleFinding): string {
  if (severity === 'ask' && rule.startsWith('P')) return `/job/${job.id}/check?view=protection`;
  const box =
    at.kind === 'box'
      ? at.id
      : at.kind === 'device'
        ? job.devices.find(({ id }) => id === at.id)?.box
        : at.kind === 'run'
          ? job.runs.find(({ id }) => id === at.id)?.to
          : undefined;
  const known = job.boxes.some(({ id }) => id === box);
  return `/job/${job.id}/lay-out${known && box ? `?box=${box}` : ''}`;
}
