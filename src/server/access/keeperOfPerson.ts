import { randomUUID } from 'node:crypto';
import type { Queries } from '../storage/database';
import { insertKeeper, listKeepers } from '../storage/keepers';

/** Whoever comes in to walk is one of those who keep the house: with rooms, a time for the walk, and a calendar. */
export async function holdsKeeper(queries: Queries, name: string, today: string): Promise<void> {
  const isKnown = (await listKeepers(queries, today)).some((each) => each.name.toLowerCase() === name.toLowerCase());
  if (isKnown) return;
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  await insertKeeper(queries, { id: randomUUID(), name, roomIds: [], walkAt: '19:00', zone });
}
