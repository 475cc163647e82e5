import type { Larder } from '@/core/feeding/food';

/** Which numbers of feeders somebody's meal asked the store for, by the id of the size. */
export type StoreAsked = ReadonlyMap<string, readonly number[]>;

/** The store, and what is asked of it: a meal stands while the store would answer the same. */
export function askedOf(larder: Larder): { larder: Larder; asked: StoreAsked } {
  const asked = new Map<string, number[]>();
  const feeders = larder.feeders.map((feeder) => ({
    ...feeder,
    isFewerThan: (count: number) => {
      const counts = asked.get(feeder.id);
      if (!counts) asked.set(feeder.id, [count]);
      else if (!counts.includes(count)) counts.push(count);
      return feeder.onHand !== undefined && feeder.onHand < count;
    },
  }));
  return { larder: { ...larder, feeders }, asked };
}

/** Two stores in which another answer can only come from how many there are of a size. */
export function differOnlyInNumbers(a: Larder, b: Larder): boolean {
  const shape = ({ feeders, foods }: Larder) =>
    JSON.stringify([
      feeders.map(({ onHand, ...feeder }) => [feeder, onHand === undefined]),
      foods.map(({ id, onHand = 0 }) => [id, onHand > 0]),
    ]);
  return shape(a) === shape(b);
}

/** Whether a store answers what was asked of another as that one did. */
export function answersTheSame(
  asked: StoreAsked,
  before: ReadonlyMap<string, number>,
  after: ReadonlyMap<string, number>,
) {
  for (const [id, counts] of asked) {
    const [was, is] = [before.get(id) ?? Infinity, after.get(id) ?? Infinity];
    if (was !== is && counts.some((count) => was < count !== is < count)) return false;
  }
  return true;
}

export const onHandOf = ({ feeders }: Larder): Map<string, number> =>
  new Map(feeders.map(({ id, onHand = Infinity }) => [id, onHand]));
