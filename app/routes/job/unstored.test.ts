import { describe, expect, test } from '@jest/globals';
import type { Command } from '@core/commands/command';
import { demoJob } from '@core/jobs/demo-house';
import { EMPTY_SCENE } from '~/storage/scene';
import { drain, enqueue, handledSends, withUnstored } from './unstored';

const job = demoJob('stair')!;
const rename = (name: string): Command => ({ do: 'rename job', name });
const one = (send: number, ...commands: Command[]) => ({ send, commands, scene: null });

describe('what is sent and not yet read back', () => {
  test('builds on what was loaded, in the order in which it was sent', () => {
    const all = [
      one(1, rename('First')),
      one(2, { do: 'set edition', edition: '2023' }),
      one(3, rename('Third')),
    ];
    expect(withUnstored(job, EMPTY_SCENE, 0, all).job).toMatchObject({ name: 'Third', edition: '2023' });
  });
  test('what the loaded job holds already is not done twice', () => {
    const add = one(1, { do: 'add device', box: 'foot', holds: 'outlet', circuit: 'c9', group: null });
    const box = job.boxes[0]!.id;
    const device = { ...add, commands: [{ ...add.commands[0]!, box } as Command] };
    const before = job.devices.length;
    expect(withUnstored(job, EMPTY_SCENE, 0, [device]).job!.devices).toHaveLength(before + 1);
    expect(withUnstored(job, EMPTY_SCENE, 1, [device]).job).toBe(job);
  });
  test('what will be refused changes nothing, and what comes after it is done', () => {
    const all = [one(1, { do: 'remove box', box: 'nowhere' }), one(2, rename('After'))];
    expect(withUnstored(job, EMPTY_SCENE, 0, all).job).toEqual({ ...job, name: 'After' });
  });
  test('the last scene that was sent is the scene', () => {
    const scenes = [1, 2].map((send) => ({
      send,
      commands: [],
      scene: { ...EMPTY_SCENE, openBreakers: [`c${send}`] },
    }));
    expect(withUnstored(job, EMPTY_SCENE, 0, scenes).scene.openBreakers).toEqual(['c2']);
    expect(withUnstored(job, EMPTY_SCENE, 2, scenes).scene).toBe(EMPTY_SCENE);
  });
  test('no job, nothing to build on', () => {
    expect(withUnstored(null, EMPTY_SCENE, 0, [one(1, rename('x'))]).job).toBeNull();
  });
});

describe('the row in which sends wait', () => {
  test('all are carried out, in order, one after the other, whoever asks for it', async () => {
    const log: string[] = [];
    const carryOut = async (id: string, intent: { intent: string }) => {
      log.push(`${id} ${intent.intent} begins`);
      await new Promise((resolve) => setTimeout(resolve, intent.intent === 'undo' ? 20 : 1));
      log.push(`${id} ${intent.intent} ends`);
      return [];
    };
    const first = enqueue('a', { intent: 'undo' });
    const working = drain(carryOut);
    const second = enqueue('b', { intent: 'redo' });
    const again = drain(carryOut);
    await Promise.all([working, again, first.problems, second.problems]);
    expect(log).toEqual(['a undo begins', 'a undo ends', 'b redo begins', 'b redo ends']);
    expect(second.send).toBe(first.send + 1);
    expect(handledSends()).toBe(second.send);
  });
  test('what is wrong with one is told to who sent it; what breaks holds up nothing', async () => {
    const wrong = enqueue('a', { intent: 'undo' });
    const broken = enqueue('b', { intent: 'undo' });
    const fine = enqueue('c', { intent: 'undo' });
    await drain((id) =>
      id === 'a'
        ? Promise.resolve([{ path: 'x', message: 'no' }])
        : id === 'b'
          ? Promise.reject(new Error('the disk is full'))
          : Promise.resolve([]),
    );
    expect(await wrong.problems).toEqual([{ path: 'x', message: 'no' }]);
    expect((await broken.problems)[0]).toMatchObject({ path: 'b', message: 'Error: the disk is full' });
    expect((await broken.problems)[0]!.wayOut).toBeTruthy();
    expect(await fine.problems).toEqual([]);
    expect(handledSends()).toBe(fine.send);
  });
});
