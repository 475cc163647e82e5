import { askedFor } from './asking';
import { latestOfEach } from './latestOfEach';

describe('work of which each page has one at a time', () => {
  const of = (by: string) => ({ by, signature: undefined, signal: new AbortController().signal });
  /** Ends when it is told to, or is given up. */
  const work = () => {
    let end: () => unknown = () => undefined;
    const run = (superseded: AbortSignal) =>
      new Promise<string>((resolve, reject) => {
        end = () => resolve('done');
        superseded.addEventListener('abort', () => reject(new Error('given up')));
      });
    return { run, end: () => end() };
  };

  it('gives up what a page asked for before, and not what another page did', async () => {
    const latest = latestOfEach();
    const [first, second, other] = [work(), work(), work()];
    const of1 = askedFor(of('a'), () => latest(first.run));
    const of2 = askedFor(of('b'), () => latest(other.run));
    const of3 = askedFor(of('a'), () => latest(second.run));
    await expect(of1).rejects.toThrow('given up');
    second.end();
    other.end();
    expect(await Promise.all([of2, of3])).toEqual(['done', 'done']);
    // What is over is not given up any more.
    const after = work();
    const of4 = askedFor(of('a'), () => latest(after.run));
    after.end();
    expect(await of4).toBe('done');
  });
});
