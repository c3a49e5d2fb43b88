import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyCommands } from '../../job/commands/command';
import { allOptions } from '../../choices/options/search';
import { outletsOf } from '../../choices/options/wish';
import { planJob } from '../../wiring/plan';
import { prove } from '../../power/proof/prove';
import { anyJob } from '../../testing/random-jobs';
import { withFaults, faultDraws } from '../../testing/random-faults';
import { checkRules, SEVERITIES } from './check';
import { Site, siteOf } from './site';
import { draws } from '../../testing/draws';

/*
 * Laws of the rules on random jobs. What the compiler wires keeps the rules of wiring (200.11, 300.3(B), 200.7(C),
 * 250.148, 310.10, 404.2(B); from memory); whatever is found points at something that is there.
 */
const RUNS = 300;

/** Rules of the wiring itself: a compiled plan must never break them. */
const COMPILED = [
  'W01',
  'W02',
  'W03',
  'W04',
  'W05',
  'W06',
  'W07',
  'W08',
  'W09',
  'W10',
  'W11',
  'W12',
  'W13',
  'W15',
  'W23',
  'S01',
  'S02',
  'P06',
  'P09',
  'P10',
];

test('a compiled plan keeps every rule of wiring', () => {
  let checked = 0;
  fc.assert(
    fc.property(anyJob, (job) => {
      const outcome = planJob(job);
      if (!outcome.ok) return;
      checked++;
      const broken = checkRules(siteOf(outcome.plan)).filter(({ rule }) => COMPILED.includes(rule));
      expect(broken.map(({ rule, message }) => `${rule} ${message}`)).toEqual([]);
    }),
    { numRuns: RUNS },
  );
  expect(checked).toBeGreaterThan(50);
});

test('with faults in the wiring: rules never throw, and what they find is there, said and of a known severity', () => {
  let found = 0;
  fc.assert(
    fc.property(anyJob, faultDraws, (job, draws) => {
      const outcome = planJob(job);
      if (!outcome.ok) return;
      const { wiring, disturbances } = withFaults(outcome.plan.wiring, draws);
      const ids = new Set(
        [job, ...job.boxes, ...job.runs, ...job.devices, ...job.circuits, ...job.rooms].map(({ id }) => id),
      );
      for (const { at, message, severity } of checkRules(new Site(job, wiring, disturbances))) {
        found++;
        expect({ at, known: ids.has(at.id) }).toEqual({ at, known: true });
        expect(message.length).toBeGreaterThan(8);
        expect(SEVERITIES).toContain(severity);
      }
    }),
    { numRuns: RUNS },
  );
  expect(found).toBeGreaterThan(100);
});

test('every fix that is offered on a random job can be applied', () => {
  let tried = 0;
  fc.assert(
    fc.property(anyJob, (job) => {
      const outcome = planJob(job);
      if (!outcome.ok) return;
      for (const { rule, fix } of checkRules(siteOf(outcome.plan))) {
        if (!fix) continue;
        tried++;
        const done = applyCommands(job, fix.commands);
        expect({ rule, problems: done.ok ? [] : done.problems }).toEqual({ rule, problems: [] });
      }
    }),
    { numRuns: RUNS },
  );
  expect(tried).toBeGreaterThan(20);
});

test('options of random jobs: each compiles and proves, and its commands lead to it', () => {
  let options = 0;
  fc.assert(
    fc.property(anyJob, fc.nat(), (job, pick) => {
      const outlets = outletsOf(job);
      const outlet = outlets[pick % Math.max(outlets.length, 1)];
      if (!outlet) return;
      for (const option of allOptions(job, outlet).slice(0, 6)) {
        options++;
        const outcome = planJob(option.job);
        expect({ says: option.says, ok: outcome.ok }).toEqual({ says: option.says, ok: true });
        if (outcome.ok) expect(prove(option.job, outcome.plan.wiring).findings).toEqual([]);
        // What every other thing is to do stays: which circuit feeds it, what switches it.
        for (const other of job.devices) {
          if (other.id === outlet.id) continue;
          const after = option.job.devices.find(({ id }) => id === other.id);
          for (const [part, want] of Object.entries(other.wants)) {
            const now = after?.wants[part];
            if (want.does !== 'power' || now?.does !== 'power') continue;
            expect({ says: option.says, part, circuit: now.circuit, control: now.control }).toEqual({
              says: option.says,
              part,
              circuit: want.circuit,
              control: want.control,
            });
          }
        }
        expect(option.figures.materialUsd).toBeGreaterThanOrEqual(0);
        expect(option.figures.fullest).toBeGreaterThan(0);
      }
    }),
    { numRuns: draws(10, 100) },
  );
  expect(options).toBeGreaterThan(20);
});
