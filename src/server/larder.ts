import { shippedFeeders, shippedFoods } from '@/contract/shipped';
import type { StockEntry, StockLine } from '@/contract/store';
import { standingStock, type StockEvent } from '@/core/feeding/feederStages';
import { amountOf, preyOf, type FeederKind, type Larder } from '@/core/feeding/food';
import { foodStock, totalOf, type FoodLot } from '@/core/feeding/foodStock';
import type { Day } from '@/core/measure/day';
import { Refusal } from '@/core/refusal';
import { MATERIALS } from '@/core/substrate/material';
import { fedSince, listCultures, standingStockEntries } from './storage/store';
import type { Queries } from './storage/database';

/** Materials do not go off. */
const FOR_EVER_DAYS = 36_500;

const foodById = new Map(shippedFoods.map((food) => [food.id, food]));
const classIds = new Set(shippedFeeders.flatMap((kind) => kind.classes.map((each) => each.id)));
const materialIds = new Set<string>(MATERIALS);

/** Everything that can lie in the store. */
export const stockItems: ReadonlySet<string> = new Set([...classIds, ...foodById.keys(), ...materialIds]);

/** Everything that can be eaten. */
export const eatableItems: ReadonlySet<string> = new Set([...classIds, ...foodById.keys()]);

/** A kind of feeder by its id. @throws Refusal at `kind` naming those there are */
export function requireFeeder(id: string): FeederKind {
  const kind = shippedFeeders.find((each) => each.id === id);
  if (kind) return kind;
  const known = shippedFeeders.map((each) => each.id).join(', ');
  throw new Refusal([{ path: 'kind', message: `Must be one of ${known}; got ${id}.` }]);
}

/** @throws Refusal when something is forbidden that nobody eats */
export function requireFoods(forbidden: Readonly<Record<string, string>>): void {
  const unknown = Object.keys(forbidden).filter((id) => !eatableItems.has(id));
  if (unknown.length === 0) return;
  throw new Refusal(
    unknown.map((id) => ({ path: `forbidden.${id}`, message: 'There is no food of that id. See /api/larder.' })),
  );
}

const CHANGE: Record<StockEntry['kind'], StockEvent['kind']> = {
  bought: 'in',
  harvested: 'in',
  counted: 'counted',
  died: 'out',
  thrown: 'out',
};

export interface Shelf {
  lines: StockLine[];
  /** Of each kind of feeder, the number of each size. */
  feeders: Map<string, number[]>;
  /** Of each food what is still good, lot by lot. */
  lots: Map<string, FoodLot[]>;
  /** Sizes that own cultures yield. */
  bred: ReadonlySet<string>;
}

/** What the store holds on `today`, by what was bought, counted and lost, what was fed, and what has grown since. */
export async function shelfOf(queries: Queries, today: Day): Promise<Shelf> {
  const entries = await standingStockEntries(queries);
  const since = new Map(shippedFeeders.map((kind) => [kind.id, beginOf(kind, entries)]));
  const foodSince = entries[0]?.on;
  const begins = [...since.values(), foodSince].filter((day) => day !== undefined);
  const fed =
    begins.length > 0
      ? await fedSince(
          queries,
          begins.reduce((a, b) => (a < b ? a : b)),
        )
      : [];
  const events = [
    ...entries.map(({ on, at, item, kind, amount }) => ({ on, at, item, kind: CHANGE[kind], count: amount })),
    ...fed.map(({ on, at, dish }) => ({ on, at, item: dish.food, kind: 'out' as const, count: amountOf(dish) })),
  ].sort((a, b) => a.on.localeCompare(b.on) || a.at.localeCompare(b.at));
  const countedOn = new Map(entries.filter((each) => each.kind === 'counted').map((each) => [each.item, each.on]));
  const lines: StockLine[] = [];
  const feeders = new Map<string, number[]>();
  const lots = new Map<string, FoodLot[]>();
  for (const kind of shippedFeeders) {
    const begin = since.get(kind.id);
    const counts = standingStock(kind, begin ? events.filter((each) => each.on >= begin) : [], today);
    feeders.set(kind.id, counts);
    kind.classes.forEach(({ id }, index) => {
      const onHand = Math.round(counts[index] ?? 0);
      if (onHand === 0 && !countedOn.has(id)) return;
      lines.push({ item: id, unit: 'pieces', onHand, stale: 0, useBy: null, countedOn: countedOn.get(id) ?? null });
    });
  }
  for (const item of new Set(entries.map((each) => each.item))) {
    if (classIds.has(item)) continue;
    const food = foodById.get(item);
    const own = events.filter((each) => each.item === item);
    const { fresh, stale } = foodStock(own, food?.shelfLifeDays ?? FOR_EVER_DAYS, today);
    lots.set(item, fresh);
    const unit = food ? (food.kind === 'sugar' ? 'ml' : 'g') : 'L';
    const useBy = (food && fresh[0]?.goodUntil) ?? null;
    lines.push({ item, unit, onHand: totalOf(fresh), stale, useBy, countedOn: countedOn.get(item) ?? null });
  }
  const bred = new Set((await listCultures(queries)).flatMap((each) => (each.breeders > 0 ? each.harvested : [])));
  return { lines, feeders, lots, bred };
}

/** From when on the book of a kind tells: the last count of each size, or its first entry. */
function beginOf(kind: FeederKind, entries: readonly StockEntry[]): Day | undefined {
  const begins = kind.classes.flatMap(({ id }) => {
    const own = entries.filter((each) => each.item === id);
    return own.findLast((each) => each.kind === 'counted')?.on ?? own[0]?.on ?? [];
  });
  return begins.sort()[0];
}

/** All that can be fed here, with what there is of it. Of feeders that nobody stocks no size is missing. */
export function larderOf({ lines, bred }: Shelf): Larder {
  const onHand = new Map(lines.map((line) => [line.item, line.onHand]));
  const stockedKinds = new Set(
    shippedFeeders.filter((kind) => kind.classes.some((each) => onHand.has(each.id))).map((kind) => kind.id),
  );
  const all = preyOf(shippedFeeders);
  // Whoever stocks feeders is not told to give those of which there are none at all.
  const known = stockedKinds.size > 0 ? all.filter((each) => stockedKinds.has(each.kindId) || bred.has(each.id)) : all;
  return {
    feeders: known.map(({ kindId: _kind, ...prey }) => ({
      ...prey,
      ...(stockedKinds.size > 0 && { onHand: onHand.get(prey.id) ?? 0 }),
      isBred: bred.has(prey.id),
    })),
    foods: shippedFoods.map((food) => ({ ...food, onHand: onHand.get(food.id) })),
  };
}
