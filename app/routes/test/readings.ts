import type { Command } from '@core/job/commands/command';
import type { JobRecord } from '@core/job/model/record';
import type { ShownReading, ShownScript, ShownTest } from '@core/site/script/report';
import { say } from '~/words/field-test';
import { owedIn } from './left-from-find';

/** What the script asks, beside what was read of it. */
export interface Standing {
  readonly first: readonly Step[];
  readonly full: readonly Step[];
  /** The newest reading of each test, by its code. */
  readonly last: ReadonlyMap<string, string>;
  /** Tests whose reading does not fit. */
  readonly odd: number;
  /** Something was read, or seen, that the script does not ask for. */
  readonly beside: boolean;
}
type Step = ShownScript['steps'][number];

export function standingOf(script: ShownScript | null, { tests }: JobRecord): Standing {
  const steps = script?.steps ?? [];
  const known = new Set(steps.map(({ id }) => id));
  const taken = tests.filter(({ symptom }) => symptom === null);
  const last = new Map(taken.map(({ test, shows }) => [test, shows]));
  return {
    first: steps.filter(({ grade }) => grade === 'before the covers'),
    full: steps.filter(({ grade }) => grade === 'full proof'),
    last,
    odd: steps.filter(({ id, expected }) => (last.get(id) ?? expected.code) !== expected.code).length,
    beside: script !== null && tests.some(({ test, symptom }) => symptom !== null || !known.has(test)),
  };
}

/** The answer in a line: what was found, what is done, what is still to be read. */
export function answerOf(
  script: ShownScript,
  { first, full, last, odd, beside }: Standing,
  record: JobRecord,
): string {
  const owed = owedIn(record);
  const there = owed.find(({ found }) => found === 'there');
  if (there) return say('route.hazard', { says: there.says });
  const steps = script.steps.length;
  const read = script.steps.filter(({ id }) => last.has(id)).length;
  const fits = odd === 0 && !beside;
  if (read === steps && fits)
    return owed.some(({ found }) => found === 'open')
      ? say('route.doneButLeft', { steps })
      : say('route.done', { steps });
  const untold = script.untold.reduce((sum, { places }) => sum + places, 0);
  const firstDone = first.every(({ id }) => last.has(id)) && !full.some(({ id }) => last.has(id));
  if (first.length > 0 && full.length > 0 && firstDone && fits)
    return say('route.firstDone', { first: first.length, untold });
  if (read > 0) return say('route.read', { read, steps, odd });
  const { minutes, setups } = script.costs['before the covers'];
  return say('route.answer', {
    first: first.length,
    minutes: Math.ceil(minutes),
    setups,
    told: script.told - untold,
    all: script.told,
  });
}

/** A reading of a test as it is noted, with its line for the log. */
export function readingOf(test: ShownTest, shows: string): Command {
  const { box: place, state, what, expected, others } = test;
  const own: Pick<ShownReading, 'says'> = [expected, ...others].find(({ code }) => code === shows) ?? {
    says: shows,
  };
  return {
    do: 'read test',
    reading: {
      test: test.id,
      shows,
      at: new Date().toISOString(),
      symptom: null,
      says: say('route.logged', {
        place,
        what: [state, what].filter(Boolean).join(' '),
        reading: own.says,
        fits: shows === expected.code,
        expected: expected.says,
      }),
    },
  };
}

/** What is seen without an instrument, as the readings that it stands for; one line of the log. */
export const seenAs = ({ id, says, readings }: ShownScript['symptoms'][number]): Command[] =>
  readings.map(({ test, shows }, index) => ({
    do: 'read test',
    reading: { test, shows, at: new Date().toISOString(), symptom: id, says: index === 0 ? says : '' },
  }));

/** Takes readings out again. */
export const withoutReadings = (
  { tests }: JobRecord,
  which: (one: JobRecord['tests'][number]) => boolean,
): Command[] => tests.filter(which).map(({ at, test }) => ({ do: 'remove test', at, test }));
