import type { EntryOf } from '@/contract/storedEntries';
import type { PastMeal } from '@/core/feeding/food';
import { groupBy } from '@/core/groupBy';
import type { Queries } from './storage/database';
import { mealEntriesOf, type MealKind } from './storage/entries';

/** Meals with what became of each, oldest first: an outcome belongs to the offer before it. */
export function pastMeals(entries: readonly EntryOf<MealKind>[]): PastMeal[] {
  const meals: PastMeal[] = [];
  for (const entry of entries) {
    if (entry.kind === 'offered') {
      meals.push({ on: entry.on, dishes: entry.data.dishes ?? [], outcome: null });
      continue;
    }
    const last = meals.at(-1);
    if (last?.outcome !== null) continue;
    last.outcome =
      entry.kind === 'eaten'
        ? { kind: 'eaten', on: entry.on }
        : { kind: 'refused', on: entry.on, left: entry.data.left };
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
