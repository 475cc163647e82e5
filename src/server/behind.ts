import type { Clock } from './clock';
import type { Queries } from './storage/database';
import { newestMoment } from './storage/entries';

/** A clock may be behind what was written by so much before it is told: two machines differ by seconds. ms, chosen here */
const BEHIND_MS = 10 * 60_000;

/**
 * The moment of the newest entry where the clock has yet to reach it, as after it was set back: what is written now would stand
 * before what was written already. Null while the clock is right.
 */
export async function behindSince(queries: Queries, clock: Clock): Promise<string | null> {
  const newest = await newestMoment(queries);
  return newest !== null && Date.parse(newest) - Date.parse(clock.now()) >= BEHIND_MS ? newest : null;
}
