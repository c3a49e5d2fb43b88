import { describe, expect, test } from '@jest/globals';
import { applyCommand, applyCommands, note, type DesignCommand } from '../../job/commands/command';
import { demoJob, demoRecord } from '../../handover/jobs/demo-house';
import type { Design } from '../../job/model/design';
import type { PlanLine } from '../../job/model/record';
import { planJob } from '../../wiring/plan';
import { checkPlanLines } from './check-lines';
import { readPlanCsv } from './lines-csv';
import { settle } from './settle';
import { say } from '../../base/words/brief';

const stair = demoJob('stair')!;
const { brief } = demoRecord('stair');
const states = (job: Design, lines = brief) =>
  Object.fromEntries(checkPlanLines(lines, job, planJob(job)).map(({ line, state }) => [line.id, state]));
const after = (...commands: DesignCommand[]) =>
  commands.reduce((job, command) => {
    const done = applyCommand(job, command);
    if (!done.ok) throw new Error(done.problems[0]!.message);
    return done.value.job;
  }, stair);

describe('the plan binds as much as its notes do (common practice)', () => {
  test('as drawn, every line is met', () => {
    expect(new Set(Object.values(states(stair)))).toEqual(new Set(['met']));
  });
  test('switch and receptacle changed over: the order is not met, and says what is there', () => {
    const turned = after({ do: 'move gang', device: 'foot-switch', toward: 'right' });
    expect(states(turned)).toMatchObject({ order: 'not met', feed: 'met' });
    const check = checkPlanLines(brief, turned, planJob(turned)).find(({ line }) => line.id === 'order')!;
    expect(check.why).toBe(say('checkLines.leftRight', { has: 'duplex, S₃' }));
  });
  test('feed at the head: the cable between carries other nets, the box line stays met', () => {
    const moved = after({ do: 'move feed', run: 'feed', box: 'stair-light' });
    expect(states(moved)['box']).toBe('met');
    expect(states(moved)['up']).toBe('not met');
  });
  test('another box, or pins up, are not met', () => {
    expect(states(after({ do: 'set box', box: 'stair-foot', change: { volumeIn3: 21 } }))['box']).toBe(
      'not met',
    );
    expect(states(after({ do: 'set habits', habits: { groundPin: 'up' } }))['pin']).toBe('not met');
  });
  test('a height that is not said, and a note nobody looked at, are open', () => {
    const noted = note(demoRecord('stair'), {
      do: 'add plan lines',
      lines: [
        { says: 'switch at 48 in', about: { kind: 'height', box: 'stair-foot', heightIn: 48 } },
        { says: 'paint by others', about: { kind: 'note', met: null } },
      ],
    });
    if (!noted.ok) throw new Error(noted.problems[0]!.message);
    expect(Object.values(states(stair, noted.value.record.brief)).slice(-2)).toEqual(['open', 'open']);
  });
  test('a line about what is gone from the design is open, and says so', () => {
    const gone = after({ do: 'remove box', box: 'stair-foot' });
    const checks = checkPlanLines(brief, gone, planJob(gone));
    const about = checks.filter(({ line }) => 'box' in line.about && line.about.box === 'stair-foot');
    expect(about.length).toBeGreaterThan(0);
    for (const { state, why } of about) expect([state, why]).toEqual(['open', 'that box is gone']);
  });
});

