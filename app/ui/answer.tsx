import { deviceKind } from '@core/devices';
import type { Plan } from '@core/plan';
import type { Refusal } from '@core/layout/refusal';

/** The whole job in one line: what to pull and what to break. */
export function answerOf(plan: Plan): string {
  const pulled = new Map<string, number>();
  for (const { existing, type, lengthFt } of plan.wiring.cables) {
    if (!existing) pulled.set(type, (pulled.get(type) ?? 0) + lengthFt);
  }
  const pull =
    pulled.size === 0
      ? 'No new cable.'
      : `Pull ${[...pulled].map(([type, feet]) => `${type}, ${feet} ft`).join('; ')}.`;
  const tabs = plan.wiring.devices.flatMap(({ kind, brokenTabs }) =>
    deviceKind(kind).tabs.filter(({ id }) => brokenTabs.includes(id)),
  );
  const names = [
    ...new Set(tabs.map(({ name }) => name.replace('tab between the ', '').replace(' screws', ''))),
  ];
  const broken =
    tabs.length === 0
      ? 'All tabs stay whole.'
      : `Break the ${names.join(' and the ')} tab${tabs.length > 1 ? `s (${tabs.length})` : ''}.`;
  return `${pull} ${broken}`;
}

/** Why not, and what to do instead. */
export function Refusals({ refusals }: { refusals: readonly Refusal[] }) {
  return (
    <div role="alert" className="grid gap-3">
      {refusals.map((refusal) => (
        <div key={refusal.message} className="rounded-xl border-2 border-ink bg-paper p-4">
          <h2 className="text-lg leading-snug font-bold">▲ {refusal.message}</h2>
          {refusal.ways.length > 0 ? (
            <>
              <p className="eyebrow mt-2">What to do instead</p>
              <ul className="list-disc pl-5">
                {refusal.ways.map((way) => (
                  <li key={way}>{way}</li>
                ))}
              </ul>
            </>
          ) : null}
        </div>
      ))}
    </div>
  );
}
