import fc from 'fast-check';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { Command } from '@core/job/commands/command';
import { draws } from '@core/testing/draws';
import { COMMAND_ROWS, jobPools } from '@core/testing/diverge';
import { fromSchema } from '@core/testing/from-schema';
import { SplitTapDatabase } from './database';
import { JobStore, type OpenJob } from './jobs';
import { JobSession } from './session';

/*
 * What is shown is stored, whatever was tapped: the taps are drawn from the tables of commands by their own schemas, so that
 * a command that is added later is tapped here too. The page ends at once; what it showed is there at the next opening.
 */

/** In the demo house; with a box that was opened; with a photo. */
const JOBS = ['stair', 'hall-console', 'laundry-counter'] as const;
const nameOf = ({ schema }: (typeof COMMAND_ROWS)[number]): string => schema.shape.do.value;
const EACH = draws(1, 40);

let db: SplitTapDatabase;
let count = 0;
beforeEach(() => {
  db = new SplitTapDatabase(`kept-${count++}`);
});
afterEach(() => db.close());

async function opened(store: JobStore, id: string = JOBS[0]): Promise<OpenJob> {
  const job = await store.open(id);
  if (!job.ok) throw new Error(job.problems[0]?.message);
  return job.value;
}

/** A store of a page that ends as soon as what was tapped is written down. */
const ending = (store: JobStore): JobStore =>
  Object.assign(Object.create(store) as JobStore, { carryOutAll: () => new Promise(() => undefined) });

const shown = ({ design, record, revision }: OpenJob) => ({ design, record, revision });

test.each(COMMAND_ROWS.map((row) => [nameOf(row), row] as const))(
  'job: %s is stored as it was shown, though its page ended at once',
  async (_, { schema }) => {
    let done = 0;
    const store = new JobStore(db);
    for (const id of JOBS) {
      let before = await opened(store, id);
      const taps = fc.sample(fromSchema<Command>(schema, jobPools(before)), {
        numRuns: EACH,
        seed: 26,
      });
      for (const command of taps) {
        const page = new JobSession(before, ending(store));
        void page.send({ intent: 'commands', commands: [command] });
        if (page.snapshot().revision !== before.revision) done++;
        before = await opened(store, id);
        expect(shown(before)).toEqual(shown(page.snapshot()));
      }
    }
    expect(await db.journal.count()).toBe(0);
    // A command of which no draw does anything would be tested by nothing.
    tapped.set(schema.shape.do.value, done);
  },
);

const tapped = new Map<string, number>();
test('most commands of the tables did something', () => {
  const idle = [...tapped].filter(([, done]) => done === 0).map(([name]) => name);
  process.stdout.write(`kept: ${tapped.size} commands, idle in these draws: ${idle.join(', ')}\n`);
  expect(tapped.size).toBe(COMMAND_ROWS.length);
  expect(idle.length).toBeLessThan(COMMAND_ROWS.length / 3);
});

test('two tabs tap at once: each tap is stored or told, and both show what is stored', async () => {
  const store = new JobStore(db);
  const first = await opened(store);
  const all = fc.oneof(...COMMAND_ROWS.map(({ schema }) => fromSchema<Command>(schema, jobPools(first))));
  for (const taps of fc.sample(fc.array(fc.tuple(fc.boolean(), all), { minLength: 2, maxLength: 6 }), {
    numRuns: draws(12, 300),
    seed: 27,
  })) {
    const one = new JobSession(await opened(store), store);
    const other = new JobSession(await opened(store), store);
    await Promise.all(
      taps.map(([left, command]) => (left ? one : other).send({ intent: 'commands', commands: [command] })),
    );
    for (const tab of [one, other]) {
      await tab.refresh();
      expect(shown(tab.snapshot())).toEqual(shown(await opened(store)));
    }
    expect(await db.journal.count()).toBe(0);
  }
});
