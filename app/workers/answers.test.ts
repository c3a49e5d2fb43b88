import { NoAnswer } from './no-answer';
import { describe, expect, test } from '@jest/globals';
import { note } from '@core/job/commands/command';
import { demoJob, demoJobs, demoRecord } from '@core/handover/jobs/demo-house';
import type { Design } from '@core/job/model/design';
import { EMPTY_RECORD, type JobRecord } from '@core/job/model/record';
import type { Planned } from '~/derived';
import { answered } from '~/testing/answered';
import { AnswerDesk } from './answer-desk';
import { answers, computed } from './answers';
import type { CoreAsk } from './core';

const counted = () => ({ ...computed });
const since = (before: typeof computed) => ({
  plans: computed.plans - before.plans,
  proofs: computed.proofs - before.proofs,
  rules: computed.rules - before.rules,
});
const nothing = () => undefined;

describe('answers', () => {
  test('one design is planned, verified and judged once, whatever is noted beside it', async () => {
    const job = demoJob('hall-console')!;
    const record = demoRecord(job.id);
    const before = counted();
    const { answer } = answers();
    await answered(job, record, { answer });
    expect(since(before)).toEqual({ plans: 1, proofs: 1, rules: 1 });
    const tick = {
      box: 'hall-switch',
      step: 'mark',
      did: null,
      says: 'Mark',
      at: '2026-11-25T10:00:00.000Z',
    };
    for (const command of [
      { do: 'tick', tick },
      { do: 'set brief', change: { wish: 'typed' } },
      { do: 'note seen', survey: 'hall', change: { what: 'outside', method: 'aluminum', seen: true } },
    ] as const) {
      const done = note(record, command);
      if (!done.ok) throw new Error(done.problems[0]!.message);
      const judged = await answer('own', null, done.value.record, nothing);
      // What was found is judged all the same.
      expect(typeof judged === 'string' || judged.rules.some(({ rule }) => rule === 'X01')).toBe(
        command.do === 'note seen',
      );
    }
    expect(since(before)).toEqual({ plans: 1, proofs: 1, rules: 1 });
    await answered({ ...job, name: 'Another' }, record, { answer });
    expect(since(before).plans).toBe(2);
  });
  test('a refused job has no verification and no rules, but repairs', async () => {
    const {
      plan: { outcome, fills },
      judged,
    } = await answered(demoJob('attic-hatch-switch')!, EMPTY_RECORD);
    expect([outcome.ok, fills.size, judged.proof, judged.rules]).toEqual([false, 0, null, []]);
    expect(judged.repairs.length).toBeGreaterThan(0);
  });
  test('a wired one has them, and no repairs', async () => {
    const {
      plan: { fills },
      judged,
    } = await answered(demoJob('sunroom-plant-shelf')!, EMPTY_RECORD);
    expect(judged.repairs).toEqual([]);
    expect(judged.proof!.findings).toEqual([]);
    expect(fills.get('plant-shelf')!.fits).toBe(true);
    expect(fills.get('nowhere')).toBeUndefined();
  });
  test('what is told can be sent as it is, of every demo job', async () => {
    for (const job of demoJobs) {
      const own = answers();
      const said: unknown[] = [];
      const judged = await own.answer('own', job, demoRecord(job.id), (planned) => said.push(planned));
      for (const one of [...said, judged]) expect(structuredClone(one)).toEqual(one);
    }
  });
  test('a newer design stops what is left of an older one', async () => {
    const own = answers();
    const before = counted();
    const first = own.answer('first', demoJob('stair')!, EMPTY_RECORD, nothing);
    const second = own.answer('second', demoJob('hall-console')!, EMPTY_RECORD, nothing);
    expect(await first).toBe('replaced');
    expect(await second).toHaveProperty('proof');
    expect(since(before)).toEqual({ plans: 2, proofs: 1, rules: 1 });
  });
  test('a record without its design is not answered', async () => {
    expect(await answers().answer('own', null, EMPTY_RECORD, nothing)).toBe('not held');
    const { answer } = answers();
    await answered(demoJob('stair')!, EMPTY_RECORD, { answer });
    // What another page has put in its place is no answer either.
    await answer('another', demoJob('hall-console')!, EMPTY_RECORD, nothing);
    expect(await answer('own', null, EMPTY_RECORD, nothing)).toBe('not held');
  });
});

