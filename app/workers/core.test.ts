import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { CoreAsk } from './core';

/** A worker that never says a word, and can be made to fail. */
class Mute extends EventTarget {
  terminated = false;
  postMessage() {
    /* says nothing */
  }
  start() {
    /* is started */
  }
  terminate() {
    this.terminated = true;
  }
  fail(message: string) {
    this.dispatchEvent(Object.assign(new Event('error', { cancelable: true }), { message }));
  }
}

const started: Mute[] = [];
const asked = (stalledS = 60) =>
  new CoreAsk(() => {
    const worker = new Mute();
    started.push(worker);
    return worker as unknown as Worker;
  }, stalledS);
const never = () => new Promise<number>(() => undefined);

afterEach(() => {
  started.length = 0;
  jest.useRealTimers();
});

describe('a worker is never waited for in silence', () => {
  test('one that cannot be loaded says so, and the next question starts another', async () => {
    const core = asked();
    const first = core.ask(never);
    started[0]!.fail('');
    await expect(first).rejects.toThrow('it could not be loaded');
    expect(started[0]!.terminated).toBe(true);
    expect(await core.ask(() => Promise.resolve(7))).toBe(7);
    expect(started).toHaveLength(2);
  });
  test('one that stalls is given up', async () => {
    jest.useFakeTimers();
    const core = asked(5);
    const stalled = core.ask(never);
    const said = expect(stalled).rejects.toThrow('it gives no answer');
    jest.advanceTimersByTime(5001);
    await said;
    expect(started[0]!.terminated).toBe(true);
  });
  test('one that answers with an error passes it on', async () => {
    await expect(asked().ask(() => Promise.reject(new Error('no')))).rejects.toThrow('no');
  });
  test('what is told to one that was never started starts none', () => {
    asked().tell(never);
    expect(started).toHaveLength(0);
  });
});
