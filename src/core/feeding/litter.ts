import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { LitterDiet } from '@/core/profiles/diet';
import { PINCH_G, type FoodOnOffer, type Meal, type PastMeal } from './food';
import { leastRecent } from './rotation';

/** Gone within a day: a quarter more next time. Still there when it comes out: two fifths less. Chosen here: up in small steps, down in large ones */
const MORE = 1.25;
const LESS = 0.6;
/** Gone mouldy it was far too much, or lay too damp. Chosen here */
const FAR_LESS = 0.4;
/** So many times as seldom as usual at the most: food is also what shows who is there. Chosen here */
const MOST_SELDOM = 2;
/** The appetite learned stays within so many times what is usual. */
const FARTHEST = 12;

/**
 * The next portion, by what became of those before: more when it was gone in a day, the same when it was gone later,
 * less when some had to be taken out, and far less when it was mouldy. Around a steady appetite it settles between three fifths of it and a quarter more.
 * @param firstG what would be given without any experience, over 0
 * @param meals oldest first; those nobody looked after teach nothing
 */
export function nextPortionG(firstG: number, meals: readonly PastMeal[]): number {
  const last = meals.filter((meal) => meal.outcome !== null && portionOf(meal) > 0).at(-1);
  if (!last?.outcome) return firstG;
  const { outcome } = last;
  const goneIn = daysBetween(last.on, outcome.on);
  const left = outcome.left === 'mouldy' ? FAR_LESS : LESS;
  const times = outcome.kind === 'refused' ? left : goneIn <= 1 ? MORE : 1;
  return Math.min(FARTHEST * firstG, Math.max(firstG / FARTHEST, portionOf(last) * times));
}

const portionOf = (meal: PastMeal) => meal.dishes.reduce((sum, dish) => sum + (dish.massG ?? 0), 0);

/** When those that eat litter are given something again: by their rhythm, and not before the days of rest are over. */
export function portionDueOn(diet: LitterDiet, meals: readonly PastMeal[], everyDays: number): Day | null {
  const last = meals.at(-1);
  if (!last) return null;
  const rhythm = addDays(last.on, everyDays);
  const rested = last.outcome && addDays(last.outcome.on, diet.restDays.value);
  return rested && rested > rhythm ? rested : rhythm;
}

/** Food on top of the litter, in the portion that was learned. */
export function litterMeal(
  diet: LitterDiet,
  heads: number,
  isPrepared: boolean,
  foods: readonly FoodOnOffer[],
  meals: readonly PastMeal[],
): Meal {
  const reckonedG =
    ((heads * diet.headMassMg.value) / 1000) * (diet.weeklyPctOfMass.value / 100) * (diet.everyDays / 7);
  const firstG = Math.max(PINCH_G, reckonedG);
  const massG = nextPortionG(firstG, meals);
  // A pinch is the least: where that is too much, it comes more seldom.
  const everyDays = Math.round(diet.everyDays * Math.min(MOST_SELDOM, Math.max(1, PINCH_G / massG)));
  const offered = isPrepared
    ? foods.filter((food) => food.kind === 'prepared')
    : foods.filter((food) => diet.foods.includes(food.id));
  const food = leastRecent(offered, meals);
  return {
    eats: 'litter',
    everyDays,
    dishes: food ? [{ food: food.id, massG: Math.max(PINCH_G, massG) }] : [],
    cautions: ['out-when-left'],
    grounds: [
      { rule: 'first-portion', value: firstG, unit: 'g', basis: diet.weeklyPctOfMass.basis },
      { rule: 'learned-portion', value: massG, unit: 'g', basis: 'common practice' },
      { rule: 'rest', value: diet.restDays.value, unit: 'd', basis: diet.restDays.basis },
    ],
  };
}
