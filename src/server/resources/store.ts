import { shelfOn } from '../house/store';
import { houseToday } from '../house/houseToday';
import { randomUUID } from 'node:crypto';
import type { Culture, NewStockEntry } from '@/contract/store';
import { yieldPerWeek } from '@/core/feeding/culture';
import { FEEDER_POST, listSupplier, priceLinesOf } from '../devices/supplier';
import type { Handlers } from '../http/mount';
import { invalid, notFound } from '../http/problem';
import { requireFeeder, stockItems } from '../larder';
import type { Queries } from '../storage/database';
import {
  deleteCulture,
  findStockEntry,
  insertStockEntry,
  listCultures,
  listStockEntries,
  readPriceList,
  undoStockEntry,
  writeCulture,
  writePriceList,
  type CultureFacts,
} from '../storage/store';
import { supplyPlanOf } from '../supply';
import { dayOf, type Deps } from './deps';

type Names =
  | 'store'
  | 'stockEntries'
  | 'addStockEntry'
  | 'undoStockEntry'
  | 'supplyPlan'
  | 'addCulture'
  | 'changeCulture'
  | 'removeCulture'
  | 'supplier'
  | 'setSupplier'
  | 'resetSupplier';

export function storeHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  const supplierNow = async () => {
    const supplier = await supplierOf(database);
    return { name: supplier.name, isOwn: supplier.name !== FEEDER_POST, ...(await supplier.priceList()) };
  };
  return {
    store: async () => {
      const on = clock.today();
      const { lines } = (await houseToday(database, on, clock.now())).shelf;
      return { on, lines, cultures: (await listCultures(database)).map(withYield) };
    },

    stockEntries: async ({ query }) => ({ entries: await listStockEntries(database, query.item ?? null) }),

    addStockEntry: ({ body }) =>
      database.transaction(async (queries) => {
        const id = body.id ?? randomUUID();
        const known = await findStockEntry(queries, id);
        if (known) return { entry: known };
        const on = dayOf(clock, body.on);
        await requireThere(queries, body, on);
        const { item, kind, amount, keeper = null, note = null } = body;
        await insertStockEntry(queries, { id, item, kind, amount, on, at: clock.now(), keeper, note });
        return { entry: await requireStockEntry(queries, id) };
      }),

    undoStockEntry: ({ params }) =>
      database.transaction(async (queries) => {
        await requireStockEntry(queries, params.id);
        await undoStockEntry(queries, params.id, clock.now());
        return { entry: await requireStockEntry(queries, params.id) };
      }),

    supplyPlan: async () => supplyPlanOf(database, await supplierOf(database), clock.today(), clock.now()),

    addCulture: ({ body }) =>
      database.transaction(async (queries) => {
        const id = body.id ?? randomUUID();
        const known = (await listCultures(queries)).find((each) => each.id === id);
        if (known) return { culture: withYield(known) };
        const culture = { ...body, id, begunOn: dayOf(clock, body.begunOn, 'begunOn') };
        requireSize(culture);
        await writeCulture(queries, culture);
        return { culture: withYield(culture) };
      }),

    changeCulture: ({ params, body }) =>
      database.transaction(async (queries) => {
        const before = (await listCultures(queries)).find((each) => each.id === params.id);
        if (!before) throw notFound('culture with that id');
        const given = Object.fromEntries(Object.entries(body).filter(([, value]) => value !== undefined));
        const culture: CultureFacts = { ...before, ...given };
        requireSize(culture);
        await writeCulture(queries, culture);
        return { culture: withYield(culture) };
      }),

    removeCulture: async ({ params }) => {
      if (!(await deleteCulture(database, params.id))) throw notFound('culture with that id');
      return { removed: params.id };
    },

    supplier: supplierNow,

    setSupplier: async ({ body }) => {
      priceLinesOf(body.csv, stockItems);
      await database.transaction((queries) => writePriceList(queries, FEEDER_POST, body.csv, clock.now()));
      return supplierNow();
    },

    resetSupplier: async () => {
      await database.transaction((queries) => writePriceList(queries, FEEDER_POST, null, clock.now()));
      return supplierNow();
    },
  };
}

export async function supplierOf(queries: Queries) {
  const own = (await readPriceList(queries, FEEDER_POST)) ?? null;
  return listSupplier(own === null ? FEEDER_POST : 'Your own price list', own, stockItems);
}

function withYield(culture: CultureFacts): Culture {
  const { kind, harvested, breeders } = culture;
  return { ...culture, yieldPerWeek: yieldPerWeek(requireFeeder(kind), harvested, breeders) };
}

/** @throws Problem or Refusal for a kind that is no feeder, or a size that is not of that kind */
function requireSize({ kind: id, harvested }: Pick<CultureFacts, 'kind' | 'harvested'>): void {
  const kind = requireFeeder(id);
  if (kind.classes.some((each) => each.id === harvested)) return;
  throw invalid('harvested', `Must be a size of ${kind.name}: ${kind.classes.map((each) => each.id).join(', ')}.`);
}

/** @throws Problem for an item that nobody stocks, and when more would go out than is there */
async function requireThere(queries: Queries, { item, kind, amount }: NewStockEntry, on: string): Promise<void> {
  if (!stockItems.has(item))
    throw invalid('item', `Nothing is called ${item} here. See /api/larder and /api/materials.`);
  if (kind !== 'died' && kind !== 'thrown') return;
  const line = (await shelfOn(queries, on)).lines.find((each) => each.item === item);
  const there = (line?.onHand ?? 0) + (line?.stale ?? 0);
  if (amount <= there + 1e-9) return;
  throw invalid(
    'amount',
    `Must be at most ${Number(there.toFixed(3))}, which is what there is; got ${amount}. Count it again if there is more.`,
  );
}

async function requireStockEntry(queries: Queries, id: string) {
  const entry = await findStockEntry(queries, id);
  if (!entry) throw notFound('entry of the store with that id');
  return entry;
}
