import { daysBetween, type Day } from '@/core/measure/day';
import { spreadOf, together } from '@/core/numerics/spreads';
import type { GreensDiet } from '@/core/profiles/diet';
import { PINCH_G, within, type FoodOnOffer, type Meal, type PastMeal } from './food';
import { leastRecent } from './rotation';

/**
 * Snails: a vegetable that differs from the last, and protein once so many days have gone by without.
 * @param massG of all of them
 * @param massSpread how far that may be off, in logarithms
 * @param foods those that are allowed
 * @param meals oldest first
 */
export function greensMeal(
  diet: GreensDiet,
  massG: number,
  massSpread: number,
  foods: readonly FoodOnOffer[],
  meals: readonly PastMeal[],
  on: Day,
): Meal {
  const pick = (ids: readonly string[]) =>
    leastRecent(
      foods.filter((food) => ids.includes(food.id)),
      meals,
    );
  const vegetable = pick(diet.foods);
  const lastProtein = meals.findLast((meal) => meal.dishes.some((dish) => diet.proteins.includes(dish.food)));
  const isProteinDay = !lastProtein || daysBetween(lastProtein.on, on) >= diet.proteinEveryDays.value;
  const protein = isProteinDay ? pick(diet.proteins) : undefined;
  const greensG = massG * (diet.dailyPctOfMass.value / 100) * diet.everyDays;
  const proteinG = massG * (diet.proteinPctOfMass.value / 100);
  return {
    eats: 'greens',
    everyDays: diet.everyDays,
    dishes: [
      ...(vegetable ? [{ food: vegetable.id, massG: Math.max(PINCH_G, greensG) }] : []),
      ...(protein ? [{ food: protein.id, massG: Math.max(PINCH_G, proteinG) }] : []),
    ],
    cautions: ['wash'],
    grounds: [
      {
        ...{ rule: 'greens', value: greensG, unit: 'g', basis: diet.dailyPctOfMass.basis },
        ...within(greensG, together(massSpread, spreadOf(diet.dailyPctOfMass))),
      },
      { rule: 'protein-days', value: diet.proteinEveryDays.value, unit: 'd', basis: diet.proteinEveryDays.basis },
    ],
  };
}
