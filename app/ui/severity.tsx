import type { Severity } from '@core/code/rules/rule';
import { say } from '~/words/ui';

/** What a severity is called. */
export const SEVERITY_NAME: Record<Severity, string> = {
  stop: say('severity.hazard'),
  code: say('severity.code'),
  ask: say('severity.check'),
  craft: say('severity.goodPractice'),
};

export const SEVERITY_SAYS: Record<Severity, string> = {
  stop: say('severity.hazardMeans'),
  code: say('severity.againstCode'),
  ask: say('severity.dependsMeans'),
  craft: say('severity.adviceTrade'),
};

/** Severity by shape and word, in ink: stop a filled octagon, code a triangle, ask an open diamond, craft a ring. */
export function SeverityMark({ severity }: { severity: Severity }) {
  return (
    <svg
      viewBox="0 0 16 16"
      width="15"
      height="15"
      role="img"
      aria-label={SEVERITY_NAME[severity]}
      className="inline-block shrink-0"
    >
      {severity === 'stop' ? (
        <path d="M5 1h6l4 4v6l-4 4H5l-4-4V5z" fill="currentColor" />
      ) : severity === 'code' ? (
        <path d="M8 1.5 15 14.5H1z" fill="currentColor" />
      ) : severity === 'ask' ? (
        <path d="M8 1.5 14.5 8 8 14.5 1.5 8z" fill="none" stroke="currentColor" strokeWidth="1.8" />
      ) : (
        <circle cx="8" cy="8" r="4.5" fill="none" stroke="currentColor" strokeWidth="1.8" />
      )}
    </svg>
  );
}
