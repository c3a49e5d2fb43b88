import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyPatches } from 'immer';
import { WISH_KINDS } from '../devices';
import { Design } from '../model/design';
import { EMPTY_RECORD } from '../model/record';
import { readJobFile } from '../model/file';
import { writeJobFile } from '../model/job-file';
import { checkReferences } from '../model/references';
import { planJob } from '../plan';
import { measured } from '../rooms/route';
import { anyJob } from '../testing/random-jobs';
import { applyCommand, applyCommands, type DesignCommand } from './command';

/*
 * Laws of commands, drawn at random against random jobs, many of them senseless: a command either says what is wrong
 * and changes nothing, or gives a sound job and the way back.
 */

const RUNS = 160;

/** Names things of the job by number, so that most draws name something that is there, and some do not. */
const namesOf = (job: Design) => ({
  box: [...job.boxes.map(({ id }) => id), 'nowhere'],
  run: [...job.runs.map(({ id }) => id), 'no-run'],
  device: [...job.devices.map(({ id }) => id), 'no-device'],
  circuit: [...job.circuits.map(({ id }) => id), 'no-circuit'],
  group: [...job.groups.map(({ id }) => id), 'no-group'],
});
type Draw = (job: Design, pick: <T>(list: readonly T[], of: number) => T) => DesignCommand;
const n = fc.nat({ max: 40 });
const drawn: fc.Arbitrary<Draw> = fc
  .tuple(n, n, n, fc.boolean(), fc.constantFrom(...WISH_KINDS), fc.integer({ min: 0, max: 28 }))
  .map(([a, b, c, flag, kind, which]): Draw => (job, pick) => {
    const names = namesOf(job);
    const [box, run, device, circuit, group] = [
      pick(names.box, a),
      pick(names.run, b),
      pick(names.device, c),
      pick(names.circuit, a),
      pick(names.group, b),
    ];
    const part = pick(['upper', 'lower', 'outlet', 'lamp', 'handle', 'fan', 'light'], b);
    const other = flag ? null : pick(names.group, c);
    const all: DesignCommand[] = [
      { do: 'set edition', edition: flag ? '2017' : '2023' },
      { do: 'set habits', habits: { switchedHalf: flag ? 'top' : 'bottom', midRun: 'feed-through' } },
      { do: 'set circuit', circuit, change: { protection: flag ? 'gfci' : 'none', breakerA: 20 } },
      { do: 'set circuit', circuit, change: { multiwireWith: flag ? null : pick(names.circuit, b) } },
      { do: 'set circuit', circuit, change: { tiedWith: flag ? null : pick(names.circuit, c) } },
      { do: 'move feed', run, box },
      { do: 'set box', box, change: { gangs: (b % 4) + 1, closed: flag } },
      { do: 'set run', run, change: { existing: flag ? '14-2' : null, lengthFt: b + 1 } },
      { do: 'set control', device, part, control: other },
      { do: 'set load', device, part, watts: a * 40, continuous: flag },
      { do: 'set want', device, part, change: { via: flag ? pick(names.device, a) : null, circuit } },
      { do: 'set group', device, part, group },
      { do: 'set kind', device, kind },
      { do: 'move device', device, box },
      { do: 'move gang', device, toward: flag ? 'left' : 'right' },
      { do: 'add run', from: box, to: pick(names.box, c), lengthFt: 10 },
      { do: 'remove run', run },
      { do: 'split run', run, name: 'Halfway' },
      { do: 'free the pair', device },
      { do: 'set device', device, change: { was: flag, replaces: !flag } },
      { do: 'set rating', device, ratingA: flag ? 15 : 20 },
      {
        do: 'add box',
        from: box,
        name: 'More',
        holds: flag ? 'outlet' : 'switch',
        circuit,
        group: other,
        lengthFt: 6,
      },
      { do: 'add device', box, holds: flag ? 'light' : 'outlet', circuit, group: other },
      { do: 'remove device', device },
      { do: 'remove circuit', circuit, into: pick(names.circuit, c) },
      { do: 'feed beyond', device, from: flag ? 'LOAD' : 'LINE' },
      { do: 'lead run', run, end: flag ? 'from' : 'to', box },
      { do: 'set run circuits', run, circuits: flag ? null : [circuit] },
      { do: 'remove box', box },
    ];
    return pick(all, which);
  });
const pick = <T>(list: readonly T[], of: number): T => list[of % list.length]!;

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
