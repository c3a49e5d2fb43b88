import { describe, expect, test } from '@jest/globals';
import { readJobFile } from '../../job/model/file';
import { writeJobFile } from '../../job/model/job-file';
import { planJob } from '../../wiring/plan';
import { prove } from '../../power/proof/prove';
import { judge } from '../../testing/judge';
import { jobFrom, type StartAnswers } from './job-from';
import { startDefaults, type Start } from './start';
import { STARTS, startOf } from './starts';

/** Every way to answer what a starting point asks. */
function everyAnswer(start: Start): StartAnswers[] {
  const given = startDefaults(start);
  let all: StartAnswers['answers'][] = [{}];
  for (const { id, answers } of start.questions)
    all = all.flatMap((one) => answers.map((answer) => ({ ...one, [id]: answer.id })));
  return all.flatMap((answers) => ([15, 20] as const).map((breakerA) => ({ ...given, breakerA, answers })));
}
const made = (start: Start, asked: StartAnswers) => {
  const job = jobFrom(start, 'made', asked);
  if (!job.ok) throw new Error(JSON.stringify(job.problems));
  return job.value;
};

describe('starting points', () => {
  test('there is one for each thing that one stands at an open box for', () => {
    expect(STARTS.map(({ id }) => id)).toEqual([
      'half-switched',
      'whole-switched',
      'beside-switch',
      'tapped',
      'combination',
      'bench',
      'several-places',
      'gfci-first',
      'two-circuits',
      'fan-and-light',
      'replace',
      'wrong',
      'opened-box',
      'blank',
    ]);
  });

  test.each(STARTS.map((start) => [start.id, start] as const))(
    '%s: whatever is answered, it compiles, works in every switch state, and is a whole file',
    (_, start) => {
      for (const asked of everyAnswer(start)) {
        const job = made(start, asked);
        const outcome = planJob(job.design);
        expect(outcome.ok).toBe(true);
        if (!outcome.ok) continue;
        const { wiring } = outcome.plan;
        expect(prove(job.design, wiring).findings.map(({ message }) => message)).toEqual([]);
        // A judge that shares nothing with compiler and proof.
        expect(judge(job.design, wiring)).toEqual([]);
        const again = readJobFile(writeJobFile(job));
        expect(again.ok && again.value).toEqual(job);
      }
    },
  );

  test('the breaker decides the cable: no 14 AWG on 20 A (240.4(D))', () => {
    for (const start of STARTS)
      for (const asked of everyAnswer(start)) {
        const outcome = planJob(made(start, asked).design);
        if (!outcome.ok || asked.breakerA !== 20) continue;
        for (const { type } of outcome.plan.wiring.cables) expect(type.startsWith('14')).toBe(false);
      }
  });

  test('what is wanted is what stands in the job', () => {
    const wants = (id: string, answers: StartAnswers['answers'] = {}) => {
      const start = startOf(id)!;
      const { design } = made(start, { ...startDefaults(start), answers });
      return design.devices.map(({ kind }) => kind).sort();
    };
    expect(wants('several-places', { places: '3', outlet: 'beside' })).toEqual([
      'duplex',
      'luminaire',
      'switch',
      'switch',
      'switch',
    ]);
    expect(wants('gfci-first', { after: '3' })).toEqual(['duplex', 'duplex', 'duplex', 'gfci']);
    expect(wants('combination', { gfci: 'yes' })).toEqual(['combination-gfci', 'luminaire']);
    expect(wants('replace', { what: 'switch-dimmer' })).toEqual(['dimmer', 'luminaire']);
    expect(wants('blank')).toEqual([]);
  });

  test('a box that is opened first is in Find, named after the place', () => {
    const start = startOf('tapped')!;
    const { record } = made(start, { ...startDefaults(start), name: 'Hall', circuits: ['9'] });
    expect(
      record.surveys.map(({ name, breaker, boxes }) => [name, breaker, boxes[0]?.cables.length]),
    ).toEqual([['Hall', '9', 2]]);
    const opened = startOf('opened-box')!;
    expect(made(opened, startDefaults(opened)).record.surveys[0]?.boxes[0]?.cables).toEqual([]);
  });

  test('an answer that a question does not have is told by its question', () => {
    const start = startOf('half-switched')!;
    const wrong = jobFrom(start, 'made', { ...startDefaults(start), answers: { feed: 'roof' } });
    expect(wrong.ok).toBe(false);
    if (!wrong.ok) expect(wrong.problems[0]?.path).toBe('feed');
    const two = startOf('two-circuits')!;
    const alike = jobFrom(two, 'made', { ...startDefaults(two), circuits: ['7', '7'] });
    expect(alike.ok).toBe(false);
  });
});
