import { remembering } from './remembering';

it('works each question out once, and forgets the one that was asked longest ago', () => {
  const remembered = remembering<number>(2);
  let worked = 0;
  const ask = (question: string) => remembered(question, () => (worked += 1));
  expect([ask('a'), ask('a'), ask('b')]).toEqual([1, 1, 2]);
  // Asked again, the first is the younger one: the second makes room.
  ask('a');
  expect([ask('c'), ask('a'), ask('b')]).toEqual([3, 1, 4]);
});

it('remembers that there was no answer', () => {
  const remembered = remembering<null>(2);
  let worked = 0;
  const ask = () =>
    remembered('a', () => {
      worked += 1;
      return null;
    });
  expect([ask(), ask(), worked]).toEqual([null, null, 1]);
});

it('shares what is still being worked out, and asks again after it failed', async () => {
  const remembered = remembering<Promise<string>>(1);
  const work = jest.fn(() => Promise.resolve('there'));
  work.mockRejectedValueOnce(new Error('the disk'));
  const both = [remembered('a', work), remembered('a', work)];
  await Promise.all(both.map((each) => expect(each).rejects.toThrow('the disk')));
  expect(work).toHaveBeenCalledTimes(1);
  expect(await remembered('a', work)).toBe('there');
});