/** A worker in this process, that answers when it is told to, and can be made to fail. */
function worker({ fail = null as Error | null, own = answers() } = {}) {
  const asked: (Design | null)[] = [];
  const at = { fail, own };
  const remote = {
    answer: async (
      token: string,
      design: Design | null,
      record: JobRecord,
      planned: (told: Planned) => void,
    ) => {
      asked.push(design);
      const { fail: failing } = at;
      await Promise.resolve();
      if (failing !== null) throw failing;
      return structuredClone(
        await at.own.answer(token, structuredClone(design), structuredClone(record), (told) =>
          planned(structuredClone(told)),
        ),
      );
    },
  };
  const core = { ask: <T>(question: (remote: unknown) => Promise<T>) => question(remote) };
  return { desk: new AnswerDesk(core as unknown as CoreAsk), asked, at };
}
const settled = async (desk: AnswerDesk) => {
  for (let told = 0; told < 20; told++) {
    const { derived, failed } = desk.snapshot();
    if (failed !== null || (derived?.judged && !derived.judging)) return desk.snapshot();
    await desk.first();
  }
  throw new Error('it does not settle');
};

describe('the desk', () => {
  const stair = demoJob('stair')!;
  test('shows the plan first, of the very design that was asked about, then the judgement', async () => {
    const { desk } = worker();
    desk.ask(stair, EMPTY_RECORD);
    await desk.first();
    const first = desk.snapshot().derived!;
    expect([first.judging, first.judged]).toEqual([true, null]);
    expect(first.plan.job).toBe(stair);
    expect(first.plan.outcome.ok && first.plan.outcome.plan.job).toBe(stair);
    const { derived } = await settled(desk);
    expect(derived!.judged!.proof!.findings).toEqual([]);
  });
  test('asks of many changes in a row only the first and the newest', async () => {
    const { desk, asked } = worker();
    const many = ['a', 'b', 'c', 'd', 'e', 'f'].map((name) => ({ ...stair, name }));
    for (const job of many) desk.ask(job, EMPTY_RECORD);
    await desk.first();
    await settled(desk);
    expect(asked).toEqual([many[0], many[5]]);
    expect(desk.snapshot().derived!.plan.job).toBe(many[5]);
  });
  test('sends no design for what is only noted, and the whole of it where the worker forgot', async () => {
    const { desk, asked, at } = worker();
    desk.ask(stair, EMPTY_RECORD);
    await desk.first();
    await settled(desk);
    desk.ask(stair, { ...EMPTY_RECORD });
    await desk.first();
    expect(asked).toEqual([stair, null]);
    at.own = answers();
    desk.ask(stair, { ...EMPTY_RECORD });
    await desk.first();
    await settled(desk);
    expect(asked).toEqual([stair, null, null, stair]);
  });
  test('asks nothing twice', async () => {
    const { desk, asked } = worker();
    desk.ask(stair, EMPTY_RECORD);
    desk.ask(stair, EMPTY_RECORD);
    await desk.first();
    await settled(desk);
    desk.ask(stair, EMPTY_RECORD);
    expect(asked).toHaveLength(1);
  });
  test('works it out on the page where no worker can be loaded', async () => {
    const { desk, asked } = worker({ fail: new NoAnswer('not loaded') });
    desk.ask(stair, EMPTY_RECORD);
    await desk.first();
    const { derived, failed } = await settled(desk);
    expect([failed, derived!.judged!.proof!.findings, asked.length]).toEqual([null, [], 1]);
  });
  test('a change made while a plan fails is answered all the same', async () => {
    const { desk, at } = worker({ fail: new Error('a bug of a library') });
    desk.ask(stair, EMPTY_RECORD);
    const next = { ...stair, name: 'next' };
    desk.ask(next, EMPTY_RECORD);
    at.fail = null;
    expect((await settled(desk)).derived!.plan.job).toBe(next);
    expect(desk.snapshot().failed).toBeNull();
  });
  test('says that it failed, keeps the last answer, and asks again when told to', async () => {
    const { desk, at } = worker();
    desk.ask(stair, EMPTY_RECORD);
    await desk.first();
    await settled(desk);
    at.fail = new Error('a bug of a library');
    const next = { ...stair, name: 'next' };
    desk.ask(next, EMPTY_RECORD);
    await desk.first();
    expect(desk.snapshot()).toMatchObject({
      failed: 'a fault of the program',
      derived: { plan: { job: stair } },
    });
    at.fail = null;
    desk.retry();
    await desk.first();
    expect((await settled(desk)).derived!.plan.job).toBe(next);
  });
});
