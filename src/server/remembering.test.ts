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
