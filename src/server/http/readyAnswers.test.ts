import type { Database } from '../storage/database';
import { readyAnswers } from './readyAnswers';

/** A database that counts what is said to be written, a clock that stands, and a handler that counts how often it works. */
function scene(writes?: () => number) {
  const time = { now: '2026-03-14T08:00:00.000Z' };
  const clock = { now: () => time.now, today: () => time.now.slice(0, 10) };
  const ready = readyAnswers({ database: { ...(writes && { writes }) } as Database, clock });
  const work = jest.fn((input: { on: string }) => Promise.resolve(input.on));
  return { time, ready, work, kept: ready.kept(work) };
}

describe('an answer that is kept', () => {
  it('is worked out once for all that ask the same while nothing is written', async () => {
    const { work, kept } = scene(() => 3);
    expect(await Promise.all([kept({ on: 'a' }), kept({ on: 'a' })])).toEqual(['a', 'a']);
    expect(await kept({ on: 'b' })).toBe('b');
    expect(work).toHaveBeenCalledTimes(2);
  });

  it('is worked out anew after something was written, and when time has gone by', async () => {
    let written = 3;
    const { time, work, kept } = scene(() => written);
    await kept({ on: 'a' });
    written += 1;
    await kept({ on: 'a' });
    time.now = '2026-03-14T08:10:00.000Z';
    await kept({ on: 'a' });
    expect(work).toHaveBeenCalledTimes(3);
  });

  it('is not kept when it failed, nor where another program may write', async () => {
    const failing = scene(() => 0);
    failing.work.mockRejectedValueOnce(new Error('the disk'));
    await expect(failing.kept({ on: 'a' })).rejects.toThrow('the disk');
    expect(await failing.kept({ on: 'a' })).toBe('a');
    const shared = scene();
    await shared.kept({ on: 'a' });
    await shared.kept({ on: 'a' });
    expect(shared.work).toHaveBeenCalledTimes(2);
  });

  it('is made ready once, and again when writing has come to rest', () => {
    jest.useFakeTimers();
    let written = 0;
    const { ready } = scene(() => written);
    const ask = jest.fn(() => Promise.resolve());
    ready.keepReady(ask, 1000);
    jest.advanceTimersByTime(3000);
    expect(ask).toHaveBeenCalledTimes(1);
    written = 1;
    jest.advanceTimersByTime(1000);
    expect(ask).toHaveBeenCalledTimes(1);
    jest.advanceTimersByTime(2000);
    expect(ask).toHaveBeenCalledTimes(2);
    jest.useRealTimers();
  });
});
