import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoWhole } from '../../handover/jobs/demo-house';
import { draws } from '../../testing/draws';
import { COMMAND_ROWS, jobPools } from '../../testing/diverge';
import { fromSchema } from '../../testing/from-schema';
import { applyCommands, isDesignCommand, note, type Command } from './command';

/*
 * A command may name what is not there, in whatever field of it: it gives problems and changes nothing, or finds nothing to change.
 */
const STARTS = ['stair', 'hall-console', 'laundry-counter'].flatMap((id) => demoWhole(id) ?? []);

test.each(COMMAND_ROWS.map(({ schema }) => [schema.shape.do.value, schema] as const))(
  '%s: names that name nothing are told, and nothing is thrown',
  (_, schema) => {
    for (const { design, record } of STARTS) {
      const pools = jobPools({ design, record });
      // Half of what is named is there: one thing that is missing among many is the harder case.
      const half = Object.fromEntries(
        Object.entries(pools).map(([field, ids]) => [field, [...ids.slice(0, 2), 'gone', '1']]),
      );
      for (const command of fc.sample(fromSchema<Command>(schema, half), {
        numRuns: draws(12, 200),
        seed: 5,
      })) {
        const before = JSON.stringify({ design, record });
        const done = isDesignCommand(command) ? applyCommands(design, [command]) : note(record, command);
        if (!done.ok) expect(done.problems.length).toBeGreaterThan(0);
        expect(JSON.stringify({ design, record })).toBe(before);
      }
    }
  },
);
