import type { Home } from '@/contract/records';
import { call } from './api';
import { problemOf, useHouse } from './house';
import { useLog } from './log';

/** The homes of a shelf from the left, with one put before another of them, or at its end. */
export function orderWith(homes: readonly Home[], shelfId: string, homeId: string, beforeId: string | null): string[] {
  const there = homes.filter((home) => home.shelfId === shelfId && home.id !== homeId).map(({ id }) => id);
  const at = beforeId === null ? there.length : there.indexOf(beforeId);
  return at < 0 ? [...there, homeId] : [...there.slice(0, at), homeId, ...there.slice(at)];
}

/**
 * Puts a home on a shelf before another one there, or at its end; it can be put back.
 * @param words what is said of it
 */
export async function putHome(home: Home, shelfId: string, beforeId: string | null, words: string): Promise<void> {
  const { homes, load } = useHouse.getState();
  const { show } = useLog.getState();
  const order = (of: string) => homes.filter((each) => each.shelfId === of).map(({ id }) => id);
  const wanted = orderWith(homes, shelfId, home.id, beforeId);
  const before = order(home.shelfId);
  if (home.shelfId === shelfId && wanted.join() === before.join()) return;
  const arrange = async (of: string, homeIds: string[]) => {
    await call('arrangeShelf', { params: { id: of }, body: { homeIds } });
    await load();
  };
  try {
    await arrange(shelfId, wanted);
    show({ text: words, action: { title: 'Undo', run: () => arrange(home.shelfId, before) } });
  } catch (error) {
    show({ text: problemOf(error), isProblem: true });
  }
}
