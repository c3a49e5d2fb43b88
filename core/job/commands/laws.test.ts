import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyPatches } from 'immer';
import { Design } from '../model/design';
import { EMPTY_RECORD } from '../model/record';
import { readJobFile } from '../model/file';
import { writeJobFile } from '../model/job-file';
import { checkReferences } from '../model/references';
import { planJob } from '../../wiring/plan';
import { measured } from '../rooms/route';
import { anyJob } from '../../testing/random-jobs';
import { drawn, pick } from '../../testing/random-commands';
import { applyCommand, applyCommands, type DesignCommand } from './command';

/*
 * Laws of commands, drawn at random against random jobs, many of them senseless: a command either says what is wrong
 * and changes nothing, or gives a sound job and the way back.
 */

const RUNS = 160;

describe('any command on any job', () => {
  test('gives a sound job and the exact way back, or says what is wrong and where', () => {
    let [done, refused] = [0, 0];
    const kinds = new Set<string>();
    fc.assert(
      fc.property(anyJob, drawn, (job, draw) => {
        const command = draw(job, pick);
        const before = JSON.stringify(job);
        const applied = applyCommand(job, command);
        expect(JSON.stringify(job)).toBe(before);
        if (!applied.ok) {
          refused++;
          expect(applied.problems.length).toBeGreaterThan(0);
          for (const { message } of applied.problems) expect(message.length).toBeGreaterThan(3);
          return;
        }
        done++;
        kinds.add(command.do);
        const { job: after, patches, inverse, label } = applied.value;
        expect(label.length).toBeGreaterThan(0);
        expect(Design.parse(after)).toEqual(after);
        expect(checkReferences(after)).toEqual([]);
        expect(measured(applyPatches(job, [...patches]))).toEqual(after);
        expect(measured(applyPatches(after, [...inverse]))).toEqual(job);
      }),
      { numRuns: RUNS },
    );
    expect(done).toBeGreaterThan(RUNS / 4);
    expect(refused).toBeGreaterThan(10);
    expect(kinds.size).toBeGreaterThan(15);
  });

  test('a row of them is all or nothing, and one step back', () => {
    let whole = 0;
    fc.assert(
      fc.property(anyJob, fc.array(drawn, { minLength: 1, maxLength: 6 }), (job, draws) => {
        const commands: DesignCommand[] = [];
        let now = job;
        for (const draw of draws) {
          const command = draw(now, pick);
          const step = applyCommand(now, command);
          if (!step.ok) continue;
          commands.push(command);
          now = step.value.job;
        }
        const together = applyCommands(job, commands);
        if (!together.ok) throw new Error('one by one they were taken');
        expect(together.value.job).toEqual(now);
        expect(applyPatches(now, [...together.value.inverse])).toEqual(job);
        const spoilt = applyCommands(job, [...commands, { do: 'remove box', box: 'nowhere' }]);
        expect(spoilt.ok).toBe(false);
        if (commands.length > 1) whole++;
      }),
      { numRuns: RUNS / 2 },
    );
    expect(whole).toBeGreaterThan(20);
  });

  test('what comes of it can be planned or is refused, and survives its file', () => {
    fc.assert(
      fc.property(anyJob, fc.array(drawn, { maxLength: 4 }), (job, draws) => {
        let now = job;
        for (const draw of draws) {
          const step = applyCommand(now, draw(now, pick));
          if (step.ok) now = step.value.job;
        }
        const outcome = planJob(now);
        if (!outcome.ok) expect(outcome.refusals.length).toBeGreaterThan(0);
        expect(readJobFile(writeJobFile({ design: now, record: EMPTY_RECORD }))).toEqual({
          ok: true,
          value: { design: now, record: EMPTY_RECORD },
        });
      }),
      { numRuns: RUNS / 2 },
    );
  });
});

test('circuits that share a neutral name each other, are protected alike, and part together', () => {
  fc.assert(
    fc.property(anyJob, fc.array(drawn, { maxLength: 6 }), (job, draws) => {
      let now = job;
      for (const draw of draws) {
        const step = applyCommand(now, draw(now, pick));
        if (step.ok) now = step.value.job;
      }
      for (const { id, multiwireWith, protection } of now.circuits) {
        if (multiwireWith === null) continue;
        const partner = now.circuits.find((one) => one.id === multiwireWith);
        expect(partner).toMatchObject({ multiwireWith: id, protection });
      }
    }),
    { numRuns: RUNS / 2 },
  );
});
