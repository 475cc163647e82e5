import type { Seasons } from '@/contract/plan';
import { call } from './api';
import { useHouse } from './house';
import { useCall } from './useCall';

/** For each state of the round what was asked: several parts of a screen ask once. */
const asked = new WeakMap<object, Promise<Seasons>>();
const BEFORE_THE_ROUND = {};

/** The months ahead, fetched anew when anything was written. */
export function useSeasons(): ReturnType<typeof useCall<Seasons>> {
  const key = useHouse((house) => house.round) ?? BEFORE_THE_ROUND;
  return useCall(key, () => {
    const known = asked.get(key) ?? call('seasons', {});
    asked.set(key, known);
    known.catch(() => asked.delete(key));
    return known;
  });
}
