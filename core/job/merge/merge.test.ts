import { expect, test } from '@jest/globals';
import { dice } from '../../base/dice';
import { canonical, isSame } from '../../base/merge/same';
import { mergeThree, placeOf, type Choices, type Side } from '../../base/merge/three-way';
import { demoJobs, demoWhole } from '../../handover/jobs/demo-house';
import { draws } from '../../testing/draws';
import { worked } from '../../testing/diverge';
import type { Job } from '../model/job';
import { comparable, mergeJobs } from './job';
import { RULES } from './rules';

/*
 * Two and three devices that work on one job apart, by commands of the tables themselves, and then come together.
 */
const RUNS = draws(80, 2000);
const STARTS = demoJobs.flatMap(({ id }) => demoWhole(id) ?? []);

interface Apart {
  readonly base: Job;
  readonly a: Job;
  readonly b: Job;
  readonly c: Job;
}
/** Each is worked out once, for all of the laws. */
const divergences = new Map<number, Apart>();
function apart(seed: number): Apart {
  const done = divergences.get(seed) ?? divergence(seed);
  divergences.set(seed, done);
  return done;
}

function divergence(seed: number): Apart {
  const random = dice(seed);
  const base = comparable(STARTS[seed % STARTS.length]!);
  const of = (who: string, own: number) => worked(base, who, seed * 7 + own, 1 + Math.floor(random() * 4));
  return { base, a: of('Mara', 1), b: of('Theo', 2), c: of('Ines', 3) };
}

/** All choices of the conflicts, by chance; and the same as seen from the other side. */
function chosen(base: Job | null, a: Job, b: Job, seed: number): { ours: Choices; theirs: Choices } {
  const random = dice(seed);
  const sides = mergeJobs(base, a, b).open.map(
    ({ path }) => [placeOf(path), random() < 0.5 ? 'ours' : 'theirs'] as [string, Side],
  );
  return {
    ours: new Map(sides),
    theirs: new Map(sides.map(([place, side]) => [place, side === 'ours' ? 'theirs' : 'ours'])),
  };
}

/** What a copy says, a line each, for the checker: things by their id where they have one, else by all they are. */
function told(value: unknown, at = ''): string[] {
  if (Array.isArray(value))
    return value.flatMap((one: unknown) => {
      const own = one as { id?: unknown } | null;
      const name = typeof own === 'object' && own !== null && 'id' in own ? String(own.id) : canonical(one);
      return told(one, `${at}[${name}]`);
    });
  if (typeof value === 'object' && value !== null)
    return Object.entries(value).flatMap(([name, own]) => told(own, `${at}.${name}`));
  return [`${at} = ${JSON.stringify(value)}`];
}

/** A copy without the names that entries of lists have: they are numbered anew. */
const unnamed = (job: Job): Job =>
  JSON.parse(JSON.stringify(comparable(job)), (field, value: unknown) => {
    if (!['log', 'readings', 'lines', 'marks'].includes(field) || !Array.isArray(value)) return value;
    return value.map((one: unknown) =>
      typeof one === 'object' ? { ...one, id: undefined, corrects: undefined } : one,
    );
  }) as Job;

/** The first lines that one of two copies has alone. */
function differing(a: unknown, b: unknown): string[] {
  const [one, other] = [told(a), told(b)];
  const [has, had] = [new Set(one), new Set(other)];
  return [
    ...one.filter((line) => !had.has(line)).map((line) => `+ ${line}`),
    ...other.filter((line) => !has.has(line)).map((line) => `- ${line}`),
  ].slice(0, 6);
}

test(`${RUNS} divergences: the same either way round, with the choices the other way round; what was merged is merged`, () => {
  const seen = { open: 0, clean: 0, wrong: 0 };
  for (let seed = 0; seed < RUNS; seed++) {
    const { base, a, b } = apart(seed);
    const { ours, theirs } = chosen(base, a, b, seed);
    const one = mergeJobs(base, a, b, ours);
    const other = mergeJobs(base, b, a, theirs);
    expect(one.open).toEqual([]);
    expect(differing(comparable(one.job), comparable(other.job))).toEqual([]);
    expect(canonical(one.job) === canonical(other.job)).toBe(true);
    // Again, now that it grew from what came: nothing more.
    const again = mergeJobs(b, one.job, b);
    expect(differing(unnamed(again.job), unnamed(one.job))).toEqual([]);
    expect(differing(unnamed(mergeJobs(base, a, a).job), unnamed(a))).toEqual([]);
    seen[ours.size > 0 ? 'open' : 'clean']++;
    if (one.problems.length > 0) seen.wrong++;
  }
  expect(Math.min(seen.open, seen.clean)).toBeGreaterThan(RUNS / 20);
  expect(seen.wrong).toBeLessThan(RUNS / 3);
});

