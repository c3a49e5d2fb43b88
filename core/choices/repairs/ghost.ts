import { PANEL, type Design, type Run } from '../../job/model/design';
import { cableRow, cablesOfGauge, type Insulation } from '../../trade/standards/cables';
import type { Refusal } from '../../wiring/layout/refusal';
import { planJob, shownPlan, type ShownPlan } from '../../wiring/plan';

/** A refused job as it would be made up if conductors were there that are not. */
export interface Ghost {
  readonly plan: ShownPlan;
  /** The box where they are missed. */
  readonly box: string;
  /** What is not there, by the cable that it would be in. */
  readonly missing: readonly { readonly cable: string; readonly insulation: Insulation }[];
}

/**
 * What is missing in the cables that a refusal is about, found by trying: the cable in the wall with more conductors of its gauge,
 * fewest first, or with a sound ground. Null where that is not what it lacks.
 */
export function ghostOf(job: Design, refusals: readonly Refusal[]): Ghost | null {
  const named = new Set(
    refusals.flatMap(({ at }) => at.flatMap(({ kind, id }) => (kind === 'run' ? [id] : []))),
  );
  for (const run of job.runs) {
    if (!named.has(run.id)) continue;
    const lacks = lacking(run);
    const box = refusals
      .flatMap(({ at }) => at)
      .find(({ kind, id }) => kind === 'box' && (id === run.from || id === run.to))?.id;
    for (const fuller of fullerThan(run)) {
      const outcome = planJob({ ...job, runs: job.runs.map((one) => (one === run ? fuller : one)) });
      if (!outcome.ok) continue;
      const missing = outcome.plan.wiring.cables
        .filter((cable) => cable.run === run.id)
        .flatMap(({ id, conductors }) =>
          conductors.flatMap(({ insulation }) => (lacks(insulation) ? [{ cable: id, insulation }] : [])),
        );
      if (missing.length > 0)
        return {
          plan: shownPlan(outcome.plan),
          box: box ?? (run.to === PANEL ? run.from : run.to),
          missing,
        };
    }
  }
  return null;
}

/** An existing cable with what it might lack, least of it first. */
function fullerThan(run: Run): Run[] {
  if (run.existing === null) return [];
  const own = cableRow(run.existing);
  const more = cablesOfGauge(own.gauge)
    .filter(({ insulated }) => own.insulated.every((one) => insulated.includes(one)))
    .filter(({ insulated }) => insulated.length > own.insulated.length)
    .toSorted((a, b) => a.insulated.length - b.insulated.length);
  const sound = { ...run.found, ground: 'sound' as const, lost: [] };
  return [
    ...(run.found.ground === 'sound' && run.found.lost.length === 0 ? [] : [{ ...run, found: sound }]),
    ...more.map(({ type }) => ({ ...run, existing: type })),
    ...more.map(({ type }) => ({ ...run, existing: type, found: sound })),
  ];
}

/** What an existing cable does not have. */
function lacking({ existing, found }: Run): (insulation: Insulation) => boolean {
  const has = existing === null ? [] : cableRow(existing).insulated;
  return (insulation) =>
    insulation === 'bare' || insulation === 'green'
      ? found.ground !== 'sound'
      : !has.includes(insulation) || found.lost.includes(insulation);
}
