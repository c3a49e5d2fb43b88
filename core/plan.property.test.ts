import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkReferences } from './model/references';
import { planJob } from './plan';
import { prove } from './proof/prove';
import { anyJob } from './testing/random-jobs';

/*
 * Kirchhoff's laws and the rules of 300.3(B), 200.11, 250.148 and 310.10 (from memory), on random trees of boxes:
 * whatever compiles does what was wished in every switch state, polarity and ground right, no net looped, hots and
 * neutral of every cable adding to zero per circuit; whatever does not is refused at a named run, box or group.
 */
const RUNS = 1_000;
const TOTAL_RUNS = 10_000;

test(`compile is total on ${TOTAL_RUNS} random jobs: never throws, never loops`, () => {
  const outcomes = fc.sample(anyJob, { numRuns: TOTAL_RUNS, seed: 20_261_125 }).map((job) => planJob(job));
  expect(outcomes).toHaveLength(TOTAL_RUNS);
  expect(outcomes.every((outcome) => outcome.ok || outcome.refusals.length > 0)).toBe(true);
});

test('every random job is wired so that it proves, or is refused by name', () => {
  let planned = 0;
  let refused = 0;
  fc.assert(
    fc.property(anyJob, (job) => {
      expect(checkReferences(job)).toEqual([]);
      const outcome = planJob(job);
      if (outcome.ok) {
        planned++;
        const proof = prove(job, outcome.plan.wiring);
        expect(proof.findings).toEqual([]);
        expect(proof.statesTried).toBeGreaterThan(0);
      } else {
        refused++;
        expect(outcome.refusals.length).toBeGreaterThan(0);
        const named = new Set([...job.runs, ...job.boxes, ...job.groups, ...job.devices].map(({ id }) => id));
        for (const { at, message } of outcome.refusals) {
          expect(at.some(({ id }) => named.has(id))).toBe(true);
          expect(message).not.toBe('');
        }
      }
    }),
    { numRuns: RUNS },
  );
  // The generator must exercise both outcomes, or the property above proves little.
  expect(planned).toBeGreaterThan(50);
  expect(refused).toBeGreaterThan(50);
});
