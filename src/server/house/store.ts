import type { StockEntry } from '@/contract/store';
import type { Day } from '@/core/measure/day';
import { groupBy } from '../groupBy';
import { bookBegins, shelfFrom, type FedDish, type Shelf } from '../larder';
import type { Queries } from '../storage/database';
import { everyId } from '../storage/residents';
import { fedBy, listCultures, standingStockEntries, type CultureFacts } from '../storage/store';

/** What the store is worked out from: its book, the cultures, and what was fed since the book begins, by whom. */
export interface Store {
  entries: readonly StockEntry[];
  cultures: readonly CultureFacts[];
  begins: Day | undefined;
  fed: Map<string, FedDish[]>;
}

/** The book and the cultures; what was fed is read apart. */
export async function readStore(queries: Queries): Promise<Store> {
  const entries = await standingStockEntries(queries);
  return { entries, cultures: await listCultures(queries), begins: bookBegins(entries), fed: new Map() };
}

/** Read at once: no statement holds the embedded database for long. */
const AT_ONCE = 60;

/** Reads what some were fed since the book begins, and puts it in the place of what was known. */
export async function readFed(queries: Queries, { begins, fed }: Store, ids: readonly string[]): Promise<void> {
  for (let from = 0; from < ids.length && begins !== undefined; from += AT_ONCE) {
    const some = ids.slice(from, from + AT_ONCE);
    const rows = groupBy(await fedBy(queries, some, begins), ({ residentId }) => residentId);
    for (const id of some) {
      const own = rows.get(id);
      if (own) fed.set(id, own);
      else fed.delete(id);
    }
  }
}

/** What lies in the store on a day. */
export function storeNow({ entries, cultures, fed, begins }: Store, today: Day): Shelf {
  const dishes = [...fed.values()].flat().filter(({ on }) => begins !== undefined && on >= begins);
  return shelfFrom(entries, dishes, cultures, today);
}

/** What lies in the store on any day, read for it alone. */
export async function shelfOn(queries: Queries, on: Day): Promise<Shelf> {
  const store = await readStore(queries);
  await readFed(queries, store, await everyId(queries));
  return storeNow(store, on);
}
