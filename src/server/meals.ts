import type { Entry } from '@/contract/entries';
import type { Dish, PastMeal } from '@/core/feeding/food';
import { groupBy } from './groupBy';
import type { Queries } from './storage/database';
import { mealEntriesOf } from './storage/entries';

/** The dishes of an offer, also of one that was written down by number and length alone. */
export function dishesOf({ data }: Pick<Entry, 'data'>): Dish[] {
  return Array.isArray(data.dishes) ? (data.dishes as Dish[]) : [];
}

/** Meals with what became of each, oldest first: an outcome belongs to the offer before it. */
export function pastMeals(entries: readonly Entry[]): PastMeal[] {
  const meals: PastMeal[] = [];
  for (const entry of entries) {
    if (entry.kind === 'offered') {
      meals.push({ on: entry.on, dishes: dishesOf(entry), outcome: null });
      continue;
    }
    const last = meals.at(-1);
    if (last?.outcome === null) last.outcome = { kind: entry.kind === 'eaten' ? 'eaten' : 'refused', on: entry.on };
  }
  return meals;
}

/** How many meals back a rotation and a portion remember. */
const REMEMBERED = 16;

/** The last meals of some residents before a day. */
export async function mealsBefore(
  queries: Queries,
  residentIds: readonly string[],
  day: string,
): Promise<Map<string, PastMeal[]>> {
  const entries = await mealEntriesOf(queries, residentIds, day, REMEMBERED);
  const byResident = groupBy(entries, (entry) => entry.residentId ?? '');
  return new Map([...byResident].map(([id, own]) => [id, pastMeals(own)]));
}
