import { expect, test } from '@jest/globals';
import { demoJob } from '../../handover/jobs/demo-house';
import fc from 'fast-check';
import { anyJob } from '../../testing/random-jobs';
import { planJob } from '../../wiring/plan';
import { ghostOf } from './ghost';

test('the two-wire loop at the hatch lacks the conductor that would bring a neutral', () => {
  const job = demoJob('attic-hatch-switch')!;
  const outcome = planJob(job);
  if (outcome.ok) throw new Error('the hatch is refused');
  const ghost = ghostOf(job, outcome.refusals)!;
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
      const ghost = ghostOf(job, outcome.refusals);
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
