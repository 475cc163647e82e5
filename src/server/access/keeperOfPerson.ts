import { randomUUID } from 'node:crypto';
import type { Queries } from '../storage/database';
import { insertKeeper, listKeepers } from '../storage/keepers';

/** Names are told apart by their letters alone: nobody signs in as "ada ". */
export const isSameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Whoever comes in to walk is one of those who keep the house: with rooms, a time for the walk, and a calendar. */
export async function holdsKeeper(queries: Queries, name: string, today: string): Promise<void> {
  const isKnown = (await listKeepers(queries, today)).some((each) => isSameName(each.name, name));
  if (isKnown) return;
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  await insertKeeper(queries, { id: randomUUID(), name, roomIds: [], walkAt: '19:00', zone });
}
