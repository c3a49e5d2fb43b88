import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { boxFill, countBox } from './boxfill/box-fill';
import { totalVolumeIn3 } from './boxfill/boxes-that-fit';
import { circuitLoad } from '../power/load/load';
import { endNames } from './makeup/cable-names';
import { makeUpSteps } from './makeup/steps';
import { inBox } from '../job/model/in-box';
import { checkReferences } from '../job/model/references';
import { planJob, type Plan } from './plan';
import { strayEnds } from '../power/proof/ends';
import { strayTails } from '../testing/stray-tails';
import { prove } from '../power/proof/prove';
import { checkRules } from '../code/rules/check';
import { siteOf } from '../code/rules/site';
import { draws } from '../testing/draws';
import { judge } from '../testing/judge';
import { anyJob } from '../testing/random-jobs';
import { renamed, wideJob, type Renaming } from '../testing/wide-jobs';

/*
 * Kirchhoff's laws and the rules of 300.3(B), 200.11, 250.148, 110.14(B), 312.8 and 310.10 (from memory), on random
 * jobs over every device and net: trees of boxes, and runs that form loops, several home runs of a circuit, closed boxes
 * beside the panel, groups with several loads, parts behind LOAD, multiwire pairs. Whatever compiles does what was
 * wished in every switch state; whatever does not is refused at a named run, box or group. A judge that shares no code
 * with compiler, network, solver and verification looks at every plan.
 */
const RUNS = draws(700, 3_000);
const WIDE_RUNS = draws(1_300, 6_000);
const TOTAL_RUNS = draws(1500, 10_000);

test(`compile is total on ${TOTAL_RUNS} random jobs: never throws, never loops`, () => {
  const outcomes = fc.sample(anyJob, { numRuns: TOTAL_RUNS, seed: 20_261_125 }).map((job) => planJob(job));
  expect(outcomes).toHaveLength(TOTAL_RUNS);
  expect(outcomes.every((outcome) => outcome.ok || outcome.refusals.length > 0)).toBe(true);
});

describe.each([
  ['trees of runs', anyJob, RUNS],
  ['runs that may form loops', wideJob, WIDE_RUNS],
] as const)('%s', (_, jobs, numRuns) => {
  test('every plan is sound to the judge and to the verification, every other job is refused by name', () => {
    let planned = 0;
    let refused = 0;
    fc.assert(
      fc.property(jobs, (job) => {
        expect(checkReferences(job)).toEqual([]);
        const outcome = planJob(job);
        if (outcome.ok) {
          planned++;
          const { wiring } = outcome.plan;
          expect(judge(job, wiring)).toEqual([]);
          const proof = prove(job, wiring);
          expect(proof.findings).toEqual([]);
          expect(proof.statesTried).toBeGreaterThan(0);
          // The law of ends: landed, spliced or capped, each once, at boxes, closed boxes and the panel.
          expect(strayEnds(wiring)).toEqual([]);
          expect(strayTails(wiring)).toEqual([]);
        } else {
          refused++;
          expect(outcome.refusals.length).toBeGreaterThan(0);
          const named = new Set(
            [...job.runs, ...job.boxes, ...job.groups, ...job.devices].map(({ id }) => id),
          );
          for (const { at, message } of outcome.refusals) {
            expect(at.some(({ id }) => named.has(id))).toBe(true);
            expect(message).not.toBe('');
          }
        }
      }),
      { numRuns },
    );
    // The generator must exercise both outcomes, or the property above proves little.
    expect(planned).toBeGreaterThan(numRuns / 14);
    expect(refused).toBeGreaterThan(numRuns / 14);
  });

  test('within a box no two steps read the same, and every conductor has a name of its own', () => {
    let boxes = 0;
    fc.assert(
      fc.property(jobs, (job) => {
        const outcome = planJob(job);
        if (!outcome.ok) return;
        for (const { id, closed } of job.boxes) {
          const steps = makeUpSteps(outcome.plan, id);
          if (closed) expect(steps).toEqual([]);
          const words = steps.map(({ title }) => title);
          expect(words).toEqual([...new Set(words)]);
          const names = [...endNames(outcome.plan, id).values()];
          expect(names).toEqual([...new Set(names)]);
          // No id is ever read: ids of the random jobs end in a number.
          expect(steps.map(({ title, detail }) => `${title} ${detail}`).join(' ')).not.toMatch(
            /\b[bdx]\d+\b/,
          );
          boxes++;
        }
      }),
      { numRuns: Math.round(numRuns / 2) },
    );
    expect(boxes).toBeGreaterThan(100);
  });
});

