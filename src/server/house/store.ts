import type { StockEntry } from '@/contract/store';
import type { Food } from '@/core/feeding/food';
import type { Day } from '@/core/measure/day';
import { groupBy } from '@/core/groupBy';
import { foodsOf } from '../foods';
import { inParts } from './inTurn';
import { put } from './records';
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
  /** Every food that is known here. */
  foods: readonly Food[];
}

/** The book and the cultures; what was fed is read apart. */
export async function readStore(queries: Queries): Promise<Store> {
  const entries = await standingStockEntries(queries);
  return {
    entries,
    cultures: await listCultures(queries),
    begins: bookBegins(entries),
    fed: new Map(),
    foods: await foodsOf(queries),
  };
}

/** Reads what some were fed since the book begins, and puts it in the place of what was known. */
export async function readFed(queries: Queries, { begins, fed }: Store, ids: readonly string[]): Promise<void> {
  if (begins === undefined) return;
  await inParts(ids, async (some) =>
    put(
      fed,
      some,
      groupBy(await fedBy(queries, some, begins), ({ residentId }) => residentId),
    ),
  );
}

/** What lies in the store on a day. */
export function storeNow({ entries, cultures, fed, begins, foods }: Store, today: Day): Shelf {
  const dishes = [...fed.values()].flat().filter(({ on }) => begins !== undefined && on >= begins);
  return shelfFrom(entries, dishes, cultures, foods, today);
}

/** What lies in the store on any day, read for it alone. */
export async function shelfOn(queries: Queries, on: Day): Promise<Shelf> {
  const store = await readStore(queries);
  await readFed(queries, store, await everyId(queries));
  return storeNow(store, on);
}
