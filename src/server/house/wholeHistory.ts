import type { Entry } from '@/contract/storedEntries';
import type { Queries } from '../storage/database';
import { historyOf } from '../storage/entries';
import { letOthersIn } from './inTurn';

/** Read at once: no statement holds the embedded database, and with it the server, for long. Chosen here */
const AT_ONCE = 200;

/** The latest so many entries about one that stand, the oldest first. */
export async function wholeHistory(queries: Queries, residentId: string, most: number): Promise<Entry[]> {
  const entries: Entry[] = [];
  for (;;) {
    const page = await historyOf(queries, residentId, AT_ONCE, null, entries.at(-1)?.id ?? null);
    entries.push(...page);
    if (page.length < AT_ONCE || entries.length >= most) return entries.slice(0, most).reverse();
    await letOthersIn();
  }
}
