import { expect, test } from '@jest/globals';
import { demoJob, demoJobs } from '../../handover/jobs/demo-house';
import fc from 'fast-check';
import { anyJob } from '../../testing/random-jobs';
import type { Design } from '../../job/model/design';
import { planJob } from '../../wiring/plan';
import { ghostOf } from './ghost';
import { findRepairs } from './repairs';

test('the two-wire loop at the hatch lacks the conductor that would bring a neutral', () => {
  const job = demoJob('attic-hatch-switch')!;
  const outcome = planJob(job);
  if (outcome.ok) throw new Error('the hatch is refused');
  const ghost = ghostOf(job, outcome.refusals, [])!;
  expect(ghost.box).toBe('hatch');
  expect(ghost.missing.map(({ insulation }) => insulation)).toEqual(['red']);
  const cable = ghost.plan.wiring.cables.find(({ id }) => id === ghost.missing[0]!.cable)!;
  expect([cable.run, cable.type]).toEqual(['loop', '14-3']);
});

/** What a make-up has by its name alone (facts of the trade): the checker reads no table. */
const inside = (type: string): readonly string[] =>
  type.endsWith('-4')
    ? ['black', 'white', 'red', 'blue']
    : type.endsWith('-3')
      ? ['black', 'white', 'red']
      : ['black', 'white'];

test('what is drawn as missing is in no cable of the wall, and what is there is not drawn as missing, on random jobs', () => {
  let seen = 0;
  fc.assert(
    fc.property(anyJob, (drawn) => {
      const job = {
        ...drawn,
        runs: drawn.runs.map((run) => ({ ...run, existing: run.existing ?? ('14-2' as const) })),
      };
      const outcome = planJob(job);
      if (outcome.ok) return;
      const ghost = ghostOf(job, outcome.refusals, []);
      if (!ghost) return;
      seen++;
      for (const { id, run, conductors } of ghost.plan.wiring.cables) {
        const own = job.runs.find((one) => one.id === run)!;
        const has = own.existing === '14-2-2' || own.existing === '12-2-2' ? null : inside(own.existing);
        if (!has) continue;
        for (const { insulation } of conductors) {
          if (insulation === 'bare' || insulation === 'green') continue;
          const there = has.includes(insulation) && !own.found.lost.includes(insulation);
          expect(ghost.missing.some((one) => one.cable === id && one.insulation === insulation)).toBe(!there);
        }
      }
    }),
    { numRuns: 150 },
  );
  expect(seen).toBeGreaterThan(5);
});

test('where no conductor is missing the first repair is drawn: all of its new cable as missing, and nothing of what is there', () => {
  const seen = { cables: 0, other: 0 };
  const look = (job: Design) => {
    const outcome = planJob(job);
    if (outcome.ok || ghostOf(job, outcome.refusals, []) !== null) return;
    const repairs = findRepairs(job, outcome.refusals);
    const ghost = ghostOf(job, outcome.refusals, repairs);
    if (!ghost) return;
    expect(ghost.after).toBe(repairs[0]!.says);
    expect(ghost.plan.job.boxes.some(({ id }) => id === ghost.box)).toBe(true);
    if (ghost.missing.length > 0) seen.cables++;
    else seen.other++;
    const ours = new Set(job.runs.map(({ id }) => id));
    for (const { id, run, from, to, conductors } of ghost.plan.wiring.cables) {
      const missing = ghost.missing.filter((one) => one.cable === id);
      const isNew = !ours.has(run) && (from === ghost.box || to === ghost.box);
      expect(missing.map(({ insulation }) => insulation)).toEqual(
        isNew ? conductors.map((one) => one.insulation) : [],
      );
    }
  };
  fc.assert(fc.property(anyJob, look), { numRuns: 40 });
  // A box whose run is taken away has no power; one that stays closed holds nothing.
  for (const job of demoJobs) {
    for (const lost of job.runs) look({ ...job, runs: job.runs.filter((run) => run !== lost) });
    for (const shut of job.boxes)
      look({ ...job, boxes: job.boxes.map((box) => (box === shut ? { ...box, closed: true } : box)) });
  }
  expect(Math.min(...Object.values(seen))).toBeGreaterThan(5);
}, 60_000);
