import type { CultureFacts } from './storage/store';
import { type Dish, amountOf, preyOf, type FeederKind, type Food, type Larder } from '@/core/feeding/food';
import { shippedFeeders, shippedFoods } from '@/contract/shipped';
import type { StockEntry, StockLine } from '@/contract/store';
import { standingStock, type StockEvent } from '@/core/feeding/feederStages';
import { foodStock, totalOf, type FoodLot } from '@/core/feeding/foodStock';
import type { Day } from '@/core/measure/day';
import { Refusal } from '@/core/refusal';
import { MATERIALS } from '@/core/substrate/material';

/** Materials do not go off. */
const FOR_EVER_DAYS = 36_500;

const foodById = new Map(shippedFoods.map((food) => [food.id, food]));
const classIds = new Set(shippedFeeders.flatMap((kind) => kind.classes.map((each) => each.id)));
const materialIds = new Set<string>(MATERIALS);

/** Everything that can lie in the store. */
export const stockItems: ReadonlySet<string> = new Set([...classIds, ...foodById.keys(), ...materialIds]);

/** A kind of feeder by its id. @throws Refusal at `kind` naming those there are */
export function requireFeeder(id: string): FeederKind {
  const kind = shippedFeeders.find((each) => each.id === id);
  if (kind) return kind;
  const known = shippedFeeders.map((each) => each.id).join(', ');
  throw new Refusal([{ path: 'kind', message: `Must be one of ${known}; got ${id}.` }]);
}

/** @throws Refusal when something is forbidden that nobody eats */
export function requireFoods(forbidden: Readonly<Record<string, string>>, foods: readonly Food[]): void {
  const known = new Set([...classIds, ...foods.map(({ id }) => id)]);
  const unknown = Object.keys(forbidden).filter((id) => !known.has(id));
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
  /** Every food that is known here. */
  foods: readonly Food[];
}

export const EMPTY_SHELF: Shelf = {
  lines: [],
  feeders: new Map(),
  lots: new Map(),
  bred: new Set(),
  foods: shippedFoods,
};

/** A dish that was given on a day. */
export interface FedDish {
  dish: Dish;
  on: Day;
  at: string;
}

/** From when on the book of the store tells; undefined while nothing was written into it. */
export function bookBegins(entries: readonly StockEntry[]): Day | undefined {
  const begins = shippedFeeders.flatMap((kind) => beginOf(kind, entries) ?? []);
  return [...begins, ...(entries[0] ? [entries[0].on] : [])].sort()[0];
}

/**
 * What the store holds on `today`, by what was bought, counted and lost, what was fed, and what has grown since.
 * @param entries that stand, in the order in which it happened
 * @param fed since the book begins, in any order
 */
export function shelfFrom(
  entries: readonly StockEntry[],
  fed: Iterable<FedDish>,
  cultures: readonly CultureFacts[],
  foods: readonly Food[],
  today: Day,
): Shelf {
  const byItem = new Map<string, (StockEvent & { item: string; at: string })[]>();
  const add = (event: StockEvent & { item: string; at: string }) => {
    const list = byItem.get(event.item);
    if (list) list.push(event);
    else byItem.set(event.item, [event]);
  };
  for (const { on, at, item, kind, amount } of entries) add({ on, at, item, kind: CHANGE[kind], count: amount });
  for (const { on, at, dish } of fed) add({ on, at, item: dish.food, kind: 'out', count: amountOf(dish) });
  const before = (a: { on: Day; at: string }, b: { on: Day; at: string }) =>
    a.on === b.on ? (a.at < b.at ? -1 : a.at > b.at ? 1 : 0) : a.on < b.on ? -1 : 1;
  const eventsOf = (items: readonly string[]) => items.flatMap((item) => byItem.get(item) ?? []).sort(before);
  const countedOn = new Map(entries.filter((each) => each.kind === 'counted').map((each) => [each.item, each.on]));
  const lines: StockLine[] = [];
  const feeders = new Map<string, number[]>();
  const lots = new Map<string, FoodLot[]>();
  for (const kind of shippedFeeders) {
    const begin = beginOf(kind, entries);
    const events = begin ? eventsOf(kind.classes.map(({ id }) => id)).filter((each) => each.on >= begin) : [];
    const counts = standingStock(kind, events, today);
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
    const { fresh, stale } = foodStock(eventsOf([item]), food?.shelfLifeDays ?? FOR_EVER_DAYS, today);
    lots.set(item, fresh);
    const unit = food ? (food.kind === 'sugar' ? 'ml' : 'g') : 'L';
    const useBy = (food && fresh[0]?.goodUntil) ?? null;
    lines.push({ item, unit, onHand: totalOf(fresh), stale, useBy, countedOn: countedOn.get(item) ?? null });
  }
  const bred = new Set(cultures.flatMap((each) => (each.breeders > 0 ? each.harvested : [])));
  return { lines, feeders, lots, bred, foods };
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
export function larderOf({ lines, bred, foods }: Shelf): Larder {
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
    foods: foods.map((food) => ({ ...food, onHand: onHand.get(food.id) })),
  };
}