test('names are names: other ids that look like one another, and lists in another order, change nothing but the ids', () => {
  let compared = 0;
  fc.assert(
    fc.property(wideJob, fc.array(fc.nat(), { minLength: 4, maxLength: 4 }), (job, seed) => {
      const other = renamed(job, seed);
      expect(checkReferences(other.job)).toEqual([]);
      const [one, two] = [planJob(job), planJob(other.job)];
      expect(two.ok).toBe(one.ok);
      if (!one.ok || !two.ok) return;
      compared++;
      expect(judge(other.job, two.plan.wiring)).toEqual([]);
      expect(looksOf(two.plan, null)).toEqual(looksOf(one.plan, other.names));
    }),
    { numRuns: 400 },
  );
  expect(compared).toBeGreaterThan(80);
});

/** Everything that a plan comes to, by the ids it would have under other names. */
function looksOf({ job, wiring, layout }: Plan, names: Renaming | null) {
  const to = (map: ReadonlyMap<string, string> | undefined, id: string) => map?.get(id) ?? id;
  const box = (id: string) => to(names?.boxes, id);
  // Two runs that nothing tells apart may change places: a run is known by its ends, its length and its cable.
  const run = (id: string) => {
    const own = job.runs.find((one) => one.id === id)!;
    return `${[own.from, own.to].map(box).sort().join(' ')} ${own.lengthFt} ${own.existing ?? 'new'}`;
  };
  const at = (kind: string, id: string) =>
    `${kind} ${kind === 'box' ? box(id) : kind === 'run' ? run(id) : kind === 'device' ? to(names?.devices, id) : kind === 'circuit' ? to(names?.circuits, id) : 'job'}`;
  const proof = prove(job, wiring);
  const sorted = (list: readonly string[]) => [...list].sort();
  return {
    cables: sorted(
      wiring.cables.map(
        ({ run: id, type, conductors }) =>
          `${run(id)} ${type} ${conductors.map(({ insulation, role, reidentified }) => `${insulation} ${role ?? 'spare'}${reidentified ? ' taped' : ''}`).join(', ')}`,
      ),
    ),
    devices: sorted(
      wiring.devices.map(
        ({ id, kind, brokenTabs }) => `${to(names?.devices, id)} ${kind} ${sorted(brokenTabs).join(' ')}`,
      ),
    ),
    boxes: sorted(
      [...job.boxes.map(({ id }) => id), 'panel'].map((id) => {
        const { splices, tails, terminations, caps } = inBox(wiring, id);
        return `${box(id)}: ${sorted(splices.map(({ role, ends }) => `${role} ${ends.length}`)).join(', ')}; ${sorted(tails.map(({ insulation, gauge }) => `${insulation} ${gauge}`)).join(', ')}; ${terminations.length} ${caps.length}`;
      }),
    ),
    steps: sorted(
      job.boxes.flatMap(({ id }) =>
        makeUpSteps({ job, wiring, layout }, id).map(({ title }) => `${box(id)}: ${title}`),
      ),
    ),
    notes: sorted(
      layout.notes.map((note) => `${note.code} ${note.at.map(({ kind, id }) => at(kind, id)).join(' ')}`),
    ),
    findings: sorted(proof.findings.map(({ kind }) => kind)),
    states: proof.statesTried,
    rules: sorted(
      checkRules(siteOf({ job, wiring }, proof)).map(
        (one) => `${one.rule} ${one.severity} ${at(one.at.kind, one.at.id)}`,
      ),
    ),
    fill: sorted(
      job.boxes.map(
        (one) =>
          `${box(one.id)} ${boxFill(countBox(wiring, one), totalVolumeIn3(one), job.edition).totalIn3}`,
      ),
    ),
    load: sorted(
      job.circuits.map((one) => `${to(names?.circuits, one.id)} ${circuitLoad(job, one).spareVA}`),
    ),
  };
}