test(`${RUNS} divergences: what one alone changed is taken as it is`, () => {
  for (let seed = 0; seed < RUNS; seed++) {
    const { base, a } = apart(seed);
    const taken = mergeJobs(base, base, a);
    expect(taken.open).toEqual([]);
    expect(taken.problems).toEqual([]);
    const kept = mergeJobs(base, a, base);
    expect(isSame(taken.job, kept.job)).toBe(true);
    expect(differing(unnamed(kept.job), unnamed(a))).toEqual([]);
    expect(canonical(unnamed(kept.job)) === canonical(unnamed(a))).toBe(true);
  }
});

test(`${RUNS} divergences of three: in any order the same, where nothing conflicts`, () => {
  let seen = 0;
  for (let seed = 0; seed < RUNS; seed++) {
    const { base, a, b, c } = apart(seed);
    const meet = (...jobs: readonly Job[]) =>
      jobs.slice(1).reduce(
        ({ job, clean }, next) => {
          const merged = mergeJobs(base, job, next);
          return { job: merged.job, clean: clean && merged.open.length + merged.problems.length === 0 };
        },
        { job: jobs[0]!, clean: true },
      );
    const orders = [meet(a, b, c), meet(c, a, b), meet(b, c, a), meet(c, b, a)];
    if (orders.some(({ clean }) => !clean)) continue;
    seen++;
    for (const { job } of orders.slice(1)) expect(differing(orders[0]!.job, job)).toEqual([]);
    expect(new Set(orders.map(({ job }) => canonical(job))).size).toBe(1);
  }
  expect(seen).toBeGreaterThan(RUNS / 8);
});

test(`${RUNS} divergences: nothing lost, nothing invented`, () => {
  let looked = 0;
  for (let seed = 0; seed < RUNS; seed++) {
    const { base, a, b } = apart(seed);
    const merged = mergeJobs(base, a, b);
    // Things that got an id of their own are looked at by the other laws.
    const ids = (job: Job) => new Set(told(job.design).filter((line) => line.includes('.id = ')));
    const [was, mine, theirs, now] = [base, a, b, merged.job].map(unnamed);
    const known = new Set([...ids(a), ...ids(b)]);
    if ([...ids(merged.job)].some((line) => !known.has(line))) continue;
    looked++;
    const [before, ours, coming, after] = [was, mine, theirs, now].map((job) => new Set(told(job)));
    const conflicts = merged.open.flatMap(({ path }) => path.filter((name) => !/^\d/.test(name)));
    const named = (line: string) => conflicts.some((name) => line.includes(name));
    for (const own of [ours!, coming!])
      for (const line of own)
        if (!before!.has(line) && !after!.has(line) && !isSettled(line))
          expect(named(line) ? '' : line).toBe('');
    for (const line of after!)
      expect(before!.has(line) || ours!.has(line) || coming!.has(line) ? '' : line).toBe('');
    // What neither touched is there still.
    for (const line of before!)
      if (ours!.has(line) && coming!.has(line) && !after!.has(line)) expect(line).toBe('');
  }
  expect(looked).toBeGreaterThan(RUNS / 2);
});

test('what both made anew under one id and say otherwise is asked for, though one says that there is nothing', () => {
  const of = (control: string | null) => ({ devices: [{ id: 'light', control }] });
  const { changes } = mergeThree(
    { devices: [] as { id: string; control: string | null }[] },
    of(null),
    of('stair'),
    RULES,
  );
  expect(changes.filter(({ by }) => by === 'conflict').map(({ path }) => path)).toEqual([
    ['devices', 'light', 'control'],
  ]);
});

/** Of a step that both ticked one tick stands; the log has both. A set of words is all of both. */
const isSettled = (line: string): boolean => /^\.record\.(ticks|tasks)\[/.test(line);
