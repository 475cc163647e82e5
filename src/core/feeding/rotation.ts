import type { FoodOnOffer, PastMeal } from './food';

/** The day on which a food was last given; '' if never. */
function lastGiven(food: string, meals: readonly PastMeal[]): string {
  return meals.findLast((meal) => meal.dishes.some((dish) => dish.food === food))?.on ?? '';
}

/**
 * The food that was not given for longest, so that none becomes the only one; of those alike, one that is in the house,
 * then the one named first. Undefined where there is none.
 */
export function leastRecent(foods: readonly FoodOnOffer[], meals: readonly PastMeal[]): FoodOnOffer | undefined {
  const isHere = (food: FoodOnOffer) => (food.onHand ?? 0) > 0;
  const recent = new Set(meals.slice(-1).flatMap((meal) => meal.dishes.map((dish) => dish.food)));
  const ranked = foods.map((food) => ({ food, given: lastGiven(food.id, meals) }));
  // What is in the house goes first, but never what they had the last time.
  const rank = (each: FoodOnOffer) => (recent.has(each.id) ? 2 : isHere(each) ? 0 : 1);
  ranked.sort((a, b) => rank(a.food) - rank(b.food) || a.given.localeCompare(b.given));
  return ranked[0]?.food;
}
