import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJob } from '../../handover/jobs/demo-house';
import { planJob } from '../../wiring/plan';
import { prove } from '../../power/proof/prove';
import { anyJob } from '../../testing/random-jobs';
import { duplexIn, lightIn, sketch, switchIn } from '../../testing/jobs';
import type { Design } from '../../job/model/design';
import { applyAll, findRepairs } from './repairs';
import { draws } from '../../testing/draws';

const repairsOf = (job: Design) => {
  const outcome = planJob(job);
  return outcome.ok ? [] : findRepairs(job, outcome.refusals);
};

test('the two-wire loop: a new 3-wire cable, a second cable, or a radio switch that frees the pair (common practice)', () => {
  const says = repairsOf(demoJob('attic-hatch-switch')!).map((repair) => repair.says);
  expect(says).toHaveLength(3);
  expect(says).toEqual(
    expect.arrayContaining([
      'Replace the 14-2 from Attic light to Attic hatch with a new 14-3.',
      'Pull a 14-2 from Attic light to Attic hatch, beside what is there.',
      expect.stringContaining('radio switch'),
    ]),
  );
});

test('a radio switch turns the freed pair into constant hot and neutral: no white is a hot any more (common practice)', () => {
  const job = demoJob('attic-hatch-switch')!;
  const radio = repairsOf(job).find(({ says }) => says.includes('radio'))!;
  const outcome = planJob(applyAll(job, radio.commands)!);
  if (!outcome.ok) throw new Error('refused');
  const loop = outcome.plan.wiring.cables.find(({ run }) => run === 'loop')!;
  expect(
    loop.conductors.map(({ insulation, role, reidentified }) => [insulation, role, reidentified]),
  ).toEqual([
    ['black', 'hot', false],
    ['white', 'neutral', false],
    ['bare', 'ground', false],
  ]);
  expect(prove(outcome.plan.job, outcome.plan.wiring).findings).toEqual([]);
});

test.each(['', '=12-3', '=12-2'])(
  'two pairs of 3-ways between two boxes: a second run beside the first (%s)',
  (there) => {
    const job = sketch({
      boxes: ['up', 'down', 'one', 'other'],
      runs: ['panel-up:30', `up-down:14${there}`, 'up-one:10', 'up-other:10'],
      groups: ['a', 'b'],
      devices: [
        switchIn('up', 'a', 0),
        switchIn('up', 'b', 1),
        switchIn('down', 'a', 0),
        switchIn('down', 'b', 1),
        lightIn('one', 'a'),
        lightIn('other', 'b'),
      ],
    });
    const says = repairsOf(job).map((repair) => repair.says);
    expect(says.some((one) => /Pull a 12-. from up to down, beside what is there\./.test(one))).toBe(true);
  },
);

describe('each kind of refusal has a repair', () => {
  test('14 AWG on 20 A: a new cable or a 15 A breaker (240.4(D), from memory)', () => {
    const says = repairsOf(
      sketch({ boxes: ['shelf'], runs: ['panel-shelf:34=14-2'], devices: [duplexIn('shelf', null, null)] }),
    ).map((repair) => repair.says);
    expect(says).toEqual([
      'Put circuit 14 on a 15 A breaker in place of the 20 A one.',
      'Replace the 14-2 from panel to shelf with a new 12-2.',
    ]);
  });
  test('a box that nothing reaches: a run from one that is', () => {
    const says = repairsOf(
      sketch({
        boxes: ['a', 'b'],
        runs: ['panel-a:10'],
        devices: [duplexIn('a', null, null), duplexIn('b', null, null)],
      }),
    ).map((repair) => repair.says);
    expect(says).toEqual(['Pull a new run from a to b.']);
  });
  test('a light with no switch: a switch, never in the box of the light; always on gives up the wish', () => {
    const says = repairsOf(
      sketch({ boxes: ['a'], runs: ['panel-a:10'], groups: ['g'], devices: [lightIn('a', 'g')] }),
    ).map((repair) => repair.says);
    expect(says).toEqual([
      'Add a switch in a new box, fed from a.',
      // It gives up what was asked for, so it comes last.
      'Leave what it controls always on.',
    ]);
  });
  test('two dimmers: one of them is kept, whichever', () => {
    const job = sketch({
      boxes: ['a', 'b'],
      runs: ['panel-a:10', 'a-b:10'],
      groups: ['g'],
      devices: [
        { ...switchIn('a', 'g', 1), kind: 'dimmer' },
        { ...switchIn('b', 'g'), kind: 'dimmer' },
        lightIn('a', 'g'),
      ],
    });
    expect(repairsOf(job).map(({ says }) => says)).toEqual([
      'Keep the dimmer at a; make the dimmer at b plain (a 3-way or 4-way switch).',
      'Keep the dimmer at b; make the dimmer at a plain (a 3-way or 4-way switch).',
    ]);
  });
});

test('every repair offered for a random refused job really compiles and proves', () => {
  let offered = 0;
  fc.assert(
    fc.property(anyJob, (job) => {
      for (const { commands } of repairsOf(job).slice(0, 4)) {
        const outcome = planJob(applyAll(job, commands)!);
        if (!outcome.ok) throw new Error('a repair that does not repair');
        expect(prove(outcome.plan.job, outcome.plan.wiring).findings).toEqual([]);
        offered++;
      }
    }),
    { numRuns: draws(20, 600) },
  );
  expect(offered).toBeGreaterThan(draws(4, 120));
});