describe('call-outs from CSV', () => {
  const read = (text: string) => readPlanCsv(text, stair);
  test('every kind of line', () => {
    const { good, problems } = read(
      [
        'kind,place,says',
        'cable,panel to Stair foot,14-2 WG',
        'box,Stair foot,"4 in metal square, 30.3 in³"',
        'order,Stair foot,S3 | duplex',
        'ground pin,,Up',
        'height,Stair head,48 in',
        'note,,Patch with matching texture',
      ].join('\n'),
    );
    expect(problems).toEqual([]);
    expect(good.map(({ about }) => about)).toEqual([
      { kind: 'cable', run: 'feed', type: '14-2' },
      { kind: 'box', box: 'stair-foot', family: 'metal square', volumeIn3: 30.3, ring: null },
      { kind: 'order', box: 'stair-foot', symbols: ['S3', 'duplex'] },
      { kind: 'ground pin', pin: 'up' },
      { kind: 'height', box: 'stair-head', heightIn: 48 },
      { kind: 'note', met: null },
    ]);
  });
  test('missing columns are named', () => {
    expect(read('kind,says\nnote,x').problems).toEqual([
      {
        path: 'row 1',
        message: 'the columns "place" are missing',
        wayOut: 'The first row must say: kind,place,says',
      },
    ]);
  });
  test('bad rows are named by row and column; the good ones are offered', () => {
    const { good, problems } = read(
      [
        'kind,place,says',
        'cable,panel to Stair foot,13-7',
        'cable,panel to Moon,14-2',
        'box,Cellar,metal square',
        'order,Stair foot,S9',
        'rumor,,x',
        'note,,kept',
      ].join('\n'),
    );
    expect(problems.map(({ path }) => path)).toEqual([
      'row 2, column says',
      'row 3, column place',
      'row 4, column place',
      'row 5, column says',
      'row 6, column kind',
    ]);
    expect(good.map(({ says }) => says)).toEqual(['kept']);
  });
  test('the same box twice: the second row is named', () => {
    const { good, problems } = read('kind,place,says\nheight,Stair foot,48\nheight,Stair foot,52');
    expect(good).toHaveLength(1);
    expect(problems[0]).toMatchObject({
      path: 'row 3, column place',
      message: expect.stringContaining('row 2'),
    });
  });
  test('a file too large, or no CSV at all, is turned away', () => {
    expect(read('x'.repeat(300_000)).good).toEqual([]);
    expect(read('\u0000\u0001').problems).not.toEqual([]);
    expect(read('').problems).not.toEqual([]);
  });
});

describe('what is not met is settled with a tap, or the plan was stamped anew', () => {
  const about = (line: PlanLine['about']): PlanLine => ({
    id: 'l',
    says: 'l',
    about: line,
    pin: null,
    stamped: null,
  });
  const stateOf = (job: Design, line: PlanLine) =>
    checkPlanLines({ lines: [line] }, job, planJob(job))[0]!.state;
  const foot = { box: 'stair-foot' } as const;
  test.each<[string, PlanLine['about']]>([
    ['ground pins up', { kind: 'ground pin', pin: 'up' }],
    ['a height', { kind: 'height', ...foot, heightIn: 48 }],
    ['the height of all switches', { kind: 'all heights', of: 'switches', heightIn: 46 }],
    ['the height of all receptacles', { kind: 'all heights', of: 'receptacles', heightIn: 18 }],
    ['a larger box', { kind: 'box', ...foot, family: 'metal square', volumeIn3: 42, ring: null }],
    ['another order', { kind: 'order', ...foot, symbols: ['duplex', 'S3'] }],
  ])('%s', (_, own) => {
    const line = about(own);
    expect(stateOf(stair, line)).not.toBe('met');
    const way = settle(stair, planJob(stair), line)!;
    const done = applyCommands(stair, way.commands);
    if (!done.ok) throw new Error(done.problems[0]!.message);
    expect(stateOf(done.value.job, line)).toBe('met');
    expect(settle(done.value.job, planJob(done.value.job), line)).toBeNull();
    // Or the work stays, and the plan is stamped with it.
    expect(stateOf(stair, { ...line, stamped: '2026-05-29' })).toBe('met');
  });
  test('other devices and other cables are decided, not settled', () => {
    for (const own of [
      { kind: 'order', ...foot, symbols: ['S', 'duplex'] },
      { kind: 'cable', run: 'up', type: '14-2' },
      { kind: 'note', met: false },
    ] as const) {
      expect(stateOf(stair, about(own as PlanLine['about']))).toBe('not met');
      expect(settle(stair, planJob(stair), about(own as PlanLine['about']))).toBeNull();
    }
  });
  test('a ring is asked for as a word of its own, and met by a ring', () => {
    const read = (says: string) =>
      readPlanCsv(`kind,place,says\nbox,Stair foot,"${says}"`, stair).good[0]!.about;
    expect(read('metal square, 30.3 in³, plaster ring')).toMatchObject({ ring: true });
    expect(read('metal square, wiring string')).toMatchObject({ ring: null });
    const asks = (ring: boolean) =>
      stateOf(stair, about({ kind: 'box', ...foot, family: 'metal square', volumeIn3: null, ring }));
    expect([asks(true), asks(false)]).toEqual(['met', 'not met']);
  });
});
