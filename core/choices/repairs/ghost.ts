import type { Design, Run } from '../../job/model/design';
import { cableRow, cablesOfGauge, type Insulation } from '../../trade/standards/cables';
import type { Place, Refusal } from '../../wiring/layout/refusal';
import { applyAll, type Repair } from './repairs';
import { planJob, shownPlan, type ShownPlan } from '../../wiring/plan';

/** A refused job as it would be made up if conductors were there that are not. */
export interface Ghost {
  readonly plan: ShownPlan;
  /** The box where they are missed. */
  readonly box: string;
  /** What is not there, by the cable that it would be in. */
  readonly missing: readonly { readonly cable: string; readonly insulation: Insulation }[];
  /** What would be done first, as its repair says; null where only what is missing is drawn. */
  readonly after: string | null;
}

/**
 * A refused job drawn: with the conductors that it lacks, or else as its cheapest repair would leave it, whose new cable is what
 * it lacks. Null where no repair was found.
 */
export const ghostOf = (
  job: Design,
  refusals: readonly Refusal[],
  repairs: readonly Repair[],
): Ghost | null =>
  conductorsLacking(job, refusals) ?? (repairs[0] ? repaired(job, refusals, repairs[0]) : null);

function repaired(job: Design, refusals: readonly Refusal[], { commands, says }: Repair): Ghost | null {
  const after = applyAll(job, commands);
  const outcome = after && planJob(after);
  if (!after || !outcome?.ok) return null;
  const fresh = new Set(after.runs.flatMap(({ id }) => (job.runs.some((one) => one.id === id) ? [] : [id])));
  const cables = outcome.plan.wiring.cables.filter(({ run }) => fresh.has(run));
  const box = boxAmong(after, refusals, cables[0] ?? null);
  return box === null
    ? null
    : {
        plan: shownPlan(outcome.plan),
        box,
        missing: cables
          .filter(({ from, to }) => from === box || to === box)
          .flatMap(({ id, conductors }) => conductors.map(({ insulation }) => ({ cable: id, insulation }))),
        after: says,
      };
}

/** The boxes that a place is in or leads to; of a circuit none more than another. */
function boxesAt({ devices, runs }: Design, { kind, id }: Place): string[] {
  switch (kind) {
    case 'box':
      return [id];
    case 'device':
      return devices.flatMap((one) => (one.id === id ? [one.box] : []));
    case 'group':
      return devices.flatMap(({ box, wants }) =>
        Object.values(wants).some((want) => (want.does === 'control' ? want.group : want.control) === id)
          ? [box]
          : [],
      );
    case 'run':
      return runs.flatMap((one) => (one.id === id ? [one.to, one.from] : []));
    case 'circuit':
      return [];
  }
}

/** The box that a refusal is about, one that a new cable comes to before others; the panel is drawn nowhere. */
function boxAmong(
  job: Design,
  refusals: readonly Refusal[],
  cable: Pick<Run, 'from' | 'to'> | null,
): string | null {
  const named = refusals.flatMap(({ at }) => at.flatMap((place) => boxesAt(job, place)));
  const ends = cable ? [cable.to, cable.from] : [];
  const known = (id: string) => job.boxes.some((box) => box.id === id);
  return [...named.filter((id) => ends.includes(id)), ...ends, ...named].find(known) ?? null;
}

/**
 * What is missing in the cables that a refusal is about, found by trying: the cable in the wall with more conductors of its gauge,
 * fewest first, or with a sound ground. Null where that is not what it lacks.
 */
function conductorsLacking(job: Design, refusals: readonly Refusal[]): Ghost | null {
  const named = new Set(
    refusals.flatMap(({ at }) => at.flatMap(({ kind, id }) => (kind === 'run' ? [id] : []))),
  );
  for (const run of job.runs) {
    if (!named.has(run.id)) continue;
    const lacks = lacking(run);
    const box = boxAmong(job, refusals, run);
    for (const fuller of fullerThan(run)) {
      const outcome = planJob({ ...job, runs: job.runs.map((one) => (one === run ? fuller : one)) });
      if (!outcome.ok) continue;
      const missing = outcome.plan.wiring.cables
        .filter((cable) => cable.run === run.id)
        .flatMap(({ id, conductors }) =>
          conductors.flatMap(({ insulation }) => (lacks(insulation) ? [{ cable: id, insulation }] : [])),
        );
      if (missing.length > 0 && box !== null)
        return { plan: shownPlan(outcome.plan), box, missing, after: null };
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
