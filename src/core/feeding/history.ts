import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { PastMeal } from './food';

export interface FeedingWeek {
  from: Day;
  /** Meals offered, taken and refused; what nobody looked after is offered alone. */
  offered: number;
  taken: number;
  refused: number;
  /** Weight of what was taken, as far as it is known. g */
  takenG: number;
}

export interface Weighing {
  on: Day;
  massG: number;
  /** Against the usual weight for its length: 1 is usual. Null where no length is known. */
  condition: number | null;
}

export interface FeedingHistory {
  weeks: FeedingWeek[];
  weighings: Weighing[];
  /** From the first weighing to the last; null with fewer than two. g */
  gainedG: number | null;
  /** Of what it took between these two, so much became its own. %; null where it took nothing that was weighed */
  convertedPct: number | null;
}

/**
 * Week by week what somebody was offered, took and refused, counted back from today to the week in which it came, or of which
 * more is known, and what became of it.
 * Condition is weight against the usual weight at its length: with weight by the cube of length, the scaled mass index
 * divided by the usual weight.
 * @param meals oldest first
 * @param weighings oldest first; `usualG` of an animal of its length on that day
 * @param span `since` is the day on which it came; at most so many `weeks`, 1 or more
 * @source Peig, J. and Green, A. J. (2009), New perspectives for estimating body condition, Oikos 118, 1883-1891
 */
export function feedingHistory(
  meals: readonly PastMeal[],
  weighings: readonly { on: Day; massG: number; usualG: number | null }[],
  span: { since: Day; today: Day; weeks: number },
): FeedingHistory {
  const known = [span.since, ...[...meals, ...weighings].map(({ on }) => on)].reduce((a, b) => (b < a ? b : a));
  const weeks = Math.min(span.weeks, Math.max(0, Math.floor(daysBetween(known, span.today) / 7)) + 1);
  const begin = addDays(span.today, 1 - 7 * weeks);
  const rows: FeedingWeek[] = Array.from({ length: weeks }, (_, week) => ({
    ...{ from: addDays(begin, 7 * week), offered: 0, taken: 0, refused: 0, takenG: 0 },
  }));
  for (const meal of meals) {
    const row = rows[Math.floor(daysBetween(begin, meal.on) / 7)];
    if (meal.on < begin || !row) continue;
    row.offered += 1;
    if (meal.outcome?.kind === 'refused') row.refused += 1;
    if (meal.outcome?.kind !== 'eaten') continue;
    row.taken += 1;
    row.takenG += massOf(meal);
  }
  const [first, last] = [weighings[0], weighings.at(-1)];
  const gainedG = first && last && first.on < last.on ? last.massG - first.massG : null;
  const eatenG = meals
    .filter((meal) => meal.outcome?.kind === 'eaten' && first && last && meal.on >= first.on && meal.on < last.on)
    .reduce((sum, meal) => sum + massOf(meal), 0);
  return {
    weeks: rows,
    weighings: weighings.map(({ on, massG, usualG }) => ({ on, massG, condition: usualG ? massG / usualG : null })),
    gainedG,
    convertedPct: gainedG !== null && eatenG > 0 ? (gainedG / eatenG) * 100 : null,
  };
}

/** Weight of a whole meal, as far as it is known. g */
const massOf = ({ dishes }: PastMeal) => dishes.reduce((sum, { massG = 0 }) => sum + massG, 0);
